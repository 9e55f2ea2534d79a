using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets a piece's cut guide, placement or tack-down. The whole stage is given: a null goes back to the preset.</summary>
public sealed record SetRun : ClothEdit
{
    /// <summary>Any stage but the cover, which has an edit of its own.</summary>
    public required StageId Stage { get; init; }

    public required RunSettings Run { get; init; }

    public override string Label(Project before) =>
        $"Change the {Stage switch
        {
            StageId.CutGuide => "cut guide",
            StageId.Placement => "placement",
            _ => "tack-down",
        }} of {PieceName(before)}";

    private protected override Result<Project> Change(AppliqueElement piece, Project project)
    {
        if (Run.ThreadId is { } thread && project.FindThread(thread) is null)
        {
            return EditRefusals.NoThread(thread);
        }
        if (StageLimits.Check(Run) is { } refusal)
        {
            return refusal;
        }
        var stages = piece.Stages;
        return Stage switch
        {
            StageId.CutGuide => project.With(With(piece, stages with { CutGuide = Run })),
            StageId.Placement => project.With(With(piece, stages with { Placement = Run })),
            StageId.TackDown => project.With(With(piece, stages with { TackDown = Run })) with
            {
                Habits =
                    Run.Kind == stages.TackDown.Kind ? project.Habits : project.Habits with { TackKind = Run.Kind },
            },
            _ => new Refusal(
                "stage-wrong",
                "stage",
                "Only the cut guide, the placement and the tack-down are running stages of a piece."
            ),
        };
    }

    private static AppliqueElement With(AppliqueElement piece, StageSettings stages) =>
        piece.With(piece.Making with { Stages = stages });
}
