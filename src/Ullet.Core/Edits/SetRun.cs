using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets a piece's cut guide, placement or tack-down. The whole stage is given: a null goes back to the preset.</summary>
public sealed record SetRun : ElementEdit<AppliqueElement>
{
    /// <summary>Any stage but the cover, which has an edit of its own.</summary>
    public required StageRole Stage { get; init; }

    public required RunSettings Run { get; init; }

    public override string Label(Project before) =>
        $"Change the {Stage switch
        {
            StageRole.CutGuide => "cut guide",
            StageRole.Placement => "placement",
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
            StageRole.CutGuide => project.With(piece with { Stages = stages with { CutGuide = Run } }),
            StageRole.Placement => project.With(piece with { Stages = stages with { Placement = Run } }),
            StageRole.TackDown => project.With(piece with { Stages = stages with { TackDown = Run } }) with
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
}
