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
        !IsOn && !MayBeOff(step)
            ? new Refusal(
                "step-needed",
                "stepKey",
                $"\"{step.OwnerName}\" can't do without this step. Lines of decoration, lines along folds, changes of bobbin and hand "
                    + "steps of your own may be switched off."
            )
            : project with
            {
                RunSheet = project.RunSheet.With(Of(project, step.Key) with { IsOff = !IsOn }),
            };

    /// <summary>True for a step that the work holds without.</summary>
    public static bool MayBeOff(RunStep step) =>
        step switch
        {
            HandStep hand => hand.Work.Kind is HandKind.ChangeBobbin or HandKind.Press || hand.Key.Stage == "hand",
            StitchStep stitch => stitch.Stage.Id == StageId.Line
                && stitch.Stage.Words is "line" or "line along the fold" or "quilting",
            _ => false,
        };
}
