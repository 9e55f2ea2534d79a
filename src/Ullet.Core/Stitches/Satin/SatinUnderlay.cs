using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>What lies under a satin cover: a run along its middle, runs near its sides, a wide zigzag under broad ones.</summary>
internal static class SatinUnderlay
{
    /// <summary>A side run needs at least this much band between it and the other side's run, mm.</summary>
    private const double LeastBetween = 0.3;

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
        var back = false;
        foreach (var track in Tracks(kinds))
        {
            var line = Line(legs, track, numbers.Band, closed);
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

    private static ImmutableArray<Point> Line(IReadOnlyList<SatinLeg> legs, Track track, CoverBand band, bool closed)
    {
        var inset = StitchDefaults.UnderlayInset;
        var points = ImmutableArray.CreateBuilder<Point>(legs.Sum(leg => leg.Places.Length) + 1);
        foreach (var leg in legs)
        {
            foreach (ref readonly var place in leg.Body)
            {
                Budget.Spend();
                var length = place.Length;
                // Where another edge clips the strokes, side runs would wind into the corner: they go straight across it.
                if (
                    track == Track.Middle
                        ? length < 2 * StitchDefaults.ShortestStitch
                        : length < (2 * inset) + LeastBetween || (place.IsClipped && length < 0.9 * band.Width)
                )
                {
                    continue;
                }
                points.Add(
                    track switch
                    {
                        Track.Inner => Point.Lerp(place.Inner, place.Outer, inset / length),
                        Track.Outer => Point.Lerp(place.Outer, place.Inner, inset / length),
                        _ => Point.Lerp(place.Outer, place.Inner, 0.5),
                    }
                );
            }
        }
        if (closed && points.Count > 2)
        {
            points.Add(points[0]);
        }
        return points.DrainToImmutable();
    }

    private static ImmutableArray<Point> Zigzag(IReadOnlyList<SatinLeg> legs)
    {
        var inset = StitchDefaults.UnderlayInset;
        var points = ImmutableArray.CreateBuilder<Point>();
        foreach (var leg in legs)
        {
            foreach (var place in StrokeSpread.Pick(leg.Body, StitchDefaults.UnderlayZigzagSpacing, even: false))
            {
                Budget.Spend();
                var length = place.Length;
                if (length > 3 * inset)
                {
                    points.Add(
                        points.Count % 2 == 0
                            ? Point.Lerp(place.Outer, place.Inner, inset / length)
                            : Point.Lerp(place.Inner, place.Outer, inset / length)
                    );
                }
            }
        }
        return points.DrainToImmutable();
    }
}
