using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Recovery;

/// <summary>A piece of cloth as its stitches tell it.</summary>
/// <param name="Outline">The outline that it was sewn by, curves, mm.</param>
/// <param name="Method">How it was applied.</param>
/// <param name="Blocks">The blocks that it was read off, by number, in order.</param>
public sealed record RecoveredPiece(OutlinePart Outline, Method Method, ImmutableArray<int> Blocks)
{
    /// <summary>The placement's block; null for none.</summary>
    public int? Placement { get; init; }

    /// <summary>The tack-down's block, or that of the outline run; null for none.</summary>
    public int? Tack { get; init; }

    /// <summary>How the tack-down is sewn; null for a double run.</summary>
    public TackKind? TackKind { get; init; }

    /// <summary>How far inside the outline the tack-down runs, mm.</summary>
    public double TackInset { get; init; }

    /// <summary>The cover; null for a piece without one.</summary>
    public RecoveredCover? Cover { get; init; }
}

/// <summary>A cover as its stitches tell it, mm.</summary>
/// <param name="Block">Its block, by number.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Width">As stitched; of a bean line 0.</param>
/// <param name="Spacing">Between neighbouring holes of one side, of teeth, or of a line's stitches; 0 for a motif, whose units are not told apart.</param>
/// <param name="Outside">How far it reaches outside the outline, as stitched; of a line below 0 where it runs inside.</param>
public sealed record RecoveredCover(int Block, CoverKind Kind, double Width, double Spacing, double Outside)
{
    /// <summary>True where the spine of a blanket stitch lies inside the outline and its teeth look outwards.</summary>
    public bool IsMirrored { get; init; }
}
