using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The directions outwards of an edge, at each of its places.</summary>
internal static class EdgeNormals
{
    /// <summary>The direction outwards at a vertex of a ring.</summary>
    internal static Point At(ImmutableArray<Point> ring, int vertex)
    {
        var (before, here, after) = (
            ring[(vertex + ring.Length - 1) % ring.Length],
            ring[vertex],
            ring[(vertex + 1) % ring.Length]
        );
        return ((here - before).Unit() + (after - here).Unit()).Unit().Outward();
    }

    /// <param name="points">The edge in sewing order, mm.</param>
    /// <param name="closed">True for one that ends where it starts.</param>
    /// <returns>Of length 1, half-way between the stretches that meet at a place.</returns>
    internal static Point[] Of(Point[] points, bool closed)
    {
        var last = points.Length - 1;
        var normals = new Point[points.Length];
        var before = closed ? (points[0] - points[last - 1]).Unit() : Point.Zero;
        for (var i = 0; i <= last; i++)
        {
            var after =
                i < last ? (points[i + 1] - points[i]).Unit()
                : closed ? (points[1] - points[0]).Unit()
                : Point.Zero;
            normals[i] = (before + after).Unit().Outward();
            before = after;
        }
        return normals;
    }
}
