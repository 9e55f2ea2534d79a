using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Recovery;

/// <summary>The closed lines of blocks, and which of them go along an outline.</summary>
/// <param name="blocks">The blocks in the order in which they are sewn.</param>
internal sealed class BlockLines(ImmutableArray<BlockReading> blocks)
{
    /// <summary>Lines that vary more than this against one another do not belong together, mm.</summary>
    private const double MostSpread = 0.45;

    /// <summary>Lines inside an outline that is narrow in places vary no more, mm.</summary>
    private const double WidestSpread = 1.6;

    /// <summary>No tack-down lies farther inside, mm.</summary>
    internal const double DeepestTack = 4;

    /// <summary>So much of a line round an outline keeps its distance at least.</summary>
    private const double RoomyShare = 0.55;

    private readonly Dictionary<int, ImmutableArray<OutlinePart>> _parts = [];
    private readonly Dictionary<int, List<Ring>> _rings = [];

    /// <summary>The outlines that a block's closed lines make.</summary>
    internal ImmutableArray<OutlinePart> Parts(int block) =>
        _parts.TryGetValue(block, out var known)
            ? known
            : _parts[block] = Recovery.Rings.Parts(blocks[block].Rings.Where(ring => ring.Length() > 6));

    /// <summary>The closed lines of a block; the middle of a zigzag.</summary>
    internal List<Ring> Rings(int block)
    {
        if (_rings.TryGetValue(block, out var known))
        {
            return known;
        }
        var reading = blocks[block];
        return _rings[block] =
            reading.Look == OpenedLook.Zigzag && reading.Band is { } band
                ? MiddleRings(band)
                : [.. reading.Rings.Where(ring => ring.Length() > 4).Select(ring => ring.Ring())];
    }

    private static List<Ring> MiddleRings(StrokeBand band) =>
        [
            .. band
                .Area.SelectMany(region => RegionOffset.By([new Region(region.Shell, [])], -band.Width / 2))
                .Select(region => region.Shell),
        ];

    /// <summary>The closed lines of a block that go along an outline.</summary>
    internal List<Ring> Followed(int block, Region area) => [.. Rings(block).Where(ring => Follows(area, [ring]))];

    /// <summary>The closed lines of a block that go along an outline inside it; where it is narrow they may lie in its middle.</summary>
    internal List<Ring> Inside(int block, Region area)
    {
        var within = new AreaIndex([area]);
        return
        [
            .. Rings(block)
                .Where(ring =>
                    Follows(area, [ring])
                    || (
                        Recovery.Rings.Places(ring).All(within.Holds)
                        && Recovery.Rings.Offset(area, [ring]) is { Usual: < DeepestTack, Spread: < WidestSpread }
                        && ring.Length > 0.55 * area.Shell.Length
                    )
                ),
        ];
    }

    /// <summary>True for a line round an outline that keeps its distance where there is room for it: where the outline comes near to
    /// itself it lies between the two sides.</summary>
    internal static bool GoesRound(Region area, Ring ring)
    {
        var (usual, _) = Recovery.Rings.Offset(area, [ring]);
        if (usual is >= 0 or < -DeepestTack)
        {
            return false;
        }
        var (along, distances) = (new SegmentIndex([ring]), Recovery.Rings.Distances(area, [ring]));
        var edge = area.Rings.SelectMany(own => Recovery.Rings.Places(own)).ToList();
        return distances.Count(own => Math.Abs(own - usual) <= MostSpread) >= RoomyShare * distances.Count
            && edge.Count(at => along.Nearest(at, MostSpread - usual) is not null) >= 0.9 * edge.Count;
    }

    /// <summary>True for closed lines that keep their distance to an outline.</summary>
    /// <param name="area">What the outline encloses, mm.</param>
    /// <param name="rings">The lines.</param>
    /// <param name="most">So much their distances may vary, mm.</param>
    internal static bool Follows(Region area, IEnumerable<Ring> rings, double most = MostSpread)
    {
        var (usual, spread) = Recovery.Rings.Offset(area, rings);
        return Math.Abs(usual) <= DeepestTack && spread <= most;
    }
}
