using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>What lies under a column, by its width: a run along its middle, runs near its sides, a wide zigzag.</summary>
internal static class ColumnUnderlay
{
    /// <summary>From this width on, a column has runs near its sides, mm.</summary>
    private const double EdgesFrom = StitchDefaults.EdgeRunsFrom;

    /// <summary>What a pass follows.</summary>
    internal enum Track
    {
        Middle,
        Outer,
        Inner,
        Zigzag,
    }

    /// <summary>The passes along a stretch.</summary>
    /// <param name="width">The stretch's usual width, mm.</param>
    /// <param name="kinds">What is asked for; null for what the width asks for.</param>
    /// <param name="comesBack">True when the last pass ends where the first began.</param>
    internal static ImmutableArray<Track> Passes(double width, UnderlayKinds? kinds, bool comesBack)
    {
        var asked = kinds ?? SatinNumbers.UsualUnderlay(width);
        var tracks = new List<Track> { Track.Middle };
        if (asked.HasFlag(UnderlayKinds.EdgeRuns) && width >= EdgesFrom)
        {
            tracks.AddRange([Track.Outer, Track.Inner]);
        }
        if (asked.HasFlag(UnderlayKinds.Zigzag))
        {
            tracks.Add(Track.Zigzag);
        }
        if (tracks.Count % 2 == (comesBack ? 0 : 1))
        {
            return [.. tracks];
        }
        // One pass more or fewer: the middle is needed least where others lie beside it.
        if (tracks.Count > 2)
        {
            tracks.RemoveAt(0);
        }
        else
        {
            tracks.Add(Track.Middle);
        }
        return [.. tracks];
    }

    /// <summary>A pass over places, from the first to the last or back.</summary>
    internal static List<Point> Line(ReadOnlySpan<StrokePlace> places, Track track, bool isReversed)
    {
        var line = new List<Point>(places.Length);
        if (track == Track.Zigzag)
        {
            var isEven = true;
            foreach (var place in StrokeSpread.Pick(places, StitchDefaults.UnderlayZigzagSpacing, even: false))
            {
                Budget.Spend();
                line.Add(Inset(place, isEven ? Track.Outer : Track.Inner));
                isEven = !isEven;
            }
        }
        else
        {
            foreach (var place in places)
            {
                Budget.Spend();
                line.Add(Inset(place, track));
            }
        }
        if (isReversed)
        {
            line.Reverse();
        }
        return line;
    }

    /// <summary>Where a pass crosses a stroke: inset from its side, in the middle where there is no room.</summary>
    private static Point Inset(in StrokePlace place, Track track)
    {
        var share =
            track == Track.Middle
                ? 0.5
                : Math.Min(
                    0.5,
                    Math.Max(StitchDefaults.UnderlayInset, place.Length / 6) / Math.Max(1e-9, place.Length)
                );
        return track == Track.Inner
            ? Point.Lerp(place.Inner, place.Outer, share)
            : Point.Lerp(place.Outer, place.Inner, share);
    }
}
