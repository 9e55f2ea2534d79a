using System.Collections.Frozen;
using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>What is known of a kind of cover.</summary>
/// <param name="Kind">The kind.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Summary">What it does, in a sentence.</param>
/// <param name="IsDense">True where thread lies side by side.</param>
/// <param name="IsStrokes">True for strokes to and fro, which tension draws in.</param>
public sealed record CoverRow(CoverKind Kind, string Name, string Summary, bool IsDense, bool IsStrokes);

/// <summary>All kinds of covers, a row each.</summary>
public static class CoverTable
{
    public static readonly ImmutableArray<CoverRow> All =
    [
        new(CoverKind.Satin, "Satin", "Dense strokes side by side hide the edge.", true, true),
        new(CoverKind.Zigzag, "Zigzag", "Loose strokes hold the edge; cloth shows between them.", false, true),
        new(
            CoverKind.Blanket,
            "Blanket",
            "A spine just outside the edge, with teeth that bite into the cloth.",
            false,
            false
        ),
        new(CoverKind.Motif, "Motif", "A decorative unit repeated along the edge.", false, false),
        new(
            CoverKind.Bean,
            "Bean",
            "A threefold line a little inside the edge, for cloth that does not fray.",
            false,
            false
        ),
        new(CoverKind.RawEdge, "Raw edge", "A threefold line well inside an edge that may fray.", false, false),
    ];

    private static readonly FrozenDictionary<CoverKind, CoverRow> ByKind = All.ToFrozenDictionary(row => row.Kind);

    public static CoverRow Of(CoverKind kind) => ByKind[kind];
}
