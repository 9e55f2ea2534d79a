using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>An edge that gets a cover: a ring, or an open stretch of one, in legs between corners.</summary>
/// <param name="Ring">The ring's number: part by part, shell before holes.</param>
/// <param name="Legs">Its legs in sewing order, from where it begins.</param>
/// <param name="IsClosed">True for a whole ring.</param>
/// <param name="Start">Where it begins, mm.</param>
internal sealed record CoverEdge(int Ring, IReadOnlyList<SatinLeg> Legs, bool IsClosed, Point Start)
{
    /// <summary>True for a ring without corners.</summary>
    internal bool IsSmooth { get; init; }

    /// <summary>True for a ring with corners that begins between two of them: its last stroke is its first one.</summary>
    internal bool BeginsAmid { get; init; }

    /// <summary>The numbers of its own that a leg has, or null.</summary>
    internal StretchNumbers? Stretch(SatinLeg leg, ImmutableArray<StretchNumbers> stretches) =>
        StretchNumbers.Of(stretches, leg.Feet);
}

/// <summary>Finds the edges of an outline that get a cover, with the sides of the band along them.</summary>
internal static class CoverEdges
{
    /// <param name="regions">The outline, mm.</param>
    /// <param name="numbers">The band's numbers.</param>
    /// <param name="visible">What gets a cover; null for all of it.</param>
    internal static IEnumerable<CoverEdge> Of(
        ImmutableArray<Region> regions,
        SatinNumbers numbers,
        VisibleEdge? visible
    )
    {
        CoverBand? BandOf(ReadOnlyMemory<Point> line) =>
            StretchNumbers.Of(numbers.Stretches, line.Span) is { } own ? numbers.At(own).Band : null;
        return Of(regions, numbers.Band, visible, numbers.Stretches.IsEmpty ? null : BandOf);
    }

    /// <summary>The same for a band.</summary>
    internal static IEnumerable<CoverEdge> Of(
        ImmutableArray<Region> regions,
        CoverBand band,
        VisibleEdge? visible,
        Func<ReadOnlyMemory<Point>, CoverBand?>? bandOf = null
    )
    {
        var rings = regions
            .SelectMany(region => region.Rings)
            .Where(ring => ring.Points.Length >= 3)
            .Select(ring => SmallSteps.Removed(ring))
            .ToList();
        var whole = Enumerable
            .Range(0, rings.Count)
            .Where(number => (visible is null || visible.WholeRings.Contains(number)) && !IsSpeck(rings[number]))
            .ToList();
        var starts = new int[rings.Count];
        foreach (var (number, entry) in whole.Zip(EntryChoice.Of(whole.ConvertAll(number => rings[number]))))
        {
            (rings[number], starts[number]) = entry;
        }
        var sides = new SatinSides(rings, band);
        foreach (var number in whole)
        {
            Budget.Spend();
            var start = starts[number];
            var legs = sides.Legs(number, start, bandOf);
            yield return new CoverEdge(number, legs, true, rings[number].Points[start])
            {
                IsSmooth = rings[number].Corners().IsEmpty,
                BeginsAmid = !rings[number].Corners().IsEmpty && !rings[number].Corners().Contains(start),
            };
        }
        foreach (var stretch in visible?.Stretches ?? [])
        {
            Budget.Spend();
            yield return new CoverEdge(stretch.Ring, sides.Legs(stretch, bandOf), false, stretch.Points[0]);
        }
    }

    /// <summary>Rings of less than this are no edge that thread can follow, mm².</summary>
    private const double Speck = 0.5;

    internal static bool IsSpeck(Ring ring) => Math.Abs(ring.SignedArea) < Speck;
}
