using Ullet.Core.Geometry;

namespace Ullet.Core.Layers;

/// <summary>Finds the way from outside to the right sides of outer layers, through gaps in seams, past free edges and through
/// openings in layers.</summary>
/// <remarks>Work is laid on a grid, cell by cell the gaps between its layers (<see cref="TurningGrid"/>). How wide the narrowest place is
/// says the least cut between inside and outside.</remarks>
public static class TurningSearch
{
    /// <summary>Whether work can be turned; null where nothing of it has a right side that is to be outside, nothing is sewn, or it
    /// has more layers than are judged.</summary>
    /// <param name="work">The layers and seams when it is turned.</param>
    public static TurningReport? Of(SewnLayers work)
    {
        if (
            work.Seams.IsEmpty
            || work.Layers.Length > PinnedCells.MostLayers
            || !work.Layers.Any(layer => layer.Role == LayerRole.Outer)
        )
        {
            return null;
        }
        double AreaOf(PresentLayer layer) => layer.Area.Sum(region => region.Area);
        var largest = work.Layers.Where(layer => layer.Role == LayerRole.Outer).Max(AreaOf);
        var grid = new TurningGrid(new PinnedCells(work));
        var small = Enumerable
            .Range(0, work.Layers.Length)
            .Where(i => AreaOf(work.Layers[i]) < LeastArea * largest)
            .Aggregate(0UL, (all, i) => all | (1UL << i));
        var found = new List<(int Gap, TurningReport Report)>();
        for (var i = 0; i < work.Layers.Length; i++)
        {
            var layer = work.Layers[i];
            var room = layer.Role == LayerRole.Outer && (small & (1UL << i)) == 0 ? Room(i, small, grid) : [];
            // Layers whose right sides lie in one space have one way.
            if (room.Count > 0 && !found.Exists(known => grid.AreInOneSpace(known.Gap, room[0])))
            {
                found.Add((room[0], Of(layer, room, grid)));
            }
        }
        return found
            .Select(each => each.Report)
            .OrderByDescending(report => report.Answer)
            .ThenBy(report => report.Width)
            .FirstOrDefault();
    }

    /// <summary>What is smaller than this share of the largest outer layer (a label, a strip) goes where that goes which it is sewn on.
    /// </summary>
    private const double LeastArea = 0.15;

    private static TurningReport Of(PresentLayer layer, List<int> room, TurningGrid grid)
    {
        Point At(int gap) => grid.Cells.At(grid.CellOf(gap));
        if (grid.IsOutside(room[0]))
        {
            return new TurningReport(
                TurningAnswer.AlreadyOutside,
                layer.Name,
                [],
                double.PositiveInfinity,
                At(room[0]),
                [],
                []
            );
        }
        var ways = new WaysOut(grid, room[0]);
        if (!ways.LeadOut)
        {
            return new TurningReport(TurningAnswer.ClosedOff, layer.Name, [], 0, At(room[0]), ways.Closers, []);
        }
        var way = ways.FromOutside();
        var (width, narrowest) = NarrowestPlace.Of(grid, ways, room);
        return new TurningReport(
            TurningAnswer.Through,
            layer.Name,
            WayWords.Of(way, grid),
            width,
            narrowest,
            [],
            [.. way.Select(place => At(place.Gap))]
        )
        {
            Section = TurningSection.Of(grid, way),
        };
    }

    /// <summary>The gaps beside a layer's right side, within what is sewn of it: the one farthest from where the layer is sewn first,
    /// with those that lie at least half as far; not where something small is sewn on it. Nothing for a layer that nothing sews.</summary>
    private static List<int> Room(int layer, ulong small, TurningGrid grid)
    {
        var isUp = grid.Cells.Work.Layers[layer].FaceUp;
        var gaps = grid
            .Cells.FarFromPins(layer)
            .Where(place => (Next(grid.Cells.Present(place.Cell), layer, isUp) & small) == 0)
            .Select(place => (Gap: grid.GapOver(place.Cell, layer) - (isUp ? 0 : 1), place.Far))
            .Where(place => grid.IsFree(place.Gap))
            .OrderByDescending(place => place.Far)
            .ToList();
        return [.. gaps.TakeWhile(place => 2 * place.Far >= gaps[0].Far).Select(place => place.Gap)];
    }

    /// <summary>The layer that lies next to another on one side, as a set of one; none where nothing does.</summary>
    private static ulong Next(ulong present, int layer, bool isAbove)
    {
        if (isAbove)
        {
            var above = layer == 63 ? 0 : present & (ulong.MaxValue << (layer + 1));
            return above & (~above + 1);
        }
        var below = present & ((1UL << layer) - 1);
        return below == 0 ? 0 : 1UL << (63 - System.Numerics.BitOperations.LeadingZeroCount(below));
    }
}
