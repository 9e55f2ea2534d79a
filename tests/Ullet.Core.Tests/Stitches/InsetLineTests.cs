using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches;

public sealed class InsetLineTests
{
    [Theory]
    [InlineData(11)]
    [InlineData(12)]
    public void Of_RandomOutlines_LiesInsideAtMostSoFarFromAnEdge_AndHoldsEveryEdge(int seed)
    {
        var random = new Random(seed);
        for (var round = 0; round < 25; round++)
        {
            var regions = RandomOutlines.One(random).Flatten();
            var distance = 0.5 + (random.NextDouble() * 2);
            var edges = new SegmentIndex(regions.SelectMany(region => region.Rings));
            foreach (var line in InsetLine.Of(regions, distance))
            {
                Assert.All(line.Points, point => Assert.NotNull(edges.Nearest(point, (distance * 1.05) + 0.06)));
                Assert.All(
                    line.Points,
                    point =>
                        Assert.True(
                            regions.Any(region => region.Shell.Winding(point) != 0)
                                || edges.Nearest(point, 0.15) is not null
                        )
                );
            }
            Assert.All(
                regions,
                region =>
                    Assert.InRange(
                        HeldEdges.LongestFree(region, InsetLine.Of([region], distance), 1.6 * distance),
                        0,
                        3
                    )
            );
        }
    }

    [Theory]
    [InlineData(21)]
    [InlineData(22)]
    public void Moved_RandomOutlines_KeepsTheDistanceFromEveryEdge(int seed)
    {
        var random = new Random(seed);
        var moved = 0;
        for (var round = 0; round < 40; round++)
        {
            var regions = RandomOutlines.One(random).Flatten();
            var distance = 0.5 + (random.NextDouble() * 2);
            var edges = new SegmentIndex(regions.SelectMany(region => region.Rings));
            foreach (var line in InsetLine.Moved(regions, distance) ?? [])
            {
                moved++;
                Assert.All(line.Points, point => Assert.Null(edges.Nearest(point, distance - 0.06)));
            }
        }
        Assert.InRange(moved, 5, 400);
    }

    /// <summary>Bars, spirals, combs, crescents: what is narrower than twice the distance has its line all the same.</summary>
    [Fact]
    public void Of_NastyOutlines_HoldsEveryEdge()
    {
        foreach (var (name, region) in NastyOutlines.All())
        {
            foreach (var distance in new[] { 0.8, 1.4, 3 })
            {
                var line = InsetLine.Of([region], distance);
                var free = HeldEdges.LongestFree(region, line, 1.6 * distance);
                Assert.True(free <= 3, $"{name}, {distance} mm in: {free:0.0} mm of its edge are free");
            }
        }
    }

    [Fact]
    public void Moved_WhereEdgesAreInEachOthersWay_LeavesItToTheWholeOutline()
    {
        // A bone: wide ends, a neck narrower than twice the distance.
        var bone = new Region(
            Ring.Of([
                new(-20, -10),
                new(-8, -10),
                new(-8, -1),
                new(8, -1),
                new(8, -10),
                new(20, -10),
                new(20, 10),
                new(8, 10),
                new(8, 1),
                new(-8, 1),
                new(-8, 10),
                new(-20, 10),
            ]),
            []
        );
        Assert.Null(InsetLine.Moved([bone], 1.4));
        // The line goes through the neck along its middle, there and back.
        var line = Assert.Single(InsetLine.Of([bone], 1.4));
        Assert.InRange(line.Points.Where(point => Math.Abs(point.X) < 6).Max(point => Math.Abs(point.Y)), 0, 0.1);
        Assert.NotNull(InsetLine.Moved([bone], 0.8));
        Assert.Single(InsetLine.Of([bone], 0.8));
    }

    [Fact]
    public void Of_NoDistance_IsTheEdgeItself_AndTooMuchGivesWay()
    {
        var circle = SampleOutlines.Shape(new EllipseShape(), 20, 20);
        Assert.Equal(circle.Shell, Assert.Single(InsetLine.Of([circle], 0)));
        var line = Assert.Single(InsetLine.Of([circle], 11));
        Assert.All(line.Points, point => Assert.InRange(point.Length, 4, 5));
    }
}
