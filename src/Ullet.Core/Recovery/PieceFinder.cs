using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Recovery;

/// <summary>What hands did between two blocks, as far as a method can be told by it.</summary>
/// <param name="Lays">A cloth was laid on top.</param>
/// <param name="LaysBeneath">A cloth was laid beneath.</param>
/// <param name="Trims">A cloth was trimmed.</param>
public readonly record struct HandsBetween(bool Lays, bool LaysBeneath, bool Trims);

/// <summary>Finds pieces of cloth in blocks: a placement or an outline run, what holds the cloth, and the cover along it.</summary>
/// <remarks>Where stitches alone leave two methods open that sew alike, the usual one is taken; the cloth that hands lay and trim
/// decides where it is known.</remarks>
public sealed class PieceFinder
{
    /// <summary>Lines that vary more than this against one another do not belong together, mm.</summary>
    private const double MostSpread = 0.45;

    /// <summary>A spine outside an outline rounds its corners and may vary this much, mm.</summary>
    private const double LoosestSpread = 1;

    /// <summary>Lines inside an outline that is narrow in places vary no more, mm.</summary>
    private const double WidestSpread = 1.6;

    /// <summary>A spine no farther inside the outline was meant to clear it, mm.</summary>
    private const double ClearsEdge = 0.4;

    /// <summary>No tack-down lies farther inside, mm.</summary>
    private const double DeepestTack = 4;

    private readonly ImmutableArray<BlockReading> _blocks;
    private readonly Func<int, HandsBetween?> _before;
    private readonly HashSet<(int Block, int Ring)> _used = [];
    private readonly Dictionary<int, ImmutableArray<OutlinePart>> _parts = [];
    private readonly Dictionary<int, List<Ring>> _rings = [];

    /// <param name="blocks">The blocks in the order in which they are sewn.</param>
    /// <param name="before">What hands did before a block; null where that is not known.</param>
    public PieceFinder(ImmutableArray<BlockReading> blocks, Func<int, HandsBetween?>? before = null)
    {
        _blocks = blocks;
        _before = before ?? (_ => null);
    }

    /// <summary>The pieces in the order in which they were begun.</summary>
    public ImmutableArray<RecoveredPiece> Find()
    {
        var pieces = ImmutableArray.CreateBuilder<RecoveredPiece>();
        for (var i = 0; i < _blocks.Length; i++)
        {
            if (_blocks[i].Look is not (OpenedLook.Run or OpenedLook.Motif))
            {
                continue;
            }
            foreach (var (part, number) in PartsOf(i).Select((part, k) => (part, k)))
            {
                Budget.Spend();
                if (!_used.Contains((i, number)) && !IsOfOther(part, pieces) && PieceOf(i, part) is { } piece)
                {
                    pieces.Add(piece);
                }
            }
        }
        return pieces.ToImmutable();
    }

    /// <summary>The blocks with closed lines along an outline of a piece that are none of its own stages: they hold further layers.</summary>
    public IEnumerable<int> Further(RecoveredPiece piece)
    {
        var area = piece.Outline.Flatten();
        return Enumerable
            .Range(piece.Blocks[0] + 1, _blocks.Length - piece.Blocks[0] - 1)
            .Where(i => _blocks[i].Look == OpenedLook.Run && !piece.Blocks.Contains(i) && Followed(i, area).Count > 0);
    }

    /// <summary>True for a line that goes along a piece that was begun before: it holds a further layer of the same.</summary>
    private static bool IsOfOther(OutlinePart part, IEnumerable<RecoveredPiece> pieces)
    {
        var shell = part.Shell.Flatten();
        return pieces.Any(piece =>
            piece.Outline.Flatten() is var area
            && Follows(area, [shell])
            && Math.Abs(shell.Length - area.Shell.Length) < 0.2 * shell.Length
        );
    }

    private ImmutableArray<OutlinePart> PartsOf(int block) =>
        _parts.TryGetValue(block, out var known)
            ? known
            : _parts[block] = Rings.Parts(_blocks[block].Rings.Where(ring => ring.Length() > 6));

    private RecoveredPiece? PieceOf(int block, OutlinePart part)
    {
        var area = part.Flatten();
        var isTwice = _blocks[block].Rings.Any(ring => ring.Passes > 1 && Follows(area, [ring.Ring()]));
        var cover = Cover(block, area);
        if (isTwice)
        {
            return cover is null ? null : Outlined(block, part, area, cover);
        }
        var tack = Tack(block, area, cover?.Block ?? _blocks.Length);
        if (tack is null && cover is null)
        {
            return null;
        }
        var method = MethodOf(block, tack, cover);
        var blocks = new[] { block, tack?.Block, cover?.Block }.OfType<int>().ToImmutableArray();
        return new RecoveredPiece(part, method, blocks)
        {
            Placement = block,
            Tack = tack?.Block,
            TackKind = tack?.Kind,
            TackInset = tack?.Inset ?? 0,
            Cover = cover,
        };
    }

    /// <summary>A piece without a placement: the run that holds it lies a usual inset inside its outline, or outside of a window's.</summary>
    private RecoveredPiece? Outlined(int block, OutlinePart part, Region area, RecoveredCover cover)
    {
        var isBeneath = _before(block) is { } hands ? hands.LaysBeneath : IsBeneath(cover);
        var inset = InsetOf(cover, isBeneath);
        var moved = OutlineOffset.By(new Outline([part]), isBeneath ? -inset : inset, CornerStyle.Sharp).Parts;
        if (moved.Length != 1)
        {
            return null;
        }
        _used.Add((block, 0));
        return new RecoveredPiece(moved[0], isBeneath ? Method.SetBehind : Method.LaidFirst, [block, cover.Block])
        {
            Tack = block,
            TackInset = inset,
            Cover = cover with { Outside = cover.Outside - (isBeneath ? -inset : inset) },
        };
    }

    /// <summary>True where an outline run lies outside its outline, round a window, and false where it lies inside: the cover has its
    /// usual share on the cloth's side then.</summary>
    private static bool IsBeneath(RecoveredCover cover)
    {
        if (cover.Kind is CoverKind.Bean or CoverKind.RawEdge)
        {
            return cover.Outside > 0;
        }
        var (above, beneath) = (InsetOf(cover, false), InsetOf(cover, true));
        var (inside, outside) = (cover.Width - cover.Outside, cover.Outside);
        var usual = UsualShare(cover.Kind);
        return Math.Abs(((outside + beneath) / cover.Width) - usual)
            < Math.Abs(((inside + above) / cover.Width) - usual);
    }

    /// <summary>How far an outline run lies from its outline: as far as usual, but under the cover.</summary>
    private static double InsetOf(RecoveredCover cover, bool isBeneath)
    {
        if (cover.Kind is CoverKind.Bean or CoverKind.RawEdge)
        {
            return StitchDefaults.TackInsetTrimmed;
        }
        // As far as the cover reaches beyond its outline on that side; its usual share tells it without knowing the outline.
        var within = (cover.Width * UsualShare(cover.Kind)) - StitchDefaults.TackUnderCover;
        return Math.Max(0, Math.Min(StitchDefaults.TackInsetTrimmed, within));
    }

    private static double UsualShare(CoverKind kind) =>
        kind switch
        {
            CoverKind.Satin or CoverKind.Zigzag => StitchDefaults.CoverInsideShare,
            CoverKind.Blanket => StitchDefaults.BlanketBite
                / (StitchDefaults.BlanketBite + StitchDefaults.BlanketSpine),
            CoverKind.Motif => StitchDefaults.MotifInsideShare,
            CoverKind.Bean or CoverKind.RawEdge => 1,
        };

    private Method MethodOf(int placement, (int Block, TackKind? Kind, double Inset)? tack, RecoveredCover? cover)
    {
        if (cover is { Kind: CoverKind.RawEdge })
        {
            return Method.RawEdge;
        }
        var trims = Enumerable
            .Range(placement + 1, Math.Max(0, (cover?.Block ?? tack?.Block ?? placement) - placement))
            .Select(_before)
            .ToList();
        if (trims.Exists(hands => hands is not null))
        {
            return trims.Exists(hands => hands is { Trims: true }) ? Method.TrimInTheHoop : Method.CutBeforehand;
        }
        if (tack is not { } held)
        {
            return Method.CutBeforehand;
        }
        var within = cover is { Kind: CoverKind.Satin or CoverKind.Zigzag or CoverKind.Blanket }
            ? cover.Width - cover.Outside - StitchDefaults.PullCompensation - StitchDefaults.TackUnderCover
            : double.PositiveInfinity;
        var (trimmed, cut) = (
            Math.Min(StitchDefaults.TackInsetTrimmed, within),
            Math.Min(StitchDefaults.TackInsetCut, within)
        );
        return Math.Abs(held.Inset - cut) + 0.05 < Math.Abs(held.Inset - trimmed)
            ? Method.CutBeforehand
            : Method.TrimInTheHoop;
    }

    /// <summary>The run, zigzag or blanket that holds a cloth inside an outline.</summary>
    private (int Block, TackKind? Kind, double Inset)? Tack(int placement, Region area, int before)
    {
        for (var i = placement + 1; i < Math.Min(before, _blocks.Length); i++)
        {
            var rings = Inside(i, area);
            if (rings.Count == 0)
            {
                continue;
            }
            var (usual, _) = Rings.Offset(area, rings);
            if (usual is < -0.3 or > DeepestTack)
            {
                continue;
            }
            TackKind? kind = _blocks[i].Look switch
            {
                OpenedLook.Zigzag => Projects.TackKind.Zigzag,
                OpenedLook.Blanket => Projects.TackKind.Blanket,
                OpenedLook.Run
                or OpenedLook.Bean
                or OpenedLook.Satin
                or OpenedLook.Fill
                or OpenedLook.Motif
                or OpenedLook.Mixed => null,
            };
            Use(i, rings);
            return (i, kind, kind == Projects.TackKind.Zigzag ? usual - (_blocks[i].Band!.Width / 2) : usual);
        }
        return null;
    }

    /// <summary>The last block along an outline that may be its cover.</summary>
    private RecoveredCover? Cover(int from, Region area)
    {
        for (var i = _blocks.Length - 1; i > from; i--)
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
        var reading = _blocks[block];
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
                var rings = RingsOf(block).Where(ring => Follows(area, [ring], LoosestSpread)).ToList();
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
                return Followed(block, area).Count > 0 ? null
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
        var reading = _blocks[block];
        var rings = Followed(block, area);
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
            if (inset > DeepestTack)
            {
                return null;
            }
        }
        var isHeld = Enumerable
            .Range(from + 1, Math.Max(0, block - from - 1))
            .Any(i => _blocks[i].Look is not OpenedLook.Bean && Inside(i, area).Count > 0);
        var isTwice = _blocks[from].Rings.Any(ring => ring.Passes > 1);
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

    private List<Ring> RingsOf(int block)
    {
        if (_rings.TryGetValue(block, out var known))
        {
            return known;
        }
        var reading = _blocks[block];
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
    private List<Ring> Followed(int block, Region area) => [.. RingsOf(block).Where(ring => Follows(area, [ring]))];

    /// <summary>The closed lines of a block that go along an outline inside it; where it is narrow they may lie in its middle.</summary>
    private List<Ring> Inside(int block, Region area)
    {
        var within = new AreaIndex([area]);
        return
        [
            .. RingsOf(block)
                .Where(ring =>
                    Follows(area, [ring])
                    || (
                        Rings.Places(ring).All(within.Holds)
                        && Rings.Offset(area, [ring]) is { Usual: < DeepestTack, Spread: < WidestSpread }
                        && ring.Length > 0.55 * area.Shell.Length
                    )
                ),
        ];
    }

    private static bool Follows(Region area, IEnumerable<Ring> rings, double most = MostSpread)
    {
        var (usual, spread) = Rings.Offset(area, rings);
        return Math.Abs(usual) <= DeepestTack && spread <= most;
    }

    private void Use(int block, List<Ring> rings)
    {
        if (_blocks[block].Look != OpenedLook.Run)
        {
            return;
        }
        var parts = PartsOf(block);
        for (var k = 0; k < parts.Length; k++)
        {
            var shell = parts[k].Shell.Flatten();
            if (rings.Exists(ring => ring.Bounds().Centre.DistanceTo(shell.Bounds().Centre) < 0.5))
            {
                _used.Add((block, k));
            }
        }
    }
}
