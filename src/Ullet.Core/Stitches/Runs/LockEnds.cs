using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Parts sewn stitches into what holds a thread's ends and what lies between.</summary>
public static class LockEnds
{
    /// <summary>A lock's stitches are no longer than this, mm.</summary>
    private const double Longest = 1.05;

    /// <summary>Lock stitches come back to where they were within this, mm.</summary>
    private const double Same = 0.12;

    /// <summary>Most needle points that are looked at.</summary>
    private const int Most = 12;

    /// <summary>How many points at the beginning of a section are locks: short stitches to and fro in the same holes.</summary>
    public static int Leading(IReadOnlyList<Point> points) => Count(points.Count, i => points[i]);

    /// <summary>How many points at the end of a section are locks.</summary>
    public static int Trailing(IReadOnlyList<Point> points) => Count(points.Count, i => points[^(i + 1)]);

    /// <summary>The points without locks, and how many stood before them.</summary>
    public static (ImmutableArray<Point> Core, int First) Without(ImmutableArray<Point> points)
    {
        var (first, last) = (Leading(points), Trailing(points));
        return first + last + 2 > points.Length ? (points, 0) : (points[first..^last], first);
    }

    /// <summary>Locks stand in two holes in turn; the last point in the first hole is where the sewing itself begins.</summary>
    private static int Count(int length, Func<int, Point> at)
    {
        if (length < 4)
        {
            return 0;
        }
        var begin = 0;
        // Some files sew the first hole twice.
        while (begin + 1 < Math.Min(length, Most) && at(begin).DistanceTo(at(begin + 1)) < Same)
        {
            begin++;
        }
        var i = begin;
        while (
            i + 2 < Math.Min(length, Most)
            && at(i).DistanceTo(at(i + 1)) <= Longest
            && at(i).DistanceTo(at(i + 2)) < Same
        )
        {
            i++;
        }
        // An even number of stitches ends in the first hole; the last one may have led on already.
        return i == begin ? begin : i;
    }
}
