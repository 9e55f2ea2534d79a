using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The length of lines in each cell of a plane, in tiles that are made where lines lie.</summary>
/// <param name="side">Side of a cell, mm.</param>
internal sealed class CellCounts(double side)
{
    private const int Bits = 5;
    private const int Tile = 1 << Bits;

    private readonly Dictionary<(int X, int Y), float[]> _tiles = [];
    private (int X, int Y) _lastAt = (int.MinValue, 0);
    private float[] _last = [];

    /// <summary>The length of lines in a cell, mm.</summary>
    internal float this[(int X, int Y) cell] => Cell(cell.X, cell.Y);

    internal (int X, int Y) CellOf(Point at) => ((int)Math.Floor(at.X / side), (int)Math.Floor(at.Y / side));

    /// <summary>Adds to every cell the length of a line within it, mm.</summary>
    /// <remarks>From one side of a cell to the next, as in J. Amanatides and A. Woo, "A fast voxel traversal algorithm for ray
    /// tracing", 1987.</remarks>
    internal void AddLine(Point from, Point to)
    {
        var along = to - from;
        var length = along.Length;
        if (length < 1e-9)
        {
            return;
        }
        var ((x, y), (endX, endY)) = (CellOf(from), CellOf(to));
        var (stepX, stepY) = (Math.Sign(along.X), Math.Sign(along.Y));
        var (acrossX, acrossY) = (side / Math.Abs(along.X), side / Math.Abs(along.Y));
        var nextX = stepX == 0 ? double.MaxValue : (((x + (stepX > 0 ? 1 : 0)) * side) - from.X) / along.X;
        var nextY = stepY == 0 ? double.MaxValue : (((y + (stepY > 0 ? 1 : 0)) * side) - from.Y) / along.Y;
        var done = 0.0;
        for (var left = Math.Abs(endX - x) + Math.Abs(endY - y); left > 0; left--)
        {
            var next = Math.Min(nextX, nextY);
            Cell(x, y) += (float)((next - done) * length);
            done = next;
            if (nextX < nextY)
            {
                (x, nextX) = (x + stepX, nextX + acrossX);
            }
            else
            {
                (y, nextY) = (y + stepY, nextY + acrossY);
            }
        }
        Cell(x, y) += (float)((1 - done) * length);
    }

    /// <summary>The cells that hold more than a length, mm.</summary>
    internal IEnumerable<(int X, int Y)> Over(float length)
    {
        foreach (var ((x, y), cells) in _tiles)
        {
            for (var at = 0; at < cells.Length; at++)
            {
                if (cells[at] > length)
                {
                    yield return ((x * Tile) + (at % Tile), (y * Tile) + (at / Tile));
                }
            }
        }
    }

    private ref float Cell(int x, int y)
    {
        var at = (x >> Bits, y >> Bits);
        if (at != _lastAt)
        {
            if (!_tiles.TryGetValue(at, out var tile))
            {
                _tiles[at] = tile = new float[Tile * Tile];
            }
            (_lastAt, _last) = (at, tile);
        }
        return ref _last[((y & (Tile - 1)) * Tile) + (x & (Tile - 1))];
    }
}
