using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Puts a line drawn by hand on top of the stack, smoothed to few nodes.</summary>
public sealed record DrawFreehand : Edit
{
    public const int MostPoints = 20_000;

    /// <summary>Longest line that a hand draws in one go, mm.</summary>
    public const double Longest = 20_000;

    /// <summary>Places in mm from the field's centre, x and y in turn.</summary>
    public required ImmutableArray<double> Points { get; init; }

    /// <summary>Null closes a line that ends near its start.</summary>
    public bool? Closed { get; init; }

    /// <summary>How far the smoothed line may lie from the hand's, mm; 0.1 to 5.</summary>
    public double Smoothing { get; init; } = Freehand.UsualTolerance;

    public override string Label(Project before) => "Draw by hand";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (
            Points.IsDefault
            || Points.Length < 4
            || Points.Length % 2 != 0
            || Points.Length > 2 * MostPoints
            || Points.Any(number => !(Math.Abs(number) <= Limits.FarthestPlace))
        )
        {
            return new Refusal(
                "drawing-broken",
                "points",
                $"A line by hand needs from 2 to {MostPoints} places on the wall."
            );
        }
        if (Limits.CheckRange(Smoothing, 0.1, 5, "mm", "The smoothing", "smoothing") is { } no)
        {
            return no;
        }
        var points = Ring.Of([.. Points.Chunk(2).Select(pair => new Point(pair[0], pair[1]))]).Points;
        var length = points.Length < 2 ? 0 : new ArcLength(points).Total;
        if (length < 1)
        {
            return new Refusal("drawing-flat", "points", "That line is shorter than 1 mm. Draw a longer one.");
        }
        if (length > Longest)
        {
            return new Refusal(
                "drawing-long",
                "points",
                $"That line is {length / 1000:0} m long; up to {Longest / 1000:0} m can be drawn in one go."
            );
        }
        var closed = (Closed ?? Freehand.IsMeantClosed(points)) && points.Length > 2;
        var drawn = DrawnElements.ShapeOf(
            closed
                ? new Outline([new OutlinePart(new Contour(Freehand.Smooth(points, true, Smoothing)), [])])
                : new Outline([]) { Lines = [new OpenPath(Freehand.Smooth(points, false, Smoothing))] }
        );
        return DrawnByHand.Added(project, drawn);
    }
}
