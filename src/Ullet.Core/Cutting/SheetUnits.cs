using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>Shapes that are laid as one: they keep their places to one another.</summary>
internal sealed record SheetUnit(ImmutableArray<PlacedShape> Shapes)
{
    internal UnitName Name => Shapes[0].Unit;

    internal Box Bounds { get; } = Shapes.Aggregate(Box.Empty, (box, placed) => box.Union(placed.Outline.Bounds()));

    internal SheetUnit Moved(double x, double y) => new([.. Shapes.Select(placed => placed.Moved(x, y))]);

    /// <summary>Turned by quarters about its middle.</summary>
    internal SheetUnit Turned(int degrees)
    {
        if (degrees == 0)
        {
            return this;
        }
        var middle = Bounds.Centre;
        var map = Affine
            .Translate(-middle.X, -middle.Y)
            .Then(Affine.Rotate(degrees))
            .Then(Affine.Translate(middle.X, middle.Y));
        return new SheetUnit([
            .. Shapes.Select(placed => placed.Transform(map) with { Turn = (placed.Turn + degrees) % 360 }),
        ]);
    }

    /// <summary>A cloth's shapes as what is laid as one.</summary>
    /// <param name="shapes">Its shapes as they stand on the wall.</param>
    /// <param name="setup">Its settings.</param>
    /// <param name="layout">In place: everything is one unit. Packed: each shape is one, but for those kept together.</param>
    internal static List<SheetUnit> Of(IReadOnlyList<CutShape> shapes, ClothSetup setup, SheetLayout layout)
    {
        var units = new List<SheetUnit>();
        for (var copy = 0; copy < setup.Cut.Copies; copy++)
        {
            foreach (var group in Groups(shapes, setup.Cut, layout))
            {
                Budget.Spend();
                var most = group.Max(shape => shape.Count);
                for (var more = 0; more < most; more++)
                {
                    Budget.Spend();
                    var those = group.Where(shape => shape.Count > more).ToList();
                    var number = (copy * most) + more;
                    foreach (var (name, own) in Divided(those, number, setup.Cut))
                    {
                        units.Add(new SheetUnit([.. own.Select(shape => Placed(shape, setup, number, name))]));
                    }
                }
            }
        }
        return units;
    }

    /// <summary>What is laid as one, and each shape that hands took away from it.</summary>
    private static IEnumerable<(UnitName Name, List<CutShape> Shapes)> Divided(
        List<CutShape> shapes,
        int copy,
        ClothCut cut
    )
    {
        var alone = cut
            .Places.Where(place => place.IsAlone && place.Copy == copy)
            .Select(place => place.Key)
            .ToHashSet();
        var rest = shapes.Where(shape => !alone.Contains(shape.Key)).ToList();
        if (rest.Count > 0)
        {
            yield return (new UnitName(shapes[0].Key, copy), rest);
        }
        foreach (var shape in shapes.Where(shape => alone.Contains(shape.Key)))
        {
            yield return (new UnitName(shape.Key, copy, true), [shape]);
        }
    }

    private static List<List<CutShape>> Groups(IReadOnlyList<CutShape> shapes, ClothCut cut, SheetLayout layout)
    {
        if (layout == SheetLayout.InPlace)
        {
            return
            [
                [.. shapes],
            ];
        }
        var groups = new List<List<CutShape>>();
        var known = new Dictionary<KeptTogether, List<CutShape>>();
        foreach (var shape in shapes)
        {
            Budget.Spend();
            var together = cut.Together.FirstOrDefault(kept => kept.Keys.Contains(shape.Key));
            if (together is not null && known.TryGetValue(together, out var group))
            {
                group.Add(shape);
                continue;
            }
            groups.Add([shape]);
            if (together is not null)
            {
                known.Add(together, groups[^1]);
            }
        }
        return groups;
    }

    private static PlacedShape Placed(CutShape shape, ClothSetup setup, int copy, UnitName unit)
    {
        var placed = new PlacedShape(shape, shape.Outline, copy, 0, unit)
        {
            Lines = shape.Lines,
            Role = setup.Cut.RoleOf(shape.Key),
        };
        return setup.IsMirrored ? placed.Transform(Affine.Scale(-1, 1)) : placed;
    }
}
