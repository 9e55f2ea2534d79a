using NetTopologySuite.Geometries;
using NetTopologySuite.Triangulate.Polygon;
using NetTopologySuite.Triangulate.Tri;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Point = Ullet.Core.Geometry.Point;

namespace Ullet.Core.Stitches;

/// <summary>An edge between two triangles: it goes across the shape from one place of its outline to another.</summary>
/// <param name="A">One end, by the vertex's number.</param>
/// <param name="B">The other end.</param>
internal readonly record struct Rung(int A, int B);

/// <summary>A region cut into triangles whose corners all lie on its outline.</summary>
/// <remarks>The edges inside are chords; the middles of those that follow one another run along what is long in the shape: L. Prasad,
/// "Morphological analysis of shapes", CNLS Newsletter 139, 1997 (the chordal axis). The triangulation is the constrained Delaunay one
/// of NetTopologySuite, over edges divided so finely that its chords lie close to those of the medial axis.</remarks>
internal sealed class ColumnMesh
{
    /// <summary>Vertices that lie no farther from the line between their neighbours are left out, mm.</summary>
    private const double Rough = 0.012;

    /// <summary>How roughly an outline is given to the library, mm, and how far it is turned, degrees, tried in this order.</summary>
    private static readonly (double Rough, double Turned)[] Attempts =
    [
        (Rough, 0),
        (0, 0),
        (0, 17.3),
        (0, 41.9),
        (0, 68.7),
    ];

    private ColumnMesh(Point[] points, int[] corners, int[] beside) =>
        (Points, Corners, Beside) = (points, corners, beside);

    /// <summary>The vertices, mm.</summary>
    internal Point[] Points { get; }

    /// <summary>Three vertices for each triangle.</summary>
    internal int[] Corners { get; }

    /// <summary>For each triangle the ones across its three edges, the first from its first corner to its second; -1 at the outline.</summary>
    internal int[] Beside { get; }

    internal int Count => Corners.Length / 3;

    /// <summary>How many of a triangle's edges lie inside the region.</summary>
    internal int Degree(int triangle)
    {
        var at = 3 * triangle;
        return (Beside[at] >= 0 ? 1 : 0) + (Beside[at + 1] >= 0 ? 1 : 0) + (Beside[at + 2] >= 0 ? 1 : 0);
    }

    internal Rung Edge(int triangle, int number) =>
        new(Corners[(3 * triangle) + number], Corners[(3 * triangle) + ((number + 1) % 3)]);

    internal Point Middle(Rung rung) => Point.Lerp(Points[rung.A], Points[rung.B], 0.5);

    internal double Length(Rung rung) => Points[rung.A].DistanceTo(Points[rung.B]);

    internal double Area(int triangle)
    {
        var (a, b, c) = At(triangle);
        return Math.Abs(Point.Cross(b - a, c - a)) / 2;
    }

    internal Point Centre(int triangle)
    {
        var (a, b, c) = At(triangle);
        return (a + b + c) * (1.0 / 3);
    }

    /// <summary>The middle of what triangles take together.</summary>
    internal Point Centre(IEnumerable<int> triangles)
    {
        var (sum, area) = (Point.Zero, 1e-12);
        foreach (var triangle in triangles)
        {
            sum += Centre(triangle) * Area(triangle);
            area += Area(triangle);
        }
        return sum * (1 / area);
    }

    internal (Point A, Point B, Point C) At(int triangle) =>
        (Points[Corners[3 * triangle]], Points[Corners[(3 * triangle) + 1]], Points[Corners[(3 * triangle) + 2]]);

    /// <summary>Cuts a region into triangles.</summary>
    /// <param name="region">A valid region, mm.</param>
    /// <param name="step">Longer edges are divided, mm.</param>
    internal static ColumnMesh Of(Region region, double step)
    {
        var (triangles, original) = Triangles(region, step);
        var numbers = new Dictionary<Tri, int>(triangles.Count, ReferenceEqualityComparer.Instance);
        for (var i = 0; i < triangles.Count; i++)
        {
            numbers[triangles[i]] = i;
        }
        var known = new Dictionary<(double, double), int>(original.Count);
        var points = new List<Point>(original.Count);
        var corners = new int[3 * triangles.Count];
        var beside = new int[3 * triangles.Count];
        for (var i = 0; i < triangles.Count; i++)
        {
            Budget.Spend();
            for (var k = 0; k < 3; k++)
            {
                var at = triangles[i].GetCoordinate(k);
                if (!known.TryGetValue((at.X, at.Y), out var vertex))
                {
                    known[(at.X, at.Y)] = vertex = points.Count;
                    points.Add(original[(at.X, at.Y)]);
                }
                corners[(3 * i) + k] = vertex;
                beside[(3 * i) + k] =
                    triangles[i].GetAdjacent(k) is { } other && numbers.TryGetValue(other, out var number)
                        ? number
                        : -1;
            }
        }
        return new ColumnMesh([.. points], corners, beside);
    }

    /// <summary>The triangles of a region, and where each of their corners lies in it.</summary>
    /// <remarks>The library joins holes to the shell, and fails where edges come so near each other that leaving vertices out lets them
    /// touch, or where corners of holes lie one above the other: then it is given the whole outline, and turned. Where nothing helps there
    /// are no triangles: the region has no columns, all of it is a rest.</remarks>
    private static (IList<Tri> Triangles, Dictionary<(double, double), Point> Original) Triangles(
        Region region,
        double step
    )
    {
        foreach (var (rough, turned) in Attempts)
        {
            var turn = Affine.Rotate(turned);
            var original = new Dictionary<(double, double), Point>();
            var polygon = PlaneGeometry.Factory.CreatePolygon(Of(region.Shell), [.. region.Holes.Select(Of)]);
            LibraryWork.Triangles(polygon);
            try
            {
                return (new ConstrainedDelaunayTriangulator(polygon).GetTriangles(), original);
            }
            catch (InvalidOperationException)
            {
                Budget.Spend();
            }

            LinearRing Of(Ring ring)
            {
                var points = Divided(ring, step, rough);
                var corners = new Coordinate[points.Count + 1];
                for (var k = 0; k < points.Count; k++)
                {
                    var at = turn.Apply(points[k]);
                    original[(at.X, at.Y)] = points[k];
                    corners[k] = new Coordinate(at.X, at.Y);
                }
                corners[^1] = corners[0].Copy();
                return PlaneGeometry.Factory.CreateLinearRing(corners);
            }
        }
        return ([], []);
    }

    /// <summary>A ring without vertices that hardly matter, its long edges divided.</summary>
    private static List<Point> Divided(Ring ring, double step, double rough)
    {
        var corners =
            rough > 0 ? PlaneGeometry.Simplified(ring.Points.Append(ring.Points[0]), rough).SkipLast(1).ToList() : [];
        corners = corners.Count < 3 ? [.. ring.Points] : corners;
        var points = new List<Point>(2 * corners.Count);
        for (var i = 0; i < corners.Count; i++)
        {
            Budget.Spend();
            var (from, to) = (corners[i], corners[(i + 1) % corners.Count]);
            var pieces = Math.Max(1, (int)Math.Ceiling(from.DistanceTo(to) / step));
            for (var k = 0; k < pieces; k++)
            {
                points.Add(Point.Lerp(from, to, k / (double)pieces));
            }
        }
        return points;
    }
}
