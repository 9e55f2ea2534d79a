using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Edits;

/// <summary>Puts the run sheet into the legal order that is nearest to the user's own; steps that are held keep their order.</summary>
public sealed record PutRight : Edit
{
    public override string Label(Project before) => "Put the run sheet right";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var evaluated = context.Evaluator.Evaluate(project, context.Cancellation);
        if (!evaluated.RunSheet.Order.Release.IsEmpty)
        {
            var names = evaluated.RunSheet.Order.Release.Select(key =>
                evaluated.RunSheet.Steps.FirstOrDefault(step => step.Key == key) is { } step
                    ? $"\"{StepNames.Of(step)}\""
                    : $"\"{key}\""
            );
            return new Refusal(
                "order-impossible",
                "sequence",
                $"The steps that you hold leave no order that works. Let go of {string.Join(" and ", names)}, and put it right then."
            );
        }
        var order = Planner.PutRight(project, evaluated.Work);
        return order is { } keys
            ? project with
            {
                RunSheet = project.RunSheet with { Sequence = keys },
            }
            : new Refusal("order-impossible", "sequence", "The rules leave no order that works for these steps.");
    }
}
