using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Quality;

/// <summary>Looks plainly how much of an edge lines leave free.</summary>
internal static class HeldEdges
{
    /// <summary>The longest stretch of any edge without a line within a distance, mm.</summary>
    internal static double LongestFree(Region region, IEnumerable<Ring> lines, double within) =>
        region.Rings.Max(ring => LongestFree(ring, [.. lines.Select(line => line.Points.Add(line.Points[0]))], within));

    /// <summary>The same for one edge, mm.</summary>
    internal static double LongestFree(Ring ring, IReadOnlyList<ImmutableArray<Point>> lines, double within)
    {
        var along = new ArcLength([.. ring.Points, ring.Points[0]]);
        var looks = Math.Max(8, (int)(along.Total / 0.3));
        var free = Enumerable
            .Range(0, looks)
            .Select(i => along.At(along.Total * i / looks))
            .Select(place => !lines.Any(line => Touches(line, place, within)))
            .ToList();
        var (longest, run) = (0, 0);
        foreach (var isFree in free.Concat(free))
        {
            run = isFree ? run + 1 : 0;
            longest = Math.Max(longest, Math.Min(run, looks));
        }
        return longest * along.Total / looks;
    }

    private static bool Touches(ImmutableArray<Point> line, Point place, double within)
    {
        for (var k = 1; k < line.Length; k++)
        {
            if (SegmentIndex.Foot(place, line[k - 1], line[k]).DistanceTo(place) <= within)
            {
                return true;
            }
        }
        return false;
    }
}
