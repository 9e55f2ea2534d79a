using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Geometry;

public sealed class CurveFitTests
{
    [Theory]
    [InlineData(5)]
    [InlineData(40)]
    [InlineData(200)]
    public void Fit_OfCircle_StaysWithinToleranceWithFewCurves(double size)
    {
        var ring = ShapeContours.Make(new EllipseShape(), size, size).Flatten();
        var fitted = CurveFit.Of(ring);
        Assert.InRange(fitted.Curves.Length, 2, 24);
        Assert.True(WorstDistance(ring, fitted) <= 0.02, $"{WorstDistance(ring, fitted):0.000} mm off");
    }

    [Fact]
    public void Fit_OfRectangle_GivesFourLines()
    {
        var ring = ShapeContours.Make(new RectangleShape(), 30, 20).Flatten();
        var fitted = CurveFit.Of(ring);
        Assert.Equal(4, fitted.Curves.Length);
        Assert.All(fitted.Curves, curve => Assert.True(curve.IsLine));
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void Fit_OfRandomWavyRings_StaysWithinTolerance(int seed)
    {
        var random = new Random(seed);
        for (var i = 0; i < 30; i++)
        {
            var (a, b, c) = (random.NextDouble() * 6, random.NextDouble() * 6, 10 + (random.NextDouble() * 60));
            var points = Enumerable
                .Range(0, 500)
                .Select(k =>
                {
                    var angle = 2 * Math.PI * k / 500;
                    var radius = c + (a * Math.Sin(3 * angle)) + (b * Math.Cos(4 * angle));
                    return new Point(radius * Math.Cos(angle), radius * Math.Sin(angle));
                });
            var ring = Ring.Of([.. points]);
            var worst = WorstDistance(ring, CurveFit.Of(ring));
            Assert.True(worst <= 0.02, $"seed {seed}, case {i}: {worst:0.000} mm off");
        }
    }

    private static double WorstDistance(Ring ring, Contour contour)
    {
        var index = new SegmentIndex([contour.Flatten(0.001)]);
        return ring.Points.Max(p => index.Nearest(p, 1) is { } near ? near.DistanceTo(p) : 1);
    }
}
