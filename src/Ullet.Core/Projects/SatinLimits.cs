using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>Holds the numbers of satin against their ranges.</summary>
public static class SatinLimits
{
    public static readonly (double Least, double Most) Width = (1.0, 7.0);

    public static readonly (double Least, double Most) JoinNearer = (0.0, 10.0);

    /// <summary>Says what is wrong with satin, or null.</summary>
    public static Refusal? Check(SatinMaking making) =>
        Range(making.Spacing, StitchRanges.CoverSpacing, "The spacing of the satin", "spacing")
        ?? Range(making.Compensation, StitchRanges.PullCompensation, "The pull compensation", "compensation")
        ?? Range(making.Band.Width, Width, "The width of the satin line", "width")
        ?? Range(making.JoinNearer, JoinNearer, "The distance within which letters are joined", "joinNearer")
        ?? making.Directions.Select(Check).FirstOrDefault(wrong => wrong is not null);

    /// <summary>Says what is wrong with a direction line, or null.</summary>
    private static Refusal? Check(DirectionLine line) =>
        !double.IsFinite(line.From.X + line.From.Y + line.To.X + line.To.Y) || line.From == line.To
            ? new Refusal(
                "direction-short",
                "directions",
                "A direction line needs two ends that differ: lay it across the column whose strokes it turns."
            )
            : null;

    private static Refusal? Range(double? value, (double Least, double Most) range, string what, string place) =>
        value is { } given ? Limits.CheckRange(given, range.Least, range.Most, "mm", what, place) : null;
}
