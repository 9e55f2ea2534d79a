using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Outlines;

/// <summary>An element's outline on the wall, and the parts that are laid and sewn each on its own.</summary>
/// <param name="Whole">The outline of the element as one.</param>
/// <param name="Parts">Its pieces of cloth: one for a piece, one for each letter set one by one, none for a line.</param>
public sealed record ElementOutline(Outline Whole, ImmutableArray<PartOutline> Parts)
{
    /// <summary>The letters of words, whatever they are made into; none of anything else.</summary>
    public ImmutableArray<PartOutline> Letters { get; init; } = [];

    /// <summary>About how many bytes it takes in memory.</summary>
    internal long Bytes =>
        Footprint.Thing + Footprint.Of(Whole) + Parts.Concat(Letters).Sum(part => Footprint.Of(part.Outline));
}

/// <summary>One piece of cloth of an element.</summary>
/// <param name="Ordinal">Its number in the element; the letter's place in its text.</param>
/// <param name="Letter">The letter that it is, or null for the whole element.</param>
/// <param name="Outline">Its edge, mm.</param>
public sealed record PartOutline(int Ordinal, string? Letter, Outline Outline)
{
    /// <summary>A cloth of its own; null for the element's.</summary>
    public string? ClothId { get; init; }

    /// <summary>Which side of a split it is, in words; null for a piece that is not split.</summary>
    public string? Side { get; init; }
}
