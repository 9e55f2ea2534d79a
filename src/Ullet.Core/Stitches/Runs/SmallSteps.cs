using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Takes steps and switchbacks out of an edge that are smaller than thread can show.</summary>
/// <remarks>Where curves were joined a tenth of a millimetre apart, the edge runs to and fro between two sharp corners.
/// Each would get a mitre of its own, and thread would pile up on them.</remarks>
internal static class SmallSteps
{
    /// <summary>Edges between two corners shorter than this are taken for their middle, mm.</summary>
    private const double Smallest = 0.2;

    /// <summary>Where edges are as short as that, what leaves a straight line by less than this is no form of its own, mm.</summary>
    private const double Flat = 0.04;

    /// <summary>The ring without them; the same ring when it has none, or when nothing but them would be left.</summary>
    internal static Ring Removed(Ring ring)
    {
        var corners = ring.Corners();
        if (corners.IsEmpty || !AnyShort(ring, corners))
        {
            return ring;
        }
        // A switchback may itself be of several short edges: once those are one, it is seen.
        var points = Merged(Straightened(Merged([.. ring.Points])));
        return points.Count >= 3 ? new Ring([.. points]) : ring;
    }

    /// <summary>Short edges between two corners that turn back on each other become their middle.</summary>
    private static List<Point> Merged(List<Point> points)
    {
        for (var i = 0; i < points.Count && points.Count > 3; )
        {
            Budget.Spend();
            var (next, after, before) = (
                (i + 1) % points.Count,
                (i + 2) % points.Count,
                (i + points.Count - 1) % points.Count
            );
            var step = points[next] - points[i];
            if (
                step.Length < Smallest
                && Tolerance.IsCorner(points[i] - points[before], step)
                && Tolerance.IsCorner(step, points[after] - points[next])
                && Math.Abs(Point.Turn(points[i] - points[before], step))
                    + Math.Abs(Point.Turn(step, points[after] - points[next]))
                    > Math.Abs(Point.Turn(points[i] - points[before], points[after] - points[next])) + 1
            )
            {
                points[i] = Point.Lerp(points[i], points[next], 0.5);
                points.RemoveAt(next);
                i = Math.Max(0, i - 1);
                continue;
            }
            i++;
        }
        return points;
    }

    /// <summary>Runs of short edges lose the vertices that hardly leave a straight line.</summary>
    private static List<Point> Straightened(List<Point> points)
    {
        var kept = new List<Point>(points.Count);
        for (var (first, last) = (0, 0); first < points.Count; first = ++last)
        {
            last = first;
            while (last + 1 < points.Count && points[last].DistanceTo(points[last + 1]) < Smallest)
            {
                last++;
            }
            kept.AddRange(
                last > first + 1 ? PlaneGeometry.Simplified(points[first..(last + 1)], Flat) : points[first..(last + 1)]
            );
        }
        return kept;
    }

    private static bool AnyShort(Ring ring, ImmutableArray<int> corners)
    {
        var points = ring.Points;
        foreach (var corner in corners)
        {
            if (points[corner].DistanceTo(points[(corner + 1) % points.Length]) < Smallest)
            {
                return true;
            }
        }
        return false;
    }
}
