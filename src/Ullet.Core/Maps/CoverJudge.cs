using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Maps;

/// <summary>A cover that was sewn.</summary>
/// <param name="Stage">The stage.</param>
/// <param name="Stitches">Its needle points.</param>
/// <param name="StitchesKey">Stands for them in the key.</param>
public sealed record CoverJudgeInput(Stage Stage, StepStitches Stitches, ContentHash StitchesKey);

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
);

/// <summary>Measures covers: whether needle points pile up, cloth shows, or stitches spill.</summary>
public sealed class CoverJudge : IStation<CoverJudgeInput, CoverReport>
{
    private const double Cell = 0.1;
    private const double Disc = 0.5;
    private const double WidestBare = 0.5;
    private const double MostSpill = 0.1;

    /// <summary>Nothing on the wall lies farther from an edge, mm.</summary>
    private const double Farthest = 4000;

    public int Version => 1;

    public long Bytes(CoverReport output) => 4 * Footprint.Thing;

    public ContentHash Key(CoverJudgeInput input) =>
        ContentHash.Of(input.Stage.Key.ToString(), $"cover-judge-{Version}-{input.StitchesKey.Hex}");

    public CoverReport Compute(CoverJudgeInput input, CancellationToken cancellation)
    {
        var (stage, cover) = (input.Stage, input.Stage.Cover!.Numbers);
        var tops = input.Stitches.Runs.Where(run => run.Kind == RunKind.Top).ToList();
        if (tops.Count == 0 || cover.Kind is not (CoverKind.Satin or CoverKind.Zigzag))
        {
            return new CoverReport(stage.Key, null, null, null, null);
        }
        return new CoverReport(
            stage.Key,
            cover.HidesEdge ? PiledUp(tops, cover.Band) : null,
            cover.HidesEdge ? Bare(stage, tops, cancellation) : null,
            Spilled(stage, tops),
            TooWide(tops)
        );
    }

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
            var cells = new Dictionary<(int, int), List<Point>>();
            var open = points.AsSpan()[Math.Min(overlap, points.Length / 2)..];
            open = open[..Math.Max(0, open.Length - overlap)];
            foreach (var point in open)
            {
                Budget.Spend();
                var cell = ((int)Math.Floor(point.X / Disc), (int)Math.Floor(point.Y / Disc));
                if (!cells.TryGetValue(cell, out var list))
                {
                    cells[cell] = list = [];
                }
                list.Add(point);
            }
            foreach (var ((x, y), list) in cells)
            {
                foreach (var point in list)
                {
                    Budget.Spend();
                    var count = 0;
                    for (var near = 0; near < 9; near++)
                    {
                        if (cells.TryGetValue((x - 1 + (near % 3), y - 1 + (near / 3)), out var others))
                        {
                            foreach (var other in others)
                            {
                                count += other.DistanceTo(point) <= Disc ? 1 : 0;
                            }
                        }
                    }
                    if (count > band.NeedleLimit && count > (worst?.Value ?? 0))
                    {
                        worst = new MeasuredPlace(point, count);
                    }
                }
            }
        }
        return worst;
    }

    private static MeasuredPlace? Bare(Stage stage, List<StitchRun> tops, CancellationToken cancellation)
    {
        var rings = stage.Outline.Flatten().SelectMany(region => region.Rings).ToList();
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
        return Widest(raster, isBand);
    }

    /// <summary>The largest disc of the band without thread.</summary>
    private static MeasuredPlace? Widest(ThreadRaster raster, bool[] isBand)
    {
        var layers = raster.Layers;
        var radius = (int)Math.Round(WidestBare / 2 / Cell);
        MeasuredPlace? widest = null;
        for (var row = radius; row + radius < raster.Rows; row++)
        {
            for (var column = radius; column + radius < raster.Columns; column++)
            {
                var at = (row * raster.Columns) + column;
                if (isBand[at] && layers[at] == 0)
                {
                    while (IsBare(raster, isBand, column, row, radius + 1))
                    {
                        radius++;
                        widest = new MeasuredPlace(raster.At(column, row), ((2 * radius) + 1) * Cell);
                    }
                }
            }
        }
        return widest;
    }

    private static bool IsBare(ThreadRaster raster, bool[] isBand, int column, int row, int radius)
    {
        if (column < radius || row < radius || column + radius >= raster.Columns || row + radius >= raster.Rows)
        {
            return false;
        }
        var layers = raster.Layers;
        for (var dy = -radius; dy <= radius; dy++)
        {
            for (var dx = -radius; dx <= radius; dx++)
            {
                var at = ((row + dy) * raster.Columns) + column + dx;
                if ((dx * dx) + (dy * dy) <= radius * radius && (layers[at] > 0 || !isBand[at]))
                {
                    return false;
                }
            }
        }
        return true;
    }

    private static MeasuredPlace? Spilled(Stage stage, List<StitchRun> tops)
    {
        var rings = stage.Outline.Flatten().SelectMany(region => region.Rings).ToList();
        var band = stage.Cover!.Numbers.Band;
        var widest = band.Stretches.Aggregate(
            Math.Max(band.Band.Outside, band.Band.Inside),
            (most, own) => Math.Max(most, Math.Max(band.At(own).Band.Outside, band.At(own).Band.Inside))
        );
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
