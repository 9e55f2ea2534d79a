using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Sews one connected area: what lies under it, then its parts, with ways between them that later rows hide.</summary>
internal static class FillRun
{
    /// <summary>Strokes of narrow parts lie within these distances, mm.</summary>
    private static readonly (double Least, double Most) Strokes = (0.35, 0.8);

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
        var rows = FillRows.Of(area.Body, frame, numbers);
        var graph = new FillGraph(FillRows.Of(area.Body, frame, rows, numbers.Compensation), rows);
        if (graph.Spans.Count == 0)
        {
            return new ShapeThread([], []);
        }
        var stands = new FillNeedle(graph, frame, needle);
        FillUnder.Lay(area.Body, graph, numbers, frame, stands, cancellation);
        return Top(area, graph, numbers, frame, stands, exit, cancellation);
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

    private static ShapeThread Top(
        ThinParts area,
        FillGraph graph,
        FillNumbers numbers,
        RowFrame frame,
        FillNeedle needle,
        Point? exit,
        CancellationToken cancellation
    )
    {
        var chains = FillChain.Of(graph);
        var pieces = chains.ConvertAll(chain => chain.Piece(graph));
        pieces.AddRange(
            area.Parts.Select(part =>
            {
                var spot = needle.Spot(part.At);
                return new FillPiece(spot.Span, spot.X, spot.Span, spot.X, []);
            })
        );
        var fallen = ImmutableArray.CreateBuilder<FallenPart>();
        var at = needle.Spot(needle.Stands);
        var end = exit is { } leave ? needle.Spot(leave) : ((int, double)?)null;
        foreach (var (number, isReversed) in FillOrder.Of(graph, pieces, at, end))
        {
            Budget.Spend();
            cancellation.ThrowIfCancellationRequested();
            var sewn =
                number < chains.Count ? OfRows(chains[number], isReversed) : OfPart(area.Parts[number - chains.Count]);
            var piece = pieces[number];
            if (!sewn.Runs.IsEmpty)
            {
                var start = isReversed ? (piece.Last, piece.LastX) : (piece.First, piece.FirstX);
                needle.GoTo(at, start, sewn.Runs[0].Points[0]);
                needle.Sew(sewn.Runs, piece.Spans);
                fallen.AddRange(sewn.Fallen);
                at = isReversed ? (piece.First, piece.FirstX) : (piece.Last, piece.LastX);
            }
        }
        return new ShapeThread(needle.Runs, fallen.ToImmutable());

        ShapeThread OfRows(FillChain chain, bool isReversed)
        {
            var thread = FillThread.Of(graph, chain, numbers, frame);
            if (isReversed)
            {
                thread.Reverse();
            }
            return new ShapeThread(thread.Count < 2 ? [] : [new StitchRun(RunKind.Top, 0, [.. thread])], []);
        }

        ShapeThread OfPart(ThinPart part) => InStrokes(part.Area, numbers, part.At, null, cancellation);
    }
}
