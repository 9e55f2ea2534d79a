using System.Collections.Immutable;
using NetTopologySuite.Operation.Buffer;

namespace Ullet.Core.Geometry;

/// <summary>Moves the edge of regions outwards or inwards.</summary>
public static class RegionOffset
{
    /// <summary>Arcs get this many pieces per quarter turn: 0.004 mm of chord error at a radius of 12 mm.</summary>
    private const int ArcPieces = 30;

    /// <summary>Regions within a distance of the given ones (round outside corners), or left when their edge is taken in.</summary>
    /// <param name="regions">Shells and holes, mm.</param>
    /// <param name="distance">Outwards when positive, inwards when negative, mm. Holes shrink when the shell grows.</param>
    /// <returns>No region when nothing is left. Parts that meet are joined.</returns>
    public static ImmutableArray<Region> By(ImmutableArray<Region> regions, double distance)
    {
        if (regions.IsEmpty || Math.Abs(distance) < Tolerance.Quantum)
        {
            return regions;
        }
        var parameters = new BufferParameters(ArcPieces) { JoinStyle = JoinStyle.Round, SimplifyFactor = 0.0005 };
        return PlaneGeometry.ToRegions(BufferOp.Buffer(PlaneGeometry.From(regions), distance, parameters));
    }

    /// <summary>What lies within a distance of open lines, mm; the ends are cut off square at the lines' ends.</summary>
    public static ImmutableArray<Region> Around(IEnumerable<ImmutableArray<Point>> lines, double distance)
    {
        var parameters = new BufferParameters(ArcPieces) { EndCapStyle = EndCapStyle.Flat };
        var all = PlaneGeometry.Factory.CreateMultiLineString([.. lines.Select(PlaneGeometry.Line)]);
        return PlaneGeometry.ToRegions(BufferOp.Buffer(all, distance, parameters));
    }
}
