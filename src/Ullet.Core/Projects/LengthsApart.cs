using System.Globalization;

namespace Ullet.Core.Projects;

/// <summary>Two lengths in one sentence that says which is the smaller one: with as many digits as tell them apart.</summary>
public static class LengthsApart
{
    private const int MostDigits = 3;

    /// <summary>Both in words, mm; to a tenth where that tells them apart, to a thousandth at most.</summary>
    public static (string First, string Second) Mm(double first, double second)
    {
        for (var digits = 1; digits < MostDigits; digits++)
        {
            var (one, other) = (Text(first, digits), Text(second, digits));
            if (one != other)
            {
                return (one, other);
            }
        }
        return (Text(first, MostDigits), Text(second, MostDigits));
    }

    private static string Text(double mm, int digits) =>
        mm.ToString("F" + digits.ToString(CultureInfo.InvariantCulture), CultureInfo.InvariantCulture) + " mm";
}
