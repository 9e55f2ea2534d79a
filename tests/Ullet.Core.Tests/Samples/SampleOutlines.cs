using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Samples;

/// <summary>Outlines that are hard to cover well, each in its own way.</summary>
internal static class SampleOutlines
{
    internal static readonly IReadOnlyDictionary<string, Func<Region>> All = new Dictionary<string, Func<Region>>(
        StringComparer.Ordinal
    )
    {
        ["circle"] = () => Shape(new EllipseShape(), 50, 50),
        ["heart"] = () => Shape(new HeartShape(), 60, 56),
        ["star"] = () => Shape(new StarShape(5, 0.45), 70, 67),
        ["leaf"] = () => Shape(new LeafShape(), 34, 62),
        ["shield"] = () => Shape(new ShieldShape(), 80, 96),
        ["drop"] = () => Shape(new DropShape(), 40, 62),
        ["crescent"] = () => Shape(new CrescentShape(0.35), 50, 66),
        ["rectangle"] = () => Shape(new RectangleShape(), 50, 30),
        ["round rectangle"] = () => Shape(new RectangleShape(4), 50, 30),
        ["hexagon"] = () => Shape(new PolygonShape(6), 50, 50),
        ["triangle"] = () => Shape(new PolygonShape(3), 50, 44),
        ["sharp star"] = () => Shape(new StarShape(7, 0.5), 80, 80),
        ["ring"] = () => WithHole(new EllipseShape(), 60, 20),
        ["letter with a counter"] = () => WithHole(new RectangleShape(2), 50, 18),
        ["hand-drawn, 400 points"] = () => HandDrawn(400),
        ["comb, 8 mm teeth"] = Comb,
        ["gear"] = Gear,
        ["20 mm ring"] = () => WithHole(new EllipseShape(), 20, 8),
    };

    internal static Region Shape(ShapeSource shape, double width, double height) =>
        new(ShapeContours.Make(shape, width, height).Flatten(), []);

    private static Region WithHole(ShapeSource shape, double size, double hole) =>
        new(
            ShapeContours.Make(shape, size, size).Flatten(),
            [ShapeContours.Make(shape, hole, hole).Oriented(clockwise: false).Flatten()]
        );

    private static Region HandDrawn(int count)
    {
        var random = new Random(14);
        var points = Enumerable
            .Range(0, count)
            .Select(i =>
            {
                var angle = 2 * Math.PI * i / count;
                var radius = 28 + (4 * Math.Sin(3 * angle)) + (2 * Math.Cos(5 * angle)) + (random.NextDouble() * 0.05);
                return new Point(radius * Math.Cos(angle), radius * Math.Sin(angle));
            });
        return new Region(Ring.Of([.. points]), []);
    }

    /// <summary>Twelve teeth of 6 mm, with flanks that lean.</summary>
    private static Region Gear()
    {
        var points = Enumerable
            .Range(0, 48)
            .Select(i =>
            {
                var (angle, radius) = (
                    2 * Math.PI * (i + (i % 4 is 1 or 3 ? 0.15 : -0.15)) / 48,
                    i % 4 < 2 ? 34.0 : 28.0
                );
                return new Point(radius * Math.Cos(angle), radius * Math.Sin(angle));
            });
        return new Region(Ring.Of([.. points]), []);
    }

    private static Region Comb()
    {
        var points = new List<Point> { new(-36, 14), new(-36, -14) };
        for (var i = 0; i < 4; i++)
        {
            var x = -36 + (i * 19.0);
            points.AddRange([new(x, -14), new(x + 8, -14), new(x + 8, 4), new(x + 19, 4)]);
        }
        points.RemoveAt(points.Count - 1);
        points.RemoveAt(points.Count - 1);
        points.AddRange([new(29, -14), new(29, 14)]);
        var ring = Ring.Of(points);
        return new Region(ring.SignedArea > 0 ? ring : ring.Reversed(), []);
    }
}
