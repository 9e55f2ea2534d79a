using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Quality;

/// <summary>A stitch as the machine sews it.</summary>
/// <param name="From">mm.</param>
/// <param name="To">mm.</param>
/// <param name="IsTop">True for what is meant to be seen.</param>
/// <param name="IsAside">True for what nobody is meant to see: travel and underlay; neither for locks.</param>
internal readonly record struct SewnStitch(Point From, Point To, bool IsTop, bool IsAside);

/// <summary>Measures what is sewn plainly, cell by cell of 0.05 mm: thread in sight, and layers of what is meant to be seen.</summary>
internal sealed class SewnRaster
{
    internal const double Cell = 0.05;
    private const double ThreadWidth = 0.4;

    /// <summary>Layers are counted with strokes so wide, their ends cut off square.</summary>
    private const double LayerWidth = 0.36;

    /// <summary>What lies so near a closing belongs to its overlap, mm.</summary>
    private const double OverlapReach = 3;

    private readonly int _columns;
    private readonly int _rows;
    private readonly Box _box;
    private readonly int[] _lastTop;
    private readonly byte[] _layers;

    /// <param name="stitches">In sewing order.</param>
    /// <param name="hidesLater">True when only what comes later hides (satin); false when any thread on a place does (lines).</param>
    internal SewnRaster(IReadOnlyList<SewnStitch> stitches, bool hidesLater)
    {
        _box = Box.Of(stitches.SelectMany(stitch => new[] { stitch.From, stitch.To })).Grown(0.5);
        (_columns, _rows) = ((int)(_box.Width / Cell) + 1, (int)(_box.Height / Cell) + 1);
        _lastTop = new int[_columns * _rows];
        _layers = new byte[_columns * _rows];
        Array.Fill(_lastTop, -1);
        for (var i = 0; i < stitches.Count; i++)
        {
            if (stitches[i].IsTop)
            {
                Draw(stitches[i], i);
            }
        }
        Look(stitches, hidesLater);
    }

    /// <summary>The longest piece of travel or underlay that shows, mm.</summary>
    internal double InSight { get; private set; }

    internal Point InSightAt { get; private set; }

    /// <summary>Cells with more than so many layers, outside overlaps, over the cells that have any.</summary>
    internal double ShareOver(int layers, IReadOnlyList<Point> closings)
    {
        var (over, all) = (0L, 0L);
        for (var at = 0; at < _layers.Length; at++)
        {
            if (_layers[at] == 0)
            {
                continue;
            }
            all++;
            over += _layers[at] > layers && !IsNear(closings, at) ? 1 : 0;
        }
        return all == 0 ? 0 : over / (double)all;
    }

    /// <summary>The most area with over five layers in one overlap, mm².</summary>
    internal double AreaOverFive(IReadOnlyList<Point> closings)
    {
        var cells = new int[closings.Count];
        for (var at = 0; at < _layers.Length; at++)
        {
            if (_layers[at] > 5)
            {
                for (var i = 0; i < closings.Count; i++)
                {
                    cells[i] += closings[i].DistanceTo(At(at)) <= OverlapReach ? 1 : 0;
                }
            }
        }
        return cells.Length == 0 ? 0 : cells.Max() * Cell * Cell;
    }

    private bool IsNear(IReadOnlyList<Point> places, int at) =>
        places.Any(place => place.DistanceTo(At(at)) <= OverlapReach);

    private Point At(int at) => new(_box.MinX + (at % _columns * Cell), _box.MinY + (at / _columns * Cell));

    private void Draw(SewnStitch stitch, int number)
    {
        var (a, b) = (stitch.From, stitch.To);
        var along = b - a;
        var length = along.Length;
        if (length < 1e-9)
        {
            return;
        }
        var unit = along * (1 / length);
        var (firstRow, lastRow) = Range(a.Y, b.Y, _box.MinY, _rows);
        var (firstColumn, lastColumn) = Range(a.X, b.X, _box.MinX, _columns);
        for (var row = firstRow; row <= lastRow; row++)
        {
            for (var column = firstColumn; column <= lastColumn; column++)
            {
                var away = new Point(_box.MinX + (column * Cell), _box.MinY + (row * Cell)) - a;
                var (ahead, aside) = (Point.Dot(away, unit), Math.Abs(Point.Cross(unit, away)));
                var at = (row * _columns) + column;
                if (ahead >= 0 && ahead <= length && aside <= LayerWidth / 2 && _layers[at] < byte.MaxValue)
                {
                    _layers[at]++;
                }
                var isUnder =
                    (ahead >= 0 && ahead <= length && aside <= ThreadWidth / 2)
                    || away.Length <= ThreadWidth / 2
                    || (away - along).Length <= ThreadWidth / 2;
                _lastTop[at] = isUnder ? number : _lastTop[at];
            }
        }
    }

    private static (int First, int Last) Range(double a, double b, double from, int count) =>
        (
            Math.Max(0, (int)((Math.Min(a, b) - (ThreadWidth / 2) - from) / Cell)),
            Math.Min(count - 1, (int)((Math.Max(a, b) + (ThreadWidth / 2) - from) / Cell) + 1)
        );

    private void Look(IReadOnlyList<SewnStitch> stitches, bool hidesLater)
    {
        var shown = 0.0;
        for (var i = 0; i < stitches.Count; i++)
        {
            var (from, to) = (stitches[i].From, stitches[i].To);
            if (!stitches[i].IsAside || (i > 0 && stitches[i - 1].To != from))
            {
                shown = 0;
            }
            var length = from.DistanceTo(to);
            var looks = stitches[i].IsAside ? (int)Math.Ceiling(length / Cell) : 0;
            for (var k = 0; k < looks; k++)
            {
                var place = Point.Lerp(from, to, (k + 0.5) / looks);
                shown = IsHidden(place, i, hidesLater) ? 0 : shown + (length / looks);
                if (shown > InSight)
                {
                    (InSight, InSightAt) = (shown, place);
                }
            }
        }
    }

    /// <summary>Thread lies a little to either side as well: a stitch is hidden where a cell beside it is.</summary>
    private bool IsHidden(Point place, int number, bool hidesLater)
    {
        var (column, row) = (
            (int)Math.Round((place.X - _box.MinX) / Cell),
            (int)Math.Round((place.Y - _box.MinY) / Cell)
        );
        for (var dy = -1; dy <= 1; dy++)
        {
            for (var dx = -1; dx <= 1; dx++)
            {
                var (x, y) = (column + dx, row + dy);
                if (x < 0 || y < 0 || x >= _columns || y >= _rows)
                {
                    continue;
                }
                var last = _lastTop[(y * _columns) + x];
                if (hidesLater ? last > number : last >= 0)
                {
                    return true;
                }
            }
        }
        return false;
    }
}
