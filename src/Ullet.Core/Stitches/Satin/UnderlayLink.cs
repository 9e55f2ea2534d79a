using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The way of an underlay over places where its track has no room.</summary>
internal static class UnderlayLink
{
    /// <summary>Adds a track's next point, and before it what leads there out of sight: nothing where the straight way lies on the
    /// band, else the band's middle.</summary>
    /// <param name="places">From the place of the point before to that of the next one, in order.</param>
    /// <param name="next">The next point, mm.</param>
    /// <param name="points">The track so far; empty at its beginning.</param>
    internal static void Add(ReadOnlySpan<StrokePlace> places, Point next, ImmutableArray<Point>.Builder points)
    {
        if (points.Count > 0 && places.Length > 2 && !IsOnBand(places, points[^1], next))
        {
            foreach (ref readonly var place in places[1..^1])
            {
                points.Add(Point.Lerp(place.Outer, place.Inner, 0.5));
            }
        }
        points.Add(next);
    }

    private static bool IsOnBand(ReadOnlySpan<StrokePlace> places, Point from, Point to)
    {
        var length = from.DistanceTo(to);
        if (length <= ThreadInSight.Most)
        {
            return true;
        }
        var looks = (int)Math.Ceiling(length / ThreadInSight.Hides);
        for (var i = 1; i < looks; i++)
        {
            Budget.Spend();
            if (!IsOnBand(places, Point.Lerp(from, to, i / (double)looks)))
            {
                return false;
            }
        }
        return true;
    }

    private static bool IsOnBand(ReadOnlySpan<StrokePlace> places, Point at)
    {
        for (var i = 1; i < places.Length; i++)
        {
            Budget.Spend();
            var (before, after) = (places[i - 1], places[i]);
            if (
                IsIn(at, before.Outer, before.Inner, after.Inner)
                || IsIn(at, before.Outer, after.Inner, after.Outer)
                || SegmentIndex.Foot(at, after.Outer, after.Inner).DistanceTo(at) < ThreadInSight.Hides
            )
            {
                return true;
            }
        }
        return false;
    }

    private static bool IsIn(Point at, Point a, Point b, Point c)
    {
        var (first, second, third) = (
            Point.Cross(b - a, at - a),
            Point.Cross(c - b, at - b),
            Point.Cross(a - c, at - c)
        );
        return (first >= 0 && second >= 0 && third >= 0) || (first <= 0 && second <= 0 && third <= 0);
    }
}
