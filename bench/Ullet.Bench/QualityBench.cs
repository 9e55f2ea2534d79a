using System.Collections.Concurrent;
using System.Globalization;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;

namespace Ullet.Bench;

/// <summary>Measures satin covers (spacing 0.40, width 3.5) on many outlines with a plain raster, and prints outline × metric.</summary>
internal static class QualityBench
{
    private static readonly SatinNumbers Usual = new(3.5, 0.40, 0.6, 0.2);

    private const int RandomCount = 300;

    /// <summary>Parts smaller than this get no cover, mm².</summary>
    private const double Speck = 0.5;

    /// <summary>Letters this small may miss a bound where a finding names the stroke as too thin for its cover, mm cap height.</summary>
    private const double Small = 25;

    /// <summary>Prints the table; with names of groups only those.</summary>
    /// <returns>False when a bound is breached.</returns>
    internal static bool Run(IReadOnlyList<string> groups)
    {
        Console.WriteLine(
            $"{"outline", -34} {"count", 5} {"covered", 8} {"bare", 6} {"spill", 6} {"disc", 5} {"layers", 7} {"in overlap", 10}"
        );
        var holds = true;
        bool Wanted(string group) => groups.Count == 0 || groups.Contains(group);
        if (Wanted("named"))
        {
            foreach (var (name, regions) in QualitySamples.Named())
            {
                holds &= Row(name, [(name, regions)]);
            }
        }
        foreach (var size in new[] { 150.0, 60, Small }.Where(size => Wanted($"fonts{size:0}")))
        {
            foreach (var font in QualitySamples.Fonts(size).GroupBy(letter => letter.Font, StringComparer.Ordinal))
            {
                holds &= Row(
                    $"{font.Key}, {size:0} mm",
                    [.. font.Select(letter => (letter.Name, letter.Regions))],
                    mayBeThin: size <= Small
                );
            }
        }
        foreach (var size in ColumnBench.Sizes.Where(size => Wanted("satin") || Wanted($"satin{size:0}")))
        {
            holds &= ColumnBench.Run(size);
        }
        if (Wanted("fill"))
        {
            holds &= FillBench.Row("random outlines", [.. QualitySamples.Random(RandomCount)]);
            foreach (var size in new[] { 80.0, 30 })
            {
                holds &= FillBench.Row(
                    $"drawn icons, {size:0} mm",
                    [.. QualitySamples.Icons(IconPackages.Drawn(Today), size)]
                );
            }
        }
        if (Wanted("icons"))
        {
            holds &= Row("icons, 80 mm", [.. QualitySamples.Icons()]);
        }
        if (Wanted("random"))
        {
            holds &= Row("random outlines", [.. QualitySamples.Random(RandomCount)]);
        }
        if (Wanted("nasty"))
        {
            foreach (var (name, regions) in SewnBench.Nasty())
            {
                holds &= Row(name, [(name, regions)]);
            }
            holds &= SewnBench.Run("nasty", SewnBench.Nasty());
        }
        if (Wanted("sewn"))
        {
            holds &= SewnBench.Run(
                "letters 25 mm",
                [.. QualitySamples.Fonts(25).Select(each => (each.Name, each.Regions))]
            );
            holds &= SewnBench.Run("icons", [.. QualitySamples.Icons()]);
        }
        if (groups.Contains("unseen"))
        {
            var seed = groups
                .Select(group => int.TryParse(group, out var given) ? given : -1)
                .Append(Today)
                .First(given => given >= 0);
            Console.WriteLine($"drawn by seed {seed}");
            foreach (var size in new[] { 60.0, Small })
            {
                var letters = QualitySamples.DrawnLetters(seed, size).ToList();
                holds &= Row($"letters of unseen fonts, {size:0} mm", letters, mayBeThin: size <= Small);
                holds &= SewnBench.Run($"unseen {size:0} mm", letters);
            }
            foreach (var size in ColumnBench.Sizes.Where(size => size >= 12))
            {
                var letters = QualitySamples.DrawnLetters(seed, size).ToList();
                holds &= ColumnBench.Unseen($"letters of unseen fonts, {size:0} mm", letters);
            }
            var icons = QualitySamples.Icons(IconPackages.Drawn(seed)).ToList();
            holds &= ColumnBench.Unseen("unseen icons, 80 mm", icons);
            holds &= Row("unseen icons, 80 mm", icons);
            holds &= SewnBench.Run("unseen icons", icons);
        }
        return holds;
    }

    /// <summary>The seed of the day.</summary>
    private static int Today => int.Parse($"{DateTime.Now:yyyyMMdd}", CultureInfo.InvariantCulture);

    private static bool Row(
        string title,
        List<(string Name, IReadOnlyList<Region> Regions)> outlines,
        bool mayBeThin = false
    )
    {
        // Specks get no cover, and a finding names them.
        outlines = outlines.ConvertAll(each =>
            (
                each.Name,
                (IReadOnlyList<Region>)
                    SmoothedRing.Of(each.Regions.Where(region => Math.Abs(region.Shell.SignedArea) >= Speck))
            )
        );
        outlines.RemoveAll(each => each.Regions.Count == 0);
        var measured = new ConcurrentBag<(string Name, QualityRaster Raster, string Breaches, bool IsNarrow)>();
        Parallel.ForEach(
            outlines,
            new ParallelOptions { MaxDegreeOfParallelism = Environment.ProcessorCount },
            outline =>
            {
                var raster = CoverSamples.Measure([.. outline.Regions], Usual);
                var isNarrow = mayBeThin && HasNarrowPlace(outline.Regions);
                measured.Add((outline.Name, raster, Breaches(raster), isNarrow));
            }
        );
        var rasters = measured.Select(each => each.Raster).ToList();
        var missed = measured.Where(each => each.Breaches.Length > 0).OrderBy(each => each.Name).ToList();
        var broken = missed.Where(each => !mayBeThin || !each.IsNarrow).ToList();
        var named = missed.Count > broken.Count ? $", {missed.Count - broken.Count} named too thin" : "";
        Console.WriteLine(
            $"{title, -34} {rasters.Count, 5} {rasters.Min(r => r.Coverage), 8:0.00%} {rasters.Max(r => r.WidestBare), 6:0.00} "
                + $"{rasters.Max(r => r.Spill), 6:0.00} {rasters.Max(r => r.MostInDisc), 5} {rasters.Max(r => r.MostLayers), 7:0.00} "
                + $"{rasters.Max(r => r.MostLayersInOverlap), 10:0.00}   {(broken.Count == 0 ? "holds" : $"{broken.Count} BREACHED")}{named}"
        );
        foreach (var (name, _, breaches, _) in broken.Take(outlines.Count > 1 ? 12 : 1))
        {
            Console.WriteLine($"    {name}: {breaches}");
        }
        return broken.Count == 0;
    }

    private static bool HasNarrowPlace(IReadOnlyList<Region> regions) =>
        !SatinCover.Make([.. regions], Usual, CancellationToken.None).NarrowPlaces.IsEmpty;

    private static string Breaches(QualityRaster raster) => string.Join("; ", QualityBounds.Breaches(raster));
}
