using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Shows lengths in another unit; nothing else changes.</summary>
public sealed record SetUnit : Edit
{
    public required LengthUnit Unit { get; init; }

    public override string Label(Project before) => Unit == LengthUnit.Inch ? "Show inches" : "Show millimetres";

    public override Result<Project> Apply(Project project, EditContext context) => project with { Unit = Unit };
}
