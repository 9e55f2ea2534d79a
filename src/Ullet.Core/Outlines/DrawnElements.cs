using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Outlines;

/// <summary>Outlines as document elements, where they are.</summary>
public static class DrawnElements
{
    /// <summary>A piece with this outline; id, name and cloth are still to be given.</summary>
    /// <param name="outline">Shell and holes, mm.</param>
    /// <param name="origin">The place that becomes the field's centre.</param>
    public static Element Piece(OutlinePart outline, Point origin)
    {
        var box = outline.Shell.Bounds();
        return new Element
        {
            Id = "",
            Name = "",
            Box = BoxOf(box, origin),
            Form = new DrawingForm(ShapeOf(outline.Shell.Curves))
            {
                Holes =
                [
                    .. outline.Holes.Select(hole =>
                    {
                        var own = hole.Bounds();
                        var at = own.Centre - box.Centre;
                        return new PieceHole(ShapeOf(hole.Curves), at.X, at.Y, own.Width, own.Height);
                    }),
                ],
            },
            Making = new ClothMaking { ClothId = "" },
        };
    }

    /// <summary>A line without cloth; id and name are still to be given.</summary>
    public static Element Line(OpenPath path, Point origin) =>
        new()
        {
            Id = "",
            Name = "",
            Box = BoxOf(path.Bounds(), origin),
            Form = new DrawingForm(ShapeOf(path.Curves)),
            Making = new LineMaking(),
        };

    /// <summary>A drawing of all lines of an outline, as nodes: smooth where its curves go on smoothly.</summary>
    public static DrawnShape ShapeOf(Outline outline) =>
        new([
            .. outline.Contours.Select(contour => LineOf(contour.Curves)),
            .. outline.Lines.Select(line => LineOf(line.Curves)),
        ]);

    /// <summary>The exact box of a drawn line, in its own units.</summary>
    public static Box BoundsOf(DrawnLine line) =>
        DrawnContour.Curves(line).Aggregate(Box.Empty, (box, curve) => box.Union(curve.Bounds()));

    private static ElementBox BoxOf(Box box, Point origin) =>
        new(box.Centre.X - origin.X, box.Centre.Y - origin.Y, box.Width, box.Height, 0);

    private static DrawnShape ShapeOf(ImmutableArray<Curve> curves) => new([LineOf(curves)]);

    private static DrawnLine LineOf(ImmutableArray<Curve> curves) =>
        new(
            curves[0].Start.X,
            curves[0].Start.Y,
            [
                .. curves.Select(
                    (curve, i) =>
                        (
                            curve.IsLine
                                ? new DrawnCurve(
                                    curve.Start.X,
                                    curve.Start.Y,
                                    curve.End.X,
                                    curve.End.Y,
                                    curve.End.X,
                                    curve.End.Y
                                )
                                : new DrawnCurve(
                                    curve.Control1.X,
                                    curve.Control1.Y,
                                    curve.Control2.X,
                                    curve.Control2.Y,
                                    curve.End.X,
                                    curve.End.Y
                                )
                        ) with
                        {
                            Node = KindOf(curves, i),
                        }
                ),
            ]
        );

    /// <summary>How a line goes through the end of one of its curves; the ends of an open line are corners.</summary>
    private static NodeKind KindOf(ImmutableArray<Curve> curves, int index)
    {
        var (before, after) = (curves[index], curves[(index + 1) % curves.Length]);
        return before.End.DistanceTo(after.Start) > Tolerance.Same || before.IsLine || after.IsLine ? NodeKind.Corner
            : Point.Dot(before.Slope(1).Unit(), after.Slope(0).Unit()) > SmoothCosine ? NodeKind.Smooth
            : NodeKind.Corner;
    }

    /// <summary>Curves that meet with less of a bend than 1° go on smoothly.</summary>
    private const double SmoothCosine = 0.99985;
}
