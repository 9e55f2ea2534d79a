using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>The stages that there are.</summary>
public enum StageId
{
    Placement,
    TackDown,
    Cover,

    /// <summary>The line that a piece is cut out along, stitched on its own cloth in a hooping of its own.</summary>
    CutGuide,

    /// <summary>A line that is sewn without cloth.</summary>
    Line,

    /// <summary>Long stitches that hold layers together and come out again.</summary>
    Basting,
}

/// <summary>What is known of a stage.</summary>
/// <param name="Id">The stage.</param>
/// <param name="Key">Its part of a step key, for ever.</param>
/// <param name="Words">Its name in the trade's words, unless its making calls it otherwise.</param>
/// <param name="MayBeOff">True when a person may switch it off.</param>
public sealed record StageRow(StageId Id, string Key, string Words, bool MayBeOff);

/// <summary>All stages, a row each.</summary>
public static class StageTable
{
    public static readonly ImmutableArray<StageRow> All =
    [
        new(StageId.Placement, "placement", "placement", true),
        new(StageId.TackDown, "tack", "tack-down", true),
        new(StageId.Cover, "cover", "cover", true),
        new(StageId.CutGuide, "guide", "cut guide", true),
        new(StageId.Line, "line", "line", false),
        new(StageId.Basting, "basting", "basting", true),
    ];

    public static StageRow Of(StageId id) => All.First(row => row.Id == id);
}
