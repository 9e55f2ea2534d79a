using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Counts on a grid how many threads lie on each cell.</summary>
/// <remarks>For choosing and for maps; tests judge covers with a raster of their own.</remarks>
internal sealed class ThreadRaster
{
    private readonly byte[] _layers;
    private readonly double _half;

    /// <param name="box">The part of the plane, mm.</param>
    /// <param name="cell">Side of a cell, mm.</param>
    /// <param name="threadWidth">How wide thread lies, mm.</param>
    internal ThreadRaster(Box box, double cell, double threadWidth = StitchDefaults.ThreadWidth)
    {
        (Box, Cell, _half) = (box, cell, threadWidth / 2);
        Columns = (int)Math.Ceiling(box.Width / cell) + 1;
        Rows = (int)Math.Ceiling(box.Height / cell) + 1;
        _layers = new byte[Columns * Rows];
    }

    internal Box Box { get; }

    internal double Cell { get; }

    internal int Columns { get; }

    internal int Rows { get; }

    internal ReadOnlySpan<byte> Layers => _layers;

    internal Point At(int column, int row) => new(Box.MinX + (column * Cell), Box.MinY + (row * Cell));

    /// <summary>Takes all thread away.</summary>
    internal void Clear() => Array.Clear(_layers);

    /// <summary>How many cells thread was taken away from until none was left, less those that got some again.</summary>
    internal int Bare { get; private set; }

    /// <summary>Lays thread from one needle point to the next; its ends are cut off square.</summary>
    /// <param name="from">A needle point, mm.</param>
    /// <param name="to">The next.</param>
    /// <param name="times">How often; -1 takes it away again.</param>
    internal void Draw(Point from, Point to, int times = 1)
    {
        var along = to - from;
        var length = along.Length;
        if (length < 1e-9)
        {
            return;
        }
        var (ux, uy) = (along.X / length, along.Y / length);
        var reach = _half * (Math.Abs(ux) + Math.Abs(uy));
        var first = Math.Max(0, (int)Math.Ceiling((Math.Min(from.Y, to.Y) - reach - Box.MinY) / Cell));
        var last = Math.Min(Rows - 1, (int)Math.Floor((Math.Max(from.Y, to.Y) + reach - Box.MinY) / Cell));
        for (var row = first; row <= last; row++)
        {
            // In a row, the place ahead and the place aside both change linearly with x: each bounds it from both sides.
            var y = Box.MinY + (row * Cell) - from.Y;
            var (low, high) = Between(uy, -y * ux, _half);
            var (start, end) = Between(-ux, -y * uy, length / 2, length / 2);
            var left = Math.Max(low, start) + from.X;
            var right = Math.Min(high, end) + from.X;
            var stop = Math.Min(Columns - 1, Math.Floor((right - Box.MinX) / Cell));
            for (
                var column = Math.Max(0, (int)Math.Ceiling(Math.Max(left - Box.MinX, 0) / Cell));
                column <= stop;
                column++
            )
            {
                ref var layers = ref _layers[(row * Columns) + column];
                Bare += (times > 0 && layers == 0 ? -1 : 0) + (times < 0 && layers == 1 ? 1 : 0);
                layers = (byte)Math.Clamp(layers + times, 0, byte.MaxValue);
            }
        }
    }

    /// <summary>The x for which slope · x + at lies within a distance of a middle.</summary>
    private static (double Low, double High) Between(double slope, double at, double within, double middle = 0)
    {
        // The place ahead is counted from the first needle point, with the sign of the slope turned: -(ux · x + uy · y).
        var centre = middle == 0 ? 0 : -middle;
        if (Math.Abs(slope) < 1e-12)
        {
            return Math.Abs(at - centre) <= within
                ? (double.NegativeInfinity, double.PositiveInfinity)
                : (double.PositiveInfinity, double.NegativeInfinity);
        }
        var (a, b) = ((centre - within - at) / slope, (centre + within - at) / slope);
        return a < b ? (a, b) : (b, a);
    }
}
