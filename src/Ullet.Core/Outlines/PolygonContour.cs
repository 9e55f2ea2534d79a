using Ullet.Core.Geometry;

namespace Ullet.Core.Outlines;

/// <summary>A regular polygon with a corner on top.</summary>
internal static class PolygonContour
{
    internal static Contour Make(int sides) => Contour.Polygon([.. Corners(sides, _ => 1)]);

    /// <summary>Corners round the origin, the first on top, each at the radius that its number gets.</summary>
    internal static IEnumerable<Point> Corners(int count, Func<int, double> radius)
    {
        for (var i = 0; i < count; i++)
        {
            var (sin, cos) = Math.SinCos(2 * Math.PI * i / count);
            yield return new Point(sin * radius(i), -cos * radius(i));
        }
    }
}
