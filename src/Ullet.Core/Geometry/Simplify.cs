using System.Collections.Immutable;
using NetTopologySuite.Geometries;

namespace Ullet.Core.Geometry;

/// <summary>Lines with fewer places.</summary>
public static class Simplify
{
    /// <summary>A line that lies within a distance of the given one (Douglas and Peucker, 1973); both ends stay.</summary>
    /// <param name="line">Places, mm.</param>
    /// <param name="drift">How far a left-out place may lie from the line, mm.</param>
    public static ImmutableArray<Point> Line(IReadOnlyList<Point> line, double drift)
    {
        if (line.Count < 3)
        {
            return [.. line];
        }
        return [.. PlaneGeometry.Simplified(line, drift)];
    }

    /// <summary>The convex hull about places, without its first place said again; fewer than three for places on one line.</summary>
    public static ImmutableArray<Point> Hull(IReadOnlyList<Point> places)
    {
        var hull = new NetTopologySuite.Algorithm.ConvexHull(
            [.. places.Select(point => new Coordinate(point.X, point.Y))],
            PlaneGeometry.Factory
        ).GetConvexHull();
        return hull is Polygon polygon
            ? [.. polygon.ExteriorRing.Coordinates.SkipLast(1).Select(place => new Point(place.X, place.Y))]
            : [];
    }
}
