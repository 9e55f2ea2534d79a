using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The thread on a part of a cover: how much more than wanted lies there, and what a change would do.</summary>
internal sealed class ThreadField
{
    private const double Cell = 0.1;

    /// <summary>Thread is counted a little narrower than it lies, so that slits narrower than a cell show, mm.</summary>
    internal const double CountedWidth = 0.9 * StitchDefaults.ThreadWidth;

    /// <summary>Layers are averaged over squares of this many cells.</summary>
    private const int Place = 9;

    private readonly ThreadRaster _raster = new(new Box(0, 0, 0, 0), Cell, CountedWidth);
    private int[] _columns = [];
    private bool[] _isOverlap = [];
    private double _limit;
    private double _overlapLimit;
    private bool _isEven;

    /// <summary>Begins anew on another part of a cover.</summary>
    /// <param name="box">What thread is counted on: as far as the strokes reach that may be changed, mm.</param>
    /// <param name="limit">How many layers may lie at a place.</param>
    /// <param name="overlapLimit">The same near places where the cover may be sewn over again.</param>
    /// <param name="overlaps">Those places, mm.</param>
    /// <param name="overlapReach">How far from them that holds, mm.</param>
    internal void Begin(Box box, double limit, double overlapLimit, List<Point> overlaps, double overlapReach)
    {
        const double Square = CountedWidth / StitchDefaults.ThreadWidth * Place * Place;
        _raster.Begin(box);
        if (_columns.Length < _raster.Columns)
        {
            _columns = new int[_raster.Columns];
        }
        (_limit, _overlapLimit) = (limit * Square, overlapLimit * Square);
        _isEven = overlaps.Count == 0;
        if (_isEven)
        {
            return;
        }
        var cells = _raster.Columns * _raster.Rows;
        if (_isOverlap.Length < cells)
        {
            _isOverlap = new bool[cells];
        }
        else
        {
            Array.Clear(_isOverlap, 0, cells);
        }
        foreach (var overlap in overlaps)
        {
            // A square is judged by the cell in its middle.
            var centre = (overlap - new Point(box.MinX, box.MinY)) * (1 / Cell) + new Point(Place / 2, Place / 2);
            var reach = overlapReach / Cell;
            for (var row = Math.Max(0, (int)(centre.Y - reach)); row < Math.Min(_raster.Rows, centre.Y + reach); row++)
            {
                Budget.Spend();
                var half = Math.Sqrt(Math.Max(0, (reach * reach) - ((row - centre.Y) * (row - centre.Y))));
                var first = Math.Max(0, (int)Math.Ceiling(centre.X - half));
                var last = Math.Min(_raster.Columns - 1, (int)Math.Floor(centre.X + half));
                if (first <= last)
                {
                    Array.Fill(_isOverlap, true, (row * _raster.Columns) + first, last - first + 1);
                }
            }
        }
    }

    /// <summary>Lays thread.</summary>
    internal void Lay(Point from, Point to) => _raster.Draw(from, to);

    /// <summary>Takes thread away and lays other thread.</summary>
    /// <param name="taken">Needle points that thread runs along.</param>
    /// <param name="laid">Those that it runs along instead.</param>
    /// <returns>How many cells are bare now that were not.</returns>
    internal int Change(ReadOnlySpan<Point> taken, ReadOnlySpan<Point> laid)
    {
        var bare = _raster.Bare;
        for (var i = 1; i < laid.Length; i++)
        {
            _raster.Draw(laid[i - 1], laid[i]);
        }
        for (var i = 1; i < taken.Length; i++)
        {
            _raster.Draw(taken[i - 1], taken[i], -1);
        }
        return _raster.Bare - bare;
    }

    /// <summary>How many bare cells thread would lie on.</summary>
    internal int BareUnder(Point from, Point to) => _raster.BareUnder(from, to);

    /// <summary>How much more thread than wanted lies on squares, summed up, layers, and the square where most does.</summary>
    /// <param name="changed">Only squares that touch this box, mm; null for all.</param>
    internal (double Sum, Box? Thickest) Surplus(Box? changed = null)
    {
        var columns = _raster.Columns;
        var (left, right, top, bottom) = (0, columns - 1, 0, _raster.Rows - 1);
        if (changed is { } box)
        {
            (left, right) = (Math.Max(0, Column(box.MinX)), Math.Min(right, Column(box.MaxX) + Place));
            (top, bottom) = (Math.Max(0, Row(box.MinY)), Math.Min(bottom, Row(box.MaxY) + Place));
        }
        // Squares that begin before the box are counted from where they begin.
        var (fromColumn, fromRow) = (Math.Max(0, left - Place + 1), Math.Max(0, top - Place + 1));
        var (total, most, thickest) = (0.0, 0.0, -1);
        var sums = _columns.AsSpan(0, right - fromColumn + 1);
        sums.Clear();
        for (var row = fromRow; row <= bottom; row++)
        {
            Budget.Spend();
            AddRow(row, fromColumn, row >= fromRow + Place, sums);
            if (row < top)
            {
                continue;
            }
            var sum = 0;
            for (var i = 0; i < sums.Length; i++)
            {
                sum += sums[i] - (i >= Place ? sums[i - Place] : 0);
                if (sum <= _limit || fromColumn + i < left)
                {
                    continue;
                }
                var at = (row * columns) + fromColumn + i;
                var surplus = sum - (!_isEven && _isOverlap[at] ? _overlapLimit : _limit);
                if (surplus > 0)
                {
                    total += surplus;
                    (most, thickest) = surplus > most ? (surplus, at) : (most, thickest);
                }
            }
        }
        return (
            total / (Place * Place),
            thickest < 0 ? null : Square(_raster.At(thickest % columns, thickest / columns))
        );
    }

    /// <summary>Adds a row of cells to the sums of columns, and takes away the row that left their squares.</summary>
    private void AddRow(int row, int fromColumn, bool isFull, Span<int> sums)
    {
        var layers = _raster.Layers;
        var added = layers.Slice((row * _raster.Columns) + fromColumn, sums.Length);
        if (!isFull)
        {
            for (var i = 0; i < sums.Length; i++)
            {
                sums[i] += added[i];
            }
            return;
        }
        var left = layers.Slice(((row - Place) * _raster.Columns) + fromColumn, sums.Length);
        for (var i = 0; i < sums.Length; i++)
        {
            sums[i] += added[i] - left[i];
        }
    }

    private int Column(double x) => (int)Math.Floor((x - _raster.Box.MinX) / Cell);

    private int Row(double y) => (int)Math.Floor((y - _raster.Box.MinY) / Cell);

    /// <summary>The square that ends at a cell.</summary>
    private static Box Square(Point last)
    {
        const double Side = (Place - 1) * Cell;
        return new Box(last.X - Side, last.Y - Side, last.X, last.Y);
    }
}
