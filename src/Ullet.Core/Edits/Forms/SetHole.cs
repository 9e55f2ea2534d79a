using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives a piece one hole in place of those it has, or takes them away.</summary>
public sealed record SetHole : ShapeEdit
{
    /// <summary>The hole; null for none.</summary>
    public PieceHole? Hole { get; init; }

    public override string Label(Project before) =>
        Hole is null ? $"Close the hole of {PieceName(before)}" : $"Change the hole of {PieceName(before)}";

    private protected override Result<Project> Change(Element element, ShapeSource shape, Project project)
    {
        if (Hole is null)
        {
            return project.With(element with { Form = element.Form.WithHoles([]) });
        }
        var box = new ElementBox(Hole.X, Hole.Y, Hole.Width, Hole.Height, 0);
        var refusal = ShapeLimits.Check(Hole.Shape) ?? Limits.CheckBox(box, "the hole");
        return refusal is not null ? refusal : project.With(element with { Form = element.Form.WithHoles([Hole]) });
    }
}
