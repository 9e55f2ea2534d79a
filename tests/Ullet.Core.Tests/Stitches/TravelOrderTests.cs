using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Stitches;

public sealed class TravelOrderTests
{
    [Theory]
    [InlineData(5)]
    [InlineData(7)]
    public void Order_OfFewParts_IsTheShortestThereIs(int count)
    {
        for (var seed = 0; seed < 20; seed++)
        {
            var parts = Parts(new Random(seed), count);
            var best = Permutations([.. Enumerable.Range(0, count)])
                .Min(order => TravelOrder.Length(order, parts, Point.Zero));
            Assert.Equal(best, TravelOrder.Length(TravelOrder.Of(parts, Point.Zero), parts, Point.Zero), 6);
        }
    }

    [Fact]
    public void Order_OfManyParts_IsNearTheBest_AndHoldsEachOnce()
    {
        var (sum, best) = (0.0, 0.0);
        for (var seed = 0; seed < 12; seed++)
        {
            // Parts in a row, shuffled: the best way is known.
            var random = new Random(seed);
            var parts = Enumerable
                .Range(0, 24)
                .Select(i => new SewnPart(new Point(i * 10, 0), new Point((i * 10) + 6, 0)))
                .OrderBy(_ => random.Next())
                .ToList();
            var order = TravelOrder.Of(parts, new Point(-4, 0));
            Assert.Equal(Enumerable.Range(0, 24), order.Order());
            sum += TravelOrder.Length(order, parts, new Point(-4, 0));
            best += 24 * 4;
        }
        Assert.InRange(sum / best, 1, 1.15);
    }

    private static List<SewnPart> Parts(Random random, int count) =>
        [
            .. Enumerable
                .Range(0, count)
                .Select(_ => new SewnPart(
                    new Point(random.Next(100), random.Next(100)),
                    new Point(random.Next(100), random.Next(100))
                )),
        ];

    private static IEnumerable<int[]> Permutations(int[] items)
    {
        if (items.Length == 1)
        {
            yield return items;
            yield break;
        }
        foreach (var first in items)
        {
            foreach (var rest in Permutations([.. items.Where(item => item != first)]))
            {
                yield return [first, .. rest];
            }
        }
    }
}
