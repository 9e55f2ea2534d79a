using Ullet.Core.Geometry;

namespace Ullet.Core.Outlines;

/// <summary>A rectangle with round corners; the radius is cut back to half of the shorter side.</summary>
internal static class RectangleContour
{
    internal static Contour Make(double width, double height, double cornerRadius)
    {
        var radius = Math.Clamp(cornerRadius, 0, Math.Min(width, height) / 2);
        if (radius < Tolerance.Quantum)
        {
            return Contour.Polygon([new(0, 0), new(width, 0), new(width, height), new(0, height)]);
        }
        return new PathPen(radius, 0)
            .Line(width - radius, 0)
            .Arc(width - radius, radius, 90)
            .Line(width, height - radius)
            .Arc(width - radius, height - radius, 90)
            .Line(radius, height)
            .Arc(radius, height - radius, 90)
            .Line(0, radius)
            .Arc(radius, radius, 90)
            .Close();
    }
}
