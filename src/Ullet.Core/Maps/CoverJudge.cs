using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Maps;

/// <summary>A stage that was sewn, to be judged.</summary>
/// <param name="Stage">The stage.</param>
/// <param name="Stitches">Its needle points.</param>
/// <param name="StitchesKey">Stands for them in the key.</param>
public sealed record SewnStage(Stage Stage, StepStitches Stitches, ContentHash StitchesKey);

/// <summary>A place and what was measured there.</summary>
public sealed record MeasuredPlace(Point At, double Value);

/// <summary>What was measured on one cover; a null where nothing is wrong.</summary>
/// <param name="Key">The step.</param>
/// <param name="PiledUp">Most needle points in a disc of 0.5 mm radius, where they are more than the cloth bears.</param>
/// <param name="Bare">The widest bare spot of the band, mm, where it is wider than 0.5.</param>
/// <param name="Spilled">How far the farthest needle point lies outside the band, mm, where it is more than 0.1.</param>
/// <param name="TooWide">The longest stroke, mm, where strokes have to be split.</param>
public sealed record CoverReport(
    StepKey Key,
    MeasuredPlace? PiledUp,
    MeasuredPlace? Bare,
    MeasuredPlace? Spilled,
    MeasuredPlace? TooWide
)
{
    /// <summary>The longest piece of underlay, or of a stitch that leaves the cover's band, that shows, mm, where it is over 0.5.</summary>
    public MeasuredPlace? InSight { get; init; }

    /// <summary>Where thread lies over three layers thick and on what share of the area, where that is over 1 %.</summary>
    public MeasuredPlace? Thick { get; init; }
}

/// <summary>Measures covers: whether needle points pile up, cloth shows, or stitches spill.</summary>
public sealed class CoverJudge : IStation<SewnStage, CoverReport>
{
    private const double Cell = 0.1;
    private const double MostSpill = 0.1;

    /// <summary>Nothing on the wall lies farther from an edge, mm.</summary>
    private const double Farthest = 4000;

    public int Version => 2;

    public long Bytes(CoverReport output) => 4 * Footprint.Thing;

    public ContentHash Key(SewnStage input) =>
        ContentHash.Of(input.Stage.Key.ToString(), $"cover-judge-{Version}-{input.StitchesKey.Hex}");

    public CoverReport Compute(SewnStage input, CancellationToken cancellation)
    {
        var (stage, cover) = (input.Stage, input.Stage.Cover!.Numbers);
        var tops = input.Stitches.Runs.Where(run => run.Kind == RunKind.Top).ToList();
        if (tops.Count == 0)
        {
            return new CoverReport(stage.Key, null, null, null, null);
        }
        var inSight = InSight(stage, input.Stitches);
        if (cover.Kind is not (CoverKind.Satin or CoverKind.Zigzag))
        {
            return new CoverReport(stage.Key, null, null, null, null) { InSight = inSight };
        }
        return new CoverReport(
            stage.Key,
            cover.HidesEdge ? PiledUp(tops, cover.Band) : null,
            cover.HidesEdge ? Bare(stage, tops, cancellation) : null,
            Spilled(stage, tops),
            TooWide(tops)
        )
        {
            InSight = inSight,
        };
    }

    /// <summary>Underlay that no later top hides, and tops that leave their band.</summary>
    private static MeasuredPlace? InSight(Stage stage, StepStitches stitches)
    {
        var rings = Rings(stage.Outline);
        var reach = ReachOf(stage.Cover!.Numbers.Band) + StitchDefaults.ThreadWidth;
        var index = new SegmentIndex(rings, Math.Max(1, reach));
        var threads = RunsInSight.Threads(stitches);
        return RunsInSight.Worst(
            stitches,
            i =>
                stitches.Runs[i].Kind == RunKind.Top
                    ? place => index.Nearest(place, reach) is not null
                    : place => threads.Skip(i + 1).Any(thread => thread?.LiesAt(place, ThreadInSight.Hides) == true),
            _ => BareSpots.Narrowest,
            // Between two places in the band a short stitch does not leave it.
            (from, to) => from.DistanceTo(to) <= reach
        );
    }

    private static List<Ring> Rings(Outline outline) => [.. outline.Flatten().SelectMany(region => region.Rings)];

    /// <summary>How far any stretch of a band reaches from the edge, mm.</summary>
    private static double ReachOf(SatinNumbers band) =>
        band.Stretches.Aggregate(
            Math.Max(band.Band.Outside, band.Band.Inside),
            (most, own) => Math.Max(most, Math.Max(band.At(own).Band.Outside, band.At(own).Band.Inside))
        );

    /// <summary>The edges that get a cover, as lines.</summary>
    internal static IEnumerable<ImmutableArray<Point>> Edges(IReadOnlyList<Ring> rings, VisibleEdge? visible)
    {
        for (var i = 0; i < rings.Count; i++)
        {
            if ((visible is null || visible.WholeRings.Contains(i)) && !CoverEdges.IsSpeck(rings[i]))
            {
                yield return [.. rings[i].Points, rings[i].Points[0]];
            }
        }
        foreach (var stretch in visible?.Stretches ?? [])
        {
            yield return stretch.Points;
        }
    }

    private static MeasuredPlace? PiledUp(List<StitchRun> tops, SatinNumbers band)
    {
        MeasuredPlace? worst = null;
        var overlap = (int)Math.Ceiling(2.2 * StitchDefaults.ClosingOverlap / (band.Spacing / 2));
        foreach (var points in tops.Select(run => run.Points))
        {
            var open = points.AsSpan()[Math.Min(overlap, points.Length / 2)..];
            if (
                NeedleCrowd.Most(open[..Math.Max(0, open.Length - overlap)], band.NeedleLimit) is { } found
                && found.Value > (worst?.Value ?? 0)
            )
            {
                worst = found;
            }
        }
        return worst;
    }

    private static MeasuredPlace? Bare(Stage stage, List<StitchRun> tops, CancellationToken cancellation)
    {
        var rings = Rings(stage.Outline);
        var band = stage.Cover!.Numbers.Band;
        // Stretches narrower than the rest are not bare beside their own band.
        var narrowest = band.Stretches.Aggregate(
            (band.Band.Outside, band.Band.Inside),
            (least, own) =>
                (Math.Min(least.Outside, band.At(own).Band.Outside), Math.Min(least.Inside, band.At(own).Band.Inside))
        );
        var box = tops.Aggregate(Box.Empty, (sum, run) => sum.Union(Box.Of(run.Points)));
        var raster = new ThreadRaster(box.Grown(1), Cell);
        foreach (var run in tops)
        {
            cancellation.ThrowIfCancellationRequested();
            for (var i = 1; i < run.Points.Length; i++)
            {
                Budget.Spend();
                raster.Draw(run.Points[i - 1], run.Points[i]);
            }
        }
        var isBand = BandCells.Mark(
            Edges(rings, stage.Cover!.Visible),
            rings,
            narrowest.Item1 - Cell,
            narrowest.Item2 - Cell,
            raster
        );
        return BareSpots.Widest(raster, isBand);
    }

    private static MeasuredPlace? Spilled(Stage stage, List<StitchRun> tops)
    {
        var rings = Rings(stage.Outline);
        var widest = ReachOf(stage.Cover!.Numbers.Band);
        var index = new SegmentIndex(rings, widest + 1);
        MeasuredPlace? worst = null;
        foreach (var point in tops.SelectMany(run => run.Points))
        {
            var foot = index.Nearest(point, widest + 2) ?? index.Nearest(point, Farthest);
            var distance = foot?.DistanceTo(point) ?? Farthest;
            var spill = distance - widest;
            if (spill > MostSpill && spill > (worst?.Value ?? 0))
            {
                worst = new MeasuredPlace(point, spill);
            }
        }
        return worst;
    }

    private static MeasuredPlace? TooWide(List<StitchRun> tops)
    {
        MeasuredPlace? longest = null;
        foreach (var points in tops.Select(run => run.Points))
        {
            for (var i = 1; i < points.Length; i++)
            {
                Budget.Spend();
                var length = points[i].DistanceTo(points[i - 1]);
                if (length > StitchDefaults.LongestStitch + 0.01 && length > (longest?.Value ?? 0))
                {
                    longest = new MeasuredPlace(Point.Lerp(points[i], points[i - 1], 0.5), length);
                }
            }
        }
        return longest;
    }
}
