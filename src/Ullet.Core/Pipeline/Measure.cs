using System.Globalization;

namespace Ullet.Core.Pipeline;

/// <summary>Whether a number read from a file or a request can be a measure.</summary>
public static class Measure
{
    /// <summary>The largest measure in any unit: a thousand kilometres in mm.</summary>
    public const double Largest = 1e9;

    /// <summary>True for a finite number of a size that can be measured; zero is one, a number that is only almost zero is none.</summary>
    public static bool Is(double value) => Math.Abs(value) <= Largest && !double.IsSubnormal(value);

    /// <summary>Reads a number as files write it; null for text that is none, or no measure (<see cref="IsWild"/>).</summary>
    public static double? Read(ReadOnlySpan<char> text) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value)
        && Is(value)
        && !IsWild(text)
            ? value
            : null;

    /// <summary>True for text with a number in it whose exponent has three digits or more: none of a measure has, whatever the
    /// number became when it was read.</summary>
    public static bool IsWild(ReadOnlySpan<char> text)
    {
        for (var i = 1; i < text.Length; i++)
        {
            if (text[i] is not ('e' or 'E') || !(char.IsAsciiDigit(text[i - 1]) || text[i - 1] == '.'))
            {
                continue;
            }
            var at = i + 1;
            at += at < text.Length && text[at] is '+' or '-' ? 1 : 0;
            while (at < text.Length && text[at] == '0')
            {
                at++;
            }
            var digits = 0;
            while (at < text.Length && char.IsAsciiDigit(text[at]))
            {
                (at, digits) = (at + 1, digits + 1);
            }
            if (digits > 2)
            {
                return true;
            }
        }
        return false;
    }
}
