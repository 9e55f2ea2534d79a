using Ullet.Core.Cutting;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Places of shapes on mats as they lie, so that they stay there when others are moved.</summary>
internal static class MatPlaces
{
    /// <summary>The places of what lies on a sheet, what is laid as one once.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="stays">False for shapes that leave it: what they were kept together with stays where it is.</param>
    internal static IEnumerable<HandPlace> Of(CutSheet sheet, Func<PlacedShape, bool>? stays = null) =>
        sheet
            .Shapes.Where(placed => stays is null || stays(placed))
            .GroupBy(placed => placed.Unit)
            .Select(unit =>
            {
                var box = unit.Aggregate(Box.Empty, (all, placed) => all.Union(placed.Outline.Bounds()));
                return new HandPlace(
                    unit.Key.Key,
                    unit.Key.Copy,
                    sheet.Number,
                    Rounded(box.MinX),
                    Rounded(box.MinY),
                    unit.First().Turn
                )
                {
                    IsAlone = unit.Key.IsAlone,
                };
            });

    /// <summary>The upmost, then leftmost free spot for a box, mm from the mat's top left; null where there is none.</summary>
    internal static Point? Free(Box box, IReadOnlyCollection<Box> taken, Box usable, double gap)
    {
        var across = taken.Select(other => other.MaxX + gap).Prepend(usable.MinX).Order().ToList();
        foreach (var y in taken.Select(other => other.MaxY + gap).Prepend(usable.MinY).Order())
        {
            foreach (var x in across)
            {
                Budget.Spend();
                var laid = box.Moved(x - box.MinX, y - box.MinY);
                if (
                    usable.Contains(laid, Tolerance.Same)
                    && !taken.Any(other => other.Grown(gap - Tolerance.Same).Overlaps(laid))
                )
                {
                    return new Point(Rounded(x), Rounded(y));
                }
            }
        }
        return null;
    }

    internal static double Rounded(double mm) => Math.Round(mm, 3);
}
