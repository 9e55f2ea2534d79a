using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Geometry;

public sealed class SegmentIndexTests
{
    [Theory]
    [InlineData(11)]
    [InlineData(12)]
    public void Nearest_AgreesWithLookingAtEveryEdge(int seed)
    {
        var random = new Random(seed);
        var points = Enumerable.Range(0, 60).Select(_ => new Point(random.NextDouble() * 50, random.NextDouble() * 50));
        var ring = Ring.Of([.. points]);
        var index = new SegmentIndex([ring]);
        for (var i = 0; i < 400; i++)
        {
            var place = new Point(random.NextDouble() * 50, random.NextDouble() * 50);
            var plain = Enumerable
                .Range(0, ring.Points.Length)
                .Min(k =>
                    SegmentIndex
                        .Foot(place, ring.Points[k], ring.Points[(k + 1) % ring.Points.Length])
                        .DistanceTo(place)
                );
            var found = index.Nearest(place, 4);
            Assert.Equal(plain < 4 ? plain : -1, found is { } near ? near.DistanceTo(place) : -1, 9);
        }
    }

    [Theory]
    [InlineData(21)]
    [InlineData(22)]
    public void FirstCrossing_AgreesWithLookingAtEveryEdge(int seed)
    {
        var random = new Random(seed);
        var ring = Ring.Of([.. Enumerable.Range(0, 60).Select(_ => Somewhere(random))]);
        var index = new SegmentIndex([ring]);
        for (var i = 0; i < 400; i++)
        {
            var (from, direction) = (Somewhere(random), (Somewhere(random) - new Point(25, 25)).Unit());
            var plain = Enumerable
                .Range(0, ring.Points.Length)
                .Select(k => Crossing(from, direction, ring.Points[k], ring.Points[(k + 1) % ring.Points.Length]))
                .Where(distance => distance is > 0 and < 6)
                .DefaultIfEmpty(-1)
                .Min();
            Assert.Equal(plain, index.FirstCrossing(from, direction, 6) ?? -1, 6);
        }
    }

    private static Point Somewhere(Random random) => new(random.NextDouble() * 50, random.NextDouble() * 50);

    /// <summary>Where a ray meets a segment, by Cramer's rule; -1 where it does not.</summary>
    private static double Crossing(Point from, Point direction, Point a, Point b)
    {
        var (edge, to) = (b - a, a - from);
        var determinant = Point.Cross(direction, edge);
        var (along, share) = (Point.Cross(to, edge) / determinant, Point.Cross(to, direction) / determinant);
        return share is >= 0 and <= 1 ? along : -1;
    }
}
