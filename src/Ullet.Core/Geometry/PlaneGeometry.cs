using System.Collections.Immutable;
using NetTopologySuite;
using NetTopologySuite.Geometries;
using NetTopologySuite.Geometries.Implementation;

namespace Ullet.Core.Geometry;

/// <summary>The bridge to NetTopologySuite: overlay NG on a grid of 0.001 mm (the old overlay fails on symmetric outlines).</summary>
internal static class PlaneGeometry
{
    private const double GridScale = 1000;

    internal static readonly GeometryFactory Factory = new NtsGeometryServices(
        CoordinateArraySequenceFactory.Instance,
        new PrecisionModel(GridScale),
        srid: 0,
        GeometryOverlay.NG,
        new CoordinateEqualityComparer()
    ).CreateGeometryFactory();

    internal static NetTopologySuite.Geometries.Geometry From(IEnumerable<Region> regions)
    {
        var polygons = regions.Select(region =>
            Factory.CreatePolygon(LinearRing(region.Shell), [.. region.Holes.Select(LinearRing)])
        );
        var all = Factory.CreateMultiPolygon([.. polygons]);
        LibraryWork.Linear(all);
        if (all.IsValid)
        {
            return all;
        }
        LibraryWork.Mending(all);
        return NetTopologySuite.Geometries.Utilities.GeometryFixer.Fix(all);
    }

    internal static ImmutableArray<Region> ToRegions(NetTopologySuite.Geometries.Geometry geometry)
    {
        var regions = ImmutableArray.CreateBuilder<Region>();
        for (var i = 0; i < geometry.NumGeometries; i++)
        {
            if (geometry.GetGeometryN(i) is Polygon { IsEmpty: false } polygon)
            {
                regions.Add(
                    new Region(
                        ToRing(polygon.ExteriorRing, clockwise: true),
                        [.. polygon.InteriorRings.Select(ring => ToRing(ring, clockwise: false))]
                    )
                );
            }
        }
        return regions.ToImmutable();
    }

    internal static LinearRing LinearRing(Ring ring)
    {
        var coordinates = ring
            .Points.Append(ring.Points[0])
            .Select(p => new Coordinate(Snap(p.X), Snap(p.Y)))
            .ToArray();
        return Factory.CreateLinearRing(coordinates);
    }

    /// <summary>The edges of an outline's parts.</summary>
    internal static NetTopologySuite.Geometries.Geometry Lines(Outline outline) =>
        Factory.CreateMultiLineString([
            .. outline.Flatten().SelectMany(region => region.Rings).Select(ring => (LineString)LinearRing(ring)),
        ]);

    internal static NetTopologySuite.Geometries.Geometry Place(Point place) =>
        Factory.CreatePoint(new Coordinate(place.X, place.Y));

    internal static LineString Line(ImmutableArray<Point> points) =>
        Factory.CreateLineString([.. points.Select(p => new Coordinate(Snap(p.X), Snap(p.Y)))]);

    /// <summary>A line without the vertices that leave it by no more than a distance, mm; its ends stay.</summary>
    internal static IEnumerable<Point> Simplified(IEnumerable<Point> line, double within) =>
        NetTopologySuite
            .Simplify.DouglasPeuckerLineSimplifier.Simplify([.. line.Select(p => new Coordinate(p.X, p.Y))], within)
            .Select(c => new Point(c.X, c.Y));

    /// <summary>The grid's place nearest to a point, in grid steps.</summary>
    internal static (long X, long Y) GridOf(Point place) =>
        ((long)Math.Round(place.X * GridScale), (long)Math.Round(place.Y * GridScale));

    private static double Snap(double value) => Math.Round(value * GridScale) / GridScale;

    private static Ring ToRing(LineString line, bool clockwise)
    {
        var ring = Ring.Of([.. line.Coordinates.Select(c => new Point(c.X, c.Y))]);
        return ring.SignedArea > 0 == clockwise ? ring : ring.Reversed();
    }
}
