using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>A piece with what its method needs to know.</summary>
/// <param name="Part">The piece, or the letter.</param>
/// <param name="Outline">The outline of the cloth as it is laid, mm: the piece's own unless it goes on deep under others.</param>
/// <param name="Cloth">Its cloth.</param>
/// <param name="Offset">The laid outline moved outwards by a distance, mm, with its holes or with them filled.</param>
public sealed record PieceAtWork(AppliquePart Part, Outline Outline, Cloth Cloth, Func<double, bool, Area> Offset)
{
    /// <summary>The edge that the cover lies on, mm: the piece's own outline, smoothed where thread can't follow it.</summary>
    public required Outline Edge { get; init; }

    /// <summary>The laid outline as the lines that hold it follow it, mm: smoothed like the edge.</summary>
    public required Outline Line { get; init; }

    /// <summary>How far the edge as sewn lies from the drawn one at most, mm, and where; 0 where that has no detail which thread
    /// can't follow.</summary>
    public (double Length, Point At) Drift { get; init; }

    /// <summary>The stretches of it that get a cover; null for all of it.</summary>
    public VisibleEdge? Visible { get; init; }

    /// <summary>Its edge stretch by stretch where the stack or a hand divides it; none where all of it is visible.</summary>
    public ImmutableArray<EdgeStretch> Stretches { get; init; } = [];

    /// <summary>How exact cutter and hands are with its cloth.</summary>
    public EdgeTolerances Exact { get; init; } = new();

    /// <summary>True when the whole piece lies under others.</summary>
    public bool IsBuried { get; init; }
}
