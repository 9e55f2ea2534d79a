using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>Holds the numbers of satin against their ranges.</summary>
public static class SatinLimits
{
    public static readonly (double Least, double Most) Width = (1.0, 7.0);

    public static readonly (double Least, double Most) JoinNearer = (0.0, 10.0);

    /// <summary>Says what is wrong with satin, or null.</summary>
    public static Refusal? Check(SatinMaking making) =>
        Limits.CheckSet(making.Spacing, StitchRanges.CoverSpacing, "mm", "The spacing of the satin", "spacing")
        ?? Limits.CheckSet(
            making.Compensation,
            StitchRanges.PullCompensation,
            "mm",
            "The pull compensation",
            "compensation"
        )
        ?? Limits.CheckSet(making.Band.Width, Width, "mm", "The width of the satin line", "width")
        ?? Limits.CheckSet(
            making.JoinNearer,
            JoinNearer,
            "mm",
            "The distance within which letters are joined",
            "joinNearer"
        )
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
}
