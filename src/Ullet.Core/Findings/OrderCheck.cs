using Ullet.Core.Pipeline;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Does the user's own order keep the rules?</summary>
internal sealed class OrderCheck : ICheck
{
    private const int MostNamed = 4;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        var steps = input.RunSheet.Steps;
        if (!input.RunSheet.Order.Release.IsEmpty)
        {
            var names = input.RunSheet.Order.Release.Select(key =>
                steps.FirstOrDefault(step => step.Key == key) is { } step ? $"\"{StepNames.Of(step)}\"" : $"{key}"
            );
            yield return new Finding(
                "order-impossible",
                FindingLevel.Stop,
                null,
                null,
                $"The steps that you hold leave no order that works. Let go of {string.Join(" and ", names)}."
            );
        }
        // One sentence for each step that stands wrong is enough.
        var broken = input.RunSheet.Order.Broken.DistinctBy(pair => (pair.Rule, pair.Before)).Take(MostNamed);
        foreach (var pair in broken)
        {
            Budget.Spend();
            var owner = input.Project.Find(pair.Before.OwnerId) ?? input.Project.Find(pair.After.OwnerId);
            yield return new Finding(
                "order-broken",
                FindingLevel.Stop,
                owner?.Id,
                owner is null ? null : new Geometry.Point(owner.Box.X, owner.Box.Y),
                $"The run sheet does not work in this order. {pair.Reason}",
                new PutRightMend()
            );
        }
    }
}
