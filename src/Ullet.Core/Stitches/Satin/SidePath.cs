using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>One side of a leg's band, found by the distance along it; the other side's end goes with every place.</summary>
/// <remarks>Places that another edge clips are left out, so that the side does not wind into corners; where all are clipped
/// they are all there is.</remarks>
internal sealed class SidePath
{
    private readonly StrokePlace[] _places;
    private readonly double[] _sums;
    private readonly Func<StrokePlace, Point> _side;

    /// <param name="leg">The leg.</param>
    /// <param name="side">Which point of a stroke is meant: its outer end, its inner end, or one between.</param>
    internal SidePath(SatinLeg leg, Func<StrokePlace, Point> side)
    {
        _side = side;
        var body = leg.Body;
        var free = new List<StrokePlace>(body.Length);
        foreach (ref readonly var place in body)
        {
            if (!place.IsClipped)
            {
                free.Add(place);
            }
        }
        _places = free.Count > 1 ? [.. free] : body.ToArray();
        _sums = new double[_places.Length];
        for (var i = 1; i < _places.Length; i++)
        {
            _sums[i] = _sums[i - 1] + side(_places[i]).DistanceTo(side(_places[i - 1]));
        }
    }

    internal double Length => _sums[^1];

    /// <summary>The stroke that stands at a distance along the side, mm.</summary>
    internal StrokePlace At(double distance)
    {
        var after = Array.BinarySearch(_sums, distance);
        after = Math.Clamp(after < 0 ? ~after : after, 1, Math.Max(1, _sums.Length - 1));
        if (_sums.Length < 2)
        {
            return _places[0];
        }
        var span = _sums[after] - _sums[after - 1];
        var t = span < 1e-12 ? 0 : Math.Clamp((distance - _sums[after - 1]) / span, 0, 1);
        return new StrokePlace(
            Point.Lerp(_places[after - 1].Outer, _places[after].Outer, t),
            Point.Lerp(_places[after - 1].Inner, _places[after].Inner, t)
        );
    }

    /// <summary>The side from one distance along it to another.</summary>
    internal ImmutableArray<Point> Between(double from, double to)
    {
        var points = ImmutableArray.CreateBuilder<Point>();
        points.Add(_side(At(from)));
        for (var i = 0; i < _sums.Length; i++)
        {
            if (_sums[i] > from + 1e-6 && _sums[i] < to - 1e-6)
            {
                points.Add(_side(_places[i]));
            }
        }
        points.Add(_side(At(to)));
        return points.ToImmutable();
    }
}
