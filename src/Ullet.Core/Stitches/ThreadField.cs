using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The thread on a part of a cover: how much more than wanted lies there, and what a change would do.</summary>
internal sealed class ThreadField
{
    private const double Cell = 0.1;

    /// <summary>Thread is counted a little narrower than it lies, so that slits narrower than a cell show, mm.</summary>
    internal const double CountedWidth = 0.9 * StitchDefaults.ThreadWidth;

    /// <summary>Layers are averaged over squares of this many cells.</summary>
    private const int Place = 9;

    private readonly ThreadRaster _raster;
    private readonly int[] _columns;
    private readonly double[] _limits;

    /// <param name="box">What thread is counted on: as far as the strokes reach that may be changed, mm.</param>
    /// <param name="limitAt">How many layers may lie at a place.</param>
    internal ThreadField(Box box, Func<Point, double> limitAt)
    {
        _raster = new ThreadRaster(box, Cell, CountedWidth);
        _columns = new int[_raster.Columns];
        _limits = new double[_raster.Columns * _raster.Rows];
        for (var at = 0; at < _limits.Length; at++)
        {
            var (column, row) = (at % _raster.Columns, at / _raster.Columns);
            var limit = limitAt(_raster.At(column - (Place / 2), row - (Place / 2)));
            _limits[at] = limit * CountedWidth / StitchDefaults.ThreadWidth * Place * Place;
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
        var layers = _raster.Layers;
        Array.Clear(_columns);
        for (var row = fromRow; row <= bottom; row++)
        {
            var sum = 0;
            for (var column = fromColumn; column <= right; column++)
            {
                var at = (row * columns) + column;
                _columns[column] += layers[at] - (row >= fromRow + Place ? layers[at - (Place * columns)] : 0);
                sum += _columns[column] - (column >= fromColumn + Place ? _columns[column - Place] : 0);
                var surplus = sum - _limits[at];
                if (surplus > 0 && row >= top && column >= left)
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

    private int Column(double x) => (int)Math.Floor((x - _raster.Box.MinX) / Cell);

    private int Row(double y) => (int)Math.Floor((y - _raster.Box.MinY) / Cell);

    /// <summary>The square that ends at a cell.</summary>
    private static Box Square(Point last)
    {
        const double Side = (Place - 1) * Cell;
        return new Box(last.X - Side, last.Y - Side, last.X, last.Y);
    }
}
