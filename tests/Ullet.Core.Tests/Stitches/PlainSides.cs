using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Stitches;

/// <summary>The two sides of a cover found plainly: a stroke at every tenth of a millimetre, each clipped by looking at every
/// edge of the outline. The fast way is held against it.</summary>
internal static class PlainSides
{
    private const double Step = 0.1;

    /// <summary>Strokes along a ring, corners' caps left out.</summary>
    internal static IEnumerable<(Point Foot, Point Outer, Point Inner)> Of(
        IReadOnlyList<Ring> rings,
        Ring ring,
        CoverBand band
    )
    {
        var corners = ring.Corners().ToHashSet();
        var count = ring.Points.Length;
        for (var i = 0; i < count; i++)
        {
            var (a, b) = (ring.Points[i], ring.Points[(i + 1) % count]);
            var (from, to) = (
                Normal(ring, corners, i, ahead: true),
                Normal(ring, corners, (i + 1) % count, ahead: false)
            );
            var steps = Math.Max(1, (int)Math.Ceiling(a.DistanceTo(b) / Step));
            for (var s = 0; s < steps; s++)
            {
                var foot = Point.Lerp(a, b, s / (double)steps);
                var normal = Point.Lerp(from, to, s / (double)steps).Unit();
                yield return (
                    foot,
                    foot + (normal * Reach(rings, foot, normal, band.Outside)),
                    foot - (normal * Reach(rings, foot, normal * -1, band.Inside))
                );
            }
        }
    }

    private static Point Normal(Ring ring, HashSet<int> corners, int vertex, bool ahead)
    {
        var count = ring.Points.Length;
        var before = (ring.Points[vertex] - ring.Points[(vertex + count - 1) % count]).Unit();
        var after = (ring.Points[(vertex + 1) % count] - ring.Points[vertex]).Unit();
        return corners.Contains(vertex) ? (ahead ? after : before).Outward() : (before + after).Unit().Outward();
    }

    /// <summary>The shrinking ball with every edge looked at.</summary>
    private static double Reach(IReadOnlyList<Ring> rings, Point foot, Point direction, double most)
    {
        var reach = most;
        for (var round = 0; round < 24 && reach > 1e-4; round++)
        {
            var within = reach - 0.02 - (0.02 * reach);
            var centre = foot + (direction * reach);
            Point? other = null;
            foreach (var points in rings.Select(ring => ring.Points))
            {
                for (var i = 0; i < points.Length; i++)
                {
                    var near = SegmentIndex.Foot(centre, points[i], points[(i + 1) % points.Length]);
                    if (near.DistanceTo(centre) < within)
                    {
                        (other, within) = (near, near.DistanceTo(centre));
                    }
                }
            }
            if (other is not { } stop || Point.Dot(stop - foot, direction) < 1e-9)
            {
                break;
            }
            var smaller = Point.Dot(stop - foot, stop - foot) / (2 * Point.Dot(stop - foot, direction));
            if (smaller >= reach - 1e-6)
            {
                break;
            }
            reach = Math.Max(smaller, 0);
        }
        return reach;
    }
}
