using System.Globalization;

namespace Ullet.Files.Designs;

/// <summary>Takes lines of G-code apart.</summary>
internal static class NeedlePathWords
{
    /// <summary>A line without what is said about it, after ; or in brackets.</summary>
    internal static string WithoutComments(string line)
    {
        var plain = line.Trim();
        if (plain.IndexOf(';') is >= 0 and var at)
        {
            plain = plain[..at];
        }
        while (plain.IndexOf('(') is >= 0 and var open)
        {
            var close = plain.IndexOf(')', open);
            plain = close < 0 ? plain[..open] : plain[..open] + plain[(close + 1)..];
        }
        return plain.Trim();
    }

    /// <summary>The letters of a line with their numbers; null for a line that is none.</summary>
    internal static List<(char Letter, double Number)>? Of(string line)
    {
        var words = new List<(char, double)>();
        var at = 0;
        while (at < line.Length)
        {
            if (char.IsWhiteSpace(line[at]))
            {
                at++;
                continue;
            }
            var letter = char.ToUpperInvariant(line[at++]);
            if (!char.IsAsciiLetterUpper(letter))
            {
                return null;
            }
            while (at < line.Length && line[at] == ' ')
            {
                at++;
            }
            var from = at;
            while (at < line.Length && (char.IsAsciiDigit(line[at]) || line[at] is '.' or '-' or '+'))
            {
                at++;
            }
            if (
                !double.TryParse(
                    line.AsSpan(from, at - from),
                    NumberStyles.Float,
                    CultureInfo.InvariantCulture,
                    out var number
                ) || !double.IsFinite(number)
            )
            {
                return null;
            }
            words.Add((letter, number));
        }
        return words;
    }
}
