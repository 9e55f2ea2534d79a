using Ullet.Core.Geometry;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>The layers of a pattern as cut shapes: a rectangle each, with its seams and folds on it.</summary>
public static class LayerShapes
{
    /// <summary>Ticks at the middle of each side, mm long.</summary>
    private const double Tick = 5;

    /// <summary>The shapes that a project's pattern asks for; none without one.</summary>
    public static IEnumerable<CutShape> Of(Project project, PatternPlan? plan) =>
        from need in plan?.Cloths ?? []
        where need.Width > 0 && need.Height > 0
        let marks = project.Cut.Of(need.Cloth.Id).Marks
        select new CutShape(
            need.ShapeId,
            0,
            need.Use,
            need.Cloth.Id,
            Rectangle(need.Width, need.Height),
            0,
            CutKind.Layer
        )
        {
            Count = need.Count,
            Lines =
            [
                .. marks.Seams ? need.Lines.Select(line => new MarkLine(line.Role, line.Name, line.Curves)) : [],
                .. marks.Matches ? Middles(need.Width / 2, need.Height / 2) : [],
            ],
        };

    /// <summary>True for a piece that a layer of the pattern is laid for: it needs no template of its own.</summary>
    public static bool Covers(PatternPlan? plan, CutShape shape, Element? element) =>
        shape.IsTemplate
        && element?.PatternPart is not null
        && plan is not null
        && plan.Cloths.Any(need => need.Width > 0 && need.Cloth.Id == shape.ClothId);

    private static IEnumerable<MarkLine> Middles(double x, double y)
    {
        yield return Line(0, -y, 0, Tick - y);
        yield return Line(0, y, 0, y - Tick);
        yield return Line(-x, 0, Tick - x, 0);
        yield return Line(x, 0, x - Tick, 0);
    }

    private static MarkLine Line(double x1, double y1, double x2, double y2) =>
        new(CutRole.Draw, "middle", [Curve.Line(new Point(x1, y1), new Point(x2, y2))]);

    private static Outline Rectangle(double width, double height) =>
        new([new OutlinePart(Contour.Polygon(Box.Centred(width, height).Corners()), [])]);
}
