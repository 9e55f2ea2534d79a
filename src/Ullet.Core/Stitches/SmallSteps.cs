using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Takes steps and switchbacks out of an edge that are smaller than thread can show.</summary>
/// <remarks>Where curves were joined a tenth of a millimetre apart, the edge runs to and fro between two sharp corners.
/// Each would get a mitre of its own, and thread would pile up on them.</remarks>
internal static class SmallSteps
{
    /// <summary>Edges between two corners shorter than this are taken for their middle, mm.</summary>
    private const double Smallest = 0.15;

    /// <summary>The ring without them; the same ring when it has none, or when nothing but them would be left.</summary>
    internal static Ring Removed(Ring ring)
    {
        var corners = ring.Corners();
        if (corners.Length < 2 || !AnyShort(ring, corners))
        {
            return ring;
        }
        var points = ring.Points.ToList();
        for (var i = 0; i < points.Count && points.Count > 3; )
        {
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
                && Math.Abs(Turned(points[before], points[i], step))
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
        return points.Count >= 3 ? new Ring([.. points]) : ring;
    }

    private static double Turned(Point before, Point here, Point step) => Point.Turn(here - before, step);

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
