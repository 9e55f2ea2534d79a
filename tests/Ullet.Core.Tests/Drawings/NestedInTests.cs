using System.Collections.Immutable;
using Ullet.Core.Drawings;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Tests.Drawings;

public sealed class NestedInTests
{
    [Fact]
    public void RandomBoxes_AreCountedAsThePlainWayCountsThem()
    {
        for (var seed = 0; seed < 40; seed++)
        {
            var random = new Random(seed);
            ImmutableArray<Region> regions =
            [
                .. Enumerable
                    .Range(0, 60)
                    .Select(_ => Square(random.Next(100), random.Next(100), 1 + random.Next(80), 1 + random.Next(80))),
            ];
            bool IsWithin(int i, int j) => i != j && Strictly(regions[j].Bounds(), regions[i].Bounds());
            var found = NestedIn.Of(regions, IsWithin);
            for (var i = 0; i < regions.Length; i++)
            {
                var around = Enumerable.Range(0, regions.Length).Where(j => IsWithin(i, j)).ToList();
                var smallest = around.Count == 0 ? -1 : around.Min(j => Math.Abs(regions[j].Shell.SignedArea));
                Assert.True(around.Count == found[i].Depth, $"seed {seed}, box {i}");
                Assert.Equal(
                    smallest,
                    found[i].Parent < 0 ? -1 : Math.Abs(regions[found[i].Parent].Shell.SignedArea),
                    1e-6
                );
            }
        }
    }

    [Fact]
    public void TwoThousandInOneAnother_AskOnceEach()
    {
        ImmutableArray<Region> regions =
        [
            .. Enumerable.Range(0, 2000).Select(i => Square(i, i, 8000 - (2 * i), 8000 - (2 * i))),
        ];
        var asked = 0;
        var found = NestedIn.Of(
            regions,
            (_, _) =>
            {
                asked++;
                return true;
            }
        );
        Assert.Equal(1999, found[^1].Depth);
        Assert.Equal(1999, asked);
    }

    [Fact]
    public void Sorting_OfTwentyThousandSquaresInOneAnother_EndsWithinItsBudget()
    {
        var paths = Enumerable.Range(0, 20_000).Select(i => Path(i * 0.004, 190 - (i * 0.008)));
        var drawing = new Drawing([.. paths], 1, []);
        var budget = new Budget("Reading this drawing", 20_000_000);
        var refused = Assert.Throws<TooMuchException>(() =>
            budget.Run(() => DrawingSorter.Sort(drawing, new DrawingWish(1)))
        );
        Assert.Contains("Reading this drawing", refused.Message, StringComparison.Ordinal);
        Assert.InRange(budget.Spent, 1, 20_100_000);
    }

    private static DrawnPath Path(double from, double size)
    {
        var corners = Square(from, from, size, size).Shell.Points;
        return new DrawnPath(null, [Contour.Polygon(corners)], [], FillRule.NonZero, "#000000");
    }

    private static bool Strictly(Box outer, Box inner) =>
        inner.MinX > outer.MinX && inner.MinY > outer.MinY && inner.MaxX < outer.MaxX && inner.MaxY < outer.MaxY;

    private static Region Square(double x, double y, double width, double height) =>
        new(Ring.Of([new(x, y), new(x + width, y), new(x + width, y + height), new(x, y + height)]), []);
}
