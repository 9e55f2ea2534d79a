using System.Collections.Immutable;

namespace Ullet.Core.Geometry;

/// <summary>Joins, cuts and compares regions.</summary>
public static class RegionOverlay
{
    public static ImmutableArray<Region> Union(IEnumerable<Region> regions) =>
        PlaneGeometry.ToRegions(PlaneGeometry.From(regions).Union());

    /// <summary>What is left of the first regions without the second.</summary>
    public static ImmutableArray<Region> Difference(IEnumerable<Region> from, IEnumerable<Region> without) =>
        PlaneGeometry.ToRegions(PlaneGeometry.From(from).Difference(PlaneGeometry.From(without)));

    /// <summary>The least distance between two sets of regions, mm; 0 when they touch or overlap.</summary>
    public static double Distance(IEnumerable<Region> first, IEnumerable<Region> second) =>
        PlaneGeometry.From(first).Distance(PlaneGeometry.From(second));

    /// <summary>True when no edge crosses another or itself.</summary>
    public static bool IsSimple(Ring ring) =>
        PlaneGeometry
            .Factory.CreateLinearRing([
                .. ring.Points.Append(ring.Points[0]).Select(p => new NetTopologySuite.Geometries.Coordinate(p.X, p.Y)),
            ])
            .IsSimple;
}
