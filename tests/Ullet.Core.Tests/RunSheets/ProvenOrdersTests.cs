using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.RunSheets;

/// <summary>"No better order exists" against trying every order that the rules leave.</summary>
public sealed class ProvenOrdersTests
{
    private const int MostSteps = 9;

    [Fact]
    public void OfSeededProjectsWithFewSteps_NineOfTenAreProven_AndNoneWithoutBeingTheCheapest()
    {
        var (small, proven) = (0, 0);
        for (var seed = 0; seed < 120; seed++)
        {
            var project = Drawn(new Random(seed));
            var work = SampleProject.Evaluate(project);
            if (work.RunSheet.Steps.Length > MostSteps)
            {
                continue;
            }
            small++;
            if (!work.RunSheet.Order.IsProvenBest)
            {
                continue;
            }
            proven++;
            var (facts, _) = StepGathering.Of(project, work.Work);
            var graph = new OrderGraph([.. facts.Steps()], OrderRules.Of(facts, withHeld: false));
            var blocks = project.RunSheet.Order == StitchOrder.OneByOne ? BlocksOf(facts, graph) : [];
            Assert.True(
                OrderCost.Of(work.RunSheet.Steps) == Cheapest(graph, blocks),
                $"seed {seed}: {string.Join(" ", work.RunSheet.Steps.Select(step => step.Key))}"
            );
        }
        Assert.InRange(small, 40, 120);
        Assert.True(proven >= 0.9 * small, $"{proven} of {small}");
    }

    /// <summary>The numbers of the steps of each piece: one by one, they follow one another.</summary>
    private static List<HashSet<int>> BlocksOf(OrderFacts facts, OrderGraph graph) =>
        [
            .. facts
                .Units.Where(unit => unit.Basting is null)
                .Select(unit => unit.Acts.Select(act => graph.NumberOf(act.Step.Key)).ToHashSet()),
        ];

    /// <summary>The least cost of all legal orders, each tried to its end.</summary>
    private static int Cheapest(OrderGraph graph, List<HashSet<int>> blocks)
    {
        var (best, order) = (int.MaxValue, new List<int>());
        Try();
        return best;

        void Try()
        {
            if (order.Count == graph.Steps.Count)
            {
                best = Math.Min(best, OrderCost.Of(order.Select(i => graph.Steps[i])));
                return;
            }
            var begun = blocks.Find(block => block.Overlaps(order) && !block.IsSubsetOf(order));
            for (var i = 0; i < graph.Steps.Count; i++)
            {
                if (!order.Contains(i) && begun?.Contains(i) != false && graph.Before(i).All(order.Contains))
                {
                    order.Add(i);
                    Try();
                    order.RemoveAt(order.Count - 1);
                }
            }
        }
    }

    /// <summary>One or two pieces of any method, maybe with lines, words of the user's own hands, and either order.</summary>
    private static Project Drawn(Random random)
    {
        var project = SampleProject.Empty(200, 200);
        for (var i = random.Next(1, 3); i > 0; i--)
        {
            var size = random.Next(12, 40);
            project = SampleProject.Apply(
                project,
                SampleProject.Add(
                    new RectangleShape(2),
                    size,
                    size,
                    (Method)random.Next(6),
                    random.Next(2) == 0 ? "beet" : "felt"
                ) with
                {
                    Box = new ElementBox(random.Next(-60, 60), random.Next(-50, 50), size, size, 0),
                }
            );
        }
        for (var i = random.Next(3); i > 0; i--)
        {
            project = SampleProject.Apply(
                project,
                new SetHandStep { Hand = new UserHandStep("", HandKind.FreeText, $"Look {i}.") }
            );
        }
        // A place of its own makes the order the user's; Ullet is asked for its own again.
        return SampleProject.Apply(project, new PlanOrder(), new SetOrder { Order = (StitchOrder)random.Next(2) });
    }
}
