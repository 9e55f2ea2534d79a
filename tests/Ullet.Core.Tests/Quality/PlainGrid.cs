using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Quality;

/// <summary>A plane in plain cells: shapes filled, distances measured, thread drawn.</summary>
internal sealed class PlainGrid
{
    private readonly double _cell;
    private readonly Box _box;

    /// <param name="regions">What should lie on it, with some room around, mm.</param>
    /// <param name="cell">Side of a cell, mm.</param>
    internal PlainGrid(ImmutableArray<Region> regions, double cell)
    {
        _cell = cell;
        _box = Box.Of(regions.SelectMany(region => region.Shell.Points)).Grown(1.5);
        (Columns, Rows) = ((int)(_box.Width / cell) + 1, (int)(_box.Height / cell) + 1);
    }

    internal int Columns { get; }

    internal int Rows { get; }

    /// <summary>The middle of a cell, mm.</summary>
    internal Point Middle(int cell) =>
        new(_box.MinX + ((cell % Columns + 0.5) * _cell), _box.MinY + ((cell / Columns + 0.5) * _cell));

    internal int? At(Point place)
    {
        var (x, y) = ((int)((place.X - _box.MinX) / _cell), (int)((place.Y - _box.MinY) / _cell));
        return x < 0 || y < 0 || x >= Columns || y >= Rows ? null : (y * Columns) + x;
    }

    internal bool[] Filled(ImmutableArray<Region> regions)
    {
        var cells = new bool[Columns * Rows];
        for (var y = 0; y < Rows; y++)
        {
            var height = _box.MinY + ((y + 0.5) * _cell);
            var crossings = regions
                .SelectMany(region => region.Rings)
                .SelectMany(ring => Crossings(ring.Points, height))
                .Order()
                .ToList();
            for (var k = 0; k + 1 < crossings.Count; k += 2)
            {
                var from = Math.Max(0, (int)Math.Ceiling(((crossings[k] - _box.MinX) / _cell) - 0.5));
                var to = Math.Min(Columns - 1, (int)Math.Floor(((crossings[k + 1] - _box.MinX) / _cell) - 0.5));
                for (var x = from; x <= to; x++)
                {
                    cells[(y * Columns) + x] = true;
                }
            }
        }
        return cells;
    }

    private static IEnumerable<double> Crossings(ImmutableArray<Point> ring, double height)
    {
        for (var i = 0; i < ring.Length; i++)
        {
            var (a, b) = (ring[i], ring[(i + 1) % ring.Length]);
            if (a.Y > height != b.Y > height)
            {
                yield return a.X + ((height - a.Y) / (b.Y - a.Y) * (b.X - a.X));
            }
        }
    }

    /// <summary>How far every cell lies from the nearest that is false, mm.</summary>
    /// <remarks>P. Felzenszwalb and D. Huttenlocher, "Distance transforms of sampled functions", 2012.</remarks>
    internal double[] Distances(bool[] cells)
    {
        var squares = cells.Select(isIn => isIn ? 1e12 : 0).ToArray();
        for (var x = 0; x < Columns; x++)
        {
            Lower(squares, x, Columns, Rows);
        }
        for (var y = 0; y < Rows; y++)
        {
            Lower(squares, y * Columns, 1, Columns);
        }
        return [.. squares.Select(square => Math.Sqrt(square) * _cell)];
    }

    private static void Lower(double[] squares, int start, int step, int count)
    {
        var (given, at, from) = (new double[count], new int[count], new double[count + 1]);
        for (var i = 0; i < count; i++)
        {
            given[i] = squares[start + (i * step)];
        }
        var last = 0;
        (from[0], from[1]) = (double.NegativeInfinity, double.PositiveInfinity);
        for (var q = 1; q < count; q++)
        {
            double meet;
            while (true)
            {
                var p = at[last];
                meet = (given[q] + ((double)q * q) - given[p] - ((double)p * p)) / (2.0 * (q - p));
                if (meet > from[last] || last == 0)
                {
                    break;
                }
                last--;
            }
            last = meet > from[last] ? last + 1 : last;
            at[last] = q;
            from[last] = last == 0 ? double.NegativeInfinity : meet;
            from[last + 1] = double.PositiveInfinity;
        }
        for (var (q, k) = (0, 0); q < count; q++)
        {
            while (from[k + 1] < q)
            {
                k++;
            }
            squares[start + (q * step)] = ((double)(q - at[k]) * (q - at[k])) + given[at[k]];
        }
    }

    internal void Draw(Point from, Point to, double half, bool isRound, Action<int> mark)
    {
        var along = to - from;
        var square = Point.Dot(along, along);
        if (square < 1e-12)
        {
            return;
        }
        var box = Box.Of([from, to]).Grown(half);
        for (
            var y = Math.Max(0, (int)((box.MinY - _box.MinY) / _cell));
            y < Math.Min(Rows, (int)((box.MaxY - _box.MinY) / _cell) + 1);
            y++
        )
        {
            for (
                var x = Math.Max(0, (int)((box.MinX - _box.MinX) / _cell));
                x < Math.Min(Columns, (int)((box.MaxX - _box.MinX) / _cell) + 1);
                x++
            )
            {
                var place = new Point(_box.MinX + ((x + 0.5) * _cell), _box.MinY + ((y + 0.5) * _cell));
                var share = Point.Dot(place - from, along) / square;
                if (!isRound && share is < 0 or > 1)
                {
                    continue;
                }
                var foot = from + (along * Math.Clamp(share, 0, 1));
                if (foot.DistanceTo(place) <= half)
                {
                    mark((y * Columns) + x);
                }
            }
        }
    }
}
