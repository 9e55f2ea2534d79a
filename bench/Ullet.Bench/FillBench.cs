using System.Collections.Immutable;
using System.Globalization;
using System.IO.Compression;
using System.Text;
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
        var text = new StringBuilder();
        var (count, stitches) = (0, 0);
        while (stitches < Stitches)
        {
            foreach (var run in Sewn(areas[count % areas.Count], 0).Runs)
            {
                stitches += run.Points.Length;
                foreach (var point in run.Points)
                {
                    text.Append(CultureInfo.InvariantCulture, $"{run.Kind} {point.X:0.00} {point.Y:0.00}\n");
                }
            }
            count++;
        }
        var list = Encoding.UTF8.GetBytes(text.ToString());
        var gzip = Measured.Median(9, _ => Packed(list));
        var all = Measured.Median(3, _ => All(areas, count), warmUp: 1);
        yield return new Ratio($"{Stitches:N0} stitches of fills against 0.5 × gzip", all, 0.5 * gzip, IsAim: true);
        var few = Measured.Median(20, _ => All(areas, Math.Max(1, count / 100)));
        yield return new Ratio(
            "a hundred times the fills against 120 times the time",
            all,
            120 * few * count / (100.0 * Math.Max(1, count / 100))
        );
    }

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

    private static void Packed(byte[] list)
    {
        using var into = new MemoryStream();
        using var gzip = new GZipStream(into, CompressionLevel.Optimal);
        gzip.Write(list);
    }

    private sealed record Filled(string Name, ColumnRaster Raster, double Hidden, int Trims, List<string> Breaches);
}
