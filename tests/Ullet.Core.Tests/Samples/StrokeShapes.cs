using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Samples;

/// <summary>Shapes drawn in strokes, each with a place that is hard to sew in columns.</summary>
internal static class StrokeShapes
{
    internal static readonly IReadOnlyDictionary<string, Func<Region>> All = new Dictionary<string, Func<Region>>(
        StringComparer.Ordinal
    )
    {
        ["bar"] = () => Of((0, 0), (20, 0), (20, 3), (0, 3)),
        ["slanted bar"] = () => Of((0, 0), (20, 0), (17, 3), (3, 3)),
        ["T"] = () => Of((0, 0), (16, 0), (16, 3), (9.5, 3), (9.5, 18), (6.5, 18), (6.5, 3), (0, 3)),
        ["L"] = () => Of((0, 0), (3, 0), (3, 15), (12, 15), (12, 18), (0, 18)),
        ["X"] = () =>
            Of(
                (0, 0),
                (3.5, 0),
                (7, 6.5),
                (10.5, 0),
                (14, 0),
                (8.8, 9),
                (14, 18),
                (10.5, 18),
                (7, 11.5),
                (3.5, 18),
                (0, 18),
                (5.2, 9)
            ),
        ["serif stem"] = () =>
            Of((0, 0), (9, 0), (9, 2), (6, 2), (6, 16), (9, 16), (9, 18), (0, 18), (0, 16), (3, 16), (3, 2), (0, 2)),
        ["V"] = () => Of((0, 0), (3.2, 0), (7, 12), (10.8, 0), (14, 0), (8.6, 18), (5.4, 18)),
        ["ring"] = () => new Region(Circle(8), [Circle(5).Reversed()]),
        ["dot"] = () => new Region(Circle(1.2), []),
        ["wedge"] = () => Of((0, 0), (20, 2), (0, 4)),
    };

    internal static Region Of(params (double X, double Y)[] corners)
    {
        var ring = Ring.Of([.. corners.Select(corner => new Point(corner.X, corner.Y))]);
        return new Region(ring.SignedArea > 0 ? ring : ring.Reversed(), []);
    }

    internal static Ring Circle(double radius, int count = 90) =>
        Ring.Of([
            .. Enumerable
                .Range(0, count)
                .Select(i => new Point(
                    radius * Math.Cos(2 * Math.PI * i / count),
                    radius * Math.Sin(2 * Math.PI * i / count)
                )),
        ]);
}
