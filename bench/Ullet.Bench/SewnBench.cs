using System.Collections.Concurrent;
using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;
using Ullet.Core.Tests.Samples;

namespace Ullet.Bench;

/// <summary>Measures pieces as the machine sews them, travel and underlay included, for every kind of cover: thread in sight, what
/// holds the edge, starts, sections, layers.</summary>
internal static class SewnBench
{
    /// <summary>Prints a row for each group of outlines and kind of cover.</summary>
    /// <returns>False when a bound is breached.</returns>
    internal static bool Run(string title, IReadOnlyList<(string Name, IReadOnlyList<Region> Regions)> outlines)
    {
        var holds = true;
        foreach (var kind in CoverTable.All.Select(row => row.Kind))
        {
            holds &= Row($"{title}, {CoverTable.Of(kind).Name.ToLowerInvariant()}", outlines, kind);
        }
        return holds;
    }

    internal static IReadOnlyList<(string Name, IReadOnlyList<Region> Regions)> Nasty() =>
        [.. NastyOutlines.All().Select(each => (each.Name, (IReadOnlyList<Region>)[each.Outline]))];

    private static bool Row(
        string title,
        IReadOnlyList<(string Name, IReadOnlyList<Region> Regions)> outlines,
        CoverKind kind
    )
    {
        var numbers = CoverChoice.Of(new CoverSettings { Kind = kind }, ClothPreset.Of(null));
        // Stitches follow an outline smoothed where thread can't follow it, and are judged against that.
        outlines = [.. outlines.Select(each => (each.Name, (IReadOnlyList<Region>)SmoothedRing.Of(each.Regions)))];
        var measured = new ConcurrentBag<Measured>();
        Parallel.ForEach(outlines, outline => measured.Add(Of(outline.Name, [.. outline.Regions], numbers)));
        var all = measured.OrderBy(each => each.Name, StringComparer.Ordinal).ToList();
        Console.WriteLine(
            $"{title, -34} {all.Count, 5}  in sight {all.Count(each => each.InSight > 0.5), 4} (worst {all.Max(each => each.InSight):0.0})"
                + $"  unheld {all.Count(each => each.Unheld > 3), 4} (worst {all.Max(each => each.Unheld):0.0})"
                + $"  astray {all.Count(each => each.Stray > 0.5), 4} (worst {all.Max(each => each.Stray):0.0})"
                + $"  odd {all.Sum(each => each.Odd), 4}  at corners {all.Sum(each => each.CornerStarts), 4}/{all.Sum(each => each.Edges)}"
                + $"  sections {all.Sum(each => each.Sections)}  travel {all.Sum(each => each.Travel) / 1000:0.00} m (best order {all.Sum(each => each.BestWay) / 1000:0.00})"
                + $"  over 3 {all.Count(each => each.Over3 > 0.005), 4}  over 4 {all.Count(each => each.Over4 > 0.0005), 4}"
                + $"  overlap {all.Count(each => each.Overlap > 0.02), 4}"
        );
        if (numbers.HidesEdge)
        {
            Console.WriteLine(
                $"    share over 3: median {all.Select(each => each.Over3).Order().ElementAt(all.Count / 2):0.00%}, worst {all.Max(each => each.Over3):0.00%}; over 4: worst {all.Max(each => each.Over4):0.000%}"
            );
        }
        foreach (var each in all.Where(each => each.InSight > 0.5).OrderByDescending(each => each.InSight).Take(Shown))
        {
            Console.WriteLine($"    in sight {each.InSight:0.00} at ({each.At.X:0.0}, {each.At.Y:0.0}): {each.Name}");
        }
        foreach (var each in all.Where(each => each.Stray > 0.5).OrderByDescending(each => each.Stray).Take(Shown))
        {
            Console.WriteLine($"    astray {each.Stray:0.0}: {each.Name}");
        }
        foreach (var each in all.Where(each => each.Unheld > 3).OrderByDescending(each => each.Unheld).Take(Shown))
        {
            Console.WriteLine($"    unheld {each.Unheld:0.0}: {each.Name}");
        }
        if (numbers.HidesEdge)
        {
            foreach (
                var each in all.Where(each => each.Overlap > 0.02).OrderByDescending(each => each.Overlap).Take(Shown)
            )
            {
                Console.WriteLine($"    overlap {each.Overlap:0.00} mm²: {each.Name}");
            }
        }
        return all.TrueForAll(each => each.InSight <= 0.5 && each.Unheld <= 3 && each.Stray <= 0.5 && each.Odd == 0);
    }

    private const int Shown = 6;

    private static Measured Of(string name, ImmutableArray<Region> regions, CoverNumbers numbers)
    {
        var piece = new SewnPiece(regions, numbers);
        var held = numbers.LiesAcross ? 0 : piece.Unheld(numbers.Inset * 1.5);
        return new Measured(
            name,
            piece.Raster.InSight,
            piece.Raster.InSightAt,
            held,
            piece.OddStitches,
            numbers.Kind is CoverKind.Motif or CoverKind.Blanket ? piece.Stray : 0,
            piece.CornerStarts,
            piece.Stitches.Runs.Select(run => run.Edge).Distinct().Count(),
            piece.Sections,
            piece.Travel,
            EntryOrders.Best([
                .. regions.SelectMany(region => region.Rings).Where(ring => Math.Abs(ring.SignedArea) > 0.5),
            ]),
            numbers.HidesEdge ? piece.Raster.ShareOver(3, piece.Closings) : 0,
            numbers.HidesEdge ? piece.Raster.ShareOver(4, piece.Closings) : 0,
            numbers.HidesEdge ? piece.Raster.AreaOverFive(piece.Closings) : 0
        );
    }

    private sealed record Measured(
        string Name,
        double InSight,
        Point At,
        double Unheld,
        int Odd,
        double Stray,
        int CornerStarts,
        int Edges,
        int Sections,
        double Travel,
        double BestWay,
        double Over3,
        double Over4,
        double Overlap
    );
}
