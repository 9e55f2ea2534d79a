using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>What one connected shape is sewn with.</summary>
/// <param name="Runs">In order, mm; nothing where no stroke has room.</param>
/// <param name="Fallen">What is not sewn in strokes.</param>
internal sealed record ShapeThread(ImmutableArray<StitchRun> Runs, ImmutableArray<FallenPart> Fallen)
{
    /// <summary>The needle goes back over its own strokes by at most about so much, mm.</summary>
    private const double MostBack = 8;

    /// <summary>Sews a shape in columns.</summary>
    /// <param name="task">The shape and how it is sewn.</param>
    /// <param name="cancellation">Stops the work.</param>
    internal static ShapeThread Of(ShapeTask task, CancellationToken cancellation)
    {
        var columns = ColumnFinder.Of(task.Region, task.Directions, cancellation);
        if (columns.IsEmpty)
        {
            return new ShapeThread([], []);
        }
        if (WideShape.Filled(task, columns, cancellation) is { } filled)
        {
            return filled;
        }
        var threads = new ColumnThreads(task.Numbers);
        var bits = ColumnWalk.Of(columns, task.Numbers, threads, task.Entry, task.Exit);
        return new ShapeThread(
            Joined(bits, threads.Runs(cancellation)),
            [.. columns.SelectMany(column => FallenPart.Of(column, SatinColumns.Limits))]
        );
    }

    /// <summary>The same elsewhere.</summary>
    /// <param name="by">How far it is moved, mm.</param>
    internal ShapeThread Moved(Point by) =>
        new(
            [.. Runs.Select(run => run with { Points = [.. run.Points.Select(point => point + by)] })],
            [.. Fallen.Select(part => part with { At = part.At + by })]
        );

    /// <summary>The runs one after the other; ways between those of one shape lie under what comes later.</summary>
    private static ImmutableArray<StitchRun> Joined(List<ColumnWalk.Bit> bits, List<ImmutableArray<Point>> tops)
    {
        var sewn = ImmutableArray.CreateBuilder<StitchRun>();
        var ways = new HiddenWays(
            bits.ConvertAll(bit => bit.Thread < 0 ? (ImmutableArray<Point>?)null : tops[bit.Thread])
        );
        for (var i = 0; i < bits.Count; i++)
        {
            Budget.Spend();
            var points = bits[i].Thread < 0 ? bits[i].Points : tops[bits[i].Thread];
            if (points.Length < 2 && bits[i].Kind == RunKind.Top)
            {
                continue;
            }
            if (
                sewn.Count > 0
                && sewn[^1].Points[^1] is var at
                && at.DistanceTo(points[0]) > StitchDefaults.ShortestStitch
            )
            {
                // What is not hidden the compiler trims.
                var way = ways.Find(at, points[0], i);
                if (way.IsEmpty && sewn[^1].Kind == RunKind.Top)
                {
                    way = BackAlong(sewn, points[0], ways, i);
                }
                if (way.Length > 1)
                {
                    sewn.Add(new StitchRun(RunKind.Underlay, 0, RunStitch.Along(way, StitchDefaults.FineRunLength)));
                }
            }
            if (points.Length > 1)
            {
                sewn.Add(new StitchRun(bits[i].Kind, 0, points));
            }
        }
        return sewn.ToImmutable();
    }

    /// <summary>A way that begins on the last strokes: the needle goes back along them, which adds stitches to their run.</summary>
    private static ImmutableArray<Point> BackAlong(
        ImmutableArray<StitchRun>.Builder sewn,
        Point to,
        HiddenWays ways,
        int order
    )
    {
        var run = sewn[^1];
        var back = new List<Point>();
        var gone = 0.0;
        for (var i = run.Points.Length - 1; i > 0 && gone < MostBack; i--)
        {
            Budget.Spend();
            var (at, before) = (run.Points[i], run.Points[i - 1]);
            var length = at.DistanceTo(before);
            foreach (var share in (ReadOnlySpan<double>)[0.5, 1])
            {
                var spot = Point.Lerp(at, before, share);
                if (
                    length * share >= StitchDefaults.ShortestStitch
                    && ways.Find(spot, to, order) is { IsEmpty: false } way
                )
                {
                    sewn[^1] = run with { Points = [.. run.Points, .. back, spot] };
                    return way;
                }
            }
            back.Add(before);
            gone += length;
        }
        return [];
    }
}
