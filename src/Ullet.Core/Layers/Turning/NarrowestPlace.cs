using System.Numerics;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Layers;

/// <summary>The narrowest place of all ways together from the room beside a layer's right side to the outside.</summary>
internal static class NarrowestPlace
{
    private const int Everything = 1_000_000;

    /// <summary>How wide it is drawn flat, mm, and where it lies.</summary>
    /// <param name="grid">The work.</param>
    /// <param name="room">The gaps that make the room.</param>
    internal static (double Width, Point At) Of(TurningGrid grid, IEnumerable<int> room)
    {
        var (source, sink) = (grid.GapCount, grid.GapCount + 1);
        var ways = new Dictionary<ulong, int>();
        var openings = new List<(int Under, int Over, ulong Layers)>();
        for (var cell = 0; cell < grid.CellCount; cell++)
        {
            foreach (var way in grid.Ways(cell).Where(way => grid.IsFree(way.Under) && grid.IsFree(way.Over)))
            {
                openings.Add(way);
                ways.TryAdd(way.Layers, grid.GapCount + 2 + (2 * ways.Count));
            }
        }
        var cut = new LeastCut(grid.GapCount + 2 + (2 * ways.Count));
        int Place(int gap) => grid.IsOutside(gap) ? sink : gap;
        for (var gap = 0; gap < grid.GapCount; gap++)
        {
            if (!grid.IsFree(gap))
            {
                continue;
            }
            // To the right and down: every pair once.
            foreach (var next in grid.After(gap).Where(grid.IsFree))
            {
                if (Place(gap) != Place(next))
                {
                    cut.Join(Place(gap), Place(next), 1, 1);
                }
            }
        }
        foreach (var (layers, number) in ways)
        {
            var width = double.MaxValue;
            for (var left = layers; left != 0; left &= left - 1)
            {
                width = Math.Min(width, grid.OpeningOf(BitOperations.TrailingZeroCount(left)));
            }
            cut.Join(number, number + 1, (int)Math.Round(width / grid.Cell), (int)Math.Round(width / grid.Cell));
        }
        foreach (var (under, over, layers) in openings)
        {
            cut.Join(Place(under), ways[layers], Everything, Everything);
            cut.Join(ways[layers] + 1, Place(over), Everything, Everything);
        }
        foreach (var gap in room.Distinct())
        {
            cut.Join(source, Place(gap), Everything, 0);
        }
        cut.Flow(source, sink);
        return Measured(grid, cut, ways);
    }

    /// <summary>The widest of what is cut: work is turned through one place, not through several at once.</summary>
    private static (double Width, Point At) Measured(TurningGrid grid, LeastCut cut, Dictionary<ulong, int> ways)
    {
        bool IsBefore(int gap) => !grid.IsOutside(gap) && cut.IsBefore(gap);
        var crossed = Enumerable
            .Range(0, grid.GapCount)
            .Where(grid.IsFree)
            .SelectMany(gap => grid.After(gap).Where(grid.IsFree), (gap, next) => (Gap: gap, Next: next))
            .Where(pair => IsBefore(pair.Gap) != IsBefore(pair.Next))
            .ToLookup(pair => grid.CellOf(pair.Gap));
        var widest = (Width: 0.0, At: Point.Zero);
        var left = crossed.Select(group => group.Key).ToHashSet();
        while (left.Count > 0)
        {
            var place = Connected(left.First(), left, grid.Columns).SelectMany(cell => crossed[cell]).ToList();
            // Drawn straight: what is crossed along the one side of the cells and along the other.
            var down = place.Count(pair => grid.AreInARow(pair.Gap, pair.Next));
            var width = grid.Cell * Math.Sqrt(((double)down * down) + Math.Pow(place.Count - down, 2));
            var middle = place.Aggregate(Point.Zero, (sum, pair) => sum + grid.At(grid.CellOf(pair.Gap)));
            widest = width > widest.Width ? (width, middle * (1.0 / place.Count)) : widest;
        }
        foreach (var (layers, number) in ways)
        {
            var (width, at) = grid.OpeningAt(layers);
            if (width > widest.Width && cut.IsBefore(number) != cut.IsBefore(number + 1))
            {
                widest = (width, at);
            }
        }
        return widest;
    }

    /// <summary>Takes out of a set of cells all that hang together with one, also over a cell between.</summary>
    private static List<int> Connected(int first, HashSet<int> left, int columns)
    {
        var (together, at) = (new List<int> { first }, 0);
        left.Remove(first);
        for (; at < together.Count; at++)
        {
            for (var y = -2; y <= 2; y++)
            {
                for (var x = -2; x <= 2; x++)
                {
                    Budget.Spend();
                    var cell = together[at] + (y * columns) + x;
                    if (left.Remove(cell))
                    {
                        together.Add(cell);
                    }
                }
            }
        }
        return together;
    }
}
