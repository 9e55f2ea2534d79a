using System.Globalization;
using System.Text.RegularExpressions;

namespace Ullet.Core.Projects;

/// <summary>Sentences with lengths in them, in the unit that is shown. Inside the program all lengths are mm; a sentence is put into
/// inches where it leaves it.</summary>
public static partial class LengthWords
{
    /// <summary>A sentence in the unit that is shown: as it is for mm, every "12.5 mm" and "98.4 × 64.0 mm" in inches for inches.</summary>
    public static string In(string words, LengthUnit unit) =>
        unit == LengthUnit.Millimetre || !words.Contains("mm", StringComparison.Ordinal)
            ? words
            : Lengths().Replace(words, InInches);

    private static string InInches(Match match)
    {
        var isArea = match.Groups["square"].Success;
        var per = isArea ? LengthText.MmPerInch * LengthText.MmPerInch : LengthText.MmPerInch;
        var numbers = Number().Replace(match.Groups["numbers"].Value, number => Inches(number.Value, per));
        return $"{numbers} {(isArea ? "sq in" : "in")}";
    }

    /// <summary>To a hundredth; to a thousandth where the mm had hundredths, or little would be left.</summary>
    private static string Inches(string mm, double per)
    {
        var value = double.Parse(mm, CultureInfo.InvariantCulture) / per;
        var point = mm.IndexOf('.', StringComparison.Ordinal);
        var digits = (point >= 0 && mm.Length - point > 2) || Math.Abs(value) < 0.1 ? "0.000" : "0.00";
        return value.ToString(digits, CultureInfo.InvariantCulture);
    }

    [GeneratedRegex(
        @"(?<numbers>(?<![\w.])[-−]?\d+(?:\.\d+)?(?:\s*(?:×|to|and|or|by|–)\s*\d+(?:\.\d+)?)*)[\s\u00a0]mm(?<square>²)?(?![\w/])",
        RegexOptions.None,
        matchTimeoutMilliseconds: 500
    )]
    private static partial Regex Lengths();

    [GeneratedRegex(@"\d+(?:\.\d+)?", RegexOptions.None, matchTimeoutMilliseconds: 500)]
    private static partial Regex Number();
}
