using NetTopologySuite.Algorithm;
using NetTopologySuite.Geometries;
using NetTopologySuite.Noding;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Counts ahead what calls into the geometry library will take: once begun they can't be stopped.</summary>
/// <remarks>Without a budget on the thread nothing is counted and nothing is refused.</remarks>
internal static class LibraryWork
{
    /// <summary>Steps that the library takes for each vertex of an overlay or a buffer: measured, some 2 µs.</summary>
    private const double PerVertex = 40;

    /// <summary>Steps for each place where two edges cross.</summary>
    private const double PerCrossing = 100;

    /// <summary>Edges that cross more often than this are a tangle.</summary>
    private const int MostCrossings = 50_000;

    /// <summary>So few vertices can't cross often enough to matter.</summary>
    private const int Few = 400;

    /// <summary>Finer cells than this are not looked at, mm.</summary>
    private const double LeastCell = 0.05;

    /// <summary>Before two geometries are laid over each other.</summary>
    internal static void Overlay(NetTopologySuite.Geometries.Geometry a, NetTopologySuite.Geometries.Geometry b)
    {
        if (Budget.Current is null)
        {
            return;
        }
        Linear(a, b);
        if (a.NumPoints + b.NumPoints > Few)
        {
            Budget.SpendAhead(PerCrossing * CrossingsOf(a.EnvelopeInternal.Intersection(b.EnvelopeInternal), a, b));
        }
    }

    /// <summary>Before something that goes once over every vertex.</summary>
    internal static void Linear(params ReadOnlySpan<NetTopologySuite.Geometries.Geometry> all)
    {
        var vertices = 0L;
        foreach (var geometry in all)
        {
            vertices += geometry.NumPoints;
        }
        Budget.SpendAhead(PerVertex * vertices);
    }

    /// <summary>Steps for each vertex of a polygon that is cut into triangles: measured, some 8 µs.</summary>
    private const double PerCorner = 160;

    /// <summary>Before a polygon is cut into triangles.</summary>
    internal static void Triangles(NetTopologySuite.Geometries.Geometry polygon)
    {
        if (Budget.Current is not null)
        {
            Budget.SpendAhead(PerCorner * polygon.NumPoints);
        }
    }

    /// <summary>Before one geometry's crossing edges are taken apart.</summary>
    internal static void Mending(NetTopologySuite.Geometries.Geometry tangled)
    {
        if (Budget.Current is null)
        {
            return;
        }
        Linear(tangled);
        Budget.SpendAhead(PerCrossing * CrossingsOf(tangled.EnvelopeInternal, tangled));
    }

    /// <summary>Before an edge is moved: vertices near each other give moved edges that cross.</summary>
    internal static void Buffer(NetTopologySuite.Geometries.Geometry geometry, double distance)
    {
        if (Budget.Current is null)
        {
            return;
        }
        Linear(geometry);
        if (geometry.NumPoints <= Few)
        {
            return;
        }
        var cell = Math.Max(Math.Abs(distance), LeastCell);
        var counts = new Dictionary<(long, long), int>();
        foreach (var vertex in geometry.Coordinates)
        {
            var at = ((long)Math.Floor(vertex.X / cell), (long)Math.Floor(vertex.Y / cell));
            counts[at] = counts.GetValueOrDefault(at) + 1;
        }
        Budget.SpendAhead(counts.Values.Sum(count => (double)count * count));
    }

    /// <summary>Before the least distance of two geometries is looked for the plain way.</summary>
    internal static void Pairs(NetTopologySuite.Geometries.Geometry a, NetTopologySuite.Geometries.Geometry b) =>
        Budget.SpendAhead((double)a.NumPoints * b.NumPoints / 4);

    /// <summary>How often edges cross within a box; edges outside of it are passed over.</summary>
    private static int CrossingsOf(Envelope within, params ReadOnlySpan<NetTopologySuite.Geometries.Geometry> all)
    {
        var strings = new List<ISegmentString>();
        var vertices = 0;
        foreach (var geometry in all)
        {
            foreach (var line in NetTopologySuite.Geometries.Utilities.LinearComponentExtracter.GetLines(geometry))
            {
                foreach (var stretch in Stretches(line.Coordinates, within))
                {
                    vertices += stretch.Length;
                    strings.Add(new BasicSegmentString(stretch, null));
                }
            }
        }
        if (vertices <= Few)
        {
            return 0;
        }
        var count = new CrossingCount(MostCrossings);
        new MCIndexNoder(count).ComputeNodes(strings);
        return count.IsDone ? throw Budget.Current!.TooMuch() : count.Found;
    }

    /// <summary>The runs of a line's edges whose boxes meet a box.</summary>
    private static IEnumerable<Coordinate[]> Stretches(Coordinate[] line, Envelope within)
    {
        var first = -1;
        for (var i = 0; i + 1 < line.Length; i++)
        {
            var meets = within.Intersects(line[i], line[i + 1]);
            if (meets && first < 0)
            {
                first = i;
            }
            else if (!meets && first >= 0)
            {
                yield return line[first..(i + 1)];
                first = -1;
            }
        }
        if (first >= 0)
        {
            yield return line[first..];
        }
    }

    /// <summary>Counts edges that cross in their inside, up to a number.</summary>
    internal sealed class CrossingCount(int most) : ISegmentIntersector
    {
        private readonly RobustLineIntersector _lines = new();

        internal int Found { get; private set; }

        /// <summary>How often edges touch besides, the ends that neighbours share counted in.</summary>
        internal int Touches { get; private set; }

        public bool IsDone => Found > most;

        public void ProcessIntersections(ISegmentString e0, int segIndex0, ISegmentString e1, int segIndex1)
        {
            if (e0 == e1 && segIndex0 == segIndex1)
            {
                return;
            }
            Budget.Spend();
            _lines.ComputeIntersection(
                e0.Coordinates[segIndex0],
                e0.Coordinates[segIndex0 + 1],
                e1.Coordinates[segIndex1],
                e1.Coordinates[segIndex1 + 1]
            );
            if (_lines.HasIntersection)
            {
                Found += _lines.IsProper ? 1 : 0;
                Touches += _lines.IsProper ? 0 : 1;
            }
        }
    }
}
