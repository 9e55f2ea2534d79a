using System.Collections.Immutable;
using NetTopologySuite.Operation.Buffer;

namespace Ullet.Core.Geometry;

/// <summary>Moves the edge of regions outwards or inwards.</summary>
public static class RegionOffset
{
    /// <summary>Arcs get this many pieces per quarter turn: 0.004 mm of chord error at a radius of 12 mm.</summary>
    private const int ArcPieces = 30;

    private const int RoughArcPieces = 6;

    /// <summary>Sharp corners are cut off at this many times the distance.</summary>
    private const double MitreLimit = 5;

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
        return PlaneGeometry.ToRegions(Of(PlaneGeometry.From(regions), distance, CornerStyle.Round));
    }

    /// <summary>The same with arcs of a few pieces, for what is only looked at or lies under thread: off by 0.01 of the distance.</summary>
    internal static ImmutableArray<Region> Roughly(ImmutableArray<Region> regions, double distance)
    {
        var geometry = PlaneGeometry.From(regions);
        LibraryWork.Buffer(geometry, distance);
        return PlaneGeometry.ToRegions(
            BufferOp.Buffer(geometry, distance, new BufferParameters(RoughArcPieces) { SimplifyFactor = 0.01 })
        );
    }

    /// <summary>Any geometry with its edge moved; lines become bands with round ends.</summary>
    internal static NetTopologySuite.Geometries.Geometry Of(
        NetTopologySuite.Geometries.Geometry geometry,
        double distance,
        CornerStyle corners
    )
    {
        LibraryWork.Buffer(geometry, distance);
        return BufferOp.Buffer(
            geometry,
            distance,
            new BufferParameters(ArcPieces)
            {
                JoinStyle = corners == CornerStyle.Round ? JoinStyle.Round : JoinStyle.Mitre,
                MitreLimit = MitreLimit,
                SimplifyFactor = 0.0005,
            }
        );
    }

    /// <summary>What lies within a distance of a line, mm.</summary>
    /// <param name="line">Open or closed.</param>
    /// <param name="distance">To either side.</param>
    /// <param name="isSquare">True to cut the ends off square at the line's ends, false for round ends beyond them.</param>
    internal static NetTopologySuite.Geometries.Geometry Around(
        NetTopologySuite.Geometries.Geometry line,
        double distance,
        bool isSquare
    )
    {
        LibraryWork.Buffer(line, distance);
        return BufferOp.Buffer(
            line,
            distance,
            new BufferParameters(ArcPieces) { EndCapStyle = isSquare ? EndCapStyle.Flat : EndCapStyle.Round }
        );
    }

    /// <summary>What lies within a distance of open lines, mm; the ends are cut off square at the lines' ends.</summary>
    public static ImmutableArray<Region> Around(IEnumerable<ImmutableArray<Point>> lines, double distance)
    {
        var all = PlaneGeometry.Factory.CreateMultiLineString([.. lines.Select(PlaneGeometry.Line)]);
        return PlaneGeometry.ToRegions(Around(all, distance, isSquare: true));
    }
}
