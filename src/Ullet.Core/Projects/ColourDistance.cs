using System.Globalization;

namespace Ullet.Core.Projects;

/// <summary>How far two colours lie apart to the eye: CIEDE2000.</summary>
/// <remarks>Source: Sharma, Wu, Dalal, "The CIEDE2000 Color-Difference Formula: Implementation Notes, Supplementary Test Data, and
/// Mathematical Observations" (2005), all weights 1; its test data stand in ColourDistanceTests. Colours are sRGB under D65.</remarks>
public static class ColourDistance
{
    /// <summary>Shades so near can hardly be told apart on one piece of work.</summary>
    public const double HardlyTold = 3;

    /// <summary>Shades so near can take each other's place.</summary>
    public const double Near = 9;

    /// <summary>How far apart; 0 for the same colour, about 100 from black to white.</summary>
    /// <param name="one">#rrggbb.</param>
    /// <param name="other">#rrggbb.</param>
    public static double Between(string one, string other) => Between(LabOf(one), LabOf(other));

    /// <summary>How light a colour is: 0 for black, 100 for white.</summary>
    /// <param name="colour">#rrggbb.</param>
    public static double Lightness(string colour) => LabOf(colour).L;

    /// <summary>How far apart two colours of CIELAB lie.</summary>
    internal static double Between((double L, double A, double B) one, (double L, double A, double B) other)
    {
        var chroma = (Hypot(one.A, one.B) + Hypot(other.A, other.B)) / 2;
        var grey = 0.5 * (1 - Math.Sqrt(Seventh(chroma)));
        var (a1, a2) = ((1 + grey) * one.A, (1 + grey) * other.A);
        var (c1, c2) = (Hypot(a1, one.B), Hypot(a2, other.B));
        var (h1, h2) = (Hue(a1, one.B), Hue(a2, other.B));
        var isGrey = c1 * c2 == 0;
        var turn = isGrey ? 0 : Math.IEEERemainder(h2 - h1, 360);
        var (dL, dC) = (other.L - one.L, c2 - c1);
        var dH = 2 * Math.Sqrt(c1 * c2) * Sin(turn / 2);
        var (lightness, meanC) = ((one.L + other.L) / 2, (c1 + c2) / 2);
        var meanH = isGrey ? h1 + h2 : MeanHue(h1, h2);
        var t =
            1
            - (0.17 * Cos(meanH - 30))
            + (0.24 * Cos(2 * meanH))
            + (0.32 * Cos((3 * meanH) + 6))
            - (0.20 * Cos((4 * meanH) - 63));
        var fromMiddle = (lightness - 50) * (lightness - 50);
        var sL = 1 + (0.015 * fromMiddle / Math.Sqrt(20 + fromMiddle));
        var sC = 1 + (0.045 * meanC);
        var sH = 1 + (0.015 * meanC * t);
        var blue = 30 * Math.Exp(-Math.Pow((meanH - 275) / 25, 2));
        var rotation = -Sin(2 * blue) * 2 * Math.Sqrt(Seventh(meanC));
        var (l, c, h) = (dL / sL, dC / sC, dH / sH);
        return Math.Sqrt((l * l) + (c * c) + (h * h) + (rotation * c * h));
    }

    private static double Seventh(double chroma)
    {
        var power = Math.Pow(chroma, 7);
        return power / (power + Math.Pow(25, 7));
    }

    private static double MeanHue(double h1, double h2) =>
        Math.Abs(h1 - h2) <= 180 ? (h1 + h2) / 2
        : h1 + h2 < 360 ? (h1 + h2 + 360) / 2
        : (h1 + h2 - 360) / 2;

    /// <summary>Degrees from 0 to 360; 0 for grey.</summary>
    private static double Hue(double a, double b)
    {
        var degrees = a == 0 && b == 0 ? 0 : Math.Atan2(b, a) * 180 / Math.PI;
        return degrees < 0 ? degrees + 360 : degrees;
    }

    private static double Hypot(double a, double b) => Math.Sqrt((a * a) + (b * b));

    private static double Sin(double degrees) => Math.Sin(degrees * Math.PI / 180);

    private static double Cos(double degrees) => Math.Cos(degrees * Math.PI / 180);

    private static (double L, double A, double B) LabOf(string colour)
    {
        var (red, green, blue) = (Linear(colour, 1), Linear(colour, 3), Linear(colour, 5));
        var x = Root(((0.4124564 * red) + (0.3575761 * green) + (0.1804375 * blue)) / 0.95047);
        var y = Root((0.2126729 * red) + (0.7151522 * green) + (0.0721750 * blue));
        var z = Root(((0.0193339 * red) + (0.1191920 * green) + (0.9503041 * blue)) / 1.08883);
        return ((116 * y) - 16, 500 * (x - y), 200 * (y - z));
    }

    private static double Linear(string colour, int at)
    {
        var part = int.Parse(colour.AsSpan(at, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture) / 255.0;
        return part <= 0.04045 ? part / 12.92 : Math.Pow((part + 0.055) / 1.055, 2.4);
    }

    private static double Root(double part) =>
        part > 216.0 / 24389 ? Math.Cbrt(part) : ((part * 24389 / 27) + 16) / 116;
}
