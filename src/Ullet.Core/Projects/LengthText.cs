using System.Globalization;
using System.Text.RegularExpressions;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>Lengths as people write them: mm, decimal inches, fractions of an inch.</summary>
public static partial class LengthText
{
    public const double MmPerInch = 25.4;

    private const string Hint = "Write a length like 98.4, 98.4 mm, 3.875 in or 3 7/8.";

    /// <summary>Reads a typed length.</summary>
    /// <param name="text">"98.4", "98.4mm", "3.875in", "3 7/8", "3-7/8\""; a comma serves as decimal point too.</param>
    /// <param name="shown">The unit of a bare decimal; a fraction or an inch mark is always inches.</param>
    /// <returns>mm, or "length-broken" with a sentence. A minus sign is read; ranges are the caller's.</returns>
    public static Result<double> Read(string text, LengthUnit shown)
    {
        var match = Pattern().Match(text.Trim().Replace('−', '-').Replace('″', '"').Replace(',', '.'));
        if (text.Length > 40 || !match.Success)
        {
            return new Refusal("length-broken", "length", $"\"{Shorten(text)}\" is not a length. {Hint}");
        }
        var whole = Number(match.Groups["whole"]);
        var fraction = match.Groups["over"].Success;
        if (fraction && Number(match.Groups["over"]) == 0)
        {
            return new Refusal("length-broken", "length", $"\"{Shorten(text)}\" divides by zero. {Hint}");
        }
        var value = whole + (fraction ? Number(match.Groups["part"]) / Number(match.Groups["over"]) : 0);
        var unit = match.Groups["unit"].Value.ToLowerInvariant();
        if (fraction && unit == "mm")
        {
            return new Refusal(
                "length-broken",
                "length",
                $"A fraction is always inches; \"{Shorten(text)}\" says mm. {Hint}"
            );
        }
        var inches = fraction || unit is "in" or "\"" || (unit.Length == 0 && shown == LengthUnit.Inch);
        var signed = match.Groups["sign"].Value == "-" ? -value : value;
        return inches ? signed * MmPerInch
            : unit == "cm" ? signed * 10
            : signed;
    }

    /// <summary>mm to one decimal: "64.5 mm".</summary>
    public static string Mm(double mm) => mm.ToString("0.0", CultureInfo.InvariantCulture) + " mm";

    /// <summary>The nearest sixteenth of an inch: "2 9/16 in"; at least one, for anything that is there.</summary>
    public static string Sixteenths(double mm) =>
        Fraction(Math.Max(mm > 0 ? 1 : 0, (int)Math.Round(mm / MmPerInch * 16, MidpointRounding.AwayFromZero)));

    /// <summary>The next sixteenth of an inch that is not smaller: "2 9/16 in".</summary>
    public static string SixteenthsUp(double mm) => Fraction((int)Math.Ceiling((mm / MmPerInch * 16) - 1e-6));

    private static string Fraction(int sixteenths)
    {
        var (whole, rest) = (sixteenths / 16, sixteenths % 16);
        var over = 16;
        while (rest > 0 && rest % 2 == 0)
        {
            (rest, over) = (rest / 2, over / 2);
        }
        return rest == 0 ? $"{whole} in"
            : whole == 0 ? $"{rest}/{over} in"
            : $"{whole} {rest}/{over} in";
    }

    /// <summary>A size that hands must cut at least, rounded up: "64 × 70 mm (2 9/16 in × 2 3/4 in)".</summary>
    public static string AtLeast(double width, double height) =>
        $"{Math.Ceiling(width - 1e-6):0} × {Math.Ceiling(height - 1e-6):0} mm "
        + $"({SixteenthsUp(width)} × {SixteenthsUp(height)})";

    private static double Number(Group group) =>
        group.Success && group.Length > 0 ? double.Parse(group.Value, CultureInfo.InvariantCulture) : 0;

    private static string Shorten(string text) => text.Length <= 24 ? text : text[..24] + "…";

    [GeneratedRegex(
        """^(?<sign>[-+]?)\s*(?:(?<whole>\d+(?:\.\d+)?|\.\d+)(?:(?:\s+|\s*-\s*)(?<part>\d+)\s*/\s*(?<over>\d+))?|(?<part>\d+)\s*/\s*(?<over>\d+))\s*(?<unit>mm|cm|in|"|)$""",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture,
        matchTimeoutMilliseconds: 200
    )]
    private static partial Regex Pattern();
}
