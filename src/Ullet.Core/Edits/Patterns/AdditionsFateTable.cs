using System.Collections.Immutable;

namespace Ullet.Core.Edits;

/// <summary>What may become of own additions when a pattern takes another size.</summary>
/// <param name="Id">Which.</param>
/// <param name="Name">What it is called, after "they".</param>
/// <param name="Sentence">What is done, after the additions' names and a colon.</param>
public sealed record AdditionsFateRow(AdditionsFate Id, string Name, string Sentence);

/// <summary>All of them, a row each; the first is the usual one.</summary>
public static class AdditionsFateTable
{
    public static readonly ImmutableArray<AdditionsFateRow> All =
    [
        new(AdditionsFate.WithMiddle, "go with the middle", "moved with the middle of the panel, size kept."),
        new(AdditionsFate.WithEdge, "keep to the edge", "kept as far from the panel\u2019s nearest edges, size kept."),
        new(AdditionsFate.Grow, "grow along", "moved and made larger or smaller with the panel."),
        new(AdditionsFate.Stay, "stay in place", "left where they are in the hoop, size kept."),
    ];
}
