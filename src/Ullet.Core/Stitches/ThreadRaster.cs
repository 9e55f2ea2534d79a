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
        // In a row the thread's sides bound x about a line along it, and its ends bound x about a line across it.
        var aside = Bound(uy, ux, _half);
        var ahead = Bound(ux, -uy, length / 2);
        var middle = Point.Lerp(from, to, 0.5);
        for (var row = first; row <= last; row++)
        {
            var y = Box.MinY + (row * Cell) - middle.Y;
            if ((Math.Abs(uy) < Flat && Math.Abs(y) > _half) || (Math.Abs(ux) < Flat && Math.Abs(y) > length / 2))
            {
                continue;
            }
            var left = Math.Max((aside.Slope * y) - aside.Half, (ahead.Slope * y) - ahead.Half) + middle.X - Box.MinX;
            var right = Math.Min((aside.Slope * y) + aside.Half, (ahead.Slope * y) + ahead.Half) + middle.X - Box.MinX;
            if (right < 0 || left > right)
            {
                continue;
            }
            var stop = (int)Math.Min(Columns - 1, right / Cell);
            for (var column = (int)Math.Ceiling(Math.Max(left, 0) / Cell); column <= stop; column++)
            {
                Count(ref _layers[(row * Columns) + column], times);
            }
        }
    }

    /// <summary>How x is bound about slope · y where it may lie so far from a line, across which it changes by a share.</summary>
    private static (double Slope, double Half) Bound(double across, double along, double within) =>
        Math.Abs(across) < Flat ? (0, double.PositiveInfinity) : (along / across, within / Math.Abs(across));

    /// <summary>A thread that rises less than this over its length runs along a row.</summary>
    private const double Flat = 1e-12;

    private void Count(ref byte layers, int times)
    {
        if (times > 0)
        {
            Bare -= layers == 0 ? 1 : 0;
            layers += layers < byte.MaxValue ? (byte)1 : (byte)0;
        }
        else if (layers > 0)
        {
            layers--;
            Bare += layers == 0 ? 1 : 0;
        }
    }
}
