using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Edits;

/// <summary>Sets numbers of a piece's placement or tack-down. The whole stage is given: a null goes back to the preset.</summary>
public sealed record SetRun : ElementEdit<AppliqueElement>
{
    /// <summary>Placement or tack-down; a cover has an edit of its own.</summary>
    public required StageRole Stage { get; init; }

    public required RunSettings Run { get; init; }

    public override string Label(Project before) =>
        $"Change the {(Stage == StageRole.Placement ? "placement" : "tack-down")} of {PieceName(before)}";

    private protected override Result<Project> Change(AppliqueElement piece, Project project)
    {
        if (Run.ThreadId is { } thread && project.FindThread(thread) is null)
        {
            return EditRefusals.NoThread(thread);
        }
        if (Stage is not (StageRole.Placement or StageRole.TackDown))
        {
            return new Refusal(
                "stage-wrong",
                "stage",
                "Only the placement and the tack-down are running stages of a piece."
            );
        }
        var refusal =
            SetCover.Check(Run.StitchLength, StitchRanges.RunLength, "mm", "The stitch length", "stitchLength")
            ?? SetCover.Check(Run.Inset, StitchRanges.TackInset, "mm", "The inset", "inset");
        if (refusal is not null)
        {
            return refusal;
        }
        return project.With(
            piece with
            {
                Stages =
                    Stage == StageRole.Placement
                        ? piece.Stages with
                        {
                            Placement = Run,
                        }
                        : piece.Stages with
                        {
                            TackDown = Run,
                        },
            }
        );
    }
}
