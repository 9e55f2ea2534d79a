using System.Collections.Immutable;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes.Elements;

/// <summary>What is asked of one element while its nodes or edges are worked on.</summary>
/// <param name="Lines">Its lines as nodes; none for an element that is not drawn.</param>
/// <param name="Stretches">Its edge between corners, covered and open.</param>
/// <param name="EdgeMatch">How well its cover holds the cut edge; null without a cover.</param>
public sealed record DetailDto(
    ImmutableArray<NodeLine> Lines,
    ImmutableArray<StretchDto> Stretches,
    EdgeMatchDto? EdgeMatch
);

/// <summary>A stretch of edge.</summary>
/// <param name="Path">Its line.</param>
/// <param name="X">Its middle, mm.</param>
/// <param name="Y">Its middle, mm.</param>
/// <param name="Length">mm.</param>
/// <param name="IsCovered">Under something: no cover.</param>
/// <param name="IsByHand">Set by hand.</param>
/// <param name="Cover">Numbers of its own that its cover has; null for none.</param>
public sealed record StretchDto(
    string Path,
    double X,
    double Y,
    double Length,
    bool IsCovered,
    bool IsByHand,
    CoverStretch? Cover
);
