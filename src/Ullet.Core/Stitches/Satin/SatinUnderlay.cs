using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>What lies under a satin cover: a run along its middle, runs near its sides, a wide zigzag under broad ones.</summary>
/// <remarks>Law, tested in SewnPieceTests: no underlay leaves what the top hides. Where a track has no room it goes straight on if
/// the top hides that, else along the band's middle.</remarks>
internal static class SatinUnderlay
{
    /// <summary>A side run needs at least this much band between it and the other side's run, mm.</summary>
    private const double LeastBetween = 0.3;

    /// <summary>A side run that has room on less than this share of the edge is left out.</summary>
    private const double LeastRoom = 0.3;

    private enum Track
    {
        Middle,
        Inner,
        Outer,
    }

    /// <summary>The underlay of a cover.</summary>
    /// <param name="legs">Its legs in order.</param>
    /// <param name="closed">True when the last leg meets the first.</param>
    /// <param name="numbers">Width and kinds of underlay.</param>
    /// <param name="edge">The ring's number.</param>
    /// <returns>Runs that follow each other without travel: along open stretches they go to and fro.</returns>
    internal static IEnumerable<StitchRun> Make(
        IReadOnlyList<SatinLeg> legs,
        bool closed,
        SatinNumbers numbers,
        int edge
    )
    {
        var kinds = numbers.UnderlayKinds;
        var places = Places(legs, closed);
        var back = false;
        foreach (var track in Tracks(kinds))
        {
            var line = Line(places, track, numbers.Band);
            if (line.Length < 2)
            {
                continue;
            }
            yield return new StitchRun(
                RunKind.Underlay,
                edge,
                RunStitch.Along(back ? [.. line.Reverse()] : line, StitchDefaults.RunLength)
            );
            back = !closed && !back;
        }
        if (kinds.HasFlag(UnderlayKinds.Zigzag) && Zigzag(legs) is { Length: > 1 } zigzag)
        {
            yield return new StitchRun(RunKind.Underlay, edge, back ? [.. zigzag.Reverse()] : zigzag);
        }
    }

    private static IEnumerable<Track> Tracks(UnderlayKinds kinds)
    {
        if (kinds.HasFlag(UnderlayKinds.CentreRun))
        {
            yield return Track.Middle;
        }
        if (kinds.HasFlag(UnderlayKinds.EdgeRuns))
        {
            yield return Track.Inner;
            yield return Track.Outer;
        }
    }

    /// <summary>All stroke places on the edge, round to the first one again where it is closed.</summary>
    private static StrokePlace[] Places(IReadOnlyList<SatinLeg> legs, bool closed)
    {
        var places = new List<StrokePlace>(legs.Sum(leg => leg.Places.Length) + 1);
        foreach (var leg in legs)
        {
            places.AddRange(leg.Body);
        }
        if (closed && places.Count > 2)
        {
            places.Add(places[0]);
        }
        return [.. places];
    }

    private static ImmutableArray<Point> Line(StrokePlace[] places, Track track, CoverBand band)
    {
        var inset = StitchDefaults.UnderlayInset;
        // Where another edge clips the strokes, side runs would wind into the corner: they go straight across it.
        bool HasRoom(in StrokePlace place) =>
            track == Track.Middle
                ? place.Length >= 2 * StitchDefaults.ShortestStitch
                : place.Length >= (2 * inset) + LeastBetween && (!place.IsClipped || place.Length >= 0.9 * band.Width);
        Point Of(in StrokePlace place) =>
            track switch
            {
                Track.Inner => Point.Lerp(place.Inner, place.Outer, inset / place.Length),
                Track.Outer => Point.Lerp(place.Outer, place.Inner, inset / place.Length),
                Track.Middle => Middle(place),
            };
        var roomy = new List<int>(places.Length);
        for (var i = 0; i < places.Length; i++)
        {
            Budget.Spend();
            if (HasRoom(places[i]))
            {
                roomy.Add(i);
            }
        }
        if (roomy.Count < 2 || (track != Track.Middle && Way(places, roomy) < LeastRoom * Way(places)))
        {
            return [];
        }
        var points = ImmutableArray.CreateBuilder<Point>(places.Length + 1);
        // Every track begins and ends where the edge does, so that the next one begins there without travel.
        points.Add(roomy[0] == 0 ? Of(places[0]) : Middle(places[0]));
        for (var k = roomy[0] == 0 ? 1 : 0; k < roomy.Count; k++)
        {
            var from = k == 0 ? 0 : roomy[k - 1];
            UnderlayLink.Add(places.AsSpan()[from..(roomy[k] + 1)], Of(places[roomy[k]]), points);
        }
        if (roomy[^1] < places.Length - 1)
        {
            UnderlayLink.Add(places.AsSpan()[roomy[^1]..], Middle(places[^1]), points);
        }
        return points.ToImmutable();
    }

    /// <summary>How far the band's middle runs over places that follow one another, mm.</summary>
    private static double Way(StrokePlace[] places, List<int> among)
    {
        var way = 0.0;
        for (var k = 1; k < among.Count; k++)
        {
            way += among[k] == among[k - 1] + 1 ? Middle(places[among[k]]).DistanceTo(Middle(places[among[k - 1]])) : 0;
        }
        return way;
    }

    private static double Way(StrokePlace[] places) => Way(places, [.. Enumerable.Range(0, places.Length)]);

    private static Point Middle(in StrokePlace place) => Point.Lerp(place.Outer, place.Inner, 0.5);

    private static ImmutableArray<Point> Zigzag(IReadOnlyList<SatinLeg> legs)
    {
        var inset = StitchDefaults.UnderlayInset;
        var points = ImmutableArray.CreateBuilder<Point>();
        var isEven = true;
        var since = new List<StrokePlace>();
        foreach (var leg in legs)
        {
            foreach (var place in StrokeSpread.Pick(leg.Body, StitchDefaults.UnderlayZigzagSpacing, even: false))
            {
                Budget.Spend();
                since.Add(place);
                var length = place.Length;
                if (length <= 3 * inset)
                {
                    continue;
                }
                var point = isEven
                    ? Point.Lerp(place.Outer, place.Inner, inset / length)
                    : Point.Lerp(place.Inner, place.Outer, inset / length);
                isEven = !isEven;
                UnderlayLink.Add(since.ToArray(), point, points);
                since.Clear();
                since.Add(place);
            }
        }
        return points.DrainToImmutable();
    }
}
