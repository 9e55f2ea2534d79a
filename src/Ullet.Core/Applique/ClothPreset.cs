using System.Globalization;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>How a cloth wants to be stitched where nobody set another number; lengths in mm.</summary>
/// <param name="Compensation">Pull compensation on each side.</param>
/// <param name="Spacing">Spacing of a satin cover.</param>
/// <param name="CoverWidth">Width of a satin cover.</param>
/// <param name="NeedleLimit">Most needle points in a disc of 0.5 mm radius.</param>
/// <param name="Bite">Cover wanted inside the edge.</param>
/// <param name="DrawIn">How far stitching draws the cloth towards the piece's middle, share of the distance.</param>
/// <param name="Stabiliser">What goes beneath, in words.</param>
/// <param name="Topping">What goes on top, in words; null for nothing.</param>
/// <param name="Needle">The needle, in words.</param>
/// <remarks>Source: the trade's usual settings for 40-weight thread.</remarks>
public sealed record ClothPreset(
    double Compensation,
    double Spacing,
    double CoverWidth,
    int NeedleLimit,
    double Bite,
    double DrawIn,
    string Stabiliser,
    string? Topping,
    string Needle
)
{
    /// <summary>Cloth darker than this (relative luminance as W3C defines it, 0 to 1) shows between paler strokes.</summary>
    private const double Dark = 0.12;

    /// <summary>Strokes lie this much closer on dark cloth, mm.</summary>
    private const double CloserOnDark = 0.02;

    private const string Film = "water-soluble film";

    /// <summary>The preset of a cloth: by its kind, its tone and its pile.</summary>
    public static ClothPreset Of(Cloth? cloth)
    {
        var preset = OfKind(cloth?.Kind ?? ClothKind.WovenCotton);
        if (cloth is null)
        {
            return preset;
        }
        if (IsDark(cloth.Colour) && preset.NeedleLimit == StitchDefaults.NeedleLimit)
        {
            preset = preset with { Spacing = Math.Round(preset.Spacing - CloserOnDark, 3) };
        }
        return cloth.IsDeepPile
            ? preset with
            {
                Compensation = Math.Round(preset.Compensation + 0.2, 3),
                CoverWidth = preset.CoverWidth + 0.5,
                Topping = Film,
            }
            : preset;
    }

    /// <summary>Cloth paler than this lets a dark one shadow through.</summary>
    private const double Pale = 0.55;

    /// <summary>True for a dark colour, #rrggbb.</summary>
    public static bool IsDark(string colour) => Luminance(colour) < Dark;

    /// <summary>True for a pale colour, #rrggbb.</summary>
    public static bool IsPale(string colour) => Luminance(colour) > Pale;

    private static double Luminance(string colour)
    {
        double Channel(int at)
        {
            var value = int.Parse(colour.AsSpan(at, 2), NumberStyles.HexNumber, CultureInfo.InvariantCulture) / 255.0;
            return value <= 0.03928 ? value / 12.92 : Math.Pow((value + 0.055) / 1.055, 2.4);
        }
        return (0.2126 * Channel(1)) + (0.7152 * Channel(3)) + (0.0722 * Channel(5));
    }

    private static ClothPreset OfKind(ClothKind kind) =>
        kind switch
        {
            ClothKind.Linen => new(0.2, 0.40, 3.5, 12, 1.0, 0.003, "medium tear-away", null, "75/11 embroidery"),
            ClothKind.Felt => new(0.3, 0.40, 3.5, 12, 0.5, 0.001, "medium tear-away", null, "75/11 embroidery"),
            ClothKind.Vinyl => new(0.1, 0.45, 3.5, 8, 0.5, 0.0005, "firm tear-away", null, "70/10 sharp"),
            ClothKind.Denim => new(0.25, 0.40, 4.0, 12, 1.0, 0.002, "firm tear-away", null, "90/14 jeans"),
            ClothKind.Fleece => new(0.4, 0.38, 4.5, 12, 1.0, 0.005, "medium cut-away", Film, "80/12 ballpoint"),
            ClothKind.Jersey => new(0.4, 0.40, 3.5, 12, 1.0, 0.006, "fusible mesh cut-away", null, "75/11 ballpoint"),
            ClothKind.Organza => new(0.15, 0.45, 3.0, 8, 1.0, 0.002, Film, null, "65/9 sharp"),
            ClothKind.Twill => new(0.2, 0.40, 3.5, 12, 1.0, 0.002, "medium tear-away", null, "80/12 embroidery"),
            ClothKind.Canvas => new(0.25, 0.40, 4.0, 12, 1.0, 0.002, "firm tear-away", null, "90/14 jeans"),
            ClothKind.Cork => new(0.1, 0.50, 3.5, 7, 0.5, 0.0005, "medium tear-away", null, "75/11 sharp"),
            ClothKind.Film or ClothKind.IronOnFilm => new(
                0.1,
                0.45,
                3.5,
                8,
                0.5,
                0.0005,
                "medium tear-away",
                null,
                "70/10 sharp"
            ),
            ClothKind.WovenCotton
            or ClothKind.Stabiliser
            or ClothKind.CutAway
            or ClothKind.Mesh
            or ClothKind.WashAway
            or ClothKind.Batting
            or ClothKind.Zip => new(
                StitchDefaults.PullCompensation,
                StitchDefaults.CoverSpacing,
                StitchDefaults.CoverWidth,
                StitchDefaults.NeedleLimit,
                1.0,
                0.002,
                "medium tear-away",
                null,
                "75/11 embroidery"
            ),
        };
}
