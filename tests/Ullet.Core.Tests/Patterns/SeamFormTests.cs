using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Patterns;

public sealed class SeamFormTests
{
    [Fact]
    public void AGap_OfSeededForms_HasNoCorner_AndLeavesTheRestOfTheSeam()
    {
        var random = new Random(19);
        ShapeSource[] shapes =
        [
            new EllipseShape(),
            new RectangleShape(9),
            new PolygonShape(6),
            new HeartShape(),
            new ShieldShape(),
            new RectangleShape(),
        ];
        for (var i = 0; i < 40; i++)
        {
            var form = new SeamForm(
                ShapeContours.Make(
                    shapes[i % shapes.Length],
                    110 + (random.NextDouble() * 200),
                    90 + (random.NextDouble() * 120)
                )
            );
            if (form.Gap(60, double.NegativeInfinity) is not { } gap)
            {
                continue;
            }
            var open = Points(gap.Open);
            Assert.Equal(gap.Length, Length(open), 0.5);
            Assert.Equal(form.Contour.Flatten().Length, Length(open) + Length(Points(gap.Sewn)), 1.0);
            for (var k = 1; k + 1 < open.Count; k++)
            {
                Assert.InRange(Math.Abs(Point.Turn(open[k] - open[k - 1], open[k + 1] - open[k])), 0, 30);
            }
            // Its marks point out of the work.
            var area = new AreaIndex(form.Area);
            Assert.All(gap.Marks(6), mark => Assert.False(area.Holds(mark[0].End)));
        }
    }

    [Fact]
    public void Beyond_AHeight_TakesAllOfTheEdgeBelowIt()
    {
        var form = new SeamForm(ShapeContours.Make(new RectangleShape(6), 180, 120));
        var below = Assert.Single(form.Beyond(-20, below: true));
        Assert.Equal((-20, -20), (Math.Round(below[0].Start.Y, 3), Math.Round(below[^1].End.Y, 3)));
        Assert.Equal(80 + 180 + 80 - (12 * (2 - (Math.PI / 2))), Length(Points(below)), 0.2);
        Assert.Equal(2, form.CrossingsAt(0));
        Assert.Equal((-90.0, 90.0), form.At(0));
    }

    [Fact]
    public void Clipping_SaysWhatTheEdgeNeeds()
    {
        SeamForm Of(ShapeSource shape) => new(ShapeContours.Make(shape, 100, 80));
        Assert.Equal("Clip the corners off", Of(new RectangleShape()).Clipping());
        Assert.Equal("Notch the round edges", Of(new EllipseShape()).Clipping());
        Assert.Contains("snip into the inner corners", Of(new HeartShape()).Clipping(), StringComparison.Ordinal);
        Assert.Equal("", Of(new EllipseShape()).Clipping(keepsOuter: true));
    }

    [Fact]
    public void ARoom_LiesWithinTheForm()
    {
        foreach (
            var shape in new ShapeSource[]
            {
                new EllipseShape(),
                new ShieldShape(),
                new HeartShape(),
                new PolygonShape(5),
            }
        )
        {
            var form = new SeamForm(ShapeContours.Make(shape, 120, 100));
            var room = form.Room(-50, 50);
            Assert.True(room.Width * room.Height > 1500);
            var area = new AreaIndex(form.Grown(0.6).Area);
            Assert.All(room.Corners(), corner => Assert.True(area.Holds(corner)));
        }
    }

    private static List<Point> Points(IEnumerable<Curve> curves)
    {
        var points = new List<Point>();
        foreach (var curve in curves)
        {
            if (points.Count == 0)
            {
                points.Add(curve.Start);
            }
            curve.Flatten(0.01, points);
        }
        return points;
    }

    private static double Length(List<Point> points) => points.Zip(points.Skip(1), (a, b) => a.DistanceTo(b)).Sum();
}
