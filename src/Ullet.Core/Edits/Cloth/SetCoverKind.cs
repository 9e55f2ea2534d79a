using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives a piece another kind of cover. Numbers that mean another thing in another kind go back to its presets: what is
/// dense for one is bare for the other.</summary>
public sealed record SetCoverKind : ClothEdit
{
    public required CoverKind Kind { get; init; }

    public override string Label(Project before) => $"Change the cover of {PieceName(before)}";

    private protected override Result<Project> Change(AppliqueElement piece, Project project)
    {
        var cover = piece.Stages.Cover with
        {
            Kind = Kind,
            Width = null,
            Spacing = null,
            InsideShare = null,
            UnitLength = null,
            Inset = null,
        };
        return project.With(piece.With(piece.Making with { Stages = piece.Stages with { Cover = cover } })) with
        {
            Habits = project.Habits with { CoverKind = Kind, MotifId = cover.MotifId },
        };
    }
}
