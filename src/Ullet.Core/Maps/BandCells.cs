using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Stitches;

namespace Ullet.Core.Maps;

/// <summary>The cells of a grid that lie in a band along edges.</summary>
internal static class BandCells
{
    /// <summary>Marks every cell that lies within the band.</summary>
    /// <param name="edges">The edges, as open or closed lines, mm.</param>
    /// <param name="rings">All rings of the outline; inside is what an odd number of them lies around.</param>
    /// <param name="outside">How far the band reaches outwards, mm.</param>
    /// <param name="inside">How far it reaches inwards, mm.</param>
    /// <param name="raster">The grid.</param>
    internal static bool[] Mark(
        IEnumerable<ImmutableArray<Point>> edges,
        IReadOnlyList<Ring> rings,
        double outside,
        double inside,
        ThreadRaster raster
    )
    {
        var reach = Math.Max(outside, inside);
        var nearest = new float[raster.Columns * raster.Rows];
        Array.Fill(nearest, float.MaxValue);
        var isBeyond = new bool[nearest.Length];
        foreach (var edge in edges)
        {
            for (var i = 1; i < edge.Length; i++)
            {
                Budget.Spend();
                // An open edge's band ends square.
                var isOpen = edge[0].DistanceTo(edge[^1]) > Tolerance.Quantum;
                var ends = (isOpen && i == 1, isOpen && i == edge.Length - 1);
                Measure(edge[i - 1], edge[i], ends, reach, raster, nearest, isBeyond);
            }
        }
        var marked = new bool[nearest.Length];
        var crossings = new List<double>();
        for (var row = 0; row < raster.Rows; row++)
        {
            Cross(rings, raster.At(0, row).Y, crossings);
            var (next, isIn) = (0, false);
            for (var column = 0; column < raster.Columns; column++)
            {
                var x = raster.Box.MinX + (column * raster.Cell);
                while (next < crossings.Count && crossings[next] <= x)
                {
                    (next, isIn) = (next + 1, !isIn);
                }
                var at = (row * raster.Columns) + column;
                var limit = isIn ? inside : outside;
                marked[at] = !isBeyond[at] && nearest[at] < limit * limit;
            }
        }
        return marked;
    }

    private static void Measure(
        Point a,
        Point b,
        (bool AtStart, bool AtEnd) ends,
        double reach,
        ThreadRaster raster,
        float[] nearest,
        bool[] isBeyond
    )
    {
        var along = b - a;
        var square = Math.Max(Point.Dot(along, along), 1e-18);
        var firstRow = Math.Max(0, (int)((Math.Min(a.Y, b.Y) - reach - raster.Box.MinY) / raster.Cell));
        var lastRow = Math.Min(
            raster.Rows - 1,
            (int)((Math.Max(a.Y, b.Y) + reach - raster.Box.MinY) / raster.Cell) + 1
        );
        var first = Math.Max(0, (int)((Math.Min(a.X, b.X) - reach - raster.Box.MinX) / raster.Cell));
        var last = Math.Min(
            raster.Columns - 1,
            (int)((Math.Max(a.X, b.X) + reach - raster.Box.MinX) / raster.Cell) + 1
        );
        for (var row = firstRow; row <= lastRow; row++)
        {
            Budget.Spend();
            var y = raster.Box.MinY + (row * raster.Cell) - a.Y;
            for (var column = first; column <= last; column++)
            {
                var x = raster.Box.MinX + (column * raster.Cell) - a.X;
                var t = ((x * along.X) + (y * along.Y)) / square;
                var beyond = (ends.AtStart && t < 0) || (ends.AtEnd && t > 1);
                t = Math.Clamp(t, 0, 1);
                var (dx, dy) = (x - (t * along.X), y - (t * along.Y));
                var distance = (float)((dx * dx) + (dy * dy));
                var at = (row * raster.Columns) + column;
                if (distance < nearest[at])
                {
                    (nearest[at], isBeyond[at]) = (distance, beyond);
                }
            }
        }
    }

    private static void Cross(IReadOnlyList<Ring> rings, double y, List<double> crossings)
    {
        crossings.Clear();
        foreach (var ring in rings)
        {
            var points = ring.Points.AsSpan();
            for (var i = 0; i < points.Length; i++)
            {
                var (a, b) = (points[i], points[i + 1 < points.Length ? i + 1 : 0]);
                if (a.Y > y != b.Y > y)
                {
                    crossings.Add(a.X + ((y - a.Y) / (b.Y - a.Y) * (b.X - a.X)));
                }
            }
        }
        crossings.Sort();
    }
}
