using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>Lays each cloth's shapes on mats.</summary>
/// <remarks>Laws, tested in SheetPlannerTests: (1) every shape lies on one sheet for each copy wanted; (2) what is packed keeps
/// the gap and the mat's margin; (3) a shape is moved and turned, and mirrored once where its cloth is, never scaled.</remarks>
public static class SheetPlanner
{
    /// <summary>Shapes nearer to each other than this are not cut apart: the knife tears what is left between, mm.</summary>
    public const double LeastGap = 1;

    private const double Coarse = 0.05;

    /// <summary>The sheets of each cloth that has shapes, in the order of the project's cloths.</summary>
    public static ImmutableArray<CutSheet> Plan(Project project, ImmutableArray<CutShape> shapes)
    {
        var own = shapes.ToLookup(shape => shape.ClothId);
        return
        [
            .. project
                .Cloths.Where(cloth => own.Contains(cloth.Id))
                .SelectMany(cloth => Plan(ClothSetup.Of(project, cloth), [.. own[cloth.Id]])),
        ];
    }

    /// <summary>The sheets of one cloth.</summary>
    public static ImmutableArray<CutSheet> Plan(ClothSetup setup, IReadOnlyList<CutShape> shapes)
    {
        var asked = setup.Cut.Layout;
        var units = SheetUnit.Of(shapes, setup, asked ?? SheetLayout.InPlace);
        var layout = asked ?? SheetLayout.InPlace;
        if (asked is null && !(units.TrueForAll(unit => FitsOn(setup.Usable, unit)) && !Meet(units[0].Shapes).Any()))
        {
            layout = SheetLayout.Packed;
            units = SheetUnit.Of(shapes, setup, layout);
        }
        var laid = Laid(units, setup);
        // A sheet that hands emptied is none; those after it move up.
        var used = laid.Select(pair => pair.Sheet).Distinct().Order().ToList();
        // Packed shapes cannot meet unless hands put them somewhere.
        var mayMeet = asked == SheetLayout.InPlace || !setup.Cut.Places.IsEmpty;
        return
        [
            .. used.Select(
                (sheet, i) =>
                {
                    ImmutableArray<PlacedShape> placed =
                    [
                        .. laid.Where(pair => pair.Sheet == sheet).SelectMany(pair => pair.Unit.Shapes),
                    ];
                    return new CutSheet(setup, i + 1, used.Count, layout, Labelled(placed, setup))
                    {
                        Meetings = mayMeet ? [.. Meet(placed)] : [],
                    };
                }
            ),
        ];
    }

    private static bool FitsOn(Box usable, SheetUnit unit) =>
        unit.Bounds.Width <= usable.Width + Tolerance.Same && unit.Bounds.Height <= usable.Height + Tolerance.Same;

    private static List<(int Sheet, SheetUnit Unit)> Laid(List<SheetUnit> units, ClothSetup setup)
    {
        var laid = new List<(int Sheet, SheetUnit Unit)>();
        var packing = new ShelfPacking(setup.Usable, setup.Cut.Gap);
        var free = new List<SheetUnit>();
        var places = setup.Cut.Places.ToLookup(each => new UnitName(each.Key, each.Copy, each.IsAlone));
        foreach (var unit in units)
        {
            Budget.Spend();
            if (places[unit.Name].FirstOrDefault() is not { } place)
            {
                free.Add(Straightened(unit, setup));
                continue;
            }
            var turned = unit.Turned(place.Turn);
            var at = turned.Moved(place.X - turned.Bounds.MinX, place.Y - turned.Bounds.MinY);
            packing.Take(place.Sheet - 1, at.Bounds.MaxY);
            laid.Add((place.Sheet - 1, at));
        }
        var spots = packing.Pack(free.ConvertAll(unit => unit.Bounds));
        for (var i = 0; i < free.Count; i++)
        {
            Budget.Spend();
            var box = free[i].Bounds;
            laid.Add((spots[i].Sheet, free[i].Moved(spots[i].X - box.MinX, spots[i].Y - box.MinY)));
        }
        return laid;
    }

    /// <summary>Turned by a quarter where it fits only so and the grain does not mind.</summary>
    private static SheetUnit Straightened(SheetUnit unit, ClothSetup setup)
    {
        if (setup.Cut.Grain != Grain.Free || FitsOn(setup.Usable, unit))
        {
            return unit;
        }
        var turned = unit.Turned(90);
        return FitsOn(setup.Usable, turned) ? turned : unit;
    }

    private static ImmutableArray<PlacedShape> Labelled(ImmutableArray<PlacedShape> shapes, ClothSetup setup) =>
        setup.Cut.Marks.Labels
            ?
            [
                .. shapes.Select(placed =>
                    placed with
                    {
                        Lines =
                        [
                            .. placed.Lines,
                            .. LabelPlace.Strokes(placed.Shape.Name, placed.Outline.Flatten(Coarse), placed.Lines),
                        ],
                    }
                ),
            ]
            : shapes;

    /// <summary>The pairs that lie nearer to each other than <see cref="LeastGap"/>: a sweep from left to right over their boxes.</summary>
    private static IEnumerable<Meeting> Meet(ImmutableArray<PlacedShape> shapes)
    {
        var boxes = shapes.Select(placed => placed.Outline.Bounds().Grown(LeastGap / 2)).ToArray();
        var order = Enumerable.Range(0, boxes.Length).OrderBy(i => boxes[i].MinX).ToArray();
        var flat = new ImmutableArray<Region>[boxes.Length];
        ImmutableArray<Region> Flat(int i) => flat[i].IsDefault ? flat[i] = shapes[i].Outline.Flatten(Coarse) : flat[i];
        for (var at = 0; at < order.Length; at++)
        {
            var i = order[at];
            for (var next = at + 1; next < order.Length && boxes[order[next]].MinX <= boxes[i].MaxX; next++)
            {
                Budget.Spend();
                var j = order[next];
                if (boxes[i].Overlaps(boxes[j]) && RegionOverlay.AreNearer(Flat(i), Flat(j), LeastGap))
                {
                    yield return new Meeting(Math.Min(i, j), Math.Max(i, j));
                }
            }
        }
    }
}
