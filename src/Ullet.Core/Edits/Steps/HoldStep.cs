using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Edits;

/// <summary>Holds a step in its place among the other steps that are held, or lets it go.</summary>
public sealed record HoldStep : StepEdit
{
    public required bool IsHeld { get; init; }

    public override string Label(Project before) => IsHeld ? "Hold a step" : "Let a step go";

    private protected override Result<Project> Change(RunStep step, RunSheet sheet, Project project)
    {
        var overrides = project.RunSheet.With(Of(project, step.Key) with { IsHeld = IsHeld });
        return project with
        {
            RunSheet =
                IsHeld && overrides.Sequence.IsEmpty
                    ? overrides with
                    {
                        Sequence = [.. sheet.Steps.Select(known => known.Key)],
                    }
                    : overrides,
        };
    }
}
