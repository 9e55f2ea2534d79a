using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>A row pattern by name.</summary>
/// <param name="Id">The pattern.</param>
/// <param name="Name">In the trade's words, or ours.</param>
/// <param name="About">What it looks like.</param>
public sealed record RowPatternRow(RowPattern Id, string Name, string About);

/// <summary>The row patterns that there are.</summary>
public static class RowPatternTable
{
    public static readonly ImmutableArray<RowPatternRow> All =
    [
        new(RowPattern.FourRows, "four-row offset", "an even surface"),
        new(RowPattern.Random, "random within bounds", "an even surface without any lines"),
        new(RowPattern.Brick, "brick", "holes between the holes of the last row"),
        new(RowPattern.Twill, "twill", "fine diagonal lines"),
        new(RowPattern.Furrows, "furrows", "lines that turn to and fro, as ploughed ground"),
        new(RowPattern.Hurdle, "hurdle", "blocks, as the rods of a woven fence"),
        new(RowPattern.Rills, "rills", "soft waves, as water between beds"),
    ];

    public static RowPatternRow Of(RowPattern pattern) => All.First(row => row.Id == pattern);
}
