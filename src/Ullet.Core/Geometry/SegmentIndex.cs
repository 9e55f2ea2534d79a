namespace Ullet.Core.Geometry;

/// <summary>A grid over the edges of rings that answers which point of them is nearest.</summary>
/// <remarks>Made for many short edges and small search distances, where a tree costs more than the search.</remarks>
public sealed class SegmentIndex
{
    private readonly List<(Point Start, Point End)> _segments = [];
    private readonly Dictionary<(int, int), List<int>> _cells = [];
    private readonly double _cell;

    /// <param name="rings">The rings whose edges are searched, mm.</param>
    /// <param name="cell">Side of a grid cell, mm; near the search distance is best.</param>
    public SegmentIndex(IEnumerable<Ring> rings, double cell = 2)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(cell);
        _cell = cell;
        foreach (var ring in rings)
        {
            for (var i = 0; i < ring.Points.Length; i++)
            {
                Add(ring.Points[i], ring.Points[(i + 1) % ring.Points.Length]);
            }
        }
    }

    /// <summary>The nearest edge point within a distance of a place, or null when there is none.</summary>
    public Point? Nearest(Point place, double within)
    {
        Point? best = null;
        var bestDistance = within;
        for (var x = Cell(place.X - within); x <= Cell(place.X + within); x++)
        {
            for (var y = Cell(place.Y - within); y <= Cell(place.Y + within); y++)
            {
                if (!_cells.TryGetValue((x, y), out var indices))
                {
                    continue;
                }
                foreach (var index in indices)
                {
                    var (start, end) = _segments[index];
                    var foot = Foot(place, start, end);
                    var distance = foot.DistanceTo(place);
                    if (distance < bestDistance)
                    {
                        bestDistance = distance;
                        best = foot;
                    }
                }
            }
        }
        return best;
    }

    /// <summary>The numbers of the edges within a distance of a place, counted ring by ring from each ring's first point.</summary>
    public IEnumerable<int> Within(Point place, double distance)
    {
        var found = new HashSet<int>();
        for (var x = Cell(place.X - distance); x <= Cell(place.X + distance); x++)
        {
            for (var y = Cell(place.Y - distance); y <= Cell(place.Y + distance); y++)
            {
                foreach (var index in _cells.GetValueOrDefault((x, y)) ?? [])
                {
                    var (start, end) = _segments[index];
                    if (Foot(place, start, end).DistanceTo(place) <= distance && found.Add(index))
                    {
                        yield return index;
                    }
                }
            }
        }
    }

    /// <summary>The point of a segment nearest to a place.</summary>
    public static Point Foot(Point place, Point start, Point end)
    {
        var along = end - start;
        var square = Point.Dot(along, along);
        var t = square < 1e-18 ? 0 : Math.Clamp(Point.Dot(place - start, along) / square, 0, 1);
        return Point.Lerp(start, end, t);
    }

    private void Add(Point start, Point end)
    {
        var index = _segments.Count;
        _segments.Add((start, end));
        var steps = Math.Max(1, (int)Math.Ceiling(start.DistanceTo(end) / _cell * 2));
        var last = (int.MinValue, int.MinValue);
        for (var i = 0; i <= steps; i++)
        {
            var at = Point.Lerp(start, end, i / (double)steps);
            for (var dx = -1; dx <= 1; dx++)
            {
                for (var dy = -1; dy <= 1; dy++)
                {
                    // A segment may clip the corner of a cell between two samples; its near cells cover that.
                    var key = (Cell(at.X + (dx * _cell / 4)), Cell(at.Y + (dy * _cell / 4)));
                    if (key == last)
                    {
                        continue;
                    }
                    last = key;
                    if (!_cells.TryGetValue(key, out var list))
                    {
                        _cells[key] = list = [];
                    }
                    if (list.Count == 0 || list[^1] != index)
                    {
                        list.Add(index);
                    }
                }
            }
        }
    }

    private int Cell(double value) => (int)Math.Floor(value / _cell);
}
