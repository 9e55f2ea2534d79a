using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Stitches;

public sealed class RunThreadTests
{
    /// <summary>A long run that is asked often answers from cells; the answers stay the same.</summary>
    [Fact]
    public void PlacesOfALongRun_AreAnsweredAlike_HoweverOftenItIsAsked()
    {
        var random = new Random(5);
        ImmutableArray<Point> points =
        [
            .. Enumerable.Range(0, 4000).Select(i => new Point(i % 2 == 0 ? 0 : 6 + random.NextDouble(), i * 0.3)),
        ];
        var thread = new RunThread(points);
        for (var i = 0; i < 6000; i++)
        {
            var place = new Point((random.NextDouble() * 9) - 1, random.NextDouble() * 1200);
            var within = i % 3 == 0 ? 0.25 : random.NextDouble() * 2;
            var first = Math.Max(0, (int)(place.Y / 0.3) - 12);
            var lies = Enumerable
                .Range(first, 24)
                .Where(k => k + 1 < points.Length)
                .Any(k => SegmentIndex.Foot(place, points[k], points[k + 1]).DistanceTo(place) <= within);
            Assert.Equal(lies, thread.LiesAt(place, within));
        }
    }
}
