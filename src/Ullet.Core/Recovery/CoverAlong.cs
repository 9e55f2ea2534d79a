using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Recovery;

/// <summary>Finds the block that covers the edge of a piece.</summary>
/// <param name="blocks">The blocks in the order in which they are sewn.</param>
/// <param name="lines">Their closed lines.</param>
internal sealed class CoverAlong(ImmutableArray<BlockReading> blocks, BlockLines lines)
{
    /// <summary>A spine outside an outline rounds its corners and may vary this much, mm.</summary>
    private const double LoosestSpread = 1;

    /// <summary>A spine no farther inside the outline was meant to clear it, mm.</summary>
    private const double ClearsEdge = 0.4;

    /// <summary>The last block along an outline that may be its cover.</summary>
    /// <param name="from">The block of the outline.</param>
    /// <param name="area">What the outline encloses, mm.</param>
    internal RecoveredCover? Of(int from, Region area)
    {
        for (var i = blocks.Length - 1; i > from; i--)
        {
            Budget.Spend();
            if (CoverIn(i, area, from) is { } cover)
            {
                return cover;
            }
        }
        return null;
    }

    private RecoveredCover? CoverIn(int block, Region area, int from)
    {
        var reading = blocks[block];
        switch (reading.Look)
        {
            case OpenedLook.Satin or OpenedLook.Zigzag:
                return BandAlong(reading.Band, area) is { } outside
                    ? new RecoveredCover(
                        block,
                        reading.Look == OpenedLook.Satin ? CoverKind.Satin : CoverKind.Zigzag,
                        reading.Band!.Width,
                        reading.Band.Spacing,
                        outside
                    )
                    : null;
            case OpenedLook.Blanket:
            {
                var rings = lines
                    .Rings(block)
                    .Where(ring => BlockLines.Follows(area, [ring], LoosestSpread) || BlockLines.GoesRound(area, ring))
                    .ToList();
                if (rings.Count == 0)
                {
                    return null;
                }
                var (spine, _) = Rings.Offset(area, rings);
                // Well inside the outline a spine holds the cloth, unless its teeth reach out over the edge.
                var isMirrored = spine > ClearsEdge;
                if (isMirrored && BandAlong(reading.Band, area) is null)
                {
                    return null;
                }
                return new RecoveredCover(
                    block,
                    CoverKind.Blanket,
                    reading.Teeth,
                    reading.StitchLength,
                    isMirrored ? reading.Teeth - spine : -spine
                )
                {
                    IsMirrored = isMirrored,
                };
            }
            case OpenedLook.Bean:
                return BeanAlong(block, area, from);
            case OpenedLook.Motif or OpenedLook.Mixed or OpenedLook.Run:
                // A run that keeps its distance is another line along the piece.
                return lines.Followed(block, area).Count > 0 ? null
                    : MotifAlong.Of(reading.Places, area) is { } along
                        ? new RecoveredCover(block, CoverKind.Motif, along.Width, 0, along.Outside)
                    : null;
            case OpenedLook.Fill:
                return null;
            default:
                throw new InvalidOperationException($"{reading.Look} is no look.");
        }
    }

    /// <summary>A threefold line along an outline, or in the middle of one that is narrow. Where nothing tacked the cloth down before, it
    /// is what holds a raw edge.</summary>
    private RecoveredCover? BeanAlong(int block, Region area, int from)
    {
        var reading = blocks[block];
        var rings = lines.Followed(block, area);
        var inset = 0.0;
        if (rings.Count > 0)
        {
            (inset, _) = Rings.Offset(area, rings);
        }
        else
        {
            var within = new AreaIndex([area]);
            var edges = new SegmentIndex(area.Rings);
            var places = reading.Lines.SelectMany(line => line.Points).ToList();
            if (places.Count == 0 || places.Count(within.Holds) < 0.9 * places.Count)
            {
                return null;
            }
            inset = StrokeBands.Median([.. places.Select(at => edges.Nearest(at, 8)?.DistanceTo(at) ?? 99)]);
            if (inset > BlockLines.DeepestTack)
            {
                return null;
            }
        }
        var isHeld = Enumerable
            .Range(from + 1, Math.Max(0, block - from - 1))
            .Any(i => blocks[i].Look is not OpenedLook.Bean && lines.Inside(i, area).Count > 0);
        var isTwice = blocks[from].Rings.Any(ring => ring.Passes > 1);
        return new RecoveredCover(
            block,
            inset > 2 || (!isHeld && !isTwice) ? CoverKind.RawEdge : CoverKind.Bean,
            0,
            reading.StitchLength,
            -inset
        );
    }

    /// <summary>How far a band reaches outside an outline that it lies along; null when it lies elsewhere.</summary>
    private static double? BandAlong(StrokeBand? band, Region area)
    {
        if (band is null || band.Width > 12)
        {
            return null;
        }
        var within = new AreaIndex(band.Area);
        var places = area.Rings.SelectMany(ring => Rings.Places(ring)).ToList();
        var covered = places.Count(within.Holds);
        if (covered < 0.35 * places.Count)
        {
            return null;
        }
        var (inner, outer) = (new List<double>(), new List<double>());
        var edges = new SegmentIndex(band.Area.SelectMany(region => region.Rings));
        var inside = new AreaIndex([area]);
        foreach (var at in places.Where(within.Holds))
        {
            Budget.Spend();
            if (edges.Nearest(at, 12) is { } near)
            {
                (inside.Holds(near) ? inner : outer).Add(near.DistanceTo(at));
            }
        }
        // The nearest side is met at every place: the other is as far as the band is wide.
        var (a, b) = (StrokeBands.Median(outer), StrokeBands.Median(inner));
        return outer.Count >= inner.Count ? a : band.Width - b;
    }
}
