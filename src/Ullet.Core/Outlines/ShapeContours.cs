using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Makes the outline of a shape in a box of a width and height centred on the origin.</summary>
public static class ShapeContours
{
    /// <summary>The outline of any shape: parts and holes of a drawing with several lines, or with lines that cross.</summary>
    /// <returns>Empty for a tangle (<see cref="FilledOutline.IsTangle"/>).</returns>
    public static Outline Outline(ShapeSource shape, double width, double height)
    {
        if (shape is not DrawnShape drawn)
        {
            return new Outline([new OutlinePart(Make(shape, width, height), [])]);
        }
        var lines = drawn.Lines.Select(DrawnContour.Make).ToList();
        var map = Fit(lines.Aggregate(Box.Empty, (box, line) => box.Union(line.Bounds())), width, height);
        return FilledOutline.Of(lines.Select(line => line.Transform(map)), FillRule.EvenOdd);
    }

    /// <summary>The contour of a generator, or of a drawing's first line.</summary>
    /// <returns>A contour clockwise on screen whose exact bounding box is the asked one.</returns>
    /// <param name="shape">The generator with its numbers.</param>
    /// <param name="width">mm, over 0.</param>
    /// <param name="height">mm, over 0.</param>
    public static Contour Make(ShapeSource shape, double width, double height)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(width);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(height);
        var raw = shape switch
        {
            RectangleShape rectangle => RectangleContour.Make(width, height, rectangle.CornerRadius),
            EllipseShape => EllipseContour.Make(),
            PolygonShape polygon => PolygonContour.Make(polygon.Sides),
            StarShape star => StarContour.Make(star.Points, star.InnerShare),
            HeartShape => HeartContour.Make(),
            LeafShape => LeafContour.Make(),
            DropShape => DropContour.Make(),
            CrescentShape crescent => CrescentContour.Make(crescent.Thickness),
            ShieldShape => ShieldContour.Make(),
            ReadyShape ready => ReadyContours.Make(ready.Kind),
            DrawnShape drawn => DrawnContour.Make(drawn.Lines[0]),
            _ => throw new ArgumentException($"No generator for {shape.GetType().Name}.", nameof(shape)),
        };
        return Fitted(raw, width, height).Oriented(clockwise: true);
    }

    /// <summary>Width over height that a shape is drawn with where nobody asks for another; 1 for those that are at home in a square.</summary>
    public static double Proportions(ShapeSource shape) =>
        shape is ReadyShape ready && ReadyContours.Make(ready.Kind).Bounds() is var box ? box.Width / box.Height : 1;

    private static Contour Fitted(Contour contour, double width, double height) =>
        contour.Transform(Fit(contour.Bounds(), width, height));

    private static Affine Fit(Box box, double width, double height) =>
        Affine
            .Translate(-box.Centre.X, -box.Centre.Y)
            .Then(Affine.Scale(width / Math.Max(box.Width, 1e-9), height / Math.Max(box.Height, 1e-9)));
}
