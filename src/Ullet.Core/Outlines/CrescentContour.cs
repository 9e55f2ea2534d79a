using Ullet.Core.Geometry;

namespace Ullet.Core.Outlines;

/// <summary>A crescent open to the right: a large arc and a flatter one that meet in two points.</summary>
internal static class CrescentContour
{
    internal static Contour Make(double thickness)
    {
        // The outer arc is a half circle and more; the inner one bulges the same way by what the thickness leaves.
        const double Reach = 50;
        const double K = 0.5523;
        var inner = -Reach + (2 * Reach * thickness);
        var pull = inner - ((1 - thickness) * 6);
        return new PathPen(26, -43)
            .Cubic(18, -48, 9, -50, 0, -50)
            .Cubic(-Reach * K, -50, -Reach, -50 * K, -Reach, 0)
            .Cubic(-Reach, 50 * K, -Reach * K, 50, 0, 50)
            .Cubic(9, 50, 18, 48, 26, 43)
            .Cubic(pull + 8, 38, inner, 20, inner, 0)
            .Cubic(inner, -20, pull + 8, -38, 26, -43)
            .Close();
    }
}
