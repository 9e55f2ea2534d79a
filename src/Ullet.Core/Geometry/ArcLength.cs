using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Finds places on a polyline by the distance travelled along it.</summary>
public sealed class ArcLength
{
    private readonly ImmutableArray<Point> _points;
    private readonly double[] _sums;

    /// <param name="points">At least one point, mm.</param>
    public ArcLength(ImmutableArray<Point> points)
    {
        ArgumentOutOfRangeException.ThrowIfZero(points.Length);
        _points = points;
        Budget.Spend(1 + (points.Length / 8));
        _sums = new double[points.Length];
        for (var i = 1; i < points.Length; i++)
        {
            _sums[i] = _sums[i - 1] + points[i].DistanceTo(points[i - 1]);
        }
    }

    public double Total => _sums[^1];

    /// <summary>The point at a distance from the start, mm; the ends answer for what lies beyond them.</summary>
    public Point At(double distance)
    {
        if (distance <= 0)
        {
            return _points[0];
        }
        if (distance >= Total)
        {
            return _points[^1];
        }
        var after = Array.BinarySearch(_sums, distance);
        if (after < 0)
        {
            after = ~after;
        }
        var span = _sums[after] - _sums[after - 1];
        return Point.Lerp(_points[after - 1], _points[after], span < 1e-12 ? 0 : (distance - _sums[after - 1]) / span);
    }

    /// <summary>How far along one of the polyline's own points lies, mm.</summary>
    public double OfVertex(int index) => _sums[index];

    /// <summary>How far along the polyline the point of it lies that is nearest to a place, mm.</summary>
    public double Of(Point place)
    {
        Budget.Spend(1 + (_points.Length / 4));
        var (best, nearest) = (0.0, double.MaxValue);
        for (var i = 1; i < _points.Length; i++)
        {
            var foot = SegmentIndex.Foot(place, _points[i - 1], _points[i]);
            var distance = foot.DistanceTo(place);
            if (distance < nearest)
            {
                (best, nearest) = (_sums[i - 1] + foot.DistanceTo(_points[i - 1]), distance);
            }
        }
        return best;
    }
}
