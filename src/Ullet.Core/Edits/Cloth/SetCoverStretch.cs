using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Gives one stretch of edge, between two corners, cover numbers of its own.</summary>
public sealed record SetCoverStretch : ClothEdit
{
    /// <summary>A place on the stretch, mm right of the field's centre.</summary>
    public required double X { get; init; }

    /// <summary>A place on the stretch, mm below the field's centre.</summary>
    public required double Y { get; init; }

    /// <summary>mm; null for the cover's own, as all that follow.</summary>
    public double? Width { get; init; }

    public double? Spacing { get; init; }

    public double? InsideShare { get; init; }

    public string? ThreadId { get; init; }

    /// <summary>Numbers nearer to each other than this are of one stretch, mm.</summary>
    private const double SameStretch = 1;

    public override string Label(Project before) => $"Change the cover along a stretch of {PieceName(before)}";

    private protected override Result<Project> Change(AppliqueElement piece, Project project)
    {
        if (EdgePlaceLimits.Check(X, Y) is { } no)
        {
            return no;
        }
        if (ThreadId is not null && project.FindThread(ThreadId) is null)
        {
            return EditRefusals.NoThread(ThreadId);
        }
        var at = new Point(X, Y);
        var stretch = new CoverStretch(BoxFit.SpotOf(piece.Box, at))
        {
            Width = Width,
            Spacing = Spacing,
            InsideShare = InsideShare,
            ThreadId = ThreadId,
        };
        var kept = piece.Stages.Cover.Stretches.RemoveAll(other =>
            BoxFit.OnWall(piece.Box, other.At).DistanceTo(at) < SameStretch
        );
        var cover = piece.Stages.Cover with { Stretches = stretch.IsNone ? kept : kept.Add(stretch) };
        return StageLimits.Check(cover) is { } refusal
            ? refusal
            : project.With(piece.With(piece.Making with { Stages = piece.Stages with { Cover = cover } }));
    }
}
