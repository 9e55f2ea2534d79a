using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Moves everything by a distance, so that the design comes back into the field.</summary>
public sealed record MoveDesign : Edit
{
    /// <summary>To the right, mm.</summary>
    public required double X { get; init; }

    /// <summary>Down, mm.</summary>
    public required double Y { get; init; }

    public override string Label(Project before) => "Move the design";

    public override Result<Project> Apply(Project project, EditContext context) =>
        Chosen.Move(project, project.Elements, X, Y);
}
