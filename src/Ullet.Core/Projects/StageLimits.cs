using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>Holds the numbers of stages against their ranges.</summary>
public static class StageLimits
{
    /// <summary>Most stretches of one piece with numbers of their own.</summary>
    public const int MostStretches = 100;

    /// <summary>Most stretches of edge set by hand, on one element.</summary>
    public const int MostTouches = 2_000;

    /// <summary>Says what is wrong with a cover, or null.</summary>
    public static Refusal? Check(CoverSettings cover) =>
        Limits.CheckSet(cover.Width, StitchRanges.CoverWidth, "mm", "The cover width", "width")
        ?? Limits.CheckSet(cover.Spacing, SpacingOf(cover.Kind), "mm", "The spacing of the cover", "spacing")
        ?? Limits.CheckSet(
            cover.InsideShare,
            StitchRanges.CoverInsideShare,
            "",
            "The cover's inside share",
            "insideShare"
        )
        ?? Limits.CheckSet(
            cover.Compensation,
            StitchRanges.PullCompensation,
            "mm",
            "The pull compensation",
            "compensation"
        )
        ?? Limits.CheckSet(cover.UnitLength, StitchRanges.UnitLength, "mm", "The length of a unit", "unitLength")
        ?? Limits.CheckSet(cover.Inset, StitchRanges.BeanInset, "mm", "The inset of the line", "inset")
        ?? (
            cover.Passes is { } passes and not (3 or 5)
                ? new Refusal("passes-odd", "passes", $"A bean stitch is sewn 3 or 5 times; {passes} was given.")
                : null
        )
        ?? (
            cover.Stretches.Length > MostStretches
                ? new Refusal(
                    "stretches-too-many",
                    "stretches",
                    $"At most {MostStretches} stretches may have numbers of their own."
                )
                : null
        )
        ?? cover.Stretches.Select(Check).FirstOrDefault(refusal => refusal is not null);

    /// <summary>Says what is wrong with a running stage, or null.</summary>
    public static Refusal? Check(RunSettings run) =>
        Limits.CheckSet(run.StitchLength, StitchRanges.RunLength, "mm", "The stitch length", "stitchLength")
        ?? Limits.CheckSet(run.Inset, StitchRanges.TackInset, "mm", "The inset", "inset");

    /// <summary>Says what is wrong with how a line is sewn, or null.</summary>
    public static Refusal? Check(LineSettings line) =>
        (
            line.Kind is LineKind.Blanket or LineKind.Motif
                ? Limits.CheckSet(
                    line.StitchLength,
                    StitchRanges.UnitLength,
                    "mm",
                    "The length of a unit",
                    "stitchLength"
                )
                : Check(new RunSettings { StitchLength = line.StitchLength })
        )
        ?? Limits.CheckSet(line.Width, StitchRanges.LineWidth, "mm", "The width of the line", "width")
        ?? Limits.CheckRange(line.Passes, 1, LineSettings.MostPasses, "", "The number of passes", "passes");

    /// <summary>Says what is wrong with the stages of a piece, or null.</summary>
    public static Refusal? Check(ClothMaking piece) =>
        Check(piece.Stages.CutGuide)
        ?? Check(piece.Stages.Placement)
        ?? Check(piece.Stages.TackDown)
        ?? Check(piece.Stages.Cover)
        ?? Limits.CheckSet(piece.CutAllowance, StitchRanges.CutAllowance, "mm", "The cut allowance", "cutAllowance")
        ?? Limits.CheckSet(piece.Drift, StitchRanges.Drift, "mm", "How far stitches may leave the outline", "drift");

    private static Refusal? Check(CoverStretch stretch) =>
        Limits.CheckSet(stretch.Width, StitchRanges.CoverWidth, "mm", "The width of a stretch", "stretches")
        ?? Limits.CheckSet(stretch.Spacing, StitchRanges.CoverSpacing, "mm", "The spacing of a stretch", "stretches")
        ?? Limits.CheckSet(
            stretch.InsideShare,
            StitchRanges.CoverInsideShare,
            "",
            "The inside share of a stretch",
            "stretches"
        );

    private static (double Least, double Most) SpacingOf(CoverKind? kind) =>
        CoverTable.Of(kind ?? CoverKind.Satin).IsDense ? StitchRanges.CoverSpacing : StitchRanges.OpenSpacing;
}
