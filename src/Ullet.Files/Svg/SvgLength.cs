using Ullet.Core.Pipeline;

namespace Ullet.Files.Svg;

/// <summary>Reads lengths as CSS and SVG write them.</summary>
internal static class SvgLength
{
    private const double PixelMm = 25.4 / 96;

    private static readonly (string Unit, double Mm)[] Units =
    [
        ("mm", 1),
        ("cm", 10),
        ("in", 25.4),
        ("pt", 25.4 / 72),
        ("pc", 25.4 / 6),
        ("px", PixelMm),
        ("q", 0.25),
    ];

    /// <summary>mm of a length with a unit; null for one without, or that is none.</summary>
    internal static double? Mm(string? text)
    {
        var trimmed = text?.Trim().ToLowerInvariant() ?? "";
        foreach (var (unit, mm) in Units)
        {
            if (trimmed.EndsWith(unit, StringComparison.Ordinal) && Number(trimmed[..^unit.Length]) is { } value)
            {
                return value * mm;
            }
        }
        return null;
    }

    /// <summary>True for a length in a unit that can be laid a ruler on; pixels have as many sizes as there are programs.</summary>
    internal static bool IsReal(string? text) =>
        Mm(text) is not null && !text!.Trim().EndsWith("px", StringComparison.OrdinalIgnoreCase);

    /// <summary>A length in pixels of 1/96 in, bare numbers taken for pixels; null for a share or what is none.</summary>
    internal static double? Pixels(string? text) => Mm(text) / PixelMm ?? Number(text);

    internal static double? Number(string? text) => Measure.Read(text);
}
