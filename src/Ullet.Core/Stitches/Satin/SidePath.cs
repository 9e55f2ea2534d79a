using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Which line along a leg is meant: one of its band's sides, or the edge itself.</summary>
internal enum BandSide
{
    Outer,
    Inner,
    Edge,
}

/// <summary>A line along a leg, found by the distance along it; the stroke that stands there goes with every place.</summary>
/// <remarks>A side does not wind into corners: over a short stretch where another edge clips it, it goes straight on. Where it is
/// clipped for longer the piece is narrow, and it follows what there is.</remarks>
internal sealed class SidePath
{
    /// <summary>Over a clipped stretch of this length a side goes straight on, mm.</summary>
    private const double Short = 3;

    private readonly StrokePlace[] _places;
    private readonly double[] _sums;
    private readonly BandSide _side;

    /// <param name="leg">The leg.</param>
    /// <param name="side">Which line is meant.</param>
    internal SidePath(SatinLeg leg, BandSide side)
    {
        _side = side;
        _places = side == BandSide.Edge ? leg.Body.ToArray() : WithoutCorners(leg.Body.ToArray(), IsClipped);
        _sums = new double[_places.Length];
        for (var i = 1; i < _places.Length; i++)
        {
            _sums[i] = _sums[i - 1] + On(_places[i]).DistanceTo(On(_places[i - 1]));
        }
    }

    private bool IsClipped(StrokePlace place) => _side == BandSide.Outer ? place.IsOuterClipped : place.IsInnerClipped;

    private Point On(in StrokePlace place) =>
        _side switch
        {
            BandSide.Outer => place.Outer,
            BandSide.Inner => place.Inner,
            BandSide.Edge => place.Foot,
        };

    private static StrokePlace[] WithoutCorners(StrokePlace[] places, Func<StrokePlace, bool> isClipped)
    {
        var kept = new List<StrokePlace>(places.Length);
        for (int first = 0, next; first < places.Length; first = next)
        {
            for (next = first; next < places.Length && isClipped(places[next]); next++)
            {
                Budget.Spend();
            }
            if (next == first)
            {
                kept.Add(places[next++]);
            }
            else if (places[first].Foot.DistanceTo(places[next - 1].Foot) > Short)
            {
                kept.AddRange(places[first..next]);
            }
        }
        return kept.Count > 1 ? [.. kept] : places;
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
        )
        {
            Foot = Point.Lerp(_places[after - 1].Foot, _places[after].Foot, t),
        };
    }

    /// <summary>The side from one distance along it to another.</summary>
    internal ImmutableArray<Point> Between(double from, double to)
    {
        var points = ImmutableArray.CreateBuilder<Point>();
        points.Add(On(At(from)));
        for (var i = 0; i < _sums.Length; i++)
        {
            if (_sums[i] > from + 1e-6 && _sums[i] < to - 1e-6)
            {
                points.Add(On(_places[i]));
            }
        }
        points.Add(On(At(to)));
        return points.ToImmutable();
    }
}
