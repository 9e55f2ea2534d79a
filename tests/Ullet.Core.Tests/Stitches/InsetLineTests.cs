using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches;

public sealed class InsetLineTests
{
    [Theory]
    [InlineData(11)]
    [InlineData(12)]
    public void Of_RandomOutlines_KeepsTheDistanceFromEveryEdge(int seed)
    {
        var random = new Random(seed);
        for (var round = 0; round < 25; round++)
        {
            var regions = RandomOutlines.One(random).Flatten();
            var distance = 0.5 + (random.NextDouble() * 2);
            var edges = new SegmentIndex(regions.SelectMany(region => region.Rings));
            foreach (var line in InsetLine.Of(regions, distance))
            {
                Assert.All(line.Points, point => Assert.Null(edges.Nearest(point, distance - 0.06)));
                Assert.All(line.Points, point => Assert.NotNull(edges.Nearest(point, (distance * 1.05) + 0.06)));
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
        Assert.Equal(2, InsetLine.Of([bone], 1.4).Length);
        Assert.NotNull(InsetLine.Moved([bone], 0.8));
        Assert.Single(InsetLine.Of([bone], 0.8));
    }

    [Fact]
    public void Of_NoDistance_IsTheEdgeItself_AndTooMuchLeavesNothing()
    {
        var circle = SampleOutlines.Shape(new EllipseShape(), 20, 20);
        Assert.Equal(circle.Shell, Assert.Single(InsetLine.Of([circle], 0)));
        Assert.Empty(InsetLine.Of([circle], 11));
    }
}
