using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives a piece another shape, or its shape other numbers; place and size stay.</summary>
public sealed record ReshapePiece : ShapeEdit
{
    public required ShapeSource Shape { get; init; }

    public override string Label(Project before) => $"Reshape {PieceName(before)}";

    private protected override Result<Project> Change(Element element, ShapeSource shape, Project project) =>
        ShapeLimits.Check(Shape) is { } refusal
            ? refusal
            : project.With(element with { Form = OutlinedForms.Of(Shape, element.Form.HolesOf()) });
}
