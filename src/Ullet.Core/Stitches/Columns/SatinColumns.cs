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
        ImmutableArray<Region> wide =
        [
            .. InOrder(CompensatedShapes.Of(regions, numbers.Compensation), work.FromMiddle),
        ];
        var sewn = ImmutableArray.CreateBuilder<StitchRun>();
        var fallen = ImmutableArray.CreateBuilder<FallenPart>();
        for (var i = 0; i < wide.Length; i++)
        {
            Budget.Spend();
            cancellation.ThrowIfCancellationRequested();
            var joins = i + 1 < wide.Length && IsNear(wide[i], wide[i + 1], work.JoinNearer);
            var wasJoined = i > 0 && IsNear(wide[i - 1], wide[i], work.JoinNearer);
            var box = wide[i].Bounds();
            var entry = wasJoined ? Facing(wide[i], wide[i - 1]) : new Point(box.MinX, box.MaxY);
            Point? exit =
                joins ? Facing(wide[i], wide[i + 1])
                : box.Width > Long * box.Height ? new Point(box.MaxX, box.MaxY)
                : null;
            var shape = ShapeThreads.Of(new ShapeTask(wide[i], numbers, work.Directions, entry, exit), cancellation);
            if (shape.Runs.IsEmpty)
            {
                continue;
            }
            if (wasJoined && sewn.Count > 0)
            {
                Join(sewn, shape, i, work.JoinNearer);
            }
            sewn.AddRange(shape.Runs.Select(run => Run(run.Kind, i, run.Points)));
            fallen.AddRange(shape.Fallen);
        }
        return new StepStitches(sewn.ToImmutable(), []) { Fallen = fallen.ToImmutable() };
    }

    /// <summary>The way from one shape to the next: it may show over the gap between them, not more.</summary>
    private static void Join(ImmutableArray<StitchRun>.Builder sewn, ShapeThread next, int shape, double nearer)
    {
        var (from, to) = (sewn[^1].Points[^1], next.Runs[0].Points[0]);
        var beside = sewn.Where(run => run.Edge == sewn[^1].Edge)
            .Concat(next.Runs)
            .Where(run => run.Kind == RunKind.Top)
            .Select(run => new RunThread(run.Points))
            .ToList();
        var (shows, _) = ThreadInSight.Longest(
            from,
            to,
            place => beside.Exists(thread => thread.LiesAt(place, ThreadInSight.Hides))
        );
        if (from.DistanceTo(to) > StitchDefaults.ShortestStitch && shows <= nearer + ThreadInSight.Most)
        {
            sewn.Add(Run(RunKind.Underlay, shape, RunStitch.Along([from, to], StitchDefaults.FineRunLength)));
        }
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
