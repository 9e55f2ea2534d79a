using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Finds ways within a shape that lie under what is sewn later.</summary>
internal sealed class HiddenWays
{
    /// <summary>Side of a cell where the shape is small, mm.</summary>
    private const double LeastCell = 0.2;

    private const int MostCells = 700;

    /// <summary>A way goes over thread of its own shape that is sewn already only where there is no other, and for so long, mm: a stitch
    /// on its own colour is seen less than a trim.</summary>
    private const double MostOver = 2.5;

    /// <summary>So much longer a way under later thread is preferred to one over thread.</summary>
    private const double OverCost = 7;

    private static readonly (int X, int Y)[] Beside =
    [
        (1, 0),
        (0, 1),
        (-1, 0),
        (0, -1),
        (1, 1),
        (-1, 1),
        (-1, -1),
        (1, -1),
    ];

    private readonly Box _box;
    private readonly double _cell;
    private readonly int _columns;
    private readonly int _rows;

    /// <summary>For each cell the number of the last run over it; -1 for none.</summary>
    private readonly int[] _last;

    /// <param name="tops">What is sewn to be seen, by its place in the order; null for what is sewn underneath.</param>
    internal HiddenWays(IReadOnlyList<ImmutableArray<Point>?> tops)
    {
        _box = Box.Of(tops.SelectMany(top => top ?? [])).Grown(1);
        _cell = Math.Max(LeastCell, Math.Max(_box.Width, _box.Height) / MostCells);
        (_columns, _rows) = ((int)(_box.Width / _cell) + 1, (int)(_box.Height / _cell) + 1);
        _last = new int[_columns * _rows];
        Array.Fill(_last, -1);
        for (var i = 0; i < tops.Count; i++)
        {
            if (tops[i] is { } points)
            {
                for (var k = 1; k < points.Length; k++)
                {
                    Draw(points[k - 1], points[k], i);
                }
            }
        }
    }

    /// <summary>The places on the way from one to another; nothing where no way is hidden.</summary>
    /// <param name="from">Where the needle stands, mm.</param>
    /// <param name="to">Where it goes, mm.</param>
    /// <param name="order">Runs from this place in the order on are still to be sewn.</param>
    internal ImmutableArray<Point> Find(Point from, Point to, int order)
    {
        if (IsHidden(from, to, order))
        {
            return [from, to];
        }
        var path = Path(from, to, order);
        if (path.Count == 0)
        {
            return [];
        }
        var way = ImmutableArray.CreateBuilder<Point>();
        way.Add(from);
        for (var at = 0; at < path.Count - 1; )
        {
            Budget.Spend();
            var next = path.Count - 1;
            while (next > at + 1 && !IsDeep(path[at], path[next], order))
            {
                next = at + Math.Max(1, (next - at) / 2);
            }
            way.Add(path[next]);
            at = next;
        }
        return way.ToImmutable();
    }

    private bool IsHidden(Point from, Point to, int order) =>
        ThreadInSight.IsHidden(from, to, place => Number(place) is >= 0 and var cell && _last[cell] >= order);

    /// <summary>True where nothing of a piece of a way may show.</summary>
    private bool IsDeep(Point from, Point to, int order) =>
        ThreadInSight.Longest(from, to, place => Number(place) is >= 0 and var cell && _last[cell] >= order).Length
        <= 0;

    /// <summary>The shortest way over cells, ends included; empty where there is none.</summary>
    private List<Point> Path(Point from, Point to, int order)
    {
        var (start, end) = (Number(from), Number(to));
        if (start < 0 || end < 0)
        {
            return [];
        }
        var cost = new Dictionary<int, double> { [start] = 0 };
        var over = new Dictionary<int, double> { [start] = 0 };
        var before = new Dictionary<int, int>();
        var open = new PriorityQueue<int, double>();
        open.Enqueue(start, 0);
        while (open.TryDequeue(out var at, out _))
        {
            Budget.Spend();
            if (at == end)
            {
                return Back(from, to, before, start, end);
            }
            var (x, y) = (at % _columns, at / _columns);
            foreach (var (dx, dy) in Beside)
            {
                var (column, row) = (x + dx, y + dy);
                if (column < 0 || row < 0 || column >= _columns || row >= _rows)
                {
                    continue;
                }
                var next = (row * _columns) + column;
                var spot = Middle(next);
                var isHidden =
                    _last[next] >= order
                    || spot.DistanceTo(from) <= ThreadInSight.Most
                    || spot.DistanceTo(to) <= ThreadInSight.Most;
                if (!isHidden && _last[next] < 0)
                {
                    continue;
                }
                var step = dx != 0 && dy != 0 ? 1.42 : 1;
                var seen = over[at] + (isHidden ? 0 : step * _cell);
                if (seen > MostOver)
                {
                    continue;
                }
                var way = cost[at] + (isHidden ? step : OverCost * step);
                if (!cost.TryGetValue(next, out var known) || way < known - 1e-9)
                {
                    (cost[next], before[next], over[next]) = (way, at, seen);
                    open.Enqueue(next, way + (spot.DistanceTo(to) / _cell));
                }
            }
        }
        return [];
    }

    private List<Point> Back(Point from, Point to, Dictionary<int, int> before, int start, int end)
    {
        var path = new List<Point> { to };
        for (var at = end; at != start && before[at] != start; )
        {
            at = before[at];
            path.Add(Middle(at));
        }
        path.Add(from);
        path.Reverse();
        return path;
    }

    private Point Middle(int cell) =>
        new(_box.MinX + (((cell % _columns) + 0.5) * _cell), _box.MinY + (((cell / _columns) + 0.5) * _cell));

    private int Number(Point place)
    {
        var (x, y) = ((int)((place.X - _box.MinX) / _cell), (int)((place.Y - _box.MinY) / _cell));
        return x < 0 || y < 0 || x >= _columns || y >= _rows ? -1 : (y * _columns) + x;
    }

    /// <summary>Marks the cells that a stitch passes and those beside them that its thread hides.</summary>
    private void Draw(Point from, Point to, int order)
    {
        var looks = (int)(from.DistanceTo(to) / _cell) + 1;
        Budget.Spend(1 + (looks / 4));
        var (x, y) = ((from.X - _box.MinX) / _cell, (from.Y - _box.MinY) / _cell);
        var (dx, dy) = ((to.X - from.X) / _cell / looks, (to.Y - from.Y) / _cell / looks);
        for (var i = 0; i <= looks; i++)
        {
            // The box is wider than what is drawn: no cell beside one lies outside.
            var cell = ((int)(y + (i * dy)) * _columns) + (int)(x + (i * dx));
            _last[cell] = Math.Max(_last[cell], order);
            MarkNear(cell - 1);
            MarkNear(cell + 1);
            MarkNear(cell - _columns);
            MarkNear(cell + _columns);
        }

        void MarkNear(int cell)
        {
            if (
                _last[cell] < order
                && Middle(cell) is var spot
                && SegmentIndex.Foot(spot, from, to).DistanceTo(spot) <= _cell
            )
            {
                _last[cell] = order;
            }
        }
    }
}
