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
            || work.Layers.Length > TurningGrid.MostLayers
            || !work.Layers.Any(layer => layer.Role == LayerRole.Outer)
        )
        {
            return null;
        }
        var grid = new TurningGrid(work);
        double AreaOf(PresentLayer layer) => layer.Area.Sum(region => region.Area);
        var largest = work.Layers.Where(layer => layer.Role == LayerRole.Outer).Max(AreaOf);
        return Enumerable
            .Range(0, work.Layers.Length)
            .Where(layer =>
                work.Layers[layer].Role == LayerRole.Outer && AreaOf(work.Layers[layer]) >= LeastArea * largest
            )
            .Select(layer => Of(layer, grid))
            .OrderByDescending(report => report.Answer)
            .ThenBy(report => report.Width)
            .First();
    }

    /// <summary>What is smaller than this share of the largest outer layer (a label, a strip) goes where that goes which it is sewn on.
    /// </summary>
    private const double LeastArea = 0.15;

    private static TurningReport Of(int number, TurningGrid grid)
    {
        var layer = grid.Work.Layers[number];
        var room = Room(number, grid);
        var deepest = room[0];
        var at = grid.At(grid.CellOf(deepest));
        if (grid.IsOutside(deepest))
        {
            return new TurningReport(TurningAnswer.AlreadyOutside, layer.Name, [], double.PositiveInfinity, at, [], []);
        }
        var ways = new WaysOut(grid, deepest);
        if (!ways.LeadOut)
        {
            return new TurningReport(TurningAnswer.ClosedOff, layer.Name, [], 0, at, ways.Closers, []);
        }
        var way = ways.FromOutside();
        var (width, narrowest) = NarrowestPlace.Of(grid, room);
        return new TurningReport(
            TurningAnswer.Through,
            layer.Name,
            WayWords.Of(way, grid),
            width,
            narrowest,
            [],
            [.. way.Select(place => grid.At(grid.CellOf(place.Gap)))]
        )
        {
            Section = TurningSection.Of(grid, way),
        };
    }

    /// <summary>The gaps beside a layer's right side, within what is sewn of it: the one farthest from where the layer is sewn first,
    /// with those that lie at least half as far.</summary>
    private static List<int> Room(int layer, TurningGrid grid)
    {
        var gaps = grid.FarFromPins(layer)
            .Select(place =>
                (Gap: grid.GapOver(place.Cell, layer) - (grid.Work.Layers[layer].FaceUp ? 0 : 1), place.Far)
            )
            .Where(place => grid.IsFree(place.Gap))
            .OrderByDescending(place => place.Far)
            .ToList();
        return gaps.Count == 0
            ? [0]
            : [.. gaps.TakeWhile(place => 2 * place.Far >= gaps[0].Far).Select(place => place.Gap)];
    }
}
