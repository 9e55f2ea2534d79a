using System.Collections.Immutable;

namespace Ullet.Core.Geometry;

/// <summary>Cuts and compares regions.</summary>
public static class RegionOverlay
{
    /// <summary>What is left of the first regions without the second.</summary>
    public static ImmutableArray<Region> Difference(IEnumerable<Region> from, IEnumerable<Region> without) =>
        Over(from, without, (a, b) => PlaneGeometry.ToRegions(a.Difference(b)), LibraryWork.Overlay);

    /// <summary>The least distance between two sets of regions, mm; 0 when they touch or overlap.</summary>
    public static double Distance(IEnumerable<Region> first, IEnumerable<Region> second) =>
        Over(first, second, (a, b) => a.Distance(b), LibraryWork.Pairs);

    /// <summary>True when two sets of regions are nearer than a distance, mm.</summary>
    public static bool AreNearer(IEnumerable<Region> first, IEnumerable<Region> second, double distance) =>
        Over(first, second, (a, b) => a.IsWithinDistance(b, distance), LibraryWork.Pairs);

    /// <summary>Area, mm², length of all edges, mm, and centre of mass of regions, on the grid of
    /// 0.001 mm; nothing and the origin for none.</summary>
    public static (double Area, double Length, Point Middle) Measures(IEnumerable<Region> regions)
    {
        var all = PlaneGeometry.From(regions);
        var middle = all.Centroid;
        return (all.Area, all.Length, middle.IsEmpty ? Point.Zero : new Point(middle.X, middle.Y));
    }

    /// <summary>How far a place lies from the nearest edge of regions, mm.</summary>
    public static double DistanceToRings(IEnumerable<Region> regions, Point place) =>
        PlaneGeometry.From(regions).Boundary.Distance(PlaneGeometry.Place(place));

    /// <summary>What lies in both.</summary>
    public static ImmutableArray<Region> Intersection(IEnumerable<Region> first, IEnumerable<Region> second) =>
        Over(first, second, (a, b) => PlaneGeometry.ToRegions(a.Intersection(b)), LibraryWork.Overlay);

    /// <summary>The least distance between regions and the edge of an outline, mm; 0 where it runs through them.</summary>
    public static double DistanceToEdge(IEnumerable<Region> regions, Outline outline) =>
        PlaneGeometry.From(regions).Distance(PlaneGeometry.Lines(outline));

    private static T Over<T>(
        IEnumerable<Region> first,
        IEnumerable<Region> second,
        Func<NetTopologySuite.Geometries.Geometry, NetTopologySuite.Geometries.Geometry, T> take,
        Action<NetTopologySuite.Geometries.Geometry, NetTopologySuite.Geometries.Geometry> countAhead
    )
    {
        var (a, b) = (PlaneGeometry.From(first), PlaneGeometry.From(second));
        countAhead(a, b);
        return take(a, b);
    }
}
