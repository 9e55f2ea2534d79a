using Ullet.Core.Geometry;

namespace Ullet.Core.Outlines;

internal static class EllipseContour
{
    internal static Contour Make() => new PathPen(0, -1).Arc(0, 0, 360).Close();
}
