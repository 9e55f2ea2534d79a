using System.Collections.Immutable;
using NetTopologySuite.Noding;
using NetTopologySuite.Operation.Polygonize;
using NetTopologySuite.Operation.Union;
using NetTopologySuite.Operation.Valid;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Rings that may cross: whether they do, and the faces they divide the plane into.</summary>
internal static class Crossings
{
    /// <summary>True when no ring meets itself or another.</summary>
    internal static bool AreFree(IEnumerable<Ring> rings) => First(rings) is null;

    /// <summary>A place where a ring meets itself or another, or null.</summary>
    internal static Point? First(IEnumerable<Ring> rings)
    {
        var lines = PlaneGeometry.Factory.CreateMultiLineString([.. rings.Select(PlaneGeometry.LinearRing)]);
        LibraryWork.Linear(lines);
        var test = new IsSimpleOp(lines);
        return test.IsSimple() ? null : new Point(test.NonSimpleLocation.X, test.NonSimpleLocation.Y);
    }

    /// <summary>Steps that the library takes for each place where lines cross, to find the faces.</summary>
    private const double PerCrossing = 400;

    /// <summary>Steps for each place where they touch, or lie on one another: measured, some 2.2 µs.</summary>
    private const double PerTouch = 45;

    /// <summary>True when edges cross more often than a number of times; counting stops there.</summary>
    internal static bool AreMoreThan(int most, IEnumerable<Ring> rings) => CountOf(most, rings).Found > most;

    private static LibraryWork.CrossingCount CountOf(int most, IEnumerable<Ring> rings)
    {
        var count = new LibraryWork.CrossingCount(most);
        new MCIndexNoder(count).ComputeNodes([
            .. rings.Select(ring =>
                (ISegmentString)new BasicSegmentString(PlaneGeometry.LinearRing(ring).Coordinates, null)
            ),
        ]);
        return count;
    }

    /// <summary>The faces that a judge takes for filled, joined where they share an edge.</summary>
    /// <param name="rings">Rings in any direction, mm.</param>
    /// <param name="isFilled">Judges one place inside a face.</param>
    internal static ImmutableArray<Region> Faces(ImmutableArray<Ring> rings, Func<Point, bool> isFilled)
    {
        var count = CountOf(int.MaxValue, rings);
        Budget.SpendAhead((PerCrossing * count.Found) + (PerTouch * count.Touches));
        var noded = UnaryUnionOp.Union(rings.Select(LineOf).ToList(), PlaneGeometry.Factory);
        var polygonizer = new Polygonizer();
        polygonizer.Add(noded);
        var filled = polygonizer
            .GetPolygons()
            .Where(face =>
            {
                LibraryWork.Linear(face);
                var inner = face.InteriorPoint;
                return !inner.IsEmpty && isFilled(new Point(inner.X, inner.Y));
            })
            .ToList();
        return filled.Count == 0 ? [] : PlaneGeometry.ToRegions(UnaryUnionOp.Union(filled, PlaneGeometry.Factory));
    }

    private static NetTopologySuite.Geometries.Geometry LineOf(Ring ring) =>
        PlaneGeometry.Factory.CreateLineString(PlaneGeometry.LinearRing(ring).Coordinates);
}
