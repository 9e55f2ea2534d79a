using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The thread of a run as it lies, asked place by place.</summary>
/// <remarks>Stitches are boxed in groups, so that asking costs little and getting ready costs next to nothing: most runs are
/// asked for a few places only.</remarks>
internal sealed class RunThread
{
    private const int GroupSize = 64;

    private readonly ImmutableArray<Point> _points;
    private readonly Box[] _groups;

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

    private (int First, int Last) Group(int number) =>
        (number * GroupSize, Math.Min(_points.Length - 1, (number + 1) * GroupSize));
}
