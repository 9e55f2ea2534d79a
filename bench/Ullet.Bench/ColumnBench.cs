using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Maps;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;

namespace Ullet.Bench;

/// <summary>Measures letters in satin (spacing 0.40, compensation 0.2) with a plain raster: font × size.</summary>
internal static class ColumnBench
{
    internal static readonly ImmutableArray<double> Sizes = [8, 12, 20, 40];

    /// <summary>From this cap height on 98 % must be covered, below 95 %, mm.</summary>
    private const double Large = 12;

    private static readonly ColumnNumbers Usual = new(0.40, 0.2);

    /// <summary>Share of the shapes that may miss a bound.</summary>
    private const double MayMiss = 0.01;

    /// <summary>Prints a row for each font.</summary>
    /// <returns>False when a letter breaches a bound.</returns>
    internal static bool Run(double capHeight)
    {
        Head();
        var holds = true;
        foreach (
            var font in QualitySamples
                .Fonts(capHeight)
                .Where(letter => !SingleLineFonts.Has(letter.Font))
                .GroupBy(letter => letter.Font, StringComparer.Ordinal)
        )
        {
            holds &=
                Row(
                    $"{font.Key}, {capHeight:0} mm",
                    [.. font.Select(letter => (letter.Name, letter.Regions))],
                    capHeight >= Large ? 0.98 : 0.95
                ) == 0;
        }
        return holds;
    }

    /// <summary>The same of shapes that nothing was tuned to.</summary>
    /// <returns>False when more than one in a hundred breach a bound.</returns>
    internal static bool Unseen(string title, List<(string Name, IReadOnlyList<Region> Regions)> shapes)
    {
        Head();
        return Row(title, shapes, 0.98) <= MayMiss * shapes.Count;
    }

    private static void Head() =>
        Console.WriteLine(
            $"{"shapes in satin", -30} {"count", 5} {"covered", 8} {"least", 6} {"outside", 7} {"disc", 4} {">3", 6} {">4", 6} {"narrow", 6} {"lean", 6} {"turned", 6} {"hidden", 6} {"trims", 5} {"missed", 6} {"unsaid", 6}  breaches"
        );

    /// <summary>Prints a row: what was measured, how many shapes miss a bound, and of how many no finding says so.</summary>
    /// <returns>How many miss a bound.</returns>
    private static int Row(string title, List<(string Name, IReadOnlyList<Region> Regions)> shapes, double least)
    {
        var measured = shapes.AsParallel().AsOrdered().Select(each => Measure(each.Name, [.. each.Regions])).ToList();
        var turned = measured.Sum(each => each.Directions.Count(ColumnDirections.FlawKind.Turn));
        var trims = measured.Sum(each => each.Directions.Count(ColumnDirections.FlawKind.Trim));
        var missed = measured
            .Select(each => (each, Breaches: each.Raster.Breaches(least).Concat(each.Directions.Breaches()).ToList()))
            .Where(pair => pair.Breaches.Count > 0)
            .ToList();
        var unsaid = missed.Count(pair => !pair.each.IsSaid);
        var first = string.Join(
            "; ",
            missed.SelectMany(pair => pair.Breaches.Select(breach => $"{pair.each.Name}: {breach}")).Take(6)
        );
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"{title, -30} {measured.Count, 5} {measured.Average(each => each.Raster.Coverage), 8:P2} "
                    + $"{measured.Min(each => each.Raster.Coverage), 6:P1} {measured.Max(each => each.Raster.FarthestOut), 7:0.00} "
                    + $"{measured.Max(each => each.Raster.MostInDisc), 4} {measured.Max(each => each.Raster.OverThree), 6:P1} "
                    + $"{measured.Max(each => each.Raster.OverFour), 6:P2} {measured.Average(each => each.Raster.NarrowShare), 6:P1} "
                    + $"{measured.Sum(each => each.Directions.Leaning) / Math.Max(1, measured.Sum(each => each.Directions.Length)), 6:P1} "
                    + $"{turned / (double)Math.Max(1, measured.Sum(each => each.Directions.Pairs)), 6:P1} "
                    + $"{measured.Average(each => each.Directions.Hidden), 6:P1} {trims, 5} {missed.Count, 6} {unsaid, 6}  {first}"
            )
        );
        return missed.Count;
    }

    private static Measured Measure(string name, ImmutableArray<Region> regions)
    {
        var wide = RegionOffset.By(regions, Usual.Compensation);
        var sewn = SatinColumns.Make(regions, Usual, ColumnWork.Plain, CancellationToken.None);
        return new Measured(
            name,
            new ColumnRaster(wide, sewn),
            new ColumnDirections(wide, sewn),
            IsSaid(regions, sewn)
        );
    }

    /// <summary>True when a finding says that something is not as it should be.</summary>
    private static bool IsSaid(ImmutableArray<Region> regions, StepStitches sewn)
    {
        var stage = new Stage(
            new StepKey("e1", StageTable.Of(StageId.Satin).Key, 0),
            StageId.Satin,
            "t1",
            new SatinPlan(Usual, null, [], LetterOrder.LeftToRight, 0),
            new Outline([
                .. regions.Select(region => new OutlinePart(
                    Contour.Polygon(region.Shell.Points),
                    [.. region.Holes.Select(hole => Contour.Polygon(hole.Points))]
                )),
            ]),
            default
        );
        var report = new SatinJudge().Compute(new SewnStage(stage, sewn, default), CancellationToken.None);
        return !sewn.Fallen.IsEmpty
            || (report.PiledUp ?? report.Bare ?? report.Spilled ?? report.InSight ?? report.Thick) is not null;
    }

    /// <summary>A shape as it was measured.</summary>
    private sealed record Measured(string Name, ColumnRaster Raster, ColumnDirections Directions, bool IsSaid);
}
