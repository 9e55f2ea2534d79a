using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>What lies under a satin cover: a run along its middle, runs near its sides, a wide zigzag under broad ones.</summary>
internal static class SatinUnderlay
{
    internal static IEnumerable<StitchRun> Make(
        Ring ring,
        List<SatinLeg> legs,
        SatinNumbers numbers,
        int edge,
        Point start
    )
    {
        foreach (var offset in Offsets(numbers))
        {
            foreach (var line in Offset(ring, offset))
            {
                var points = RunStitch.Round(NearestStart(line, start), StitchDefaults.RunLength);
                yield return new StitchRun(RunKind.Underlay, edge, points);
                start = points[^1];
            }
        }
        if (Zigzag(legs, numbers) is { Length: > 1 } zigzag)
        {
            yield return new StitchRun(RunKind.Underlay, edge, zigzag);
        }
    }

    /// <summary>The same along a stretch of a ring: of every line that part which lies nearer to the stretch than to the rest.</summary>
    internal static IEnumerable<StitchRun> Make(
        Ring ring,
        OpenStretch stretch,
        List<SatinLeg> legs,
        SatinNumbers numbers
    )
    {
        var along = new ArcLength(stretch.Points);
        var whole = new SegmentIndex([ring]);
        var back = false;
        foreach (var offset in Offsets(numbers))
        {
            var reach = Math.Abs(offset) + 1;
            var beside = Offset(ring, offset)
                .SelectMany(line => line.Points)
                .Select(place => (Place: place, At: along.Of(place)))
                .Where(pair =>
                    whole.Nearest(pair.Place, reach) is { } foot
                    && along.At(pair.At).DistanceTo(pair.Place) < foot.DistanceTo(pair.Place) + Tolerance.Flatten
                )
                .OrderBy(pair => pair.At)
                .Select(pair => pair.Place);
            ImmutableArray<Point> line = [.. back ? beside.Reverse() : beside];
            if (line.Length > 1)
            {
                yield return new StitchRun(
                    RunKind.Underlay,
                    stretch.Ring,
                    RunStitch.Along(line, StitchDefaults.RunLength)
                );
                back = !back;
            }
        }
        if (Zigzag(legs, numbers) is { Length: > 1 } zigzag)
        {
            yield return new StitchRun(RunKind.Underlay, stretch.Ring, zigzag);
        }
    }

    /// <summary>How far outside the edge its lines run, mm.</summary>
    private static List<double> Offsets(SatinNumbers numbers)
    {
        var (band, inset) = (numbers.Band, StitchDefaults.UnderlayInset);
        var offsets = new List<double> { (band.Outside - band.Inside) / 2 };
        if (numbers.Width >= StitchDefaults.EdgeRunsFrom)
        {
            offsets.Add(-(band.Inside - inset));
            offsets.Add(band.Outside - inset);
        }
        return offsets;
    }

    private static ImmutableArray<Point> Zigzag(List<SatinLeg> legs, SatinNumbers numbers)
    {
        if (numbers.Width < StitchDefaults.ZigzagFrom)
        {
            return [];
        }
        var inset = StitchDefaults.UnderlayInset;
        var points = ImmutableArray.CreateBuilder<Point>();
        var places = legs.SelectMany(leg =>
            StrokeSpread.Pick(leg.Places, StitchDefaults.UnderlayZigzagSpacing, even: false)
        );
        foreach (var place in places.Where(place => place.Length > 3 * inset))
        {
            var share = inset / place.Length;
            var (outer, inner) = (
                Point.Lerp(place.Outer, place.Inner, share),
                Point.Lerp(place.Inner, place.Outer, share)
            );
            points.Add(points.Count % 2 == 0 ? outer : inner);
        }
        return points.ToImmutable();
    }

    /// <summary>A ring moved off its line, outwards of the material when positive. None when nothing is left.</summary>
    private static IEnumerable<Ring> Offset(Ring ring, double offset)
    {
        var isHole = ring.SignedArea < 0;
        var solid = new Region(isHole ? ring.Reversed() : ring, []);
        return RegionOffset
            .By([solid], isHole ? -offset : offset)
            .Select(region => isHole ? region.Shell.Reversed() : region.Shell)
            .Where(line => line.Points.Length >= 3 && line.Length > 4 * StitchDefaults.ShortestStitch);
    }

    private static Ring NearestStart(Ring ring, Point start)
    {
        var best = Enumerable.Range(0, ring.Points.Length).MinBy(i => ring.Points[i].DistanceTo(start));
        return ring.StartingAt(best);
    }
}
