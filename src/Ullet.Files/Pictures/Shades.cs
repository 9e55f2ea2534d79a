using SkiaSharp;

namespace Ullet.Files.Pictures;

/// <summary>Colours and their lighter and darker neighbours.</summary>
internal static class Shades
{
    internal static SKColor Colour(string hex) => SKColor.Parse(hex);

    /// <summary>Darker under 1, lighter over 1.</summary>
    internal static SKColor Shaded(this SKColor colour, float factor) =>
        new(Scaled(colour.Red, factor), Scaled(colour.Green, factor), Scaled(colour.Blue, factor));

    private static byte Scaled(byte part, float factor) =>
        (byte)Math.Clamp(factor <= 1 ? part * factor : 255 - ((255 - part) / factor), 0, 255);
}
