using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>Finds what must be let go where steps that the user holds leave no legal order.</summary>
internal static class HeldSteps
{
    /// <summary>Up to so many held steps are tried together; beyond, all that stand in the circle are named.</summary>
    private const int MostTogether = 3;

    /// <summary>The smallest set of held steps whose release lets an order be legal; nothing when one is already.</summary>
    internal static ImmutableArray<StepKey> ToRelease(OrderFacts facts, IReadOnlyList<RunStep> steps)
    {
        var sheet = facts.Project.RunSheet;
        if (!sheet.Steps.Any(step => step.IsHeld) || !HasCircle(facts, steps, []))
        {
            return [];
        }
        var held = sheet.Sequence.Where(key => sheet.Of(key) is { IsHeld: true }).ToList();
        for (var size = 1; size <= Math.Min(MostTogether, held.Count); size++)
        {
            foreach (var set in Sets(held, size))
            {
                Budget.Spend();
                if (!HasCircle(facts, steps, set))
                {
                    return [.. set];
                }
            }
        }
        return [.. held];
    }

    private static bool HasCircle(OrderFacts facts, IReadOnlyList<RunStep> steps, IReadOnlyCollection<StepKey> released)
    {
        var sheet = facts.Project.RunSheet;
        var tried = facts with
        {
            Project = facts.Project with
            {
                RunSheet = sheet with { Steps = [.. sheet.Steps.Where(step => !released.Contains(step.Key))] },
            },
        };
        return new OrderGraph(steps, OrderRules.Of(tried, withHeld: true)).HasCircle();
    }

    private static IEnumerable<List<StepKey>> Sets(List<StepKey> from, int size, int first = 0)
    {
        if (size == 0)
        {
            yield return [];
            yield break;
        }
        for (var i = first; i <= from.Count - size; i++)
        {
            Budget.Spend();
            foreach (var rest in Sets(from, size - 1, i + 1))
            {
                yield return [from[i], .. rest];
            }
        }
    }
}
