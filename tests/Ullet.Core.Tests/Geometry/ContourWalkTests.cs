using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Geometry;

public sealed class ContourWalkTests
{
    [Fact]
    public void Parts_OfSeededShapes_MeetAndAddUpToTheWhole()
    {
        var random = new Random(5);
        ShapeSource[] shapes =
        [
            new EllipseShape(),
            new HeartShape(),
            new RectangleShape(7),
            new StarShape(),
            new LeafShape(),
        ];
        for (var i = 0; i < 60; i++)
        {
            var contour = ShapeContours.Make(
                shapes[i % shapes.Length],
                20 + (random.NextDouble() * 150),
                20 + (random.NextDouble() * 90)
            );
            var walk = new ContourWalk(contour);
            var (from, to) = (random.NextDouble() * walk.Total, random.NextDouble() * walk.Total);
            var (there, back) = (walk.Part(from, to), walk.Part(to, from));
            Assert.True(there[0].Start.DistanceTo(walk.At(from)) < 0.02);
            Assert.True(there[^1].End.DistanceTo(back[0].Start) < 0.02);
            Assert.True(back[^1].End.DistanceTo(there[0].Start) < 0.02);
            for (var k = 1; k < there.Length; k++)
            {
                Assert.True(there[k - 1].End.DistanceTo(there[k].Start) < 1e-6);
            }
            Assert.Equal(contour.Flatten().Length, Length(there) + Length(back), walk.Total * 0.003);
            Assert.Equal(to > from ? to - from : to - from + walk.Total, Length(there), walk.Total * 0.003);
            Assert.True(walk.At(walk.Nearest(walk.At(to))).DistanceTo(walk.At(to)) < 0.11);
        }
    }

    private static double Length(IEnumerable<Curve> curves)
    {
        var points = new List<Point>();
        foreach (var curve in curves)
        {
            points.Add(curve.Start);
            curve.Flatten(0.005, points);
        }
        return points.Zip(points.Skip(1), (a, b) => a.DistanceTo(b)).Sum();
    }
}
