using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Says of a stretch of a piece's edge, against the stack, that it is covered (no cover) or open (with one).</summary>
public sealed record TouchEdge : ClothEdit
{
    /// <summary>A place on the stretch, mm right of the field's centre.</summary>
    public required double X { get; init; }

    /// <summary>A place on the stretch, mm below the field's centre.</summary>
    public required double Y { get; init; }

    /// <summary>Null for as the stack says.</summary>
    public bool? IsCovered { get; init; }

    public override string Label(Project before) =>
        IsCovered switch
        {
            true => $"No cover along a stretch of {PieceName(before)}",
            false => $"Cover along a stretch of {PieceName(before)}",
            null => $"Edge of {PieceName(before)} as the stack says",
        };

    /// <summary>Touches nearer to each other than this are of one stretch, mm.</summary>
    private const double SameStretch = 2;

    private protected override Result<Project> Change(AppliqueElement piece, Project project)
    {
        if (EdgePlaceLimits.Check(X, Y) is { } no)
        {
            return no;
        }
        var at = new Point(X, Y);
        var kept = piece.EdgeTouches.RemoveAll(touch =>
            BoxFit.OnWall(piece.Box, touch.At).DistanceTo(at) < SameStretch
        );
        if (IsCovered is { } covered)
        {
            kept = kept.Add(new EdgeTouch(BoxFit.SpotOf(piece.Box, at), covered));
        }
        return kept.Length > MostTouches
            ? new Refusal(
                "touches-too-many",
                "elementId",
                $"{piece.Name} has {MostTouches} stretches set by hand already."
            )
            : project.With(piece.With(piece.Making with { EdgeTouches = kept }));
    }

    private const int MostTouches = 100;
}
