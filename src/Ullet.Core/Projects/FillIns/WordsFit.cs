using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>How words of an order are brought into their room.</summary>
public sealed record WordsFit
{
    /// <summary>The room; null for the words' own box, or a pattern's.</summary>
    public ElementBox? Room { get; init; }

    /// <summary>An element whose outline is the room, in place of a box; null for none.</summary>
    public string? InsideOf { get; init; }

    /// <summary>Smallest height of capitals, mm; 2 to 500.</summary>
    public double SmallestHeight { get; init; } = UsualSmallest;

    /// <summary>Largest height of capitals, mm; null for that of the words in the project.</summary>
    public double? LargestHeight { get; init; }

    /// <summary>Letters may be narrowed to this share of their width, 0.5 to 1.</summary>
    public double NarrowedTo { get; init; } = UsualNarrowed;

    /// <summary>Most lines, 1 to 12.</summary>
    public int MostLines { get; init; } = 1;

    public LineBreaks BreaksAt { get; init; }

    public bool AllCapitals { get; init; }

    /// <summary>True to set them in the room's middle; false to begin at its left side.</summary>
    public bool KeepCentred { get; init; } = true;

    /// <summary>True to keep the baseline that the words have in the project.</summary>
    public bool KeepBaseline { get; init; }

    public const double UsualSmallest = 5;

    public const double UsualNarrowed = 0.85;

    /// <summary>The same for a design that is made larger as a whole: its room and its largest letters grow along. The smallest
    /// letters stay, for they are what can be sewn.</summary>
    /// <param name="by">By how much, over 0.</param>
    public WordsFit Scaled(double by) =>
        this with
        {
            Room = Room?.Scaled(by),
            LargestHeight = LargestHeight is { } largest ? Math.Max(SmallestHeight, largest * by) : null,
        };

    /// <summary>Says what is wrong with its numbers, or null.</summary>
    /// <param name="label">Whose they are.</param>
    public Refusal? Check(string label) =>
        Limits.CheckRange(
            SmallestHeight,
            FillInLimits.Height.Least,
            FillInLimits.Height.Most,
            "mm",
            $"The smallest height of {label}",
            "smallestHeight"
        )
        ?? Limits.CheckSet(
            LargestHeight,
            (SmallestHeight, FillInLimits.Height.Most),
            "mm",
            $"The largest height of {label}",
            "largestHeight"
        )
        ?? Limits.CheckRange(NarrowedTo, 0.5, 1, "", $"How far {label} may be narrowed", "narrowedTo")
        ?? Limits.CheckRange(MostLines, 1, TextForm.MostLines, "lines", $"{label}", "mostLines")
        ?? (Room is { } room ? Limits.CheckBox(room, $"the room of {label}") : null);
}

/// <summary>Where words may go on in another line.</summary>
public enum LineBreaks
{
    Spaces,

    SpacesAndHyphens,

    /// <summary>Only where a line end was typed.</summary>
    AsTyped,
}
