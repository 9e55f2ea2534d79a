using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>The ranges of the generators' numbers.</summary>
public static class ShapeLimits
{
    public const int MostCurves = 20_000;

    private static readonly (int Least, int Most) Corners = (3, 24);

    private static readonly (double Least, double Most) InnerShare = (0.1, 0.95);

    private static readonly (double Least, double Most) Thickness = (0.1, 0.9);

    private const double MostRadius = 500;

    /// <summary>Says what is wrong with a shape's numbers, or null; or that a drawn one encloses nothing.</summary>
    public static Refusal? Check(ShapeSource shape) =>
        CheckNumbers(shape) ?? (shape is DrawnShape drawn ? CheckClosed(drawn) : null);

    /// <summary>The shape with its numbers brought back into their ranges; a drawing as it is.</summary>
    public static ShapeSource Clamped(ShapeSource shape) =>
        shape switch
        {
            RectangleShape rectangle => new RectangleShape(Math.Clamp(rectangle.CornerRadius, 0, MostRadius)),
            PolygonShape polygon => new PolygonShape(Math.Clamp(polygon.Sides, Corners.Least, Corners.Most)),
            StarShape star => new StarShape(
                Math.Clamp(star.Points, Corners.Least, Corners.Most),
                Math.Clamp(star.InnerShare, InnerShare.Least, InnerShare.Most)
            ),
            CrescentShape crescent => new CrescentShape(
                Math.Clamp(crescent.Thickness, Thickness.Least, Thickness.Most)
            ),
            _ => shape,
        };

    /// <summary>Says what is wrong with a shape's numbers, or null.</summary>
    public static Refusal? CheckNumbers(ShapeSource shape) =>
        shape switch
        {
            RectangleShape rectangle => Limits.CheckRange(
                rectangle.CornerRadius,
                0,
                MostRadius,
                "mm",
                "The corner radius",
                "cornerRadius"
            ),
            PolygonShape polygon => Limits.CheckRange(
                polygon.Sides,
                Corners.Least,
                Corners.Most,
                "",
                "The number of sides",
                "sides"
            ),
            StarShape star => Limits.CheckRange(
                star.Points,
                Corners.Least,
                Corners.Most,
                "",
                "The number of points",
                "points"
            )
                ?? Limits.CheckRange(
                    star.InnerShare,
                    InnerShare.Least,
                    InnerShare.Most,
                    "",
                    "The inner share of a star",
                    "innerShare"
                ),
            CrescentShape crescent => Limits.CheckRange(
                crescent.Thickness,
                Thickness.Least,
                Thickness.Most,
                "",
                "The thickness of a crescent",
                "thickness"
            ),
            ReadyShape ready when !Enum.IsDefined(ready.Kind) => new Refusal(
                "shape-unknown",
                "kind",
                "There is no such ready form."
            ),
            DrawnShape drawn => CheckLine(drawn),
            _ => null,
        };

    /// <summary>Says what is wrong with a drawing whose lines need not close, or null.</summary>
    public static Refusal? CheckLine(DrawnShape drawn)
    {
        if (
            drawn.Lines.IsDefaultOrEmpty
            || drawn.Lines.Any(line => line.Curves.IsDefaultOrEmpty)
            || drawn.Lines.Sum(line => line.Curves.Length) > MostCurves
        )
        {
            return new Refusal("drawing-broken", "shape", $"A drawn shape needs from 1 to {MostCurves} curves.");
        }
        var numbers = drawn.Lines.SelectMany(line =>
            line.Curves.SelectMany(c => new[] { c.X1, c.Y1, c.X2, c.Y2, c.X, c.Y })
                .Append(line.StartX)
                .Append(line.StartY)
        );
        return numbers.All(n => double.IsFinite(n) && Math.Abs(n) < 1e6)
            ? null
            : new Refusal("drawing-broken", "shape", "A drawn shape has a number that is no place.");
    }

    private static Refusal? CheckClosed(DrawnShape drawn)
    {
        var bounds = drawn
            .Lines.Select(line => DrawnContour.Make(line).Flatten(0.05))
            .Where(ring => ring.Points.Length > 2 && Math.Abs(ring.SignedArea) > 1e-6);
        // A line that crosses itself may go round as much one way as the other, and still enclose something.
        return bounds.Any() || !ShapeContours.Outline(drawn, 100, 100).IsEmpty
            ? null
            : new Refusal("drawing-flat", "shape", "A drawn shape encloses nothing, so it can't be a piece.");
    }
}
