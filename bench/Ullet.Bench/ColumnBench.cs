using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
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

    /// <summary>Prints a row for each font.</summary>
    /// <returns>False when a letter breaches a bound.</returns>
    internal static bool Run(double capHeight)
    {
        Console.WriteLine(
            $"{"letters in satin", -30} {"count", 5} {"covered", 8} {"least", 6} {"outside", 7} {"disc", 4} {">3", 6} {">4", 6} {"narrow", 6} {"lean", 6} {"turned", 6} {"hidden", 6} {"trims", 5}  breaches"
        );
        var holds = true;
        foreach (
            var font in QualitySamples
                .Fonts(capHeight)
                .Where(letter => !SingleLineFonts.Has(letter.Font))
                .GroupBy(letter => letter.Font, StringComparer.Ordinal)
        )
        {
            var measured = font.AsParallel()
                .AsOrdered()
                .Select(letter => Measure(letter.Name, [.. letter.Regions]))
                .ToList();
            var turned = measured.Sum(letter => letter.Directions.Count(ColumnDirections.FlawKind.Turn));
            var trims = measured.Sum(letter => letter.Directions.Count(ColumnDirections.FlawKind.Trim));
            var least = capHeight >= Large ? 0.98 : 0.95;
            var breaches = measured
                .SelectMany(letter =>
                    letter
                        .Raster.Breaches(least)
                        .Concat(letter.Directions.Breaches())
                        .Select(breach => $"{Letter(letter.Name)}: {breach}")
                )
                .ToList();
            Console.WriteLine(
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{$"{font.Key}, {capHeight:0} mm", -30} {measured.Count, 5} {measured.Average(each => each.Raster.Coverage), 8:P2} "
                        + $"{measured.Min(each => each.Raster.Coverage), 6:P1} {measured.Max(each => each.Raster.FarthestOut), 7:0.00} "
                        + $"{measured.Max(each => each.Raster.MostInDisc), 4} {measured.Max(each => each.Raster.OverThree), 6:P1} "
                        + $"{measured.Max(each => each.Raster.OverFour), 6:P2} {measured.Average(each => each.Raster.NarrowShare), 6:P1} "
                        + $"{measured.Sum(each => each.Directions.Leaning) / Math.Max(1, measured.Sum(each => each.Directions.Length)), 6:P1} "
                        + $"{turned / (double)Math.Max(1, measured.Sum(each => each.Directions.Pairs)), 6:P1} "
                        + $"{measured.Average(each => each.Directions.Hidden), 6:P1} {trims, 5}  {string.Join("; ", breaches.Take(6))}"
                )
            );
            holds &= breaches.Count == 0;
        }
        return holds;
    }

    private static string Letter(string name) => name.Split(' ')[1];

    private static (string Name, ColumnRaster Raster, ColumnDirections Directions) Measure(
        string name,
        ImmutableArray<Region> regions
    )
    {
        var wide = RegionOffset.By(regions, Usual.Compensation);
        var sewn = SatinColumns.Make(regions, Usual, ColumnWork.Plain, CancellationToken.None);
        return (name, new ColumnRaster(wide, sewn), new ColumnDirections(wide, sewn));
    }
}
