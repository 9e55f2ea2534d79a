using System.Collections.Immutable;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets;

/// <summary>Makes the run sheet: of all orders that keep the rules the cheapest, or the user's own order, judged.</summary>
public static class Planner
{
    /// <summary>The run sheet of the project's own hooping.</summary>
    /// <param name="project">The document.</param>
    /// <param name="work">The stages of each element, by element id.</param>
    /// <param name="order">One by one or together; null for as the document says.</param>
    /// <param name="search">Finds the cheapest order; null to search anew.</param>
    public static RunSheet Plan(
        Project project,
        IReadOnlyDictionary<string, ElementAtWork> work,
        StitchOrder? order = null,
        Func<OrderInput, OrderFound>? search = null
    )
    {
        var (gathered, off) = StepGathering.Of(project, work);
        var facts = gathered with { Order = order ?? project.RunSheet.Order };
        return Planned(facts, off, GraphOf(facts), order, search ?? Searched);
    }

    /// <summary>The run sheet as the document says, and how often the machine would stop in the other order of the pieces.</summary>
    public static (RunSheet Sheet, int OtherStops) PlanWithOther(
        Project project,
        IReadOnlyDictionary<string, ElementAtWork> work,
        Func<OrderInput, OrderFound> search
    )
    {
        var (facts, off) = StepGathering.Of(project, work);
        var otherFacts = facts with { Order = Other(project.RunSheet.Order) };
        var otherGraph = GraphOf(otherFacts);
        var (other, _) = Cheapest(otherFacts, otherGraph, otherFacts.Order, search);
        return (
            Planned(facts, off, GraphOf(facts), null, search),
            new RunSheet([.. other.Select(i => otherGraph.Steps[i])]).StopCount
        );
    }

    private static OrderGraph GraphOf(OrderFacts facts) =>
        new([.. facts.Steps()], OrderRules.Of(facts, withHeld: false));

    /// <summary>One by one for together, and the other way round.</summary>
    public static StitchOrder Other(StitchOrder order) =>
        order == StitchOrder.Together ? StitchOrder.OneByOne : StitchOrder.Together;

    private static RunSheet Planned(
        OrderFacts facts,
        ImmutableArray<RunStep> off,
        OrderGraph graph,
        StitchOrder? order,
        Func<OrderInput, OrderFound> search
    )
    {
        var overrides = facts.Project.RunSheet;
        var (planned, isProven) = Cheapest(facts, graph, order ?? overrides.Order, search);
        var isOwn = order is null && !overrides.Sequence.IsEmpty;
        var sequence = isOwn ? UserOrder.Of(overrides.Sequence, graph, planned) : planned;
        return new RunSheet([.. sequence.Select(i => graph.Steps[i])])
        {
            Off = off,
            Order = Report(facts, graph, sequence, isOwn, isProven && (!isOwn || IsAsCheap(graph, sequence, planned))),
        };
    }

    /// <summary>True for an order of the user's own that breaks no rule and costs no more than the planned one.</summary>
    private static bool IsAsCheap(OrderGraph graph, List<int> own, List<int> planned) =>
        !graph.Broken(own).Any()
        && OrderCost.Of(own.Select(i => graph.Steps[i])) <= OrderCost.Of(planned.Select(i => graph.Steps[i]));

    /// <summary>The legal order that is nearest to the user's own, held steps kept in their order.</summary>
    /// <returns>The steps in order; none when the held steps leave no legal order.</returns>
    public static ImmutableArray<StepKey>? PutRight(Project project, IReadOnlyDictionary<string, ElementAtWork> work)
    {
        var (facts, _) = StepGathering.Of(project, work);
        var steps = facts.Steps().ToList();
        var bare = new OrderGraph(steps, OrderRules.Of(facts, withHeld: false));
        var (planned, _) = Cheapest(facts, bare, project.RunSheet.Order, Searched);
        var graph = new OrderGraph(steps, OrderRules.Of(facts, withHeld: true));
        var wished = OrderGraph.Places(UserOrder.Of(project.RunSheet.Sequence, bare, planned));
        var sorted = graph.Sorted(wished);
        return sorted.Count < steps.Count ? null : [.. sorted.Select(i => steps[i].Key)];
    }

    /// <summary>The cheapest legal order; one that is not proven is never dearer than the one it began with.</summary>
    private static (List<int> Order, bool IsProven) Cheapest(
        OrderFacts facts,
        OrderGraph graph,
        StitchOrder order,
        Func<OrderInput, OrderFound> search
    )
    {
        var wish = Begun(facts, graph, order);
        var begun = graph.Sorted(OrderGraph.Places(wish));
        if (begun.Count < graph.Steps.Count)
        {
            // The rules leave no order: what was begun with is shown, and what it breaks is said.
            return (wish, false);
        }
        var blocks = Blocks(facts, graph, order);
        var blockOf = new int[graph.Steps.Count];
        for (var block = 0; block < blocks.Count; block++)
        {
            foreach (var step in blocks[block])
            {
                Budget.Spend();
                blockOf[step] = block;
            }
        }
        var before = blocks
            .Select(
                (steps, block) =>
                    (IReadOnlyCollection<int>)
                        steps
                            .SelectMany(graph.Before)
                            .Select(step => blockOf[step])
                            .Where(other => other != block)
                            .ToHashSet()
            )
            .ToList();
        var places = OrderGraph.Places(begun);
        var wished = OrderGraph.Places([.. blocks.Select((_, i) => i).OrderBy(i => places[blocks[i][0]])]);
        if (Circular(before))
        {
            // Pieces that must wait for one another amid their steps can't be sewn one by one.
            return order == StitchOrder.OneByOne
                ? Cheapest(facts, graph, StitchOrder.Together, search)
                : (begun, false);
        }
        var (found, isProven) = search(
            new OrderInput(
                [.. blocks.Select(block => block.Select(step => graph.Steps[step]).ToImmutableArray())],
                [.. before],
                [.. wished]
            )
        );
        var cheapest = found.SelectMany(block => blocks[block]).ToList();
        return
            !isProven
            && OrderCost.Of(begun.Select(i => graph.Steps[i])) <= OrderCost.Of(cheapest.Select(i => graph.Steps[i]))
            ? (begun, false)
            : (cheapest, isProven);
    }

    private static OrderFound Searched(OrderInput input) => new OrderStation().Compute(input, CancellationToken.None);

    /// <summary>True when some wait for one another: not all can be taken one after the other (A. B. Kahn, 1962).</summary>
    private static bool Circular(List<IReadOnlyCollection<int>> before)
    {
        var waiting = before.Select(earlier => earlier.Count).ToArray();
        var after = before.Select(_ => new List<int>()).ToArray();
        for (var i = 0; i < before.Count; i++)
        {
            Budget.Spend(1 + before[i].Count);
            foreach (var earlier in before[i])
            {
                after[earlier].Add(i);
            }
        }
        var ready = new Stack<int>(Enumerable.Range(0, before.Count).Where(i => waiting[i] == 0));
        var done = 0;
        while (ready.TryPop(out var next))
        {
            done++;
            Budget.Spend(1 + after[next].Count);
            foreach (var later in after[next])
            {
                if (--waiting[later] == 0)
                {
                    ready.Push(later);
                }
            }
        }
        return done < before.Count;
    }

    /// <summary>Steps that stay together: a piece's when pieces are finished one by one, else each alone.</summary>
    private static List<List<int>> Blocks(OrderFacts facts, OrderGraph graph, StitchOrder order)
    {
        var blocks = new List<List<int>>();
        var units = facts.Units.SelectMany(unit => unit.Acts.Select(act => graph.NumberOf(act.Step.Key))).ToHashSet();
        blocks.AddRange(
            Enumerable.Range(0, graph.Steps.Count).Where(i => !units.Contains(i)).Select(i => new List<int> { i })
        );
        foreach (var unit in facts.Units)
        {
            Budget.Spend();
            var own = BlockSteps.Of(facts, unit).Select(step => graph.NumberOf(step.Key));
            blocks.AddRange(
                order == StitchOrder.OneByOne && unit.Basting is null
                    ?
                    [
                        [.. own],
                    ]
                    : own.Select(i => new List<int> { i })
            );
        }
        return blocks;
    }

    /// <summary>The order that is kept where costs are equal, by step numbers.</summary>
    private static List<int> Begun(OrderFacts facts, OrderGraph graph, StitchOrder order)
    {
        var units =
            order == StitchOrder.Together
                ? TogetherOrder.Of([.. facts.Units], facts.Over)
                : facts.Units.SelectMany(unit => unit.Acts.Select(act => act.Step));
        return
        [
            .. facts
                .Frame.First.Concat(facts.Acts.Select(act => act.Step))
                .Concat(units)
                .Concat(facts.Frame.Own)
                .Concat(facts.Frame.Last)
                .Select(step => graph.NumberOf(step.Key)),
        ];
    }

    private static OrderReport Report(OrderFacts facts, OrderGraph graph, List<int> sequence, bool isOwn, bool isProven)
    {
        var places = OrderGraph.Places(sequence);
        var frame = facts.Frame.First.Concat(facts.Frame.Last).Select(step => graph.NumberOf(step.Key)).ToHashSet();
        bool IsTied(int step, int other) =>
            !frame.Contains(other) && graph.Steps[other].OwnerId != graph.Steps[step].OwnerId;
        return new OrderReport(
            [.. graph.Broken(sequence)],
            graph
                .Steps.Select((step, i) => (step.Key, graph.Room(i, places)))
                .ToImmutableDictionary(p => p.Key, p => p.Item2),
            [
                .. Enumerable
                    .Range(0, graph.Steps.Count)
                    .Where(i =>
                        !frame.Contains(i) && !graph.Before(i).Concat(graph.After(i)).Any(other => IsTied(i, other))
                    )
                    .Select(i => graph.Steps[i].Key),
            ],
            isOwn,
            isProven,
            HeldSteps.ToRelease(facts, graph.Steps)
        );
    }
}
