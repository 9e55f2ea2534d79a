using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Which stretches of neighbouring rows touch, and ways over them.</summary>
internal sealed class FillGraph
{
    /// <summary>A way keeps so far from the ends of stretches, mm.</summary>
    private const double Inset = 0.45;

    /// <summary>A way over what is sewn already counts so much more.</summary>
    private const double OverCost = 40;

    private readonly double[] _places;
    private readonly List<int>[] _above;
    private readonly List<int>[] _below;
    private readonly Dictionary<int, (int First, int End)> _rows = [];

    internal FillGraph(List<RowSpan> spans, double[] rows)
    {
        (Spans, _places) = (spans, rows);
        (_above, _below) = (new List<int>[spans.Count], new List<int>[spans.Count]);
        for (var i = 0; i < spans.Count; i++)
        {
            (_above[i], _below[i]) = ([], []);
            _rows[spans[i].Row] = _rows.TryGetValue(spans[i].Row, out var row) ? (row.First, i + 1) : (i, i + 1);
        }
        foreach (var (row, (first, end)) in _rows)
        {
            if (!_rows.TryGetValue(row + 1, out var next))
            {
                continue;
            }
            var from = next.First;
            for (var i = first; i < end; i++)
            {
                while (from < next.End && spans[from].High <= spans[i].Low)
                {
                    from++;
                }
                for (var k = from; k < next.End && spans[k].Low < spans[i].High; k++)
                {
                    Budget.Spend();
                    _below[i].Add(k);
                    _above[k].Add(i);
                }
            }
        }
    }

    internal IReadOnlyList<RowSpan> Spans { get; }

    internal IReadOnlyList<int> Below(int span) => _below[span];

    internal IEnumerable<int> Beside(int span) => _above[span].Concat(_below[span]);

    /// <summary>The stretch nearest to a place of the frame; -1 for none.</summary>
    internal int At(Point place)
    {
        var (best, nearest) = (-1, double.MaxValue);
        var row = Array.BinarySearch(_places, place.Y);
        row = Math.Clamp(row < 0 ? ~row : row, 0, _places.Length - 1);
        var (first, end) =
            IsOn(row, place.X) ? _rows[row]
            : IsOn(row - 1, place.X) ? _rows[row - 1]
            : (0, Spans.Count);
        for (var i = first; i < end; i++)
        {
            Budget.Spend();
            var away = Math.Abs(Spans[i].Y - place.Y) + Spans[i].Gap(place.X);
            if (away < nearest)
            {
                (best, nearest) = (i, away);
            }
        }
        return best;
    }

    /// <summary>True where a place of the frame lies on a row or between two of one area.</summary>
    internal bool Holds(Point place)
    {
        Budget.Spend();
        var at = Array.BinarySearch(_places, place.Y);
        at = at < 0 ? ~at : at;
        return IsOn(at, place.X) && IsOn(at - 1, place.X);
    }

    private bool IsOn(int row, double x)
    {
        if (row < 0 || row >= _places.Length || !_rows.TryGetValue(row, out var spans))
        {
            return false;
        }
        for (var i = spans.First; i < spans.End; i++)
        {
            if (Spans[i].Low <= x && x <= Spans[i].High)
            {
                return true;
            }
        }
        return false;
    }

    /// <summary>The distance of two places as the crow flies, mm.</summary>
    internal double Distance((int Span, double X) one, (int Span, double X) other) =>
        new Point(one.X, Spans[one.Span].Y).DistanceTo(new Point(other.X, Spans[other.Span].Y));

    /// <summary>The cheapest ways from a place to all stretches.</summary>
    /// <param name="from">The stretch that the needle stands on.</param>
    /// <param name="x">Where on it, mm.</param>
    /// <param name="isSewn">Whether a stretch is sewn already: a way over it is seen.</param>
    /// <param name="stops">Ways are looked for until one comes to a stretch of which this is true; null for all ways.</param>
    internal FillWays Ways(int from, double x, Func<int, bool> isSewn, Func<int, bool>? stops = null)
    {
        var cost = new double[Spans.Count];
        var places = new double[Spans.Count];
        var before = new int[Spans.Count];
        Array.Fill(cost, double.MaxValue);
        Array.Fill(before, -1);
        (cost[from], places[from]) = (0, x);
        var open = new PriorityQueue<int, double>();
        open.Enqueue(from, 0);
        while (open.TryDequeue(out var at, out var known))
        {
            if (known > cost[at])
            {
                continue;
            }
            if (stops?.Invoke(at) == true)
            {
                break;
            }
            foreach (var next in Beside(at))
            {
                Budget.Spend();
                var low = Math.Max(Spans[at].Low, Spans[next].Low);
                var high = Math.Min(Spans[at].High, Spans[next].High);
                var spot = new RowSpan(0, 0, low, high).Within(places[at], Inset);
                var length = Math.Abs(spot - places[at]) + Math.Abs(Spans[next].Y - Spans[at].Y);
                var way = cost[at] + (length * (isSewn(next) ? OverCost : 1));
                if (way < cost[next])
                {
                    (cost[next], places[next], before[next]) = (way, spot, at);
                    open.Enqueue(next, way);
                }
            }
        }
        return new FillWays(this, from, x, cost, places, before);
    }
}

/// <summary>Ways from one place of a filled area to the others.</summary>
internal sealed class FillWays(FillGraph graph, int from, double x, double[] cost, double[] places, int[] before)
{
    /// <summary>What a way to an end of a stretch costs; endless where there is none.</summary>
    internal double To(int span, double end) =>
        cost[span] >= double.MaxValue ? double.MaxValue : cost[span] + Math.Abs(end - places[span]);

    /// <summary>The places on a way, in the frame, the first and last included; none where there is no way.</summary>
    internal List<Point> Line(int span, double end)
    {
        if (cost[span] >= double.MaxValue)
        {
            return [];
        }
        var path = new List<int>();
        for (var at = span; at >= 0; at = before[at])
        {
            Budget.Spend();
            path.Add(at);
        }
        path.Reverse();
        var line = new List<Point> { new(x, graph.Spans[from].Y) };
        foreach (var at in path.Skip(1))
        {
            var spot = places[at];
            if (Math.Abs(spot - line[^1].X) > Tolerance.Quantum)
            {
                line.Add(line[^1] with { X = spot });
            }
            line.Add(new Point(spot, graph.Spans[at].Y));
        }
        line.Add(new Point(end, graph.Spans[span].Y));
        return Straightened(line);
    }

    /// <summary>Without places in the middle of straight pieces.</summary>
    private static List<Point> Straightened(List<Point> line)
    {
        var kept = new List<Point>();
        foreach (var place in line)
        {
            while (
                kept.Count > 1
                && Math.Abs(Point.Cross((kept[^1] - kept[^2]).Unit(), place - kept[^2])) < Tolerance.Quantum
                && Point.Dot(kept[^1] - kept[^2], place - kept[^1]) >= 0
            )
            {
                kept.RemoveAt(kept.Count - 1);
            }
            if (kept.Count == 0 || kept[^1].DistanceTo(place) > Tolerance.Quantum)
            {
                kept.Add(place);
            }
        }
        return kept;
    }
}
