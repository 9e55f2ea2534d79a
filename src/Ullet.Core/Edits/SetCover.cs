using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Edits;

/// <summary>Sets numbers of a piece's cover. The whole cover is given: a null goes back to the preset.</summary>
public sealed record SetCover : ElementEdit<AppliqueElement>
{
    public required CoverSettings Cover { get; init; }

    public override string Label(Project before) => $"Change the cover of {PieceName(before)}";

    private protected override Result<Project> Change(AppliqueElement piece, Project project)
    {
        if (Cover.ThreadId is { } thread && project.FindThread(thread) is null)
        {
            return EditRefusals.NoThread(thread);
        }
        var refusal =
            Check(Cover.Width, StitchRanges.CoverWidth, "mm", "The cover width", "width")
            ?? Check(Cover.Spacing, StitchRanges.CoverSpacing, "mm", "The spacing of the cover", "spacing")
            ?? Check(Cover.InsideShare, StitchRanges.CoverInsideShare, "", "The cover's inside share", "insideShare")
            ?? Check(Cover.Compensation, StitchRanges.PullCompensation, "mm", "The pull compensation", "compensation");
        return refusal is not null
            ? refusal
            : project.With(piece with { Stages = piece.Stages with { Cover = Cover } });
    }

    internal static Refusal? Check(
        double? value,
        (double Least, double Most) range,
        string unit,
        string what,
        string place
    ) => value is { } given ? Limits.CheckRange(given, range.Least, range.Most, unit, what, place) : null;
}
