using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Geometry;

public sealed class EllipticArcTests
{
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    public void Curves_OfAnyEllipse_LieOnIt(int seed)
    {
        var random = new Random(seed);
        for (var i = 0; i < 60; i++)
        {
            var middle = new Point(random.Next(-50, 50), random.Next(-50, 50));
            var turned = random.NextDouble() * 6;
            var (a, b) = (1 + (random.NextDouble() * 90), 1 + (random.NextDouble() * 90));
            var first = new Point(a * Math.Cos(turned), a * Math.Sin(turned));
            var second = new Point(-b * Math.Sin(turned), b * Math.Cos(turned));
            var (from, turn) = (random.NextDouble() * 6, (random.NextDouble() - 0.5) * 12);
            var curves = EllipticArc.Curves(middle, first, second, from, turn);
            foreach (var place in curves.SelectMany(curve => new[] { 0, 0.25, 0.5, 0.8, 1 }.Select(curve.At)))
            {
                var off = place - middle;
                var (x, y) = (Point.Dot(off, first) / (a * a), Point.Dot(off, second) / (b * b));
                Assert.True(Math.Abs(Math.Sqrt((x * x) + (y * y)) - 1) < 1e-5, $"seed {seed}, case {i}");
            }
            Assert.All(
                Enumerable.Range(1, curves.Length - 1),
                next => Assert.Equal(0, curves[next - 1].End.DistanceTo(curves[next].Start), 1e-9)
            );
        }
    }

    [Fact]
    public void Curves_OfAWholeTurn_EndWhereTheyBegin()
    {
        var curves = EllipticArc.Curves(new(3, 4), new(10, 0), new(0, 6), 1.2, 2 * Math.PI);
        Assert.Equal(8, curves.Length);
        Assert.Equal(curves[0].Start, curves[^1].End);
        var box = curves.Aggregate(Box.Empty, (all, curve) => all.Union(curve.Bounds()));
        Assert.Equal((20, 12), (Math.Round(box.Width, 3), Math.Round(box.Height, 3)));
    }

    [Theory]
    [InlineData(1.0, 4)]
    [InlineData(-1.0, 4)]
    [InlineData(0.2, 2)]
    [InlineData(0.05, 1)]
    public void Arc_OfABulge_TakesAnEighthOfATurnAtMostForEachCurve(double bulge, int curves) =>
        Assert.Equal(curves, new BulgeArc(new(0, 0), new(10, 0), bulge).Curves().Length);

    [Fact]
    public void Arc_OfHalfACircle_HasItsMiddleOnTheChord_AndTurnsByItsSign()
    {
        var arc = new BulgeArc(new(0, 0), new(10, 0), 1);
        Assert.Equal(0, arc.Middle.DistanceTo(new Point(5, 0)), 1e-9);
        Assert.Equal(-5, arc.Curves().Min(curve => curve.At(1).Y), 1e-6);
        Assert.Equal(5, (arc with { Bulge = -1 }).Curves().Max(curve => curve.At(1).Y), 1e-6);
    }
}
