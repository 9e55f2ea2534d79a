using System.Collections.Immutable;
using Ullet.Core.Applique;

namespace Ullet.Server.Scenes;

/// <summary>The edge match of a piece, for the chart in its card and along its edge.</summary>
/// <param name="Piece">The piece of cloth that it is worst for.</param>
/// <param name="Wanted">Bite wanted, mm.</param>
/// <param name="Holds">True when it suffices everywhere.</param>
/// <param name="Words">How it stands, in a sentence.</param>
/// <param name="Margins">Places along that piece's edge, ring by ring.</param>
/// <param name="WorstAt">Which of them has least to spare.</param>
/// <param name="WorstOfEach">The worst place of each piece of the element.</param>
/// <param name="Elsewhere">Places of the element's other pieces.</param>
/// <param name="Mends">Changes of one number that make it hold.</param>
public sealed record EdgeMatchDto(
    string Piece,
    double Wanted,
    bool Holds,
    string Words,
    ImmutableArray<MarginDto> Margins,
    int WorstAt,
    ImmutableArray<MarginDto> WorstOfEach,
    ImmutableArray<MarginDto> Elsewhere,
    ImmutableArray<EdgeMendDto> Mends
);

/// <summary>How much cover is left at a place of the cut edge, mm.</summary>
/// <param name="X">The place.</param>
/// <param name="Y">The place.</param>
/// <param name="Ring">Which edge of the piece.</param>
/// <param name="Along">Distance along it.</param>
/// <param name="Bite">Cover inside the edge.</param>
/// <param name="Beyond">Cover outside it; null for a line that hides none.</param>
/// <param name="Spare">How much more there is than wanted; below 0 where something is missing.</param>
/// <param name="Ordinal">Which piece of cloth of the element.</param>
public sealed record MarginDto(
    double X,
    double Y,
    int Ring,
    double Along,
    double Bite,
    double? Beyond,
    double Spare,
    int Ordinal
);

/// <summary>A change that makes the edge match hold.</summary>
public sealed record EdgeMendDto(string Label, EdgeNumber Number, double Value);
