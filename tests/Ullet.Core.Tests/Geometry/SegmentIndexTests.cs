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
}
