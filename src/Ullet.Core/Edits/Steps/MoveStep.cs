using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Edits;

/// <summary>Puts a step at another place of the run sheet. It is taken there even where a rule is broken: the run sheet then says
/// which, and offers to put it right.</summary>
public sealed record MoveStep : StepEdit
{
    /// <summary>The place it gets, counted from 0; beyond the end means the end.</summary>
    public required int To { get; init; }

    public override string Label(Project before) => "Move a step";

    private protected override Result<Project> Change(RunStep step, RunSheet sheet, Project project)
    {
        if (To < 0)
        {
            return new Refusal("place-out-of-range", "to", "The run sheet has no place before its first step.");
        }
        var order = sheet.Steps.Select(known => known.Key).ToList();
        if (!order.Remove(step.Key))
        {
            return new Refusal("step-off", "stepKey", "This step is switched off; switch it on before it is moved.");
        }
        order.Insert(Math.Min(To, order.Count), step.Key);
        return project with { RunSheet = project.RunSheet with { Sequence = [.. order] } };
    }
}
