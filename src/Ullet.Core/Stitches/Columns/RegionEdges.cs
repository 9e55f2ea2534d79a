using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A region's own edges, which no stroke may cross.</summary>
internal sealed class RegionEdges(ColumnMesh mesh)
{
    private readonly (Point From, Point To)[] _edges =
    [
        .. Enumerable
            .Range(0, mesh.Beside.Length)
            .Where(i => mesh.Beside[i] < 0)
            .Select(i => mesh.Edge(i / 3, i % 3))
            .Select(edge => (mesh.Points[edge.A], mesh.Points[edge.B])),
    ];

    /// <summary>How far a line may go either way before it meets an edge, mm; nothing from a place outside.</summary>
    /// <param name="from">A place in the region, mm.</param>
    /// <param name="direction">Length 1; the first way is against it.</param>
    internal (double Down, double Up) Free(Point from, Point direction)
    {
        var (down, up) = (double.MaxValue, double.MaxValue);
        var isInside = false;
        Budget.Spend(1 + (_edges.Length / 8));
        foreach (var (a, b) in _edges)
        {
            var (sideA, sideB) = (Point.Cross(direction, a - from), Point.Cross(direction, b - from));
            if (sideA > 0 == sideB > 0)
            {
                continue;
            }
            var at = Point.Dot(direction, Point.Lerp(a, b, sideA / (sideA - sideB)) - from);
            isInside ^= at > 0;
            (down, up) = at < 0 ? (Math.Min(down, -at), up) : (down, Math.Min(up, at));
        }
        return isInside ? (down, up) : (0, 0);
    }

    /// <summary>Where a level line crosses the edges, from left to right, mm.</summary>
    internal List<double> CrossingsAt(double height)
    {
        var crossings = new List<double>();
        Budget.Spend(1 + (_edges.Length / 8));
        foreach (var (a, b) in _edges)
        {
            if (a.Y > height != b.Y > height)
            {
                crossings.Add(a.X + ((height - a.Y) / (b.Y - a.Y) * (b.X - a.X)));
            }
        }
        crossings.Sort();
        return crossings;
    }
}
