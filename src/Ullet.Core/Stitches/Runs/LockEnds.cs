using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

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

    /// <summary>What holds the thread's beginning, what is sewn from where it really begins to where it really ends, and what holds its
    /// end. Of the two holes of a lock the one that lies farther from the sewing is where that begins.</summary>
    public static (ImmutableArray<Point> Lead, ImmutableArray<Point> Core, ImmutableArray<Point> Trail) Parts(
        ImmutableArray<Point> points
    )
    {
        var (lead, trail) = (Count(points.Length, i => points[i]), Count(points.Length, i => points[^(i + 1)]));
        if (lead + trail + 1 > points.Length)
        {
            return ([], points, []);
        }
        var rest = points[lead..^trail];
        var core = ImmutableArray.CreateBuilder<Point>(rest.Length + 2);
        if (lead > 1)
        {
            core.Add(Farther(points[lead - 1], points[lead - 2], rest[0]));
        }
        core.AddRange(rest);
        if (trail > 1)
        {
            core.Add(Farther(points[^trail], points[^(trail - 1)], rest[^1]));
        }
        return (points[..lead], core.ToImmutable(), points[^trail..]);
    }

    /// <summary>Where a lock's other hole lies: towards the first stitch that goes clear of the end, a lock's length away or as far as
    /// the thread goes.</summary>
    /// <param name="end">The thread's end, mm.</param>
    /// <param name="along">Needle points from there on.</param>
    public static Point PlaceOf(Point end, IEnumerable<Point> along)
    {
        var farthest = end;
        foreach (var point in along)
        {
            Budget.Spend();
            farthest = point.DistanceTo(end) > farthest.DistanceTo(end) ? point : farthest;
            if (farthest.DistanceTo(end) >= StitchDefaults.LockLength / 2)
            {
                break;
            }
        }
        var away = farthest - end;
        return end + (away.Unit() * Math.Min(StitchDefaults.LockLength, away.Length));
    }

    private static Point Farther(Point one, Point other, Point from) =>
        one.DistanceTo(from) > other.DistanceTo(from) ? one : other;

    /// <summary>How many points in a row stand in two holes in turn; 0 where they do not.</summary>
    private static int Count(int length, Func<int, Point> at)
    {
        var most = Math.Min(length, Most);
        if (length < 4)
        {
            return 0;
        }
        var begin = 0;
        // Some files sew the first hole twice.
        while (begin + 1 < most && at(begin).DistanceTo(at(begin + 1)) < Same)
        {
            begin++;
        }
        var last = begin + 1;
        while (
            last + 1 < most
            && at(last).DistanceTo(at(last + 1)) <= Longest
            && at(last - 1).DistanceTo(at(last + 1)) < Same
        )
        {
            last++;
        }
        return last - begin >= 2 && at(begin).DistanceTo(at(begin + 1)) <= Longest ? last + 1 : 0;
    }
}
