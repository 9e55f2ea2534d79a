using Ullet.Core.Geometry;

namespace Ullet.Core.Outlines;

/// <summary>A drop: a point above, round below.</summary>
internal static class DropContour
{
    internal static Contour Make() =>
        new PathPen(0, 0).Cubic(7, 22, 32, 42, 32, 68).Arc(0, 68, 180).Cubic(-32, 42, -7, 22, 0, 0).Close();
}
