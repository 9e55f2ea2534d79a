using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Which spots strokes reach, on a grid.</summary>
internal sealed class ReachedCells
{
    /// <summary>Side of a cell where the shape is small, mm; larger ones have at most <see cref="MostCells"/> along a side.</summary>
    private const double Least = 0.1;

    private const int MostCells = 900;

    private readonly bool[] _cells;
    private readonly double _cell;
    private readonly Box _box;
    private readonly int _columns;
    private readonly int _rows;

    internal ReachedCells(Box box)
    {
        _box = box;
        _cell = Math.Max(Least, Math.Max(box.Width, box.Height) / MostCells);
        (_columns, _rows) = ((int)(box.Width / _cell) + 1, (int)(box.Height / _cell) + 1);
        _cells = new bool[_columns * _rows];
    }

    /// <summary>Marks nothing any more.</summary>
    internal void Begin() => Array.Clear(_cells);

    /// <summary>Marks what lies between neighbouring stroke places.</summary>
    internal void Add(StrokePlace[] places)
    {
        for (var i = 0; i < places.Length; i++)
        {
            Stroke(places[i].Outer, places[i].Inner);
            if (i > 0 && !SatinColumn.IsApart(places[i - 1], places[i]))
            {
                var (before, here) = (places[i - 1], places[i]);
                var apart = Math.Max(before.Outer.DistanceTo(here.Outer), before.Inner.DistanceTo(here.Inner));
                var between = Math.Min(40, (int)(apart / _cell));
                for (var k = 1; k <= between; k++)
                {
                    var share = k / (between + 1.0);
                    Stroke(Point.Lerp(before.Outer, here.Outer, share), Point.Lerp(before.Inner, here.Inner, share));
                }
            }
        }
    }

    internal double Cell => _cell;

    /// <summary>The middle of a cell, mm.</summary>
    internal Point Middle(int x, int y) => new(_box.MinX + ((x + 0.5) * _cell), _box.MinY + ((y + 0.5) * _cell));

    /// <summary>The cells of a region whose middle no stroke reaches.</summary>
    internal HashSet<(int X, int Y)> Bare(RegionEdges region)
    {
        var bare = new HashSet<(int, int)>();
        for (var y = 0; y < _rows; y++)
        {
            var crossings = region.CrossingsAt(Middle(0, y).Y);
            for (var k = 0; k + 1 < crossings.Count; k += 2)
            {
                var from = Math.Max(0, (int)Math.Ceiling(((crossings[k] - _box.MinX) / _cell) - 0.5));
                var to = Math.Min(_columns - 1, (int)Math.Floor(((crossings[k + 1] - _box.MinX) / _cell) - 0.5));
                for (var x = from; x <= to; x++)
                {
                    if (!Holds(x, y))
                    {
                        bare.Add((x, y));
                    }
                }
            }
        }
        return bare;
    }

    private void Stroke(Point from, Point to)
    {
        var count = (int)(from.DistanceTo(to) / _cell * 1.5) + 1;
        Budget.Spend(1 + (count / 8));
        for (var k = 0; k <= count; k++)
        {
            var at = Point.Lerp(from, to, k / (double)count);
            var (x, y) = ((int)((at.X - _box.MinX) / _cell), (int)((at.Y - _box.MinY) / _cell));
            if (x >= 0 && y >= 0 && x < _columns && y < _rows)
            {
                _cells[(y * _columns) + x] = true;
            }
        }
    }

    /// <summary>True when a stroke reaches a spot, or the next cell to it.</summary>
    internal bool Holds(Point spot)
    {
        return Holds((int)((spot.X - _box.MinX) / _cell), (int)((spot.Y - _box.MinY) / _cell));
    }

    private bool Holds(int x, int y)
    {
        for (var dy = -1; dy <= 1; dy++)
        {
            for (var dx = -1; dx <= 1; dx++)
            {
                var (column, row) = (x + dx, y + dy);
                if (column >= 0 && row >= 0 && column < _columns && row < _rows && _cells[(row * _columns) + column])
                {
                    return true;
                }
            }
        }
        return false;
    }
}
