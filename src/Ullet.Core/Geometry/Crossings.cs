using System.Collections.Immutable;
using NetTopologySuite.Operation.Polygonize;
using NetTopologySuite.Operation.Union;
using NetTopologySuite.Operation.Valid;

namespace Ullet.Core.Geometry;

/// <summary>Rings that may cross: whether they do, and the faces they divide the plane into.</summary>
internal static class Crossings
{
    /// <summary>True when no ring meets itself or another.</summary>
    internal static bool AreFree(IEnumerable<Ring> rings) =>
        new IsSimpleOp(
            PlaneGeometry.Factory.CreateMultiLineString([.. rings.Select(PlaneGeometry.LinearRing)])
        ).IsSimple();

    /// <summary>The faces that a judge takes for filled, joined where they share an edge.</summary>
    /// <param name="rings">Rings in any direction, mm.</param>
    /// <param name="isFilled">Judges one place inside a face.</param>
    internal static ImmutableArray<Region> Faces(ImmutableArray<Ring> rings, Func<Point, bool> isFilled)
    {
        var noded = UnaryUnionOp.Union(rings.Select(LineOf).ToList(), PlaneGeometry.Factory);
        var polygonizer = new Polygonizer();
        polygonizer.Add(noded);
        var filled = polygonizer
            .GetPolygons()
            .Where(face =>
            {
                var inner = face.InteriorPoint;
                return !inner.IsEmpty && isFilled(new Point(inner.X, inner.Y));
            })
            .ToList();
        return filled.Count == 0 ? [] : PlaneGeometry.ToRegions(UnaryUnionOp.Union(filled, PlaneGeometry.Factory));
    }

    private static NetTopologySuite.Geometries.Geometry LineOf(Ring ring) =>
        PlaneGeometry.Factory.CreateLineString(PlaneGeometry.LinearRing(ring).Coordinates);
}
