using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;

namespace Ullet.Bench;

/// <summary>Measures filled areas with a plain raster, at four angles, and their speed against gzip.</summary>
internal static class FillBench
{
    private const int Stitches = 60_000;

    private static readonly ImmutableArray<double> Angles = [0, 30, 90, 137];

    /// <summary>Share of the shapes that may miss a bound.</summary>
    private const double MayMiss = 0.01;

    /// <summary>Prints a row.</summary>
    /// <returns>False when more than one in a hundred miss a bound.</returns>
    internal static bool Row(string title, List<(string Name, IReadOnlyList<Region> Regions)> shapes)
    {
        var measured = shapes
            .SelectMany(shape => Angles.Select(angle => (shape.Name, shape.Regions, Angle: angle)))
            .AsParallel()
            .AsOrdered()
            .Select(each => Measure($"{each.Name} at {each.Angle}", [.. each.Regions], each.Angle))
            .ToList();
        var missed = measured.Where(each => each.Breaches.Count > 0).ToList();
        Console.WriteLine(
            string.Create(
                CultureInfo.InvariantCulture,
                $"{title, -24} filled {measured.Count, 5}  covered {measured.Average(each => each.Raster.Coverage):P2} "
                    + $"(least {measured.Min(each => each.Raster.Coverage):P1})  outside {measured.Max(each => each.Raster.FarthestOut):0.00}  "
                    + $"disc {measured.Max(each => each.Raster.MostInDisc)}  over 3 {measured.Max(each => each.Raster.OverThree):P2}  "
                    + $"hidden {measured.Average(each => each.Hidden):P2}  trims {measured.Sum(each => each.Trims)}  "
                    + $"missed {missed.Count}  {string.Join("; ", missed.SelectMany(each => each.Breaches.Select(breach => $"{each.Name}: {breach}")).Take(8))}"
            )
        );
        return missed.Count <= MayMiss * measured.Count;
    }

    /// <summary>Large plain areas against gzip of the list of their stitches.</summary>
    internal static IEnumerable<Ratio> Run()
    {
        var areas = QualitySamples.Random(40).Select(each => each.Regions.ToImmutableArray()).ToList();
        var (count, stitches) = (0, 0);
        var sewn = new List<StepStitches>();
        while (stitches < Stitches)
        {
            sewn.Add(Sewn(areas[count % areas.Count], 0));
            stitches += sewn[^1].PointCount;
            count++;
        }
        var list = Yardstick.List(sewn);
        var gzip = Measured.Median(9, _ => Yardstick.Gzip(list));
        var all = Measured.Median(3, _ => All(areas, count), warmUp: 1);
        yield return new Ratio($"{Stitches:N0} stitches of fills against 0.5 × gzip", all, 0.5 * gzip, IsAim: true);
        yield return new Ratio(
            "a hundred times the stitches of one area against 120 times the time",
            Measured.Median(9, _ => Sewn(Square(150), 30), warmUp: 3),
            120 * Measured.Median(60, _ => Sewn(Square(15), 30), warmUp: 10)
        );
    }

    private static ImmutableArray<Region> Square(double side) =>
        [new Region(Ring.Of([new(0, 0), new(side, 0), new(side, side), new(0, side)]), [])];

    private static void All(List<ImmutableArray<Region>> areas, int count)
    {
        for (var i = 0; i < count; i++)
        {
            Sewn(areas[i % areas.Count], i);
        }
    }

    private static StepStitches Sewn(ImmutableArray<Region> area, double angle) =>
        FillAreas.Make(area, new FillNumbers(0.4, angle, 0), CancellationToken.None);

    private static Filled Measure(string name, ImmutableArray<Region> regions, double angle)
    {
        var sewn = Sewn(regions, angle);
        var raster = new ColumnRaster(regions, sewn);
        var directions = new ColumnDirections(regions, sewn);
        var breaches = raster.Breaches(0.99).ToList();
        if (PlainFill.HasBareDisc(regions, sewn, 0.6))
        {
            breaches.Add("a bare spot of 0.6 mm");
        }
        if (angle == 0 && PlainFill.MostInLine(sewn) is > 3 and var lines)
        {
            breaches.Add($"{lines} rows with holes side by side");
        }
        if (directions.Hidden < 0.95)
        {
            breaches.Add($"{directions.Hidden:P1} of the ways hidden");
        }
        var trims = directions.Count(ColumnDirections.FlawKind.Trim);
        if (trims > 0)
        {
            breaches.Add($"{trims} trims inside");
        }
        return new Filled(name, raster, directions.Hidden, trims, breaches);
    }

    private sealed record Filled(string Name, ColumnRaster Raster, double Hidden, int Trims, List<string> Breaches);
}
