using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Geometry;

public sealed class CurveTests
{
    [Theory]
    [InlineData(21)]
    [InlineData(22)]
    public void Bounds_HoldEveryPointAndTouchAllSides(int seed)
    {
        var random = new Random(seed);
        for (var i = 0; i < 200; i++)
        {
            var curve = Curve.Cubic(Any(random), Any(random), Any(random), Any(random));
            var box = curve.Bounds();
            var walked = Box.Of(Enumerable.Range(0, 2001).Select(k => curve.At(k / 2000.0)));
            Assert.True(box.Contains(walked, 1e-9), $"seed {seed}, case {i}");
            Assert.True(walked.Contains(box, 1e-3), $"seed {seed}, case {i}: the box is larger than the curve");
        }
    }

    [Theory]
    [InlineData(31)]
    public void Flatten_StaysWithinTolerance(int seed)
    {
        var random = new Random(seed);
        for (var i = 0; i < 100; i++)
        {
            var curve = Curve.Cubic(Any(random), Any(random), Any(random), Any(random));
            var points = new List<Point> { curve.Start };
            curve.Flatten(0.01, points);
            for (var k = 0; k <= 400; k++)
            {
                var on = curve.At(k / 400.0);
                var off = Enumerable
                    .Range(1, points.Count - 1)
                    .Min(n => SegmentIndex.Foot(on, points[n - 1], points[n]).DistanceTo(on));
                Assert.True(off <= 0.011, $"seed {seed}, case {i}: {off:0.0000} off");
            }
        }
    }

    private static Point Any(Random random) => new((random.NextDouble() * 100) - 50, (random.NextDouble() * 100) - 50);
}
