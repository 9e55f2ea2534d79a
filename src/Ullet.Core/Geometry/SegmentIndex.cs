using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>A grid over the edges of rings that answers which point of them is nearest.</summary>
/// <remarks>Made for many short edges and small search distances, where a tree costs more than the search. Every cell lists
/// the edges that pass through it, in one array for all cells.</remarks>
public sealed class SegmentIndex : IEdges
{
    /// <summary>At most this many cells for each edge; beyond, cells grow.</summary>
    private const int CellsPerEdge = 16;

    private const int LeastCells = 4096;

    private readonly SearchedEdge[] _edges;
    private readonly int[] _first;
    private readonly int[] _listed;
    private readonly double _cell;
    private readonly double _minX;
    private readonly double _minY;
    private readonly int _columns;
    private readonly int _rows;

    /// <param name="rings">The rings whose edges are searched, mm.</param>
    /// <param name="cell">Side of a grid cell, mm; near the search distance is best. Larger where the rings are few and wide.</param>
    public SegmentIndex(IEnumerable<Ring> rings, double cell = 2)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(cell);
        var edges = new List<SearchedEdge>();
        var box = Box.Empty;
        foreach (var ring in rings)
        {
            Budget.Spend(ring.Points.Length);
            var points = ring.Points.AsSpan();
            for (var i = 0; i < points.Length; i++)
            {
                edges.Add(new SearchedEdge(points[i], points[i + 1 < points.Length ? i + 1 : 0]));
            }
            box = box.Union(ring.Bounds());
        }
        _edges = [.. edges];
        if (box.IsEmpty)
        {
            (_first, _listed, _cell) = ([0, 0], [], cell);
            (_columns, _rows) = (1, 1);
            return;
        }
        var most = Math.Max(LeastCells, (double)CellsPerEdge * _edges.Length);
        _cell = Math.Max(cell, Math.Sqrt((box.Width + cell) * (box.Height + cell) / most));
        (_minX, _minY) = (box.MinX, box.MinY);
        _columns = (int)(box.Width / _cell) + 1;
        _rows = (int)(box.Height / _cell) + 1;
        _first = new int[(_columns * _rows) + 1];
        var passed = new List<(int Cell, int Edge)>(2 * _edges.Length);
        for (var i = 0; i < _edges.Length; i++)
        {
            Pass(i, passed);
        }
        foreach (var (at, _) in passed)
        {
            _first[at + 1]++;
        }
        for (var i = 1; i < _first.Length; i++)
        {
            _first[i] += _first[i - 1];
        }
        _listed = new int[passed.Count];
        var next = _first.AsSpan(0, _first.Length - 1).ToArray();
        foreach (var (at, edge) in passed)
        {
            _listed[next[at]++] = edge;
        }
    }

    /// <summary>The nearest edge point within a distance of a place, or null when there is none.</summary>
    public Point? Nearest(Point place, double within)
    {
        Budget.Spend();
        var best = within * within;
        var found = false;
        var foot = default(Point);
        var (fromX, toX) = Columns(place.X - within, place.X + within);
        var (fromY, toY) = Rows(place.Y - within, place.Y + within);
        for (var y = fromY; y <= toY; y++)
        {
            for (var x = fromX; x <= toX; x++)
            {
                var at = (y * _columns) + x;
                Budget.Spend((_first[at + 1] - _first[at]) >> 3);
                for (var i = _first[at]; i < _first[at + 1]; i++)
                {
                    found |= _edges[_listed[i]].IsNearer(place, ref best, ref foot);
                }
            }
        }
        return found ? foot : null;
    }

    /// <summary>How far from a place the first edge lies that crosses a straight line from it, mm; null when none does. Edges
    /// through the place itself do not count.</summary>
    /// <param name="from">The place, mm.</param>
    /// <param name="direction">Length 1.</param>
    /// <param name="length">The line's length, mm.</param>
    public double? FirstCrossing(Point from, Point direction, double length)
    {
        Budget.Spend();
        var (end, first) = (from + (direction * length), length);
        var found = false;
        var (fromX, toX) = Columns(Math.Min(from.X, end.X), Math.Max(from.X, end.X));
        var (fromY, toY) = Rows(Math.Min(from.Y, end.Y), Math.Max(from.Y, end.Y));
        for (var y = fromY; y <= toY; y++)
        {
            for (var x = fromX; x <= toX; x++)
            {
                var at = (y * _columns) + x;
                for (var i = _first[at]; i < _first[at + 1]; i++)
                {
                    found |= _edges[_listed[i]].IsCrossedEarlier(from, direction, ref first);
                }
            }
        }
        return found ? first : null;
    }

    /// <summary>The numbers of the edges within a distance of a place, counted ring by ring from each ring's first point.</summary>
    public IEnumerable<int> Within(Point place, double distance)
    {
        Budget.Spend();
        var found = new HashSet<int>();
        var (fromX, toX) = Columns(place.X - distance, place.X + distance);
        var (fromY, toY) = Rows(place.Y - distance, place.Y + distance);
        for (var y = fromY; y <= toY; y++)
        {
            for (var x = fromX; x <= toX; x++)
            {
                var at = (y * _columns) + x;
                for (var i = _first[at]; i < _first[at + 1]; i++)
                {
                    var number = _listed[i];
                    var edge = _edges[number];
                    var foot = edge.Start + (edge.Along * edge.Share(place));
                    if (foot.DistanceTo(place) <= distance && found.Add(number))
                    {
                        yield return number;
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

    /// <summary>Adds every cell that an edge passes through, row by row.</summary>
    private void Pass(int number, List<(int Cell, int Edge)> passed)
    {
        const double Hair = 1e-9;
        ref readonly var edge = ref _edges[number];
        var (start, end) = (edge.Start, edge.Start + edge.Along);
        var (low, high) = start.Y <= end.Y ? (start, end) : (end, start);
        var (fromY, toY) = Rows(low.Y, high.Y);
        for (var y = fromY; y <= toY; y++)
        {
            var (top, bottom) = (_minY + (y * _cell), _minY + ((y + 1) * _cell));
            var (a, b) = (AtHeight(low, high, top), AtHeight(low, high, bottom));
            var (fromX, toX) = Columns(Math.Min(a, b) - Hair, Math.Max(a, b) + Hair);
            Budget.Spend(1 + (toX - fromX));
            for (var x = fromX; x <= toX; x++)
            {
                passed.Add(((y * _columns) + x, number));
            }
        }
    }

    private static double AtHeight(Point low, Point high, double y) =>
        y <= low.Y ? low.X
        : y >= high.Y ? high.X
        : low.X + ((high.X - low.X) * (y - low.Y) / (high.Y - low.Y));

    private (int From, int To) Columns(double from, double to) =>
        (
            Math.Max(0, (int)Math.Floor((from - _minX) / _cell)),
            Math.Min(_columns - 1, (int)Math.Floor((to - _minX) / _cell))
        );

    private (int From, int To) Rows(double from, double to) =>
        (
            Math.Max(0, (int)Math.Floor((from - _minY) / _cell)),
            Math.Min(_rows - 1, (int)Math.Floor((to - _minY) / _cell))
        );

    /// <summary>Where the way from one place to another crosses that between two others; null where it does not.</summary>
    internal static Point? Meeting(Point a, Point b, Point c, Point d)
    {
        var (along, other) = (b - a, d - c);
        var cross = Point.Cross(along, other);
        if (Math.Abs(cross) < 1e-12)
        {
            return null;
        }
        var (t, u) = (Point.Cross(c - a, other) / cross, Point.Cross(c - a, along) / cross);
        return t is >= 0 and <= 1 && u is >= 0 and <= 1 ? a + (along * t) : null;
    }
}
