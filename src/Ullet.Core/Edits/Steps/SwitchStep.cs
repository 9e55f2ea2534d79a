using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Edits;

/// <summary>Switches a step off, so that it stays listed and is not done, or on again.</summary>
public sealed record SwitchStep : StepEdit
{
    public required bool IsOn { get; init; }

    public override string Label(Project before) => IsOn ? "Switch a step on" : "Switch a step off";

    private protected override Result<Project> Change(RunStep step, RunSheet sheet, Project project) =>
        !IsOn && !step.MayBeOff
            ? new Refusal(
                "step-needed",
                "stepKey",
                $"\"{step.OwnerName}\" can't do without this step. Lines of decoration, lines along folds, changes of bobbin and hand "
                    + "steps of your own may be switched off."
            )
            {
                Kind = RefusalKind.NotPossible,
            }
            : project with
            {
                RunSheet = project.RunSheet.With(Of(project, step.Key) with { IsOff = !IsOn }),
            };
}
