using System.Collections.Immutable;
using NetTopologySuite.Algorithm;
using NetTopologySuite.Noding;
using NetTopologySuite.Operation.Polygonize;
using NetTopologySuite.Operation.Union;
using NetTopologySuite.Operation.Valid;

namespace Ullet.Core.Geometry;

/// <summary>Rings that may cross: whether they do, and the faces they divide the plane into.</summary>
internal static class Crossings
{
    /// <summary>True when no ring meets itself or another.</summary>
    internal static bool AreFree(IEnumerable<Ring> rings) => First(rings) is null;

    /// <summary>A place where a ring meets itself or another, or null.</summary>
    internal static Point? First(IEnumerable<Ring> rings)
    {
        var test = new IsSimpleOp(
            PlaneGeometry.Factory.CreateMultiLineString([.. rings.Select(PlaneGeometry.LinearRing)])
        );
        return test.IsSimple() ? null : new Point(test.NonSimpleLocation.X, test.NonSimpleLocation.Y);
    }

    /// <summary>True when edges cross more often than a number of times; counting stops there.</summary>
    internal static bool AreMoreThan(int most, IEnumerable<Ring> rings)
    {
        var count = new Count(most);
        new MCIndexNoder(count).ComputeNodes([
            .. rings.Select(ring =>
                (ISegmentString)new BasicSegmentString(PlaneGeometry.LinearRing(ring).Coordinates, null)
            ),
        ]);
        return count.IsDone;
    }

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

    /// <summary>Counts edges that cross in their inside.</summary>
    private sealed class Count(int most) : ISegmentIntersector
    {
        private readonly RobustLineIntersector _lines = new();
        private int _found;

        public bool IsDone => _found > most;

        public void ProcessIntersections(ISegmentString e0, int segIndex0, ISegmentString e1, int segIndex1)
        {
            if (e0 == e1 && segIndex0 == segIndex1)
            {
                return;
            }
            _lines.ComputeIntersection(
                e0.Coordinates[segIndex0],
                e0.Coordinates[segIndex0 + 1],
                e1.Coordinates[segIndex1],
                e1.Coordinates[segIndex1 + 1]
            );
            _found += _lines.HasIntersection && _lines.IsProper ? 1 : 0;
        }
    }

    private static NetTopologySuite.Geometries.Geometry LineOf(Ring ring) =>
        PlaneGeometry.Factory.CreateLineString(PlaneGeometry.LinearRing(ring).Coordinates);
}
