using NetTopologySuite.Algorithm.Construct;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Cutting;

/// <summary>The middle of the largest circle inside a shape.</summary>
internal static class DeepestPlace
{
    /// <returns>The middle and the radius, mm, within 0.1; a radius of 0 for what has no area.</returns>
    internal static (Point Middle, double Radius) Of(IReadOnlyList<Region> regions)
    {
        if (regions.Count == 0)
        {
            return (Point.Zero, 0);
        }
        var area = PlaneGeometry.From(regions);
        if (area.IsEmpty || area.Area < 0.01)
        {
            return (area.IsEmpty ? Point.Zero : regions[0].Shell.Points[0], 0);
        }
        Budget.SpendAhead(100.0 * area.NumPoints);
        var circle = new MaximumInscribedCircle(area, 0.1);
        var centre = circle.GetCenter();
        return (new Point(centre.X, centre.Y), circle.GetRadiusLine().Length);
    }
}
