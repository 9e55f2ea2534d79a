using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>Holds the numbers of cut settings against their ranges.</summary>
public static class CutLimits
{
    /// <summary>Smallest side of a mat, mm.</summary>
    public const double SmallestMat = 50;

    /// <summary>Largest side of a mat, mm.</summary>
    public const double LargestMat = 2000;

    public const int MostCopies = 50;

    public const int MostSheets = 100;

    /// <summary>Says what is wrong with a mat, or null.</summary>
    public static Refusal? Check(MatSize mat) =>
        Limits.CheckRange(mat.Width, SmallestMat, LargestMat, "mm", "The width of the mat", "width")
        ?? Limits.CheckRange(mat.Height, SmallestMat, LargestMat, "mm", "The height of the mat", "height")
        ?? Limits.CheckRange(
            mat.Margin,
            0,
            (Math.Min(mat.Width, mat.Height) - 20) / 2,
            "mm",
            "The margin of the mat",
            "margin"
        );

    /// <summary>Says what is wrong with the settings of one cloth, or null.</summary>
    public static Refusal? Check(ClothCut cloth) =>
        (cloth.Mat is { } mat ? Check(mat) : null)
        ?? Check(cloth.UsableWidth, 10, LargestMat, "mm", "The usable width of the cloth", "usableWidth")
        ?? Limits.CheckRange(cloth.Gap, 0, 50, "mm", "The gap between shapes", "gap")
        ?? Limits.CheckRange(cloth.Copies, 1, MostCopies, "", "The number of copies", "copies")
        ?? (cloth.Profile is { } profile ? Check(profile) : null)
        ?? Check(cloth.Tolerances)
        ?? (cloth.Photo is { } photo ? Check(photo) : null)
        ?? cloth.Places.Select(Check).FirstOrDefault(refusal => refusal is not null);

    /// <summary>Says what is wrong with a profile, or null.</summary>
    public static Refusal? Check(CutProfile profile) =>
        Limits.CheckName(profile.Name, "A profile")
        ?? Limits.CheckRange(profile.Depth, 0.1, 5, "mm", "The depth of the blade", "depth")
        ?? Limits.CheckRange(profile.Pressure, 0.05, 1, "", "The pressure", "pressure")
        ?? Limits.CheckRange(profile.Speed, 1, 500, "mm/s", "The speed", "speed")
        ?? Limits.CheckRange(profile.Passes, 1, 6, "", "The number of passes", "passes")
        ?? Limits.CheckRange(profile.SmallestFeature, 0.2, 50, "mm", "The smallest feature", "smallestFeature")
        ?? Limits.CheckRange(profile.LeastRadius, 0, 50, "mm", "The least radius", "leastRadius");

    /// <summary>Says what is wrong with tolerances, or null.</summary>
    public static Refusal? Check(EdgeTolerances tolerances) =>
        Check(tolerances.Cutting, 0, 3, "mm", "The tolerance of cutting", "cutting")
        ?? Check(tolerances.Laying, 0, 5, "mm", "The tolerance of laying", "laying")
        ?? Check(tolerances.TrimLeast, -1, 5, "mm", "The least that trimming leaves", "trimLeast")
        ?? Check(tolerances.TrimMost, 0, 8, "mm", "The most that trimming leaves", "trimMost")
        ?? Check(tolerances.DrawIn, 0, 0.1, "", "The draw-in", "drawIn")
        ?? (
            tolerances.TrimLeast > (tolerances.TrimMost ?? double.MaxValue)
                ? new Refusal(
                    "trim-upside-down",
                    "trimLeast",
                    "Trimming can't leave at least more than it leaves at most."
                )
                : null
        );

    private static Refusal? Check(MatPhoto photo) =>
        (
            photo.Picture.Length is > 0 and <= 80
            && photo.Picture.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-')
                ? null
                : new Refusal("picture-unknown", "picture", "There is no such picture to lie on the mat.")
        )
        ?? Limits.CheckRange(photo.Width, 5, 3000, "mm", "The width of the photo", "width")
        ?? Limits.CheckRange(photo.X, -3000, 3000, "mm", "The place across of the photo", "x")
        ?? Limits.CheckRange(photo.Y, -3000, 3000, "mm", "The place down of the photo", "y");

    /// <summary>Says what is wrong with a place on a mat, or null.</summary>
    public static Refusal? Check(HandPlace place) =>
        Limits.CheckRange(place.X, -LargestMat, 2 * LargestMat, "mm", "The place across on the mat", "x")
        ?? Limits.CheckRange(place.Y, -LargestMat, 2 * LargestMat, "mm", "The place down on the mat", "y")
        ?? Limits.CheckRange(place.Sheet, 1, MostSheets, "", "The number of the sheet", "sheet")
        ?? (
            place.Turn is 0 or 90 or 180 or 270
                ? null
                : new Refusal("turn-odd", "turn", $"Shapes on the mat turn by quarters; {place.Turn}° was given.")
        );

    private static Refusal? Check(double? value, double least, double most, string unit, string what, string place) =>
        value is { } given ? Limits.CheckRange(given, least, most, unit, what, place) : null;
}
