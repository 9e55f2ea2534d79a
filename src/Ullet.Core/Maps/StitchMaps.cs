using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Stitches;

namespace Ullet.Core.Maps;

/// <summary>A grid over the wall with a level for every cell.</summary>
/// <param name="Cell">Side of a cell, mm.</param>
/// <param name="X">Left edge of the first column, mm.</param>
/// <param name="Y">Upper edge of the first row, mm.</param>
/// <param name="Columns">How many columns.</param>
/// <param name="Levels">Row by row; 0 for nothing to show.</param>
/// <param name="Names">What each level means, from 1 on.</param>
public sealed record StitchMap(
    double Cell,
    double X,
    double Y,
    int Columns,
    ImmutableArray<byte> Levels,
    ImmutableArray<string> Names
);

/// <summary>Maps of a whole design: how dense needle points are, and how thread covers the bands.</summary>
public static class StitchMaps
{
    private const double DensityCell = 1;
    private const double CoverageCell = 0.25;

    /// <summary>Most cells of a map; beyond, cells grow.</summary>
    private const int MostCells = 1_000_000;

    /// <summary>Needle points on each square millimetre, all steps together.</summary>
    /// <param name="program">The compiled steps.</param>
    /// <param name="limit">Most needle points in a disc of 0.5 mm radius that the cloth bears.</param>
    public static StitchMap Density(StitchProgram program, int limit)
    {
        var points = program
            .Steps.OfType<ProgramStitches>()
            .SelectMany(step => step.Commands)
            .Where(command => command.Kind == NeedleKind.Stitch)
            .Select(command => command.At)
            .ToList();
        var most = (int)Math.Floor(limit / (Math.PI * 0.25));
        int[] bounds = [1, 5, 9, most + 1];
        ImmutableArray<string> names =
        [
            "1 to 4 per mm²",
            "5 to 8 per mm²",
            $"9 to {most} per mm²",
            $"over {most}: piled up",
        ];
        var box = Box.Of(points).Grown(DensityCell);
        if (points.Count == 0)
        {
            return new StitchMap(DensityCell, 0, 0, 0, [], names);
        }
        var cell = CellOf(box, DensityCell);
        var columns = (int)Math.Ceiling(box.Width / cell);
        var counts = new int[columns * (int)Math.Ceiling(box.Height / cell)];
        foreach (var point in points)
        {
            Budget.Spend();
            counts[((int)((point.Y - box.MinY) / cell) * columns) + (int)((point.X - box.MinX) / cell)]++;
        }
        var perCell = cell * cell;
        return new StitchMap(
            cell,
            box.MinX,
            box.MinY,
            columns,
            [.. counts.Select(count => (byte)bounds.Count(bound => count / perCell >= bound))],
            names
        );
    }

    /// <summary>Where the bands of covers lie bare, thinly or well covered, or under much thread.</summary>
    public static StitchMap Coverage(IReadOnlyList<(Stage Stage, StepStitches Stitches)> covers)
    {
        ImmutableArray<string> names = ["bare cloth", "one layer of thread", "covered", "over three layers"];
        var across = covers
            .Where(cover => cover.Stage.Cover is { Numbers.LiesAcross: true } || cover.Stage.Plan is IAreaPlan)
            .ToList();
        var box = across.Aggregate(
            Box.Empty,
            (sum, cover) => cover.Stitches.Runs.Aggregate(sum, (inner, run) => inner.Union(Box.Of(run.Points)))
        );
        if (box.IsEmpty)
        {
            return new StitchMap(CoverageCell, 0, 0, 0, [], names);
        }
        box = box.Grown(1);
        var raster = new ThreadRaster(box, CellOf(box, CoverageCell));
        var isBand = new bool[raster.Columns * raster.Rows];
        foreach (var (stage, stitches) in across)
        {
            foreach (var run in stitches.Runs.Where(run => run.Kind == RunKind.Top))
            {
                for (var i = 1; i < run.Points.Length; i++)
                {
                    Budget.Spend();
                    raster.Draw(run.Points[i - 1], run.Points[i]);
                }
            }
            MarkBand(stage, raster, isBand);
        }
        var layers = raster.Layers;
        var levels = new byte[isBand.Length];
        for (var at = 0; at < levels.Length; at++)
        {
            levels[at] = isBand[at] ? LevelOf(layers[at]) : (byte)0;
        }
        return new StitchMap(
            raster.Cell,
            box.MinX - (raster.Cell / 2),
            box.MinY - (raster.Cell / 2),
            raster.Columns,
            [.. levels],
            names
        );
    }

    private static byte LevelOf(byte layers) =>
        layers switch
        {
            0 => 1,
            1 => 2,
            < 5 => 3,
            _ => 4,
        };

    /// <summary>What satin or rows should cover.</summary>
    private static void MarkArea(IAreaPlan plan, Stage stage, ThreadRaster raster, bool[] isBand)
    {
        var marked = AreaCells.Mark(plan.Area(stage.Outline), raster);
        for (var at = 0; at < isBand.Length; at++)
        {
            isBand[at] |= marked[at];
        }
    }

    private static void MarkBand(Stage stage, ThreadRaster raster, bool[] isBand)
    {
        if (stage.Plan is IAreaPlan area)
        {
            MarkArea(area, stage, raster, isBand);
            return;
        }
        var rings = stage.Outline.Flatten().SelectMany(region => region.Rings).ToList();
        var marked = BandCells.Mark(
            CoverJudge.Edges(rings, stage.Cover!.Visible),
            rings,
            stage.Cover!.Numbers.Outside,
            stage.Cover!.Numbers.Inside,
            raster
        );
        for (var at = 0; at < marked.Length; at++)
        {
            isBand[at] |= marked[at];
        }
    }

    private static double CellOf(Box box, double wanted) =>
        Math.Max(wanted, Math.Sqrt(box.Width * box.Height / MostCells));
}
