using System.Collections.Immutable;

namespace Ullet.Core.Geometry;

/// <summary>Areas about lines.</summary>
public static class LineBands
{
    /// <summary>What lies within a distance of lines, its edge moved then, without holes.</summary>
    /// <param name="lines">At least two places each, mm.</param>
    /// <param name="distance">How far from the lines, mm; over 0.</param>
    /// <param name="then">How far the edge is moved afterwards, mm; below 0 inwards.</param>
    public static ImmutableArray<Region> Round(
        ImmutableArray<ImmutableArray<Point>> lines,
        double distance,
        double then
    )
    {
        if (lines.IsEmpty)
        {
            return [];
        }
        var all = PlaneGeometry.Factory.CreateMultiLineString([.. lines.Select(PlaneGeometry.Line)]);
        var band = PlaneGeometry.ToRegions(RegionOffset.Of(all, distance, CornerStyle.Round));
        return RegionOffset.By([.. band.Select(region => new Region(region.Shell, []))], then);
    }
}
