using Ullet.Core.Geometry;

namespace Ullet.Core.Outlines;

internal static class StarContour
{
    internal static Contour Make(int points, double innerShare) =>
        Contour.Polygon([.. PolygonContour.Corners(points * 2, i => i % 2 == 0 ? 1 : innerShare)]);
}
