using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Counts on a grid how many threads lie on each cell.</summary>
/// <remarks>For choosing and for maps; tests judge covers with a raster of their own.</remarks>
internal sealed class ThreadRaster
{
    /// <summary>So many cells are cleared and counted in about one step.</summary>
    private const int CellsPerStep = 8;

    private readonly double _half;
    private byte[] _layers = [];
    private byte[] _most = [];

    /// <param name="box">The part of the plane, mm.</param>
    /// <param name="cell">Side of a cell, mm.</param>
    /// <param name="threadWidth">How wide thread lies, mm.</param>
    internal ThreadRaster(Box box, double cell, double threadWidth = StitchDefaults.ThreadWidth)
    {
        (Cell, _half) = (cell, threadWidth / 2);
        Begin(box);
    }

    internal Box Box { get; private set; }

    internal double Cell { get; }

    internal int Columns { get; private set; }

    internal int Rows { get; private set; }

    internal ReadOnlySpan<byte> Layers => _layers.AsSpan(0, Columns * Rows);

    /// <summary>Takes all thread away and looks at another part of the plane, mm.</summary>
    internal void Begin(Box box)
    {
        Box = box;
        Columns = (int)Math.Ceiling(box.Width / Cell) + 1;
        Rows = (int)Math.Ceiling(box.Height / Cell) + 1;
        Budget.SpendAhead((double)Columns * Rows / CellsPerStep);
        if (_layers.Length < Columns * Rows)
        {
            _layers = new byte[Columns * Rows];
        }
        else
        {
            Clear();
        }
        (Bare, Over) = (0, 0);
    }

    /// <summary>Begins to count how much more thread lies than so many layers on each cell; no thread lies yet.</summary>
    /// <returns>The number for each cell, which may be changed before thread is laid.</returns>
    internal Span<byte> CountOver(byte most)
    {
        if (_most.Length < _layers.Length)
        {
            _most = new byte[_layers.Length];
        }
        var cells = _most.AsSpan(0, Columns * Rows);
        cells.Fill(most);
        return cells;
    }

    /// <summary>Layers beyond what each cell may have, summed up; counted from <see cref="CountOver"/> on.</summary>
    internal int Over { get; private set; }

    /// <summary>The number of the first cell that has so many layers beyond what it may have, with too many on the cell to its right
    /// or below it as well, and is not left out; -1 when there is none.</summary>
    /// <param name="from">Cells before this one are passed over.</param>
    /// <param name="beyond">How many layers.</param>
    /// <param name="leftOut">True for cells that don't count.</param>
    internal int NextOver(int from, int beyond, ReadOnlySpan<bool> leftOut)
    {
        var layers = Layers;
        var most = _most.AsSpan(0, layers.Length);
        for (var at = from; at + Columns + 1 < layers.Length; at++)
        {
            if (
                layers[at] - most[at] >= beyond
                && (layers[at + 1] > most[at + 1] || layers[at + Columns] > most[at + Columns])
                && !leftOut[at]
            )
            {
                return at;
            }
        }
        return -1;
    }

    internal Point At(int column, int row) => new(Box.MinX + (column * Cell), Box.MinY + (row * Cell));

    /// <summary>Takes all thread away.</summary>
    internal void Clear() => Array.Clear(_layers, 0, Columns * Rows);

    /// <summary>How many cells thread was taken away from until none was left, less those that got some again.</summary>
    internal int Bare { get; private set; }

    /// <summary>Lays thread from one needle point to the next; its ends are cut off square.</summary>
    /// <param name="from">A needle point, mm.</param>
    /// <param name="to">The next.</param>
    /// <param name="times">How often; -1 takes it away again.</param>
    internal void Draw(Point from, Point to, int times = 1)
    {
        Budget.Spend();
        var rows = new ThreadRows(from, to, this);
        var changed = 0;
        while (rows.Next(out var first, out var count))
        {
            var cells = _layers.AsSpan(first, count);
            if (_most.Length > 0)
            {
                var most = _most.AsSpan(first, count);
                changed += times > 0 ? LayCounted(cells, most) : TakeCounted(cells, most);
            }
            else
            {
                changed += times > 0 ? Lay(cells) : Take(cells);
            }
        }
        Bare += changed;
    }

    /// <summary>How many bare cells thread would lie on.</summary>
    internal int BareUnder(Point from, Point to)
    {
        Budget.Spend();
        var rows = new ThreadRows(from, to, this);
        var bare = 0;
        while (rows.Next(out var first, out var count))
        {
            bare += _layers.AsSpan(first, count).Count((byte)0);
        }
        return bare;
    }

    private int LayCounted(Span<byte> cells, ReadOnlySpan<byte> most)
    {
        var (changed, over) = (0, 0);
        for (var i = 0; i < cells.Length; i++)
        {
            var layers = cells[i];
            changed -= layers == 0 ? 1 : 0;
            if (layers < byte.MaxValue)
            {
                over += layers >= most[i] ? 1 : 0;
                cells[i]++;
            }
        }
        Over += over;
        return changed;
    }

    private int TakeCounted(Span<byte> cells, ReadOnlySpan<byte> most)
    {
        var (changed, over) = (0, 0);
        for (var i = 0; i < cells.Length; i++)
        {
            var layers = cells[i];
            over += layers > most[i] ? 1 : 0;
            changed += layers == 1 ? 1 : 0;
            cells[i] -= layers > 0 ? (byte)1 : (byte)0;
        }
        Over -= over;
        return changed;
    }

    private static int Lay(Span<byte> cells)
    {
        var changed = 0;
        foreach (ref var layers in cells)
        {
            changed -= layers == 0 ? 1 : 0;
            layers += layers < byte.MaxValue ? (byte)1 : (byte)0;
        }
        return changed;
    }

    private static int Take(Span<byte> cells)
    {
        var changed = 0;
        foreach (ref var layers in cells)
        {
            changed += layers == 1 ? 1 : 0;
            layers -= layers > 0 ? (byte)1 : (byte)0;
        }
        return changed;
    }

    /// <summary>The cells under a thread, row by row.</summary>
    private ref struct ThreadRows
    {
        private readonly int _columns;
        private readonly int _last;
        private readonly double _middleRow;
        private readonly double _middleColumn;
        private readonly (double Slope, double Half) _aside;
        private readonly (double Slope, double Half) _ahead;
        private readonly double _mostRows;
        private int _row;

        internal ThreadRows(Point from, Point to, ThreadRaster raster)
        {
            var along = to - from;
            var length = along.Length;
            if (length < 1e-9)
            {
                (_row, _last) = (0, -1);
                return;
            }
            var (ux, uy) = (along.X / length, along.Y / length);
            var (half, halfLength) = (raster._half / raster.Cell, length / 2 / raster.Cell);
            _columns = raster.Columns;
            _middleRow = (((from.Y + to.Y) / 2) - raster.Box.MinY) / raster.Cell;
            _middleColumn = (((from.X + to.X) / 2) - raster.Box.MinX) / raster.Cell;
            var reach = (Math.Abs(uy) * halfLength) + (half * Math.Abs(ux));
            // In a row the thread's sides bound x about a line along it, and its ends bound x about a line across it.
            _aside = Bound(uy, ux, half);
            _ahead = Bound(ux, -uy, halfLength);
            _mostRows =
                Math.Abs(uy) < Flat ? half
                : Math.Abs(ux) < Flat ? halfLength
                : double.PositiveInfinity;
            _row = Math.Max(0, (int)Math.Ceiling(_middleRow - reach));
            _last = Math.Min(raster.Rows - 1, (int)Math.Floor(_middleRow + reach));
        }

        /// <summary>The next row's cells; false when there are no more.</summary>
        internal bool Next(out int first, out int count)
        {
            for (; _row <= _last; _row++)
            {
                var y = _row - _middleRow;
                var (asideAt, aheadAt) = (_aside.Slope * y, _ahead.Slope * y);
                var left = Math.Max(asideAt - _aside.Half, aheadAt - _ahead.Half) + _middleColumn;
                var right = Math.Min(asideAt + _aside.Half, aheadAt + _ahead.Half) + _middleColumn;
                if (right < 0 || left > right || Math.Abs(y) > _mostRows)
                {
                    continue;
                }
                var start = left <= 0 ? 0 : (int)Math.Ceiling(left);
                var stop = (int)Math.Min(_columns - 1, right);
                if (start <= stop)
                {
                    (first, count) = ((_row * _columns) + start, stop - start + 1);
                    _row++;
                    return true;
                }
            }
            (first, count) = (0, 0);
            return false;
        }

        /// <summary>How x is bound about slope · y where it may lie so far from a line, across which it changes by a share.</summary>
        private static (double Slope, double Half) Bound(double across, double along, double within) =>
            Math.Abs(across) < Flat ? (0, double.PositiveInfinity) : (along / across, within / Math.Abs(across));

        /// <summary>A thread that rises less than this over its length runs along a row.</summary>
        private const double Flat = 1e-12;
    }
}
