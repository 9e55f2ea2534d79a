using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>The ranges in which numbers typed by a person are taken; outside they are refused with a sentence.</summary>
public static class Limits
{
    /// <summary>Smallest width or height of an element, mm.</summary>
    public const double SmallestSize = 1;

    /// <summary>Largest width or height of an element, mm: more than any hoop or mat of a home.</summary>
    public const double LargestSize = 1000;

    /// <summary>Farthest middle from the field's centre, mm.</summary>
    public const double FarthestPlace = 2000;

    public const int LongestName = 80;

    /// <summary>Most that a form leans to a side, degrees.</summary>
    public const double MostSkew = 60;

    /// <summary>Says what is wrong with a box, or null.</summary>
    /// <param name="box">The box.</param>
    /// <param name="name">Whose it is.</param>
    /// <param name="mayBeFlat">True for a line, which may have no width or no height.</param>
    public static Refusal? CheckBox(ElementBox box, string name, bool mayBeFlat = false) =>
        CheckRange(box.Width, mayBeFlat ? 0 : SmallestSize, LargestSize, "mm", $"The width of {name}", "width")
        ?? CheckRange(box.Height, mayBeFlat ? 0 : SmallestSize, LargestSize, "mm", $"The height of {name}", "height")
        ?? CheckRange(box.X, -FarthestPlace, FarthestPlace, "mm", $"The place across of {name}", "x")
        ?? CheckRange(box.Y, -FarthestPlace, FarthestPlace, "mm", $"The place down of {name}", "y")
        ?? CheckRange(box.Rotation, -360, 360, "degrees", $"The turn of {name}", "rotation")
        ?? CheckRange(box.Skew, -MostSkew, MostSkew, "degrees", $"The skew of {name}", "skew");

    /// <summary>Says that a number that was set lies outside its range, or null; nothing is wrong with one that was not.</summary>
    public static Refusal? CheckSet(
        double? value,
        (double Least, double Most) range,
        string unit,
        string what,
        string place
    ) => value is { } given ? CheckRange(given, range.Least, range.Most, unit, what, place) : null;

    /// <summary>Says that a number lies outside its range (or is none), or null.</summary>
    public static Refusal? CheckRange(
        double value,
        double least,
        double most,
        string unit,
        string what,
        string place
    ) =>
        double.IsFinite(value) && !double.IsSubnormal(value) && value >= least && value <= most
            ? null
            : new Refusal(
                "number-out-of-range",
                place,
                $"{what} must be from {least:0.##} to {most:0.##}{(unit.Length > 0 ? " " + unit : "")}; "
                    + $"{(double.IsFinite(value) ? value.ToString("0.###") : "that")} was given."
            );

    /// <summary>Says what is wrong with a name once it is cleaned (<see cref="PlainText"/>), or null.</summary>
    public static Refusal? CheckName(string name, string what)
    {
        name = PlainText.Line(name);
        if (string.IsNullOrWhiteSpace(name))
        {
            return new Refusal("name-empty", "name", $"{what} needs a name.");
        }
        return name.Length > LongestName
            ? new Refusal(
                "name-too-long",
                "name",
                $"{what} may have a name of up to {LongestName} characters; this one has {name.Length:N0}."
            )
            : null;
    }

    /// <summary>Says that a text is longer than it may be, or null; nothing is wrong with one that is not there.</summary>
    public static Refusal? CheckLength(string? text, int longest, string what, string place) =>
        text is null || text.Length <= longest
            ? null
            : new Refusal(
                "text-too-long",
                place,
                $"{what} may have up to {longest} characters; this one has {text.Length:N0}."
            );

    /// <summary>Says what is wrong with a colour, or null.</summary>
    public static Refusal? CheckColour(string colour, string what) =>
        colour.Length == 7 && colour[0] == '#' && colour.Skip(1).All(char.IsAsciiHexDigit)
            ? null
            : new Refusal(
                "colour-broken",
                "colour",
                $"{what} needs a colour like #8e2347; \"{(colour.Length > 40 ? colour[..40] + "…" : colour)}\" is none."
            );
}
