using System.Globalization;

namespace Ullet.Files.CutFiles;

/// <summary>Reads lengths as CSS and SVG write them.</summary>
internal static class SvgLength
{
    private static readonly (string Unit, double Mm)[] Units =
    [
        ("mm", 1),
        ("cm", 10),
        ("in", 25.4),
        ("pt", 25.4 / 72),
        ("pc", 25.4 / 6),
        ("px", 25.4 / 96),
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

    internal static double? Number(string? text) =>
        double.TryParse(text, NumberStyles.Float, CultureInfo.InvariantCulture, out var value) && double.IsFinite(value)
            ? value
            : null;
}
