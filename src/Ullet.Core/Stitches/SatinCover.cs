using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The numbers of a satin cover, mm.</summary>
/// <param name="Width">Width as sewn.</param>
/// <param name="Spacing">Distance between neighbouring holes on the same side.</param>
/// <param name="InsideShare">Share of the width inside the outline, 0 to 1.</param>
/// <param name="Compensation">Added on each side.</param>
public sealed record SatinNumbers(double Width, double Spacing, double InsideShare, double Compensation)
{
    internal CoverBand Band => new((Width * (1 - InsideShare)) + Compensation, (Width * InsideShare) + Compensation);
}

/// <summary>Satin along every edge of an outline, with its underlay.</summary>
/// <remarks>
/// Laws, tested in SatinCoverTests: (1) no needle point lies more than 0.1 mm outside the band; (2) strokes 0.4 mm wide
/// cover at least 99.5 % of the band; (3) no disc of 0.5 mm radius takes more than 12 top needle points outside the
/// closing overlap; (4) a closed cover runs on over its start by 1 to 2 mm; (5) every number is finite and no stitch has
/// length zero.
/// </remarks>
public static class SatinCover
{
    /// <summary>Covers the edges of regions, shells and holes alike.</summary>
    /// <returns>For each edge its underlay runs, then its top run. Where two edges face each other nearer than the band
    /// needs, strokes end halfway and the narrowest place is reported.</returns>
    /// <param name="regions">The outline, mm.</param>
    /// <param name="numbers">Width, spacing, shares.</param>
    /// <param name="visible">The stretches of edge that get a cover; null for all of it. A stretch of a ring ends square.</param>
    /// <param name="cancellation">Stops the work.</param>
    public static StepStitches Make(
        ImmutableArray<Region> regions,
        SatinNumbers numbers,
        CancellationToken cancellation,
        VisibleEdge? visible = null
    )
    {
        var rings = regions.SelectMany(region => region.Rings).Where(ring => ring.Points.Length >= 3).ToList();
        var sides = new SatinSides(new MedialReach(new SegmentIndex(rings)), numbers.Band);
        var shortStrokes = new ShortStrokes(numbers.Spacing);
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        var narrow = ImmutableArray.CreateBuilder<NarrowPlace>();
        for (var edge = 0; edge < rings.Count; edge++)
        {
            cancellation.ThrowIfCancellationRequested();
            if (visible is not null && !visible.WholeRings.Contains(edge))
            {
                continue;
            }
            var ring = StartPoint.Choose(rings[edge]);
            var legs = sides.Legs(ring);
            var start = legs[0].Places.Count > 0 ? legs[0].Places[0].Outer : ring.Points[0];
            runs.AddRange(SatinUnderlay.Make(ring, legs, numbers, edge, start));
            var top = Top(ring, legs, numbers, shortStrokes);
            if (top.Length > 1)
            {
                runs.Add(new StitchRun(RunKind.Top, edge, top));
            }
            narrow.AddRange(legs.Select(leg => leg.Narrowest).OfType<NarrowPlace>());
        }
        foreach (var stretch in visible?.Stretches ?? [])
        {
            cancellation.ThrowIfCancellationRequested();
            var legs = sides.Legs(stretch.Points);
            runs.AddRange(SatinUnderlay.Make(rings[stretch.Ring], stretch, legs, numbers));
            var strokes = legs.SelectMany(leg => StrokeSpread.Pick(leg.Places, numbers.Spacing, even: false)).ToList();
            var top = Points(strokes, strokes.Count, shortStrokes, shortStrokes);
            if (top.Length > 1)
            {
                runs.Add(new StitchRun(RunKind.Top, stretch.Ring, top));
            }
            narrow.AddRange(legs.Select(leg => leg.Narrowest).OfType<NarrowPlace>());
        }
        return new StepStitches(runs.ToImmutable(), narrow.ToImmutable());
    }

    private static ImmutableArray<Point> Top(
        Ring ring,
        List<SatinLeg> legs,
        SatinNumbers numbers,
        ShortStrokes shortStrokes
    )
    {
        var closed = ring.Corners().IsEmpty;
        var strokes = legs.SelectMany(leg => StrokeSpread.Pick(leg.Places, numbers.Spacing, even: closed)).ToList();
        if (closed && strokes.Count > 1)
        {
            strokes.RemoveAt(strokes.Count - 1);
        }
        var once = strokes.Count;
        strokes.AddRange(ClosingOverlap.Of(strokes, ring.Points[0]));
        return Points(strokes, once, shortStrokes, new ShortStrokes(numbers.Spacing));
    }

    /// <summary>Strokes as needle points, to and fro.</summary>
    private static ImmutableArray<Point> Points(
        List<StrokePlace> strokes,
        int once,
        ShortStrokes shortStrokes,
        ShortStrokes overlap
    )
    {
        var points = ImmutableArray.CreateBuilder<Point>(strokes.Count);
        for (var i = 0; i < strokes.Count; i++)
        {
            var (end, other) = i % 2 == 0 ? (strokes[i].Outer, strokes[i].Inner) : (strokes[i].Inner, strokes[i].Outer);
            var point = (i < once ? shortStrokes : overlap).End(end, other);
            if (points.Count == 0 || point.DistanceTo(points[^1]) > Tolerance.Quantum)
            {
                points.Add(point);
            }
        }
        return points.ToImmutable();
    }
}
