using Ullet.Core.Geometry;

namespace Ullet.Core.Outlines;

/// <summary>A heart: two lobes that meet in a notch above, a point below.</summary>
internal static class HeartContour
{
    internal static Contour Make() =>
        new PathPen(0, 26)
            .Cubic(9, 6, 22, 0, 33, 0)
            .Cubic(50, 0, 60, 13, 60, 30)
            .Cubic(60, 60, 26, 80, 0, 104)
            .Cubic(-26, 80, -60, 60, -60, 30)
            .Cubic(-60, 13, -50, 0, -33, 0)
            .Cubic(-22, 0, -9, 6, 0, 26)
            .Close();
}
