using System.Globalization;

namespace Ullet.Core.Moments;

/// <summary>Colours of drawings: each is told apart in grey as well.</summary>
internal static class MomentColours
{
    internal const string Ink = "#1d2a3a";
    internal const string Pale = "#9aa5b1";
    internal const string Frame = "#dfe4ea";
    internal const string White = "#ffffff";
    internal const string Guide = "#3b4ba3";
    internal const string Scissors = "#166056";
    internal const string Way = "#a86b00";
    internal const string Tape = "#fdf3cf";
    internal const string Metal = "#4a5563";

    /// <summary>A colour nearer to white.</summary>
    /// <param name="colour">#rrggbb.</param>
    /// <param name="share">How much of it is left.</param>
    internal static string Tint(string colour, double share) => Mixed(colour, 255, share);

    /// <summary>A thread's colour as a line on paper: dark enough to be seen in grey.</summary>
    internal static string Line(string colour)
    {
        var (r, g, b) = Parts(colour);
        var light = ((0.299 * r) + (0.587 * g) + (0.114 * b)) / 255;
        return light <= Darkest ? colour : Mixed(colour, 0, Darkest / light);
    }

    private const double Darkest = 0.5;

    private static string Mixed(string colour, int with, double share)
    {
        var (r, g, b) = Parts(colour);
        int Part(int own) => (int)Math.Round((own * share) + (with * (1 - share)));
        return string.Create(CultureInfo.InvariantCulture, $"#{Part(r):x2}{Part(g):x2}{Part(b):x2}");
    }

    private static (int R, int G, int B) Parts(string colour)
    {
        var number = int.Parse(colour.AsSpan(1, 6), NumberStyles.HexNumber, CultureInfo.InvariantCulture);
        return (number >> 16, (number >> 8) & 255, number & 255);
    }
}
