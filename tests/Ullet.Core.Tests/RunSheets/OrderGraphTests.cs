using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Tests.RunSheets;

/// <summary>Steps with what must come before what, on seeded graphs.</summary>
public sealed class OrderGraphTests
{
    [Fact]
    public void Sorted_IsLegal_AndLeavesALegalWishAsItIs()
    {
        foreach (var (graph, random) in Graphs())
        {
            var wished = Shuffled(graph.Steps.Count, random);
            var sorted = graph.Sorted(OrderGraph.Places(wished));
            Assert.Equal(Numbers(graph), sorted.Order());
            Assert.Empty(graph.Broken(sorted));
            Assert.Equal(sorted, graph.Sorted(OrderGraph.Places(sorted)));
            Assert.False(graph.HasCircle());
        }
    }

    [Fact]
    public void Room_HoldsExactlyThePlacesWhereAStepBreaksNothing()
    {
        foreach (var (graph, random) in Graphs())
        {
            var order = graph.Sorted(Shuffled(graph.Steps.Count, random));
            foreach (var step in order)
            {
                var (first, last) = graph.Room(step, OrderGraph.Places(order));
                for (var place = 0; place < order.Count; place++)
                {
                    var moved = order.Where(other => other != step).ToList();
                    moved.Insert(place, step);
                    Assert.Equal(first <= place && place <= last, !graph.Broken(moved).Any());
                }
            }
        }
    }

    [Fact]
    public void UserOrder_KeepsWhatIsNamed_AndPutsNewStepsWhereTheyBreakNothing()
    {
        foreach (var (graph, random) in Graphs())
        {
            var planned = graph.Sorted([.. Numbers(graph)]);
            var legal = graph.Sorted(Shuffled(graph.Steps.Count, random));
            var named = legal.Where(_ => random.Next(3) > 0).ToList();
            var gone = new StepKey("gone", "hand", 0);
            var order = UserOrder.Of([gone, .. named.Select(step => graph.Steps[step].Key)], graph, planned);
            Assert.Equal(Numbers(graph), order.Order());
            Assert.Equal(named, order.Where(named.Contains));
            if (named.Count == graph.Steps.Count - 1)
            {
                Assert.Empty(graph.Broken(order));
            }
        }
    }

    [Fact]
    public void ACircle_IsSeen_AndItsStepsAreLeftOut()
    {
        var steps = Enumerable.Range(0, 4).Select(Step).ToList();
        var graph = new OrderGraph(steps, [Pair(steps, 0, 1), Pair(steps, 1, 2), Pair(steps, 2, 1)]);
        Assert.True(graph.HasCircle());
        Assert.Equal([0, 3], graph.Sorted([0, 1, 2, 3]));
    }

    private static IEnumerable<(OrderGraph Graph, Random Random)> Graphs()
    {
        for (var seed = 0; seed < 200; seed++)
        {
            var random = new Random(seed);
            var steps = Enumerable.Range(0, random.Next(1, 12)).Select(Step).ToList();
            var pairs =
                from after in Enumerable.Range(0, steps.Count)
                from before in Enumerable.Range(0, after)
                where random.Next(4) == 0
                select Pair(steps, before, after);
            yield return (new OrderGraph(steps, pairs.ToList()), random);
        }
    }

    private static IEnumerable<int> Numbers(OrderGraph graph) => Enumerable.Range(0, graph.Steps.Count);

    private static int[] Shuffled(int count, Random random)
    {
        int[] numbers = [.. Enumerable.Range(0, count)];
        random.Shuffle(numbers);
        return numbers;
    }

    private static Precedence Pair(List<RunStep> steps, int before, int after) =>
        new(steps[before].Key, steps[after].Key, "sample", "It lies below.");

    private static RunStep Step(int number) =>
        new HandStep(
            new StepKey($"h{number}", "hand", 0),
            "h",
            "Hands",
            new HandWork(HandKind.FreeText, "hand", "Look.", null, false, []),
            null
        );
}
