using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.RunSheets;

/// <summary>The search for the cheapest order against trying every one.</summary>
public sealed class OrderSearchTests
{
    [Fact]
    public void Best_OnSeededSteps_CostsNoMoreThanExhaustiveSearch_AndSaysSo()
    {
        for (var seed = 0; seed < 300; seed++)
        {
            var random = new Random(seed);
            var steps = Enumerable.Range(0, random.Next(1, 10)).Select(i => Step(i, random)).ToList();
            var before = Enumerable
                .Range(0, steps.Count)
                .Select(i => Enumerable.Range(0, i).Where(_ => random.Next(4) == 0).ToList())
                .ToList();
            var (order, isProven) = OrderSearch.Best(
                [.. steps.Select(step => ImmutableArray.Create(step))],
                before,
                [.. Enumerable.Range(0, steps.Count)]
            );
            Assert.True(isProven);
            Assert.Equal(Enumerable.Range(0, steps.Count), order.Order());
            Assert.True(IsLegal(order, before), $"seed {seed}");
            Assert.Equal(CheapestOfAll(steps, before), OrderCost.Of(order.Select(i => steps[i])));
        }
    }

    [Fact]
    public void Best_OfManySteps_IsLegalAndBounded()
    {
        var random = new Random(7);
        var steps = Enumerable.Range(0, 400).Select(i => Step(i, random)).ToList();
        var before = Enumerable
            .Range(0, steps.Count)
            .Select(i => i == 0 ? [] : new List<int> { random.Next(i) })
            .ToList();
        var (order, isProven) = OrderSearch.Best(
            [.. steps.Select(step => ImmutableArray.Create(step))],
            before,
            [.. Enumerable.Range(0, steps.Count)]
        );
        Assert.False(isProven);
        Assert.True(IsLegal(order, before));
    }

    [Fact]
    public void Cost_OfAHoopTakenOff_IsMoreThanOfAStop_AndThatMoreThanOfAThread()
    {
        static HandStep Hand(bool off) => Hands(0, off);
        var sewn = SampleSteps();
        int Of(params RunStep[] steps) => OrderCost.Of(steps);
        var plain = Of(sewn[0], sewn[1]);
        Assert.True(Of(sewn[0], Hand(true), sewn[1]) > Of(sewn[0], Hand(false), sewn[1]));
        Assert.True(Of(sewn[0], Hand(false), sewn[1]) > Of(sewn[0], sewn[2]));
        Assert.True(Of(sewn[0], sewn[2]) > plain);
        // Hands in a row are one stop.
        Assert.Equal(Of(sewn[0], Hand(false), sewn[1]), Of(sewn[0], Hand(false), Hand(false), sewn[1]));
    }

    private static bool IsLegal(IEnumerable<int> order, List<List<int>> before)
    {
        var done = new HashSet<int>();
        return order.All(i => before[i].TrueForAll(done.Contains) && done.Add(i));
    }

    private static int CheapestOfAll(List<RunStep> steps, List<List<int>> before)
    {
        var best = int.MaxValue;
        Try([]);
        return best;

        // A beginning never costs more than what it grows into, so one that costs too much is left.
        void Try(List<int> order)
        {
            var cost = OrderCost.Of(order.Select(i => steps[i]));
            if (order.Count == steps.Count)
            {
                best = Math.Min(best, cost);
                return;
            }
            if (cost >= best)
            {
                return;
            }
            for (var i = 0; i < steps.Count; i++)
            {
                if (!order.Contains(i) && before[i].TrueForAll(order.Contains))
                {
                    Try([.. order, i]);
                }
            }
        }
    }

    private static RunStep Step(int number, Random random)
    {
        RunStep made = SampleSteps()[random.Next(3)] with { Key = new StepKey($"s{number}", "line", 0) };
        return random.Next(3) == 0 ? Hands(number, random.Next(2) == 0) : made;
    }

    private static HandStep Hands(int number, bool hoopOff) =>
        new(
            new StepKey($"h{number}", "hand", 0),
            "h",
            "Hands",
            new HandWork(HandKind.FreeText, "hand", "Look.", null, hoopOff, []),
            null
        );

    private static readonly Lazy<ImmutableArray<StitchStep>> Sewn = new(() =>
    {
        var sheet = SampleProject.Evaluate(SampleProject.With(new EllipseShape())).RunSheet;
        var steps = sheet.Steps.OfType<StitchStep>().ToList();
        // Placement and tack-down in one thread, the cover in another.
        return [steps[0], steps[1], steps[2]];
    });

    private static ImmutableArray<StitchStep> SampleSteps() => Sewn.Value;
}
