using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The thread of a run as it lies, asked place by place.</summary>
/// <remarks>Stitches are boxed in groups, so that asking costs little and getting ready costs next to nothing: most runs are
/// asked for a few places only. A long run that is asked for many gets cells.</remarks>
internal sealed class RunThread
{
    private const int GroupSize = 64;

    /// <summary>Side of a cell, mm.</summary>
    private const double Cell = 1;

    /// <summary>After so many groups were looked at cells are worth their while.</summary>
    private const long Many = 50_000;

    private readonly ImmutableArray<Point> _points;
    private readonly Box[] _groups;
    private Dictionary<(int, int), List<int>>? _cells;
    private long _asked;

    /// <param name="points">The run's needle points, mm.</param>
    internal RunThread(ImmutableArray<Point> points)
    {
        _points = points;
        _groups = new Box[(Math.Max(0, points.Length - 1) + GroupSize - 1) / GroupSize];
        for (var i = 0; i < _groups.Length; i++)
        {
            Budget.Spend();
            var (first, last) = Group(i);
            var box = Box.Empty;
            for (var k = first; k <= last; k++)
            {
                box = box.Including(points[k]);
            }
            _groups[i] = box;
        }
    }

    /// <summary>True where thread lies within a distance of a place, mm.</summary>
    internal bool LiesAt(Point place, double within)
    {
        _asked += _groups.Length;
        if (_asked > Many && within <= Cell)
        {
            return LiesInCell(place, within);
        }
        for (var i = 0; i < _groups.Length; i++)
        {
            ref readonly var box = ref _groups[i];
            if (
                place.X < box.MinX - within
                || place.X > box.MaxX + within
                || place.Y < box.MinY - within
                || place.Y > box.MaxY + within
            )
            {
                continue;
            }
            Budget.Spend();
            var (first, last) = Group(i);
            for (var k = first; k < last; k++)
            {
                if (SegmentIndex.Foot(place, _points[k], _points[k + 1]).DistanceTo(place) <= within)
                {
                    return true;
                }
            }
        }
        return false;
    }

    private bool LiesInCell(Point place, double within)
    {
        _cells ??= Cells();
        Budget.Spend();
        if (!_cells.TryGetValue(CellOf(place), out var stitches))
        {
            return false;
        }
        foreach (var k in stitches)
        {
            if (SegmentIndex.Foot(place, _points[k], _points[k + 1]).DistanceTo(place) <= within)
            {
                return true;
            }
        }
        return false;
    }

    /// <summary>The stitches near each cell.</summary>
    private Dictionary<(int, int), List<int>> Cells()
    {
        var cells = new Dictionary<(int, int), List<int>>();
        for (var k = 0; k + 1 < _points.Length; k++)
        {
            Budget.Spend();
            var box = Box.Of([_points[k], _points[k + 1]]).Grown(Cell);
            var ((fromX, fromY), (toX, toY)) = (
                CellOf(new Point(box.MinX, box.MinY)),
                CellOf(new Point(box.MaxX, box.MaxY))
            );
            for (var x = fromX; x <= toX; x++)
            {
                for (var y = fromY; y <= toY; y++)
                {
                    (cells.TryGetValue((x, y), out var stitches) ? stitches : cells[(x, y)] = []).Add(k);
                }
            }
        }
        return cells;
    }

    private static (int X, int Y) CellOf(Point place) =>
        ((int)Math.Floor(place.X / Cell), (int)Math.Floor(place.Y / Cell));

    private (int First, int Last) Group(int number) =>
        (number * GroupSize, Math.Min(_points.Length - 1, (number + 1) * GroupSize));
}
