using Ullet.Core.Geometry;

namespace Ullet.Core.Outlines;

/// <summary>A leaf on end: a pointed tip above, fullest below its middle, a blunter point at the stalk.</summary>
internal static class LeafContour
{
    internal static Contour Make() =>
        new PathPen(0, 0)
            .Cubic(16, 18, 30, 36, 30, 60)
            .Cubic(30, 82, 16, 94, 0, 104)
            .Cubic(-16, 94, -30, 82, -30, 60)
            .Cubic(-30, 36, -16, 18, 0, 0)
            .Close();
}
