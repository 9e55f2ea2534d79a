using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>Holds the numbers of filled areas against their ranges.</summary>
public static class FillLimits
{
    public static readonly (double Least, double Most) Spacing = (0.25, 5.0);

    public static readonly (double Least, double Most) StitchLength = (1.5, 6.5);

    public static readonly (double Least, double Most) Angle = (-180, 180);

    /// <summary>From this distance on what lies beneath shows between rows, mm.</summary>
    public const double Shows = 0.8;

    /// <summary>Says what is wrong with a filled area, or null.</summary>
    public static Refusal? Check(FilledMaking making) =>
        Limits.CheckSet(making.Spacing, Spacing, "mm", "The distance of the rows", "spacing")
        ?? Limits.CheckSet(
            making.Compensation,
            StitchRanges.PullCompensation,
            "mm",
            "The pull compensation",
            "compensation"
        )
        ?? Limits.CheckSet(making.StitchLength, StitchLength, "mm", "The stitch length along the rows", "stitchLength")
        ?? Limits.CheckSet(making.Angle, Angle, "°", "The angle of the rows", "angle")
        ?? (
            making is { FilmClothId: not null, Spacing: < Shows }
                ? new Refusal(
                    "film-hidden",
                    "spacing",
                    $"Film does not show between rows nearer than {Shows} mm: set the rows looser, or do without the film."
                )
                : null
        )
        ?? (
            making.Guide.Any(spot => !double.IsFinite(spot.X + spot.Y))
                ? new Refusal("guide-not-finite", "guide", "A place of the guide is no number.")
                : null
        );
}
