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

    /// <summary>Strokes from side to side over letters and shapes.</summary>
    Satin,

    /// <summary>Rows of stitches over an area.</summary>
    Fill,

    /// <summary>A line along the outline of what is sewn in thread.</summary>
    SatinEdge,

    /// <summary>Stitches of a file, as they stand there.</summary>
    Opened,
}

/// <summary>What is known of a stage.</summary>
/// <param name="Id">The stage.</param>
/// <param name="Key">Its part of a step key, for ever.</param>
/// <param name="Words">Its name in the trade's words, unless its making calls it otherwise.</param>
/// <param name="MayBeOff">True when a step of it may be switched off in the run sheet; stages of cloth are switched on its card.</param>
public sealed record StageRow(StageId Id, string Key, string Words, bool MayBeOff)
{
    /// <summary>True for what is taken out again: its thread is cut where it begins and ends.</summary>
    public bool IsTakenOut { get; init; }

    /// <summary>What it is for, in a few words.</summary>
    public string Why { get; init; } = "";

    /// <summary>What happens in it, a sentence for somebody who meets it for the first time; empty for what needs none.</summary>
    public string About { get; init; } = "";

    /// <summary>True for what is sewn with the hooping's thread of covers where none is set, false for its thread of lines.</summary>
    public bool IsOfCovers { get; init; }

    /// <summary>True for what holds cloth down, inside its edge.</summary>
    public bool HoldsCloth { get; init; }
}

/// <summary>All stages, a row each.</summary>
public static class StageTable
{
    public static readonly ImmutableArray<StageRow> All =
    [
        new(StageId.Placement, "placement", "placement", false)
        {
            Why = "shows where the cloth goes",
            About = "The machine sews a single line on the ground and stops, so that you see where to lay the cloth.",
        },
        new(StageId.TackDown, "tack", "tack-down", false)
        {
            Why = "holds the cloth",
            About = "A line just inside the edge sews the cloth down, so that it stays where you laid it.",
            HoldsCloth = true,
        },
        new(StageId.Cover, "cover", "cover", false)
        {
            Why = "holds or hides the edge",
            About =
                "Stitches over the raw edge: most of their width lies on the cloth, the rest on the ground beside it.",
            IsOfCovers = true,
        },
        new(StageId.CutGuide, "guide", "cut guide", false)
        {
            Why = "in a hooping of its own",
            About = "The piece's outline, sewn on its own cloth, which is hooped alone; cut out on this line, it fits.",
        },
        new(StageId.Line, "line", "line", true) { Why = "sewn without cloth", IsOfCovers = true },
        new(StageId.Satin, "satin", "satin", true) { Why = "letters and shapes in thread", IsOfCovers = true },
        new(StageId.Fill, "fill", "fill", true) { Why = "an area in thread", IsOfCovers = true },
        new(StageId.SatinEdge, "edge", "edge", true) { Why = "a line along its outline", IsOfCovers = true },
        new(StageId.Opened, "opened", "opened stitches", true) { Why = "as the file has them", IsOfCovers = true },
        new(StageId.Basting, "basting", "basting", false) { Why = "holds until it comes out", IsTakenOut = true },
    ];

    public static StageRow Of(StageId id) => All.First(row => row.Id == id);
}
