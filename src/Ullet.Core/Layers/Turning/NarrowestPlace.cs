using System.Numerics;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Layers;

/// <summary>The narrowest place of all ways together from the room beside a layer's right side to the outside.</summary>
internal sealed class NarrowestPlace
{
    private const int Everything = 1_000_000;

    private readonly TurningGrid _grid;
    private readonly WaysOut _ways;
    private readonly Dictionary<ulong, Opening> _openings = [];
    private readonly LeastCut _cut;

    private NarrowestPlace(TurningGrid grid, WaysOut ways, IReadOnlyList<int> room)
    {
        (_grid, _ways) = (grid, ways);
        var (source, sink) = (grid.Count, grid.Count + 1);
        var through = Enumerable
            .Range(0, grid.Cells.Count)
            .SelectMany(grid.Openings)
            .Where(way => ways.Reach(way.Under) && ways.Reach(way.Over))
            .ToList();
        foreach (var (_, _, layers) in through)
        {
            _openings.TryAdd(layers, Narrowest(layers, grid.Count + 2 + (2 * _openings.Count)));
        }
        _cut = new LeastCut(grid.Count + 2 + (2 * _openings.Count));
        int Place(int gap) => grid.IsOutside(gap) ? sink : gap;
        foreach (var (gap, next) in grid.Beside.Where(IsOpen))
        {
            if (Place(gap) != Place(next))
            {
                _cut.Join(Place(gap), Place(next), 1, 1);
            }
        }
        foreach (var opening in _openings.Values)
        {
            var width = (int)Math.Round(opening.Width / grid.Cells.Side);
            _cut.Join(opening.Number, opening.Number + 1, width, width);
        }
        foreach (var (under, over, layers) in through)
        {
            _cut.Join(Place(under), _openings[layers].Number, Everything, Everything);
            _cut.Join(_openings[layers].Number + 1, Place(over), Everything, Everything);
        }
        foreach (var gap in room)
        {
            _cut.Join(source, Place(gap), Everything, 0);
        }
        _cut.Flow(source, sink);
    }

    /// <summary>How wide it is drawn flat, mm, and where it lies: of several the widest, since work is turned through one place.</summary>
    /// <param name="grid">The work.</param>
    /// <param name="ways">The ways from the room.</param>
    /// <param name="room">The gaps that make the room.</param>
    internal static (double Width, Point At) Of(TurningGrid grid, WaysOut ways, IReadOnlyList<int> room) =>
        new NarrowestPlace(grid, ways, room).Widest();

    private bool IsOpen((int Gap, int Next) pair) =>
        _grid.IsFree(pair.Gap) && _grid.IsFree(pair.Next) && _ways.Reach(pair.Gap) && _ways.Reach(pair.Next);

    private bool IsBefore(int gap) => !_grid.IsOutside(gap) && _cut.IsBefore(gap);

    private (double Width, Point At) Widest()
    {
        var cells = _grid.Cells;
        var crossed = _grid
            .Beside.Where(pair => IsOpen(pair) && IsBefore(pair.Gap) != IsBefore(pair.Next))
            .ToLookup(pair => _grid.CellOf(pair.Gap));
        var widest = (Width: 0.0, At: Point.Zero);
        var left = crossed.Select(group => group.Key).ToHashSet();
        while (left.Count > 0)
        {
            var place = Connected(left.First(), left, cells.Columns).SelectMany(cell => crossed[cell]).ToList();
            // Drawn straight: what is crossed along the one side of the cells and along the other.
            var down = place.Count(pair => _grid.AreInARow(pair.Gap, pair.Next));
            // Cells that a seam crosses are shut whole; half of one is given back at either end.
            var width = cells.Side * (1 + Math.Sqrt(((double)down * down) + Math.Pow(place.Count - down, 2)));
            var middle = place.Aggregate(Point.Zero, (sum, pair) => sum + cells.At(_grid.CellOf(pair.Gap)));
            widest = width > widest.Width ? (width, middle * (1.0 / place.Count)) : widest;
        }
        foreach (var (number, width, at) in _openings.Values)
        {
            if (width > widest.Width && _cut.IsBefore(number) != _cut.IsBefore(number + 1))
            {
                widest = (width, at);
            }
        }
        return widest;
    }

    /// <summary>Of layers that lie open over one another the one that is least so.</summary>
    private Opening Narrowest(ulong layers, int number)
    {
        var narrowest = new Opening(number, double.MaxValue, Point.Zero);
        for (var left = layers; left != 0; left &= left - 1)
        {
            var (width, at) = _grid.Cells.OpeningOf(BitOperations.TrailingZeroCount(left));
            narrowest = width < narrowest.Width ? new Opening(number, width, at) : narrowest;
        }
        return narrowest;
    }

    /// <summary>Takes out of a set of cells all that hang together with one, also over a cell between.</summary>
    private static List<int> Connected(int first, HashSet<int> left, int columns)
    {
        var together = new List<int> { first };
        left.Remove(first);
        for (var at = 0; at < together.Count; at++)
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

    /// <param name="Number">The place in the cut that it is gone into by; one leaves it by the next.</param>
    /// <param name="Width">How wide it is, mm.</param>
    /// <param name="At">Its middle.</param>
    private readonly record struct Opening(int Number, double Width, Point At);
}
