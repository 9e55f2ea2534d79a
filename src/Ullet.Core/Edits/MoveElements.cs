using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Moves elements by a distance.</summary>
public sealed record MoveElements : Edit
{
    public required ImmutableArray<string> ElementIds { get; init; }

    /// <summary>To the right, mm.</summary>
    public required double X { get; init; }

    /// <summary>Down, mm.</summary>
    public required double Y { get; init; }

    public override string Label(Project before) => $"Move {NameOf(before, ElementIds)}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        foreach (var id in ElementIds)
        {
            if (project.Find(id) is not { } element)
            {
                return EditRefusals.NoElement(id);
            }
            var box = element.Box with { X = element.Box.X + X, Y = element.Box.Y + Y };
            if (Limits.CheckBox(box, element.Name) is { } refusal)
            {
                return refusal;
            }
            project = project.With(element with { Box = box });
        }
        return project;
    }
}
