using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>The user's own order with the steps that it does not name yet.</summary>
internal static class UserOrder
{
    /// <param name="sequence">The order that the user gave; steps that are gone are passed over.</param>
    /// <param name="graph">All steps.</param>
    /// <param name="planned">The planner's order, all steps.</param>
    /// <returns>All steps: a new one stands after the step that it follows in the planner's order, moved no farther than the rules
    /// ask.</returns>
    internal static List<int> Of(ImmutableArray<StepKey> sequence, OrderGraph graph, List<int> planned)
    {
        var order = sequence.Select(graph.NumberOf).Where(number => number >= 0).Distinct().ToList();
        for (var i = 0; i < planned.Count; i++)
        {
            Budget.Spend();
            if (order.Contains(planned[i]))
            {
                continue;
            }
            var follows =
                planned.Take(i).Reverse().Select(number => order.IndexOf(number)).FirstOrDefault(at => at >= 0, -1) + 1;
            var first = graph.Before(planned[i]).Select(before => order.IndexOf(before) + 1).DefaultIfEmpty(0).Max();
            var last = graph
                .After(planned[i])
                .Select(after => order.IndexOf(after))
                .Where(at => at >= 0)
                .DefaultIfEmpty(order.Count)
                .Min();
            order.Insert(first <= last ? Math.Clamp(follows, first, last) : follows, planned[i]);
        }
        return order;
    }
}
