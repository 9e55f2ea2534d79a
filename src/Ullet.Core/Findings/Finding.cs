using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Findings;

public enum FindingLevel
{
    Stop,
    Warn,
    Tip,
}

/// <summary>What a check found.</summary>
/// <param name="Code">Stable name of what was found; it has a row in <see cref="FindingTable"/>.</param>
/// <param name="Level">How bad it is.</param>
/// <param name="ElementId">The element it is about, or null for the whole design.</param>
/// <param name="At">Where on the wall, mm, or null.</param>
/// <param name="Words">What is the matter and why, in a sentence or two.</param>
/// <param name="Mend">What usually puts it right, or null.</param>
public sealed record Finding(
    string Code,
    FindingLevel Level,
    string? ElementId,
    Point? At,
    string Words,
    Mend? Mend = null
)
{
    public string Code
    {
        get;
        init => field = FindingTable.Of(value).Code;
    } = FindingTable.Of(Code).Code;

    /// <summary>Other mends to choose from.</summary>
    public ImmutableArray<Mend> OtherMends { get; init; } = [];

    /// <summary>All mends, the usual one first; each ends the finding.</summary>
    public ImmutableArray<Mend> Mends => Mend is null ? OtherMends : OtherMends.Insert(0, Mend);
}
