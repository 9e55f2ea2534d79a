using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>Lays each cloth's shapes on a mat.</summary>
public static class SheetPlanner
{
    /// <summary>Distance of the first shape from the mat's edges, mm.</summary>
    public const double Margin = 10;

    /// <summary>Shapes that stand nearer than this in their places are not cut in place: the knife tears what is left between.</summary>
    public const double LeastGap = 1;

    /// <summary>Distance between shapes laid side by side, mm.</summary>
    public const double Gap = 6;

    /// <summary>One sheet for each cloth that has shapes, in the order of the project's cloths.</summary>
    public static ImmutableArray<CutSheet> Plan(Project project, ImmutableArray<CutShape> shapes) =>
        [
            .. project
                .Cloths.Select(cloth => (Cloth: cloth, Own: shapes.Where(shape => shape.ClothId == cloth.Id).ToList()))
                .Where(pair => pair.Own.Count > 0)
                .Select(pair => Sheet(project.Cut, pair.Cloth, pair.Own)),
        ];

    private static CutSheet Sheet(CutSettings settings, Cloth cloth, List<CutShape> shapes)
    {
        var mirrored = settings.MirroredClothIds.Contains(cloth.Id);
        var turned = shapes
            .Select(shape => new PlacedShape(
                shape,
                mirrored ? shape.Outline.Transform(Affine.Scale(-1, 1)) : shape.Outline
            ))
            .ToList();
        var layout = AnyMeet(turned) ? SheetLayout.SideBySide : SheetLayout.InPlace;
        var placed = layout == SheetLayout.InPlace ? InPlace(turned) : SideBySide(turned, settings.MatWidth);
        return new CutSheet(cloth, settings.MatWidth, settings.MatHeight, mirrored, layout, placed);
    }

    private static bool AnyMeet(List<PlacedShape> shapes)
    {
        for (var i = 0; i < shapes.Count; i++)
        {
            for (var j = i + 1; j < shapes.Count; j++)
            {
                var (first, second) = (shapes[i].Outline, shapes[j].Outline);
                if (
                    first.Bounds().Grown(LeastGap).Overlaps(second.Bounds())
                    && RegionOverlay.Distance(first.Flatten(0.05), second.Flatten(0.05)) < LeastGap
                )
                {
                    return true;
                }
            }
        }
        return false;
    }

    private static ImmutableArray<PlacedShape> InPlace(List<PlacedShape> shapes)
    {
        var box = shapes.Aggregate(Box.Empty, (sum, placed) => sum.Union(placed.Outline.Bounds()));
        return [.. shapes.Select(placed => Moved(placed, Margin - box.MinX, Margin - box.MinY))];
    }

    /// <summary>Rows from the top left, tallest shapes first; a shape wider than the mat gets a row of its own.</summary>
    private static ImmutableArray<PlacedShape> SideBySide(List<PlacedShape> shapes, double matWidth)
    {
        var placed = ImmutableArray.CreateBuilder<PlacedShape>();
        var (x, y, rowHeight) = (Margin, Margin, 0.0);
        foreach (var shape in shapes.OrderByDescending(shape => shape.Outline.Bounds().Height))
        {
            var box = shape.Outline.Bounds();
            if (x > Margin && x + box.Width > matWidth - Margin)
            {
                (x, y, rowHeight) = (Margin, y + rowHeight + Gap, 0);
            }
            placed.Add(Moved(shape, x - box.MinX, y - box.MinY));
            x += box.Width + Gap;
            rowHeight = Math.Max(rowHeight, box.Height);
        }
        return placed.ToImmutable();
    }

    private static PlacedShape Moved(PlacedShape placed, double x, double y) =>
        placed with
        {
            Outline = placed.Outline.Transform(Affine.Translate(x, y)),
        };
}
