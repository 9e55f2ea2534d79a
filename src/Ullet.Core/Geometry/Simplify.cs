using System.Collections.Immutable;
using NetTopologySuite.Geometries;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Lines with fewer places.</summary>
public static class Simplify
{
    /// <summary>Places that are looked at together.</summary>
    private const int Piece = 400;

    /// <summary>A line that lies within a distance of the given one (Douglas and Peucker, 1973); both ends stay.</summary>
    /// <param name="line">Places, mm.</param>
    /// <param name="drift">How far a left-out place may lie from the line, mm.</param>
    public static ImmutableArray<Point> Line(IReadOnlyList<Point> line, double drift)
    {
        if (line.Count < 3)
        {
            return [.. line];
        }
        // Strokes to and fro are the worst that can be asked: piece by piece their cost grows with their number only.
        var simple = ImmutableArray.CreateBuilder<Point>();
        for (var from = 0; from < line.Count - 1; from += Piece)
        {
            Budget.Spend(Piece);
            var piece = PlaneGeometry.Simplified(line.Skip(from).Take(Piece + 1), drift);
            simple.AddRange(from == 0 ? piece : piece.Skip(1));
        }
        return simple.ToImmutable();
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
