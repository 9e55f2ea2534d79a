using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Sets a piece's cover. The whole cover is given: a null goes back to the preset. New pieces begin with its kind.</summary>
public sealed record SetCover : ClothEdit
{
    public required CoverSettings Cover { get; init; }

    public override string Label(Project before) => $"Change the cover of {PieceName(before)}";

    private protected override Result<Project> Change(AppliqueElement piece, Project project)
    {
        var threads = Cover.Stretches.Select(stretch => stretch.ThreadId).Append(Cover.ThreadId);
        if (threads.FirstOrDefault(id => id is not null && project.FindThread(id) is null) is { } thread)
        {
            return EditRefusals.NoThread(thread);
        }
        if (StageLimits.Check(Cover) is { } refusal)
        {
            return refusal;
        }
        var habits =
            Cover.Kind != piece.Stages.Cover.Kind || Cover.MotifId != piece.Stages.Cover.MotifId
                ? project.Habits with
                {
                    CoverKind = Cover.Kind,
                    MotifId = Cover.MotifId,
                }
                : project.Habits;
        return project.With(piece.With(piece.Making with { Stages = piece.Stages with { Cover = Cover } })) with
        {
            Habits = habits,
        };
    }
}
