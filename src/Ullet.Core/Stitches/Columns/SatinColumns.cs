using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Satin columns over whole shapes: letters, leaves, anything that is drawn in strokes.</summary>
/// <remarks>
/// The shape is widened by the compensation, cut into columns along its medial axis (<see cref="ColumnFinder"/>), and each column is
/// sewn in strokes across it, with a run underneath that brings the needle everywhere without a trim (<see cref="ColumnWalk"/>).
/// Laws, tested in SatinColumnsTests: (1) no needle point lies more than 0.1 mm outside the compensated outline; (2) no stitch of the
/// top is longer than <see cref="StitchDefaults.LongestStitch"/>, none shorter than <see cref="StitchDefaults.ShortestStitch"/>;
/// (3) the runs of one connected shape follow one another without a gap, over ways that later strokes hide; (4) the same shape gives the same points.
/// </remarks>
public static class SatinColumns
{
    /// <summary>Narrower than the first is sewn as a run, wider than the second in rows, compensated, mm.</summary>
    internal static readonly ColumnLimits Limits = new(StitchDefaults.NarrowestColumn, StitchDefaults.WidestColumn);

    /// <summary>A shape this much wider than high is sewn onwards from its left to its right: letters that are joined.</summary>
    private const double Long = 1.6;

    /// <summary>The needle goes back over its own strokes by at most about so much, mm.</summary>
    private const double MostBack = 8;

    /// <summary>Sews regions in columns.</summary>
    /// <param name="regions">The outline, mm.</param>
    /// <param name="numbers">Spacing, compensation, underlay.</param>
    /// <param name="work">Directions, order, joins.</param>
    /// <param name="cancellation">Stops the work.</param>
    /// <returns>Nothing for an outline without area.</returns>
    public static StepStitches Make(
        ImmutableArray<Region> regions,
        ColumnNumbers numbers,
        ColumnWork work,
        CancellationToken cancellation
    )
    {
        var wide = numbers.Compensation > 0 ? RegionOffset.By(regions, numbers.Compensation) : regions;
        var shapes = new List<(Region Region, ImmutableArray<SatinColumn> Columns)>();
        foreach (var region in InOrder(wide, work.FromMiddle))
        {
            cancellation.ThrowIfCancellationRequested();
            var columns = ColumnFinder.Of(region, work.Directions, cancellation);
            if (!columns.IsEmpty)
            {
                shapes.Add((region, columns));
            }
        }
        var threads = new ColumnThreads(numbers);
        var walks = new List<(bool IsJoined, List<ColumnWalk.Bit> Bits)>();
        var fallen = ImmutableArray.CreateBuilder<FallenPart>();
        for (var i = 0; i < shapes.Count; i++)
        {
            Budget.Spend();
            var (region, columns) = shapes[i];
            var joins = i + 1 < shapes.Count && IsNear(region, shapes[i + 1].Region, work.JoinNearer);
            var wasJoined = i > 0 && IsNear(shapes[i - 1].Region, region, work.JoinNearer);
            var box = region.Bounds();
            var entry = wasJoined ? Facing(region, shapes[i - 1].Region) : new Point(box.MinX, box.MaxY);
            Point? exit =
                joins ? Facing(region, shapes[i + 1].Region)
                : box.Width > Long * box.Height ? new Point(box.MaxX, box.MaxY)
                : null;
            walks.Add((wasJoined, ColumnWalk.Of(columns, numbers, threads, entry, exit)));
            fallen.AddRange(columns.SelectMany(column => FallenPart.Of(column, Limits)));
        }
        return new StepStitches(Joined(walks, threads.Runs(cancellation)), []) { Fallen = fallen.ToImmutable() };
    }

    /// <summary>The runs one after the other; ways between those of one shape lie under what comes later.</summary>
    private static ImmutableArray<StitchRun> Joined(
        List<(bool IsJoined, List<ColumnWalk.Bit> Bits)> walks,
        List<ImmutableArray<Point>> tops
    )
    {
        var sewn = ImmutableArray.CreateBuilder<StitchRun>();
        for (var shape = 0; shape < walks.Count; shape++)
        {
            var (isJoined, bits) = walks[shape];
            var ways = new HiddenWays(
                bits.ConvertAll(bit => bit.Thread < 0 ? (ImmutableArray<Point>?)null : tops[bit.Thread])
            );
            var isFirst = true;
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
                    var way =
                        !isFirst ? ways.Find(at, points[0], i)
                        : isJoined ? [at, points[0]]
                        : [];
                    if (way.IsEmpty && !isFirst && sewn[^1].Kind == RunKind.Top)
                    {
                        way = BackAlong(sewn, points[0], ways, i);
                    }
                    if (way.Length > 1)
                    {
                        sewn.Add(Run(RunKind.Underlay, shape, RunStitch.Along(way, StitchDefaults.FineRunLength)));
                    }
                }
                if (points.Length > 1)
                {
                    sewn.Add(Run(bits[i].Kind, shape, points));
                    isFirst = false;
                }
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

    /// <summary>All runs are one group: shapes keep their order.</summary>
    private static StitchRun Run(RunKind kind, int shape, ImmutableArray<Point> points) =>
        new(kind, shape, points) { Group = 0 };

    private static IEnumerable<Region> InOrder(ImmutableArray<Region> regions, bool fromMiddle)
    {
        var across = regions.OrderBy(region => region.Bounds().MinX).ThenBy(region => region.Bounds().MinY).ToList();
        var half = across.Count / 2;
        return fromMiddle ? across.Skip(half).Concat(across.Take(half).Reverse()) : across;
    }

    private static bool IsNear(Region one, Region two, double within) =>
        within > 0 && Facing(one, two).DistanceTo(Facing(two, one)) <= within;

    /// <summary>The place of a region's edge that lies nearest to another region.</summary>
    private static Point Facing(Region region, Region other)
    {
        var edges = new SegmentIndex(other.Rings);
        var (best, nearest) = (region.Shell.Points[0], double.MaxValue);
        foreach (var place in region.Shell.Points)
        {
            Budget.Spend();
            var away = edges.Nearest(place, Math.Min(nearest, 20))?.DistanceTo(place) ?? double.MaxValue;
            if (away < nearest)
            {
                (best, nearest) = (place, away);
            }
        }
        return best;
    }
}
