using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>Live text: words set in a font.</summary>
/// <remarks>The element's box is the ink of all letters. Spacing and touches are shares of the cap height, so that they keep
/// their look at any size.</remarks>
public sealed record TextForm : Form
{
    /// <summary>Most characters of a text.</summary>
    public const int LongestText = 200;

    /// <summary>Most lines of a text.</summary>
    public const int MostLines = 12;

    /// <summary>The words; lines are divided by "\n".</summary>
    public required string Text { get; init; }

    /// <summary>The font's id among those that ship with Ullet or were added.</summary>
    public required string FontId { get; init; }

    public LetterSizing Sizing { get; init; } = LetterSizing.CapHeight;

    /// <summary>How far letters may be narrowed to fit into their box, share of their width, 0.5 to 1: they keep their proportions
    /// otherwise. Null for words that are stretched to their box, as earlier documents have them.</summary>
    public double? NarrowedTo { get; init; }

    public TextAlign Align { get; init; } = TextAlign.Centre;

    /// <summary>Distance from baseline to baseline over the font's own, 0.5 to 3.</summary>
    public double LineSpacing { get; init; } = 1;

    /// <summary>Added to every gap between letters, share of the cap height; -0.5 to 2.</summary>
    public double Spacing { get; init; }

    /// <summary>How far upright strokes lean to the right, degrees; -45 to 45.</summary>
    public double Slant { get; init; }

    /// <summary>The angle that the text takes on an arc, degrees: over 0 it arches up, under 0 it hangs; 0 is straight.</summary>
    public double Arc { get; init; }

    /// <summary>What was changed at single letters, at most one entry for each.</summary>
    public ImmutableArray<LetterTouch> Touches { get; init; } = [];

    /// <summary>True when all letters are one piece, those that overlap joined; false when each is a piece of its own.</summary>
    public bool IsOnePiece { get; init; }

    /// <summary>The touch of a letter, or one that changes nothing.</summary>
    public LetterTouch TouchOf(int index) =>
        Touches.FirstOrDefault(touch => touch.Index == index) ?? new LetterTouch(index);
}

/// <summary>A letter's own changes; they go with the letter when the text is typed anew.</summary>
/// <param name="Index">The letter's number in the text: user-perceived characters, line ends counted.</param>
public sealed record LetterTouch(int Index)
{
    /// <summary>Moved to the right, share of the cap height.</summary>
    public double X { get; init; }

    /// <summary>Moved down, share of the cap height.</summary>
    public double Y { get; init; }

    /// <summary>Turned about its middle, degrees clockwise.</summary>
    public double Turn { get; init; }

    /// <summary>Size over the other letters', 0.2 to 5.</summary>
    public double Scale { get; init; } = 1;

    /// <summary>Added to the gap after it, share of the cap height.</summary>
    public double GapAfter { get; init; }

    /// <summary>True when nothing is changed.</summary>
    public bool IsNone => this with { Index = 0 } == new LetterTouch(0);
}

/// <summary>Which number stays when words change.</summary>
public enum LetterSizing
{
    /// <summary>Letters keep their height, the box follows the words.</summary>
    CapHeight,

    /// <summary>The box stays, letters are fitted into it.</summary>
    Box,

    /// <summary>The width of the words stays, their height follows.</summary>
    Width,
}

public enum TextAlign
{
    Left,
    Centre,
    Right,
}
