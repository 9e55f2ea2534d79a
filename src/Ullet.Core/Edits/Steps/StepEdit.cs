using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Edits;

/// <summary>An edit of one step of the run sheet.</summary>
public abstract record StepEdit : Edit
{
    /// <summary>The step, written like "e3.cover.0".</summary>
    public required string StepKey { get; init; }

    public sealed override Result<Project> Apply(Project project, EditContext context)
    {
        var sheet = context.Evaluator.Evaluate(project, context.Cancellation).RunSheet;
        var step = Projects.StepKey.Parse(StepKey) is { } key
            ? sheet.Steps.Concat(sheet.Off).FirstOrDefault(known => known.Key == key)
            : null;
        return step is null
            ? new Refusal("step-unknown", "stepKey", $"There is no step \"{StepKey}\" in this project.")
            {
                Kind = RefusalKind.NotFound,
            }
            : Change(step, sheet, project);
    }

    /// <summary>The document after the change, or why not.</summary>
    private protected abstract Result<Project> Change(RunStep step, RunSheet sheet, Project project);

    /// <summary>What was decided about a step so far.</summary>
    private protected static StepOverride Of(Project project, StepKey key) =>
        project.RunSheet.Of(key) ?? new StepOverride(key, null);
}
