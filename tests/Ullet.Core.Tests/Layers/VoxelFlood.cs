using Ullet.Core.Geometry;
using Ullet.Core.Layers;

namespace Ullet.Core.Tests.Layers;

/// <summary>Water poured over a sewn stack, cube by cube: where does it get? Plain, and without the product's own grid.</summary>
internal sealed class VoxelFlood
{
    private const double Cell = 1.25;

    private readonly Box _box;
    private readonly int _columns;
    private readonly int _rows;
    private readonly int _levels;
    private readonly bool[] _isSolid;
    private readonly bool[] _isWet;

    internal VoxelFlood(SewnLayers work)
    {
        _box = StackMaker.Seam.Grown(20);
        (_columns, _rows) = ((int)(_box.Width / Cell), (int)(_box.Height / Cell));
        _levels = (2 * work.Layers.Length) + 1;
        (_isSolid, _isWet) = (new bool[_columns * _rows * _levels], new bool[_columns * _rows * _levels]);
        for (var i = 0; i < work.Layers.Length; i++)
        {
            var layer = work.Layers[i];
            Each(at => Holds(layer.Area, at), 1 + (2 * i), isSolid: true);
            if (layer.Parted is { } parted)
            {
                Each(at => Near(at, parted.From, parted.To), 1 + (2 * i), isSolid: false);
            }
        }
        foreach (var seam in work.Seams)
        {
            foreach (var line in seam.Lines)
            {
                for (var k = 1; k < line.Length; k++)
                {
                    var (from, to) = (line[k - 1], line[k]);
                    Stitch(work, seam, from, to);
                }
            }
        }
        Pour();
    }

    /// <summary>True when water gets to the right side of a layer at a place.</summary>
    internal bool Wets(int layer, bool faceUp, Point at) =>
        _isWet[
            Index((int)((at.X - _box.MinX) / Cell), (int)((at.Y - _box.MinY) / Cell), (2 * layer) + (faceUp ? 2 : 0))
        ];

    private void Stitch(SewnLayers work, SewnSeam seam, Point from, Point to)
    {
        for (var row = 0; row < _rows; row++)
        {
            for (var column = 0; column < _columns; column++)
            {
                var at = At(column, row);
                if (!Near(at, from, to))
                {
                    continue;
                }
                var pierced = seam
                    .Layers.Where(layer => Holds(layer.Area, SegmentIndex.Foot(at, from, to)))
                    .Select(layer => work.Layers.ToList().FindIndex(known => known.Id == layer.Id))
                    .Where(number => number >= 0)
                    .ToList();
                for (
                    var level = pierced.Count == 0 ? 1 : 1 + (2 * pierced.Min());
                    pierced.Count > 0 && level <= 1 + (2 * pierced.Max());
                    level++
                )
                {
                    _isSolid[Index(column, row, level)] = true;
                }
            }
        }
    }

    private void Each(Func<Point, bool> where, int level, bool isSolid)
    {
        for (var row = 0; row < _rows; row++)
        {
            for (var column = 0; column < _columns; column++)
            {
                if (where(At(column, row)))
                {
                    _isSolid[Index(column, row, level)] = isSolid;
                }
            }
        }
    }

    private void Pour()
    {
        var waiting = new Stack<(int Column, int Row, int Level)>([(0, 0, 0)]);
        while (waiting.TryPop(out var at))
        {
            var (column, row, level) = at;
            if (
                column < 0
                || row < 0
                || level < 0
                || column >= _columns
                || row >= _rows
                || level >= _levels
                || _isSolid[Index(column, row, level)]
                || _isWet[Index(column, row, level)]
            )
            {
                continue;
            }
            _isWet[Index(column, row, level)] = true;
            waiting.Push((column - 1, row, level));
            waiting.Push((column + 1, row, level));
            waiting.Push((column, row - 1, level));
            waiting.Push((column, row + 1, level));
            waiting.Push((column, row, level - 1));
            waiting.Push((column, row, level + 1));
        }
    }

    private int Index(int column, int row, int level) => (((level * _rows) + row) * _columns) + column;

    private Point At(int column, int row) => new(_box.MinX + ((column + 0.5) * Cell), _box.MinY + ((row + 0.5) * Cell));

    private static bool Near(Point at, Point from, Point to) =>
        SegmentIndex.Foot(at, from, to).DistanceTo(at) <= 0.75 * Cell;

    private static bool Holds(IEnumerable<Region> area, Point at) =>
        area.Any(region => Inside(region.Shell, at) && !region.Holes.Any(hole => Inside(hole, at)));

    private static bool Inside(Ring ring, Point at)
    {
        var isIn = false;
        for (int i = 0, j = ring.Points.Length - 1; i < ring.Points.Length; j = i++)
        {
            var (a, b) = (ring.Points[i], ring.Points[j]);
            if (a.Y > at.Y != b.Y > at.Y && at.X < ((b.X - a.X) * (at.Y - a.Y) / (b.Y - a.Y)) + a.X)
            {
                isIn = !isIn;
            }
        }
        return isIn;
    }
}
