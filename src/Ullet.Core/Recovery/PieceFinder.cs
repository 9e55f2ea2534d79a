using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

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
    private readonly ImmutableArray<BlockReading> _blocks;
    private readonly Func<int, HandsBetween?> _before;
    private readonly HashSet<(int Block, int Ring)> _used = [];
    private readonly BlockLines _lines;
    private readonly CoverAlong _covers;

    /// <param name="blocks">The blocks in the order in which they are sewn.</param>
    /// <param name="before">What hands did before a block; null where that is not known.</param>
    public PieceFinder(ImmutableArray<BlockReading> blocks, Func<int, HandsBetween?>? before = null)
    {
        _blocks = blocks;
        _lines = new BlockLines(blocks);
        _covers = new CoverAlong(blocks, _lines);
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
            foreach (var (part, number) in _lines.Parts(i).Select((part, k) => (part, k)))
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
            .Where(i =>
                _blocks[i].Look == OpenedLook.Run && !piece.Blocks.Contains(i) && _lines.Followed(i, area).Count > 0
            );
    }

    /// <summary>True for a line that goes along a piece that was begun before: it holds a further layer of the same.</summary>
    private static bool IsOfOther(OutlinePart part, IEnumerable<RecoveredPiece> pieces)
    {
        var shell = part.Shell.Flatten();
        return pieces.Any(piece =>
            piece.Outline.Flatten() is var area
            && BlockLines.Follows(area, [shell])
            && Math.Abs(shell.Length - area.Shell.Length) < 0.2 * shell.Length
        );
    }

    private RecoveredPiece? PieceOf(int block, OutlinePart part)
    {
        var area = part.Flatten();
        var isTwice = _blocks[block].Rings.Any(ring => ring.Passes > 1 && BlockLines.Follows(area, [ring.Ring()]));
        var cover = _covers.Of(block, area);
        if (isTwice)
        {
            return cover is null ? null : Outlined(block, part, area, cover);
        }
        var tack = Tack(block, area, cover?.Block ?? _blocks.Length);
        if (tack is null && cover is null)
        {
            return null;
        }
        var method = MethodTold.Of(
            tack?.Inset,
            cover,
            [
                .. Enumerable
                    .Range(block + 1, Math.Max(0, (cover?.Block ?? tack?.Block ?? block) - block))
                    .Select(_before),
            ]
        );
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
        var isBeneath = _before(block) is { } hands ? hands.LaysBeneath : MethodTold.IsBeneath(cover);
        var inset = MethodTold.InsetOf(cover);
        var moved = OutlineOffset.By(new Outline([part]), isBeneath ? -inset : inset, CornerStyle.Sharp).Parts;
        if (moved.Length != 1)
        {
            return null;
        }
        return new RecoveredPiece(moved[0], isBeneath ? Method.SetBehind : Method.LaidFirst, [block, cover.Block])
        {
            Tack = block,
            TackInset = inset,
            Cover = cover with { Outside = cover.Outside - (isBeneath ? -inset : inset) },
        };
    }

    /// <summary>The run, zigzag or blanket that holds a cloth inside an outline.</summary>
    private (int Block, TackKind? Kind, double Inset)? Tack(int placement, Region area, int before)
    {
        for (var i = placement + 1; i < Math.Min(before, _blocks.Length); i++)
        {
            var rings = _lines.Inside(i, area);
            if (rings.Count == 0)
            {
                continue;
            }
            var (usual, _) = Rings.Offset(area, rings);
            if (usual is < -0.3 or > BlockLines.DeepestTack)
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

    private void Use(int block, List<Ring> rings)
    {
        if (_blocks[block].Look != OpenedLook.Run)
        {
            return;
        }
        var parts = _lines.Parts(block);
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
