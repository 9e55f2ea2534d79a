using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Lettering;

/// <summary>What may be set: the ranges of a lettering's numbers, and texts that its font can draw.</summary>
public static class WordsLimits
{
    /// <summary>Least and most cap height, mm.</summary>
    public static readonly (double Least, double Most) CapHeight = (2, 500);

    public static readonly (double Least, double Most) Spacing = (-0.5, 2);

    public static readonly (double Least, double Most) LineSpacing = (0.5, 3);

    public static readonly (double Least, double Most) Slant = (-45, 45);

    public static readonly (double Least, double Most) Arc = (-350, 350);

    public static readonly (double Least, double Most) NarrowedTo = (0.5, 1);

    public static readonly (double Least, double Most) LetterScale = (0.2, 5);

    /// <summary>Says what is wrong with words, or null.</summary>
    /// <param name="words">The lettering.</param>
    /// <param name="fonts">Where its font is looked for.</param>
    public static Refusal? Check(TextForm words, IGlyphSource fonts)
    {
        var refusal = CheckText(words.Text) ?? CheckNumbers(words);
        if (refusal is not null)
        {
            return refusal;
        }
        if (fonts.Find(words.FontId) is not { } font)
        {
            return new Refusal(
                "font-unknown",
                "fontId",
                "That font is not in this installation; choose another or add it again."
            );
        }
        var missing = font.Missing(words.Text);
        return missing.IsEmpty
            ? null
            : new Refusal(
                "characters-missing",
                "text",
                $"{font.Name} has no {string.Join(", ", missing.Take(8).Select(Named))}"
                    + $"{(missing.Length > 8 ? " and others" : "")}. Choose another font, or leave "
                    + $"{(missing.Length == 1 ? "it" : "them")} out."
            );
    }

    /// <summary>Says what is wrong with the numbers of words, or null.</summary>
    public static Refusal? CheckNumbers(TextForm words) =>
        Range(words.Spacing, Spacing, "", "The spacing, as a share of the cap height,", "spacing")
        ?? Range(words.LineSpacing, LineSpacing, "", "The line spacing", "lineSpacing")
        ?? Range(words.Slant, Slant, "degrees", "The slant", "slant")
        ?? Range(words.Arc, Arc, "degrees", "The arc", "arc")
        ?? (
            words.NarrowedTo is { } narrowed
                ? Range(
                    narrowed,
                    NarrowedTo,
                    "",
                    "How far letters may be narrowed, as a share of their width,",
                    "narrowedTo"
                )
                : null
        )
        ?? words.Touches.Select(CheckTouch).FirstOrDefault(found => found is not null);

    /// <summary>Says what is wrong with a text whatever its font, or null.</summary>
    public static Refusal? CheckText(string text)
    {
        text = PlainText.Lines(text);
        if (string.IsNullOrWhiteSpace(text))
        {
            return new Refusal("text-empty", "text", "There are no words to set; type some.");
        }
        if (text.Length > TextForm.LongestText)
        {
            return new Refusal(
                "text-too-long",
                "text",
                $"A lettering takes up to {TextForm.LongestText} characters; this one has {text.Length:N0}. "
                    + "Divide it over several."
            );
        }
        var lines = text.Count(character => character == '\n') + 1;
        if (lines > TextForm.MostLines)
        {
            return new Refusal(
                "text-too-long",
                "text",
                $"A lettering takes up to {TextForm.MostLines} lines; this one has {lines}."
            );
        }
        return null;
    }

    private static Refusal? CheckTouch(LetterTouch touch) =>
        Range(touch.X, (-5, 5), "cap heights", "A letter's way to the side", "x")
        ?? Range(touch.Y, (-5, 5), "cap heights", "A letter's way up or down", "y")
        ?? Range(touch.Turn, (-360, 360), "degrees", "A letter's turn", "turn")
        ?? Range(touch.Scale, LetterScale, "times", "A letter's size", "scale")
        ?? Range(touch.GapAfter, (-2, 5), "cap heights", "The gap after a letter", "gapAfter");

    private static Refusal? Range(
        double value,
        (double Least, double Most) range,
        string unit,
        string what,
        string place
    ) => Limits.CheckRange(value, range.Least, range.Most, unit, what, place);

    private static string Named(string character) => $"“{character}”";
}
