using Ullet.Core.Geometry;

namespace Ullet.Core.Outlines;

/// <summary>A shield: a top edge that rises to its ends, upright sides, a point below.</summary>
internal static class ShieldContour
{
    internal static Contour Make() =>
        new PathPen(-50, 0)
            .Cubic(-30, 9, -12, 9, 0, 3)
            .Cubic(12, 9, 30, 9, 50, 0)
            .Cubic(56, 46, 46, 92, 0, 120)
            .Cubic(-46, 92, -56, 46, -50, 0)
            .Close();
}
