using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The thread on a part of a cover: how much more than wanted lies there, and what a change would do.</summary>
internal sealed class ThreadField
{
    private const double Cell = 0.1;

    /// <summary>Thread is counted a little narrower than it lies, so that slits narrower than a cell show, mm.</summary>
    internal const double CountedWidth = 0.9 * StitchDefaults.ThreadWidth;

    /// <summary>A cell that is given up takes those so many cells about it along.</summary>
    private const int GivenUpAround = 2;

    private readonly ThreadRaster _raster = new(new Box(0, 0, 0, 0), Cell, CountedWidth);
    private bool[] _isGivenUp = [];

    /// <summary>Begins anew on another part of a cover.</summary>
    /// <param name="box">What thread is counted on: as far as the strokes reach that may be changed, mm.</param>
    /// <param name="most">How many layers may lie at a place.</param>
    /// <param name="mostInOverlap">The same near places where the cover may be sewn over again.</param>
    /// <param name="overlaps">Those places, mm.</param>
    /// <param name="overlapReach">How far from them that holds, mm.</param>
    internal void Begin(Box box, int most, int mostInOverlap, List<Point> overlaps, double overlapReach)
    {
        _raster.Begin(box);
        var cells = _raster.CountOver((byte)most);
        if (_isGivenUp.Length < cells.Length)
        {
            _isGivenUp = new bool[cells.Length];
        }
        TryAgain();
        foreach (var overlap in overlaps)
        {
            var centre = (overlap - new Point(box.MinX, box.MinY)) * (1 / Cell);
            var reach = overlapReach / Cell;
            for (var row = Math.Max(0, (int)(centre.Y - reach)); row < Math.Min(_raster.Rows, centre.Y + reach); row++)
            {
                Budget.Spend();
                var half = Math.Sqrt(Math.Max(0, (reach * reach) - ((row - centre.Y) * (row - centre.Y))));
                var first = Math.Max(0, (int)Math.Ceiling(centre.X - half));
                var last = Math.Min(_raster.Columns - 1, (int)Math.Floor(centre.X + half));
                if (first <= last)
                {
                    cells.Slice((row * _raster.Columns) + first, last - first + 1).Fill((byte)mostInOverlap);
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

    /// <summary>Layers beyond what is wanted, summed up over cells.</summary>
    internal int Over => _raster.Over;

    /// <summary>The cells, one after the other, where so many layers too many lie and that were not given up. A cell is named again
    /// until that holds of it no longer.</summary>
    internal IEnumerable<Point> TooThick(int beyond)
    {
        Budget.SpendAhead((double)_raster.Columns * _raster.Rows / CellsPerStep);
        for (var at = 0; Next(at, beyond) is var next && next >= 0; at = next)
        {
            yield return _raster.At(next % _raster.Columns, next / _raster.Columns);
        }
    }

    private int Next(int from, int beyond) =>
        _raster.Over == 0 ? -1 : _raster.NextOver(from, beyond, _isGivenUp.AsSpan(0, _raster.Columns * _raster.Rows));

    /// <summary>From now on a place, and those beside it, are not named as the thickest.</summary>
    internal void GiveUp(Point place)
    {
        var column = (int)Math.Round((place.X - _raster.Box.MinX) / Cell);
        var row = (int)Math.Round((place.Y - _raster.Box.MinY) / Cell);
        var (left, right) = (
            Math.Max(0, column - GivenUpAround),
            Math.Min(_raster.Columns - 1, column + GivenUpAround)
        );
        for (var y = Math.Max(0, row - GivenUpAround); y <= Math.Min(_raster.Rows - 1, row + GivenUpAround); y++)
        {
            Array.Fill(_isGivenUp, true, (y * _raster.Columns) + left, right - left + 1);
        }
    }

    /// <summary>All places may be named again.</summary>
    internal void TryAgain() => Array.Clear(_isGivenUp, 0, _raster.Columns * _raster.Rows);

    /// <summary>So many cells are looked at in about one step.</summary>
    private const int CellsPerStep = 64;
}
