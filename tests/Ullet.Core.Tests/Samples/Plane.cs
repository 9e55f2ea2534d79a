using NetTopologySuite.Geometries;
using NetTopologySuite.Operation.Distance;
using Ullet.Core.Geometry;
using Point = Ullet.Core.Geometry.Point;

namespace Ullet.Core.Tests.Samples;

/// <summary>Outlines as the geometry library sees them, without Ullet's own bridge: to judge results from outside.</summary>
internal static class Plane
{
    private static readonly GeometryFactory Factory = new(new PrecisionModel(PrecisionModels.Floating));

    /// <summary>The area of an outline, flattened finely, mm².</summary>
    internal static double Area(Outline outline) => outline.Flatten(0.002).Sum(region => region.Area);

    /// <summary>Shells and holes as polygons, as they are: nothing is mended.</summary>
    internal static NetTopologySuite.Geometries.Geometry Of(Outline outline) =>
        Factory.CreateMultiPolygon([
            .. outline
                .Flatten(0.002)
                .Select(region => Factory.CreatePolygon(RingOf(region.Shell), [.. region.Holes.Select(RingOf)])),
        ]);

    /// <summary>The same as every later station takes it: flattened to 0.005 mm. Nothing is mended.</summary>
    internal static NetTopologySuite.Geometries.Geometry OnGrid(Outline outline) =>
        Factory.CreateMultiPolygon([
            .. outline
                .Flatten()
                .Select(region => Factory.CreatePolygon(RingOf(region.Shell), [.. region.Holes.Select(RingOf)])),
        ]);

    /// <summary>The edges of an outline.</summary>
    internal static NetTopologySuite.Geometries.Geometry EdgeOf(Outline outline) =>
        Factory.CreateMultiLineString([
            .. outline.Flatten(0.002).SelectMany(region => region.Rings).Select(ring => (LineString)RingOf(ring)),
        ]);

    /// <summary>Measures how far places lie from a geometry, mm.</summary>
    internal static Func<Point, double> DistanceFrom(NetTopologySuite.Geometries.Geometry geometry)
    {
        var index = new IndexedFacetDistance(geometry);
        return place => index.Distance(Factory.CreatePoint(new Coordinate(place.X, place.Y)));
    }

    /// <summary>Places along the edges of an outline: ends and middles of its curves and some between.</summary>
    internal static IEnumerable<Point> Along(Outline outline) =>
        outline
            .Contours.SelectMany(contour => contour.Curves)
            .SelectMany(curve => new[] { 0.0, 0.2, 0.4, 0.5, 0.6, 0.8 }.Select(curve.At));

    internal static int Nodes(Outline outline) => outline.Contours.Sum(contour => contour.Curves.Length);

    private static LinearRing RingOf(Ring ring) =>
        Factory.CreateLinearRing([.. ring.Points.Append(ring.Points[0]).Select(p => new Coordinate(p.X, p.Y))]);
}
