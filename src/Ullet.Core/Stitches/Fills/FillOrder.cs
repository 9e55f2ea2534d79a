using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A part of a filled area that is sewn in one go.</summary>
/// <param name="First">The stretch where it begins.</param>
/// <param name="FirstX">Where on it, mm.</param>
/// <param name="Last">The stretch where it ends; it may be sewn the other way round.</param>
/// <param name="LastX">Where on it, mm.</param>
/// <param name="Spans">The stretches that lie under thread once it is sewn.</param>
internal sealed record FillPiece(int First, double FirstX, int Last, double LastX, IReadOnlyList<int> Spans);

/// <summary>The order of an area's parts: every way between them lies under what is still to be sewn, and is short.</summary>
internal sealed class FillOrder
{
    /// <summary>Up to so many parts all orders are tried.</summary>
    private const int Few = 4;

    /// <summary>From so many parts on the nearest is taken.</summary>
    private const int Many = 60;

    /// <summary>So many of the nearest are tried.</summary>
    private const int Tried = 5;

    private readonly FillGraph _graph;
    private readonly IReadOnlyList<FillPiece> _pieces;
    private readonly (int Span, double X)? _exit;
    private readonly bool[] _isSewn;
    private readonly List<(int Piece, bool IsReversed)> _steps = [];
    private List<(int Piece, bool IsReversed)> _best = [];
    private double _least = double.MaxValue;

    private FillOrder(FillGraph graph, IReadOnlyList<FillPiece> pieces, (int Span, double X)? exit)
    {
        (_graph, _pieces, _exit) = (graph, pieces, exit);
        _isSewn = new bool[graph.Spans.Count];
    }

    /// <summary>The parts in order, each with whether it is sewn from its end to its beginning.</summary>
    /// <param name="graph">The area's stretches.</param>
    /// <param name="pieces">Its parts.</param>
    /// <param name="entry">Where the needle stands.</param>
    /// <param name="exit">Where it should leave; null where that does not matter.</param>
    internal static List<(int Piece, bool IsReversed)> Of(
        FillGraph graph,
        IReadOnlyList<FillPiece> pieces,
        (int Span, double X) entry,
        (int Span, double X)? exit
    )
    {
        var order = new FillOrder(graph, pieces, exit);
        var left = Enumerable.Range(0, pieces.Count).ToHashSet();
        if (pieces.Count <= Few)
        {
            order.Search(entry, left, 0);
            return order._best;
        }
        var at = entry;
        while (left.Count > 0)
        {
            var step = pieces.Count > Many ? order.Nearest(at, left) : order.Farsighted(at, left);
            at = order.Take(step, left);
        }
        return order._steps;
    }

    private void Search((int Span, double X) at, HashSet<int> left, double cost)
    {
        Budget.Spend();
        if (cost >= _least)
        {
            return;
        }
        if (left.Count == 0)
        {
            var away = _exit is { } exit ? _graph.Distance(at, exit) : 0;
            if (cost + away < _least)
            {
                (_least, _best) = (cost + away, [.. _steps]);
            }
            return;
        }
        var ways = _graph.Ways(at.Span, at.X, span => _isSewn[span]);
        foreach (var (step, way) in Steps(ways, left).OrderBy(pair => pair.Cost).ToList())
        {
            var next = Take(step, left);
            Search(next, left, cost + way);
            Back(step, left);
        }
    }

    /// <summary>The part that is cheap to come to and leaves the others reachable.</summary>
    private (int Piece, bool IsReversed) Farsighted((int Span, double X) at, HashSet<int> left)
    {
        var ways = _graph.Ways(at.Span, at.X, span => _isSewn[span]);
        var (best, least) = (default((int, bool)), double.MaxValue);
        foreach (var (step, way) in Steps(ways, left).OrderBy(pair => pair.Cost).Take(Tried).ToList())
        {
            var next = Take(step, left);
            var after = _graph.Ways(next.Span, next.X, span => _isSewn[span]);
            // The farthest of those that are left tells whether one was cut off: ways over thread count many times.
            var score =
                way
                + left.Select(piece => Cheapest(after, piece)).DefaultIfEmpty(0).Min()
                + left.Select(piece => Cheapest(after, piece)).DefaultIfEmpty(0).Max();
            Back(step, left);
            if (score < least)
            {
                (best, least) = (step, score);
            }
        }
        return best;
    }

    private (int Piece, bool IsReversed) Nearest((int Span, double X) at, HashSet<int> left)
    {
        var ends = left.SelectMany(piece => (int[])[_pieces[piece].First, _pieces[piece].Last]).ToHashSet();
        var ways = _graph.Ways(at.Span, at.X, span => _isSewn[span], ends.Contains);
        return Steps(ways, left).MinBy(pair => pair.Cost).Step;
    }

    private double Cheapest(FillWays ways, int piece) =>
        Math.Min(
            ways.To(_pieces[piece].First, _pieces[piece].FirstX),
            ways.To(_pieces[piece].Last, _pieces[piece].LastX)
        );

    private IEnumerable<((int Piece, bool IsReversed) Step, double Cost)> Steps(FillWays ways, HashSet<int> left)
    {
        foreach (var i in left)
        {
            var piece = _pieces[i];
            yield return ((i, false), ways.To(piece.First, piece.FirstX));
            if (piece.First != piece.Last || Math.Abs(piece.FirstX - piece.LastX) > Geometry.Tolerance.Quantum)
            {
                yield return ((i, true), ways.To(piece.Last, piece.LastX));
            }
        }
    }

    /// <summary>Sews a part; where the needle stands then.</summary>
    private (int Span, double X) Take((int Piece, bool IsReversed) step, HashSet<int> left)
    {
        var piece = _pieces[step.Piece];
        left.Remove(step.Piece);
        _steps.Add(step);
        foreach (var span in piece.Spans)
        {
            _isSewn[span] = true;
        }
        return step.IsReversed ? (piece.First, piece.FirstX) : (piece.Last, piece.LastX);
    }

    private void Back((int Piece, bool IsReversed) step, HashSet<int> left)
    {
        left.Add(step.Piece);
        _steps.RemoveAt(_steps.Count - 1);
        foreach (var span in _pieces[step.Piece].Spans)
        {
            _isSewn[span] = false;
        }
    }
}
