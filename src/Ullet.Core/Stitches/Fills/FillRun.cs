using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Stitches;

/// <summary>Sews one connected area: what lies under it, then its parts, with ways between them that later rows hide.</summary>
internal sealed class FillRun
{
    /// <summary>The run along the edge lies so far inside it, mm.</summary>
    private const double EdgeInset = 0.6;

    /// <summary>Rows underneath lie so far apart and end so far from the edge, mm.</summary>
    private const double UnderSpacing = 2.5;

    private const double UnderInset = 0.5;

    /// <summary>A stitch underneath is looked at in steps of this, mm.</summary>
    private const double Look = 0.3;

    /// <summary>Strokes of narrow parts lie within these distances, mm.</summary>
    private static readonly (double Least, double Most) Strokes = (0.35, 0.8);

    private readonly FillNumbers _numbers;
    private readonly RowFrame _frame;
    private readonly ThinParts _area;
    private readonly FillGraph _graph;
    private readonly bool[] _isSewn;
    private readonly ImmutableArray<StitchRun>.Builder _runs = ImmutableArray.CreateBuilder<StitchRun>();
    private readonly ImmutableArray<FallenPart>.Builder _fallen = ImmutableArray.CreateBuilder<FallenPart>();

    private FillRun(ThinParts area, FillNumbers numbers, RowFrame frame, double[] rows)
    {
        (_area, _numbers, _frame) = (area, numbers, frame);
        _graph = new FillGraph(FillRows.Of(area.Body, frame, rows, numbers.Compensation), rows);
        _isSewn = new bool[_graph.Spans.Count];
    }

    /// <summary>What an area is sewn with.</summary>
    /// <param name="region">A connected area, mm.</param>
    /// <param name="numbers">Spacing, angle, pattern, underlay.</param>
    /// <param name="frame">The rows' frame.</param>
    /// <param name="needle">Where the needle stands, mm.</param>
    /// <param name="exit">Where it should leave; null where that does not matter.</param>
    /// <param name="cancellation">Stops the work.</param>
    internal static ShapeThread Of(
        Region region,
        FillNumbers numbers,
        RowFrame frame,
        Point needle,
        Point? exit,
        CancellationToken cancellation
    )
    {
        var area = ThinParts.Of(region);
        if (area.Body.IsEmpty)
        {
            return InStrokes(region, numbers, needle, exit, cancellation);
        }
        var run = new FillRun(area, numbers, frame, FillRows.Of(area.Body, frame, numbers));
        if (run._graph.Spans.Count == 0)
        {
            return new ShapeThread([], []);
        }
        needle = run.Under(needle, cancellation);
        run.Top(needle, exit, cancellation);
        return new ShapeThread(run._runs.ToImmutable(), run._fallen.ToImmutable());
    }

    private static ShapeThread InStrokes(
        Region region,
        FillNumbers numbers,
        Point needle,
        Point? exit,
        CancellationToken cancellation
    )
    {
        var columns = new ColumnNumbers(Math.Clamp(numbers.Spacing, Strokes.Least, Strokes.Most), 0);
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        var fallen = ImmutableArray.CreateBuilder<FallenPart>();
        foreach (var wide in RegionOffset.By([region], numbers.Compensation))
        {
            var sewn = ShapeThreads.Of(new ShapeTask(wide, columns, [], needle, exit), cancellation);
            runs.AddRange(sewn.Runs);
            fallen.AddRange(sewn.Fallen);
        }
        return new ShapeThread(runs.ToImmutable(), fallen.ToImmutable());
    }

    /// <summary>What lies under the rows; where the needle stands then.</summary>
    private Point Under(Point needle, CancellationToken cancellation)
    {
        if (_numbers.Underlay.Edge)
        {
            var rings = RegionOffset.By(_area.Body, -EdgeInset).SelectMany(region => region.Rings).ToList();
            while (rings.Count > 0)
            {
                Budget.Spend();
                cancellation.ThrowIfCancellationRequested();
                var (ring, at) = rings
                    .Select(ring => (Ring: ring, At: Nearest(ring, needle)))
                    .MinBy(pair => pair.Ring.Points[pair.At].DistanceTo(needle));
                rings.Remove(ring);
                var line = RunStitch.Round(ring.StartingAt(at), StitchDefaults.RunLength);
                needle = line.Length > 1 ? Lay(line, needle) : needle;
            }
        }
        if (_numbers.Underlay.Rows)
        {
            var frame = _frame.Across();
            var rows = FillRows.Even(_area.Body, frame, UnderSpacing);
            var graph = new FillGraph(FillRows.Of(_area.Body, frame, rows, -UnderInset), rows);
            var plain = _numbers with { Pattern = RowPattern.FourRows, StitchLength = 4 };
            var chains = FillChain.Of(graph).ConvertAll(chain => FillThread.Of(graph, chain, plain, frame));
            chains.RemoveAll(chain => chain.Count < 2);
            while (chains.Count > 0)
            {
                Budget.Spend();
                cancellation.ThrowIfCancellationRequested();
                var next = chains.MinBy(chain => Math.Min(chain[0].DistanceTo(needle), chain[^1].DistanceTo(needle)))!;
                chains.Remove(next);
                if (next[^1].DistanceTo(needle) < next[0].DistanceTo(needle))
                {
                    next.Reverse();
                }
                foreach (var part in Inside(next))
                {
                    needle = Lay(part, needle);
                }
            }
        }
        return needle;
    }

    /// <summary>A line underneath, cut where a stitch would leave the area.</summary>
    private IEnumerable<ImmutableArray<Point>> Inside(List<Point> line)
    {
        var part = ImmutableArray.CreateBuilder<Point>();
        part.Add(line[0]);
        for (var i = 1; i < line.Count; i++)
        {
            var looks = (int)Math.Ceiling(line[i].DistanceTo(line[i - 1]) / Look);
            for (var k = 1; k < looks; k++)
            {
                if (!_graph.Holds(_frame.In(Point.Lerp(line[i - 1], line[i], k / (double)looks))))
                {
                    yield return part.ToImmutable();
                    part.Clear();
                    break;
                }
            }
            part.Add(line[i]);
        }
        yield return part.ToImmutable();
    }

    /// <summary>Sews a line underneath; where the needle stands then.</summary>
    private Point Lay(ImmutableArray<Point> line, Point needle)
    {
        var from = _frame.In(needle);
        var to = _frame.In(line[0]);
        var (start, end) = (_graph.At(from), _graph.At(to));
        var ways = _graph.Ways(
            start,
            _graph.Spans[start].Within(from.X, 0),
            span => _isSewn[span],
            span => span == end
        );
        Way(needle, ways.Line(end, _graph.Spans[end].Within(to.X, 0)), line[0]);
        if (line.Length > 1)
        {
            _runs.Add(new StitchRun(RunKind.Underlay, 0, line));
        }
        return line[^1];
    }

    /// <summary>The needle's way to a place over places of the frame.</summary>
    private void Way(Point needle, List<Point> line, Point to)
    {
        // The first run begins where the area is entered.
        if (_runs.Count == 0 || needle.DistanceTo(to) < StitchDefaults.ShortestStitch)
        {
            return;
        }
        var places = Spaced([needle, .. line.Select(_frame.Out), to]);
        if (places.Length > 1)
        {
            _runs.Add(new StitchRun(RunKind.Underlay, 0, RunStitch.Along(places, StitchDefaults.FineRunLength)));
        }
    }

    /// <summary>A line without corners nearer to each other than a stitch is long: the next stitch begins a little farther on instead, so
    /// that it does not cut the corner by more than that.</summary>
    private static ImmutableArray<Point> Spaced(List<Point> line)
    {
        const double Least = StitchDefaults.ShortestStitch + 0.01;
        var kept = ImmutableArray.CreateBuilder<Point>(line.Count);
        kept.Add(line[0]);
        for (var i = 1; i + 1 < line.Count; i++)
        {
            Budget.Spend();
            if (kept[^1].DistanceTo(line[i]) >= Least)
            {
                kept.Add(line[i]);
                continue;
            }
            var (on, length) = ((line[i + 1] - line[i]).Unit(), line[i].DistanceTo(line[i + 1]));
            for (var way = 0.1; way < Math.Min(length, 2 * Least); way += 0.1)
            {
                var place = line[i] + (on * way);
                if (kept[^1].DistanceTo(place) >= Least)
                {
                    kept.Add(place);
                    break;
                }
            }
        }
        while (kept.Count > 1 && kept[^1].DistanceTo(line[^1]) < Least)
        {
            kept.RemoveAt(kept.Count - 1);
        }
        kept.Add(line[^1]);
        return kept.ToImmutable();
    }

    private void Top(Point needle, Point? exit, CancellationToken cancellation)
    {
        var chains = FillChain.Of(_graph);
        var pieces = chains.ConvertAll(chain =>
        {
            var ((first, firstLow), (last, lastLow)) = (chain.Links[0], chain.Links[^1]);
            var (from, to) = (_graph.Spans[first], _graph.Spans[last]);
            return new FillPiece(
                first,
                firstLow ? from.Low : from.High,
                last,
                lastLow ? to.High : to.Low,
                chain.Links.ConvertAll(link => link.Span)
            );
        });
        pieces.AddRange(
            _area.Parts.Select(part =>
            {
                var spot = Spot(part.At);
                return new FillPiece(spot.Span, spot.X, spot.Span, spot.X, []);
            })
        );
        var at = Spot(needle);
        foreach (var (number, isReversed) in FillOrder.Of(_graph, pieces, at, exit is { } leave ? Spot(leave) : null))
        {
            cancellation.ThrowIfCancellationRequested();
            var piece = pieces[number];
            var (span, x) = isReversed ? (piece.Last, piece.LastX) : (piece.First, piece.FirstX);
            var line = _graph.Ways(at.Span, at.X, sewn => _isSewn[sewn], reached => reached == span).Line(span, x);
            at = isReversed ? (piece.First, piece.FirstX) : (piece.Last, piece.LastX);
            if (number >= chains.Count)
            {
                var part = _area.Parts[number - chains.Count];
                var sewn = InStrokes(part.Area, _numbers, part.At, null, cancellation);
                if (!sewn.Runs.IsEmpty)
                {
                    Way(needle, line, sewn.Runs[0].Points[0]);
                    _runs.AddRange(sewn.Runs);
                    _fallen.AddRange(sewn.Fallen);
                    needle = sewn.Runs[^1].Points[^1];
                }
                continue;
            }
            var thread = FillThread.Of(_graph, chains[number], _numbers, _frame);
            if (isReversed)
            {
                thread.Reverse();
            }
            foreach (var sewn in piece.Spans)
            {
                _isSewn[sewn] = true;
            }
            if (thread.Count < 2)
            {
                continue;
            }
            Way(needle, line, thread[0]);
            _runs.Add(new StitchRun(RunKind.Top, 0, [.. thread]));
            needle = thread[^1];
        }
    }

    private (int Span, double X) Spot(Point place)
    {
        var at = _frame.In(place);
        var span = _graph.At(at);
        return (span, _graph.Spans[span].Within(at.X, 0));
    }

    private static int Nearest(Ring ring, Point to)
    {
        var (best, nearest) = (0, double.MaxValue);
        for (var i = 0; i < ring.Points.Length; i++)
        {
            var away = ring.Points[i].DistanceTo(to);
            if (away < nearest)
            {
                (best, nearest) = (i, away);
            }
        }
        return best;
    }
}
