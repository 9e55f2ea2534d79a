using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Stitches;

namespace Ullet.Core.Maps;

/// <summary>Measures thread over areas and along lines, in strokes and in rows: whether needle points pile up, cloth shows, stitches spill, thread is in sight.</summary>
public sealed class SatinJudge : IStation<SewnStage, CoverReport>
{
    private const double Cell = 0.1;

    /// <summary>Layers differ over less than a thread's width: they are counted on finer cells, mm.</summary>
    private const double Fine = 0.05;

    /// <summary>A large word is looked at more coarsely: at most so many cells.</summary>
    private const double MostCells = 600_000;

    private const double MostSpill = 0.1;

    /// <summary>More layers are thick.</summary>
    private const int MostLayers = 3;

    /// <summary>Thread may lie thick on this share of the area.</summary>
    private const double MostThick = 0.01;

    /// <summary>Nothing on the wall lies farther from an edge, mm.</summary>
    private const double Farthest = 4000;

    public int Version => 1;

    public static bool Judges(Stage stage) => stage.Plan is IAreaPlan;

    public long Bytes(CoverReport output) => 4 * Footprint.Thing;

    public ContentHash Key(SewnStage input) =>
        ContentHash.Of(input.Stage.Key.ToString(), $"satin-judge-{Version}-{input.StitchesKey.Hex}");

    public CoverReport Compute(SewnStage input, CancellationToken cancellation)
    {
        var (stage, plan) = (input.Stage, (IAreaPlan)input.Stage.Plan);
        var tops = input.Stitches.Runs.Where(run => run.Kind == RunKind.Top).ToList();
        if (tops.Count == 0)
        {
            return new CoverReport(stage.Key, null, null, null, null);
        }
        var area = plan.Area(stage.Outline);
        var edges = new SegmentIndex([.. area.SelectMany(region => region.Rings)], 1);
        var inside = new AreaIndex(area);
        cancellation.ThrowIfCancellationRequested();
        var raster = Drawn(tops, StitchDefaults.ThreadWidth, Cell);
        return new CoverReport(
            stage.Key,
            NeedleCrowd.Most([.. tops.SelectMany(run => run.Points)], plan.NeedleLimit),
            BareSpots.Widest(raster, AreaCells.Mark(area, raster)) is { } bare && bare.Value > plan.MeantBare
                ? bare
                : null,
            Spilled(tops, inside, edges),
            null
        )
        {
            InSight = InSight(input.Stitches, inside, edges, plan.JoinNearer),
            Thick = Thick(Drawn(tops, ThreadField.CountedWidth, Fine)),
        };
    }

    private static MeasuredPlace? Thick(ThreadRaster raster)
    {
        Budget.SpendAhead(raster.Layers.Length / 8.0);
        var (sewn, thick, worst) = (0, 0, 0);
        for (var at = 0; at < raster.Layers.Length; at++)
        {
            var layers = raster.Layers[at];
            sewn += layers > 0 ? 1 : 0;
            thick += layers > MostLayers ? 1 : 0;
            worst = layers > raster.Layers[worst] ? at : worst;
        }
        return thick > MostThick * sewn
            ? new MeasuredPlace(raster.At(worst % raster.Columns, worst / raster.Columns), thick / (double)sewn)
            : null;
    }

    private static ThreadRaster Drawn(List<StitchRun> tops, double threadWidth, double cell)
    {
        var box = tops.Aggregate(Box.Empty, (sum, run) => sum.Union(Box.Of(run.Points))).Grown(1);
        var raster = new ThreadRaster(box, Math.Max(cell, Math.Sqrt(box.Width * box.Height / MostCells)), threadWidth);
        foreach (var run in tops)
        {
            for (var i = 1; i < run.Points.Length; i++)
            {
                Budget.Spend();
                raster.Draw(run.Points[i - 1], run.Points[i]);
            }
        }
        return raster;
    }

    private static MeasuredPlace? Spilled(List<StitchRun> tops, AreaIndex inside, SegmentIndex edges)
    {
        MeasuredPlace? worst = null;
        foreach (var point in tops.SelectMany(run => run.Points))
        {
            Budget.Spend();
            if (edges.Nearest(point, MostSpill) is not null || inside.Holds(point))
            {
                continue;
            }
            var away = edges.Nearest(point, Farthest)?.DistanceTo(point) ?? Farthest;
            worst = away > (worst?.Value ?? 0) ? new MeasuredPlace(point, away) : worst;
        }
        return worst;
    }

    /// <summary>Ways and underlay that lie on cloth in the end, and strokes that leave the area: on its own strokes a thread is not seen.</summary>
    private static MeasuredPlace? InSight(
        StepStitches stitches,
        AreaIndex inside,
        SegmentIndex edges,
        double joinNearer
    )
    {
        var threads = RunsInSight.Threads(stitches);
        return RunsInSight.Worst(
            stitches,
            i =>
                stitches.Runs[i].Kind == RunKind.Top
                    ? place => edges.Nearest(place, StitchDefaults.ThreadWidth) is not null || inside.Holds(place)
                    : place => threads.Any(thread => thread?.LiesAt(place, ThreadInSight.Hides) == true),
            // From one shape to the next thread lies over a gap as wide as was allowed.
            i =>
                i > 0 && stitches.Runs[i].Kind != RunKind.Top && stitches.Runs[i].Edge != stitches.Runs[i - 1].Edge
                    ? joinNearer + ThreadInSight.Most
                    : BareSpots.Narrowest,
            // Far from every edge a stitch between two places of the area does not leave it.
            (from, to) =>
                edges.Nearest(Point.Lerp(from, to, 0.5), (from.DistanceTo(to) / 2) + StitchDefaults.ThreadWidth) is null
                && inside.Holds(from)
        );
    }
}
