using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Cuts short loops off a closed line: where it crosses itself and comes back within a few millimetres, as the sides of a
/// sharp tip do that were moved past each other.</summary>
internal static class ShortLoops
{
    /// <summary>A loop is no longer than this, mm.</summary>
    private const double Longest = 4;

    /// <param name="points">The line's points without the closing one, mm.</param>
    internal static List<Point> Removed(IReadOnlyList<Point> points)
    {
        var kept = new List<Point>(points.Count) { points[0] };
        for (var k = 1; k <= points.Count; k++)
        {
            var next = points[k % points.Count];
            if (Crossed(kept, next) is var (leg, at))
            {
                kept.RemoveRange(leg + 1, kept.Count - leg - 1);
                kept.Add(at);
            }
            if (k < points.Count)
            {
                kept.Add(next);
            }
        }
        return kept;
    }

    /// <summary>The number of the leg that the way from the last point to another crosses within a short loop, and where; null for
    /// none.</summary>
    private static (int Leg, Point At)? Crossed(List<Point> kept, Point next)
    {
        var here = kept[^1];
        var between = 0.0;
        for (var i = kept.Count - 3; i >= 0; i--)
        {
            Budget.Spend();
            between += kept[i + 2].DistanceTo(kept[i + 1]);
            if (between > Longest)
            {
                return null;
            }
            if (
                SegmentIndex.Meeting(kept[i], kept[i + 1], here, next) is { } at
                && at != kept[i]
                && at.DistanceTo(kept[i + 1]) + between + here.DistanceTo(at) <= Longest
            )
            {
                return (i, at);
            }
        }
        return null;
    }
}
