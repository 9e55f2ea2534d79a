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
    private const int Few = 3;

    /// <summary>Up to so many parts several beginnings are followed side by side.</summary>
    private const int Several = 24;

    /// <summary>So many beginnings.</summary>
    private const int Beginnings = 6;

    /// <summary>From so many parts on the nearest is taken.</summary>
    private const int Many = 60;

    /// <summary>So many of the nearest are tried.</summary>
    private const int Tried = 5;

    private readonly FillGraph _graph;
    private readonly IReadOnlyList<FillPiece> _pieces;
    private readonly (int Span, double X)? _exit;

    private FillOrder(FillGraph graph, IReadOnlyList<FillPiece> pieces, (int Span, double X)? exit) =>
        (_graph, _pieces, _exit) = (graph, pieces, exit);

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
        if (pieces.Count > Many)
        {
            return order.Nearest(entry);
        }
        var (kept, tried) =
            pieces.Count <= Few ? (int.MaxValue, int.MaxValue)
            : pieces.Count <= Several ? (Beginnings, Tried)
            : (1, Tried);
        return order.Followed(entry, kept, tried);
    }

    /// <summary>The cheapest order of those that are followed: from each beginning the parts that are cheap to come to and leave the
    /// others reachable.</summary>
    /// <param name="entry">Where the needle stands.</param>
    /// <param name="kept">So many beginnings are followed.</param>
    /// <param name="tried">From each, so many next parts are tried.</param>
    private List<(int Piece, bool IsReversed)> Followed((int Span, double X) entry, int kept, int tried)
    {
        var none = new bool[_graph.Spans.Count];
        List<Beginning> open =
        [
            new([], none, [.. Enumerable.Range(0, _pieces.Count)], 0, 0, WaysFrom(entry, none), entry),
        ];
        for (var depth = 0; depth < _pieces.Count; depth++)
        {
            Budget.Spend(open.Count);
            open =
            [
                .. open.SelectMany(begun =>
                        Steps(begun.Ways, begun.Left)
                            .OrderBy(pair => pair.Cost)
                            .Take(tried)
                            .Select(pair => Begun(begun, pair.Step, pair.Cost))
                    )
                    .OrderBy(begun => begun.Score)
                    .Take(kept),
            ];
        }
        return open.MinBy(begun => begun.Cost + Away(begun.At))?.Steps ?? [];
    }

    private Beginning Begun(Beginning before, (int Piece, bool IsReversed) step, double way)
    {
        var piece = _pieces[step.Piece];
        var isSewn = (bool[])before.IsSewn.Clone();
        foreach (var span in piece.Spans)
        {
            isSewn[span] = true;
        }
        var at = step.IsReversed ? (piece.First, piece.FirstX) : (piece.Last, piece.LastX);
        List<int> left = [.. before.Left.Where(other => other != step.Piece)];
        var (cost, ways) = (before.Cost + way, left.Count == 0 ? before.Ways : WaysFrom(at, isSewn));
        // The farthest of those that are left tells whether one was cut off: ways over thread count many times.
        var (nearest, farthest) = (double.MaxValue, 0.0);
        foreach (var other in left)
        {
            var cheapest = Cheapest(ways, other);
            (nearest, farthest) = (Math.Min(nearest, cheapest), Math.Max(farthest, cheapest));
        }
        var score = cost + (left.Count == 0 ? Away(at) : nearest + farthest);
        return new Beginning([.. before.Steps, step], isSewn, left, cost, score, ways, at);
    }

    private double Away((int Span, double X) at) => _exit is { } exit ? _graph.Distance(at, exit) : 0;

    private FillWays WaysFrom((int Span, double X) at, bool[] isSewn) =>
        _graph.Ways(at.Span, at.X, span => isSewn[span]);

    private List<(int Piece, bool IsReversed)> Nearest((int Span, double X) entry)
    {
        var (at, isSewn) = (entry, new bool[_graph.Spans.Count]);
        var left = Enumerable.Range(0, _pieces.Count).ToHashSet();
        var steps = new List<(int Piece, bool IsReversed)>();
        while (left.Count > 0)
        {
            Budget.Spend(left.Count);
            var ends = left.SelectMany(piece => (int[])[_pieces[piece].First, _pieces[piece].Last]).ToHashSet();
            var ways = _graph.Ways(at.Span, at.X, span => isSewn[span], ends.Contains);
            var step = Steps(ways, left).MinBy(pair => pair.Cost).Step;
            var piece = _pieces[step.Piece];
            foreach (var span in piece.Spans)
            {
                isSewn[span] = true;
            }
            left.Remove(step.Piece);
            steps.Add(step);
            at = step.IsReversed ? (piece.First, piece.FirstX) : (piece.Last, piece.LastX);
        }
        return steps;
    }

    private double Cheapest(FillWays ways, int piece) =>
        Math.Min(
            ways.To(_pieces[piece].First, _pieces[piece].FirstX),
            ways.To(_pieces[piece].Last, _pieces[piece].LastX)
        );

    private IEnumerable<((int Piece, bool IsReversed) Step, double Cost)> Steps(FillWays ways, IEnumerable<int> left)
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

    /// <summary>Some parts in order, and where that leads.</summary>
    /// <param name="Steps">The parts.</param>
    /// <param name="IsSewn">The stretches under thread.</param>
    /// <param name="Left">The parts that are left.</param>
    /// <param name="Cost">What its ways cost.</param>
    /// <param name="Score">What the whole may cost.</param>
    /// <param name="Ways">The ways from where the needle stands.</param>
    /// <param name="At">Where it stands.</param>
    private sealed record Beginning(
        List<(int Piece, bool IsReversed)> Steps,
        bool[] IsSewn,
        List<int> Left,
        double Cost,
        double Score,
        FillWays Ways,
        (int Span, double X) At
    );
}
