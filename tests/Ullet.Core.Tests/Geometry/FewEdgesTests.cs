using Ullet.Core.Geometry;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Geometry;

/// <summary>Edges searched one by one against the grid, and both against looking at every edge plainly.</summary>
public sealed class FewEdgesTests
{
    [Theory]
    [InlineData(3)]
    [InlineData(4)]
    public void Nearest_AndFirstCrossing_AreThoseOfTheGrid(int seed)
    {
        var random = new Random(seed);
        for (var round = 0; round < 20; round++)
        {
            var rings = RandomOutlines.One(random).Flatten().SelectMany(region => region.Rings).ToList();
            var edges = rings.SelectMany(Edges).ToList();
            var few = new FewEdges([.. edges.Select(edge => new SearchedEdge(edge.From, edge.To))]);
            var grid = new SegmentIndex(rings);
            for (var i = 0; i < 40; i++)
            {
                var place = new Point((random.NextDouble() * 120) - 60, (random.NextDouble() * 120) - 60);
                var within = random.NextDouble() * 12;
                var nearest = edges.Min(edge => SegmentIndex.Foot(place, edge.From, edge.To).DistanceTo(place));
                Assert.Equal(nearest < within, few.Nearest(place, within) is not null);
                Assert.Equal(
                    Distance(grid.Nearest(place, within), place),
                    Distance(few.Nearest(place, within), place),
                    1e-9
                );
                var angle = random.NextDouble() * 2 * Math.PI;
                var direction = new Point(Math.Cos(angle), Math.Sin(angle));
                Assert.Equal(
                    grid.FirstCrossing(place, direction, within) ?? -1,
                    few.FirstCrossing(place, direction, within) ?? -1,
                    1e-9
                );
            }
        }
    }

    [Fact]
    public void NoEdges_HoldNothing()
    {
        var none = new FewEdges([]);
        Assert.Null(none.Nearest(Point.Zero, 100));
        Assert.Null(none.FirstCrossing(Point.Zero, new Point(1, 0), 100));
    }

    private static double Distance(Point? found, Point place) => found?.DistanceTo(place) ?? -1;

    private static IEnumerable<(Point From, Point To)> Edges(Ring ring) =>
        ring.Points.Select((point, i) => (point, ring.Points[(i + 1) % ring.Points.Length]));
}
