using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>How a ring bends along its length.</summary>
internal sealed class EdgeBends
{
    private readonly double _length;
    private readonly double[] _along;
    private readonly double[] _turned;
    private readonly double[] _corners;

    /// <param name="ring">The ring, mm.</param>
    internal EdgeBends(Ring ring)
    {
        var points = ring.Points.AsSpan();
        _along = new double[points.Length + 1];
        _turned = new double[points.Length + 1];
        for (var i = 0; i < points.Length; i++)
        {
            Budget.Spend();
            var (before, here, next) = (
                points[i > 0 ? i - 1 : points.Length - 1],
                points[i],
                points[i + 1 < points.Length ? i + 1 : 0]
            );
            _along[i + 1] = _along[i] + here.DistanceTo(next);
            _turned[i + 1] = _turned[i] + Math.Abs(Point.Turn(here - before, next - here));
        }
        _length = _along[^1];
        _corners = [.. ring.Corners().Select(corner => _along[corner])];
    }

    /// <summary>How far the nearest corner lies along the ring, mm; half the ring where it has none.</summary>
    internal double ToCorner(double along)
    {
        if (_corners.Length == 0)
        {
            return _length / 2;
        }
        var after = Array.BinarySearch(_corners, along);
        if (after >= 0)
        {
            return 0;
        }
        after = ~after;
        var next = after < _corners.Length ? _corners[after] - along : _corners[0] + _length - along;
        var last = after > 0 ? along - _corners[after - 1] : along + _length - _corners[^1];
        return Math.Min(next, last);
    }

    /// <summary>By how much the ring turns near a place, either way counted up, degrees; a corner counts by its turn.</summary>
    internal double Around(double along)
    {
        var reach = Math.Min(EntryChoice.Clear, _length / 8);
        return Turned(along + reach) - Turned(along - reach);
    }

    /// <summary>By how much the ring has turned up to a distance along it, from below 0 to beyond its length.</summary>
    private double Turned(double along)
    {
        var laps = Math.Floor(along / _length);
        var rest = along - (laps * _length);
        // The turn at a vertex is made once it is passed.
        var at = Array.BinarySearch(_along, rest);
        at = at >= 0 ? at : ~at;
        return (laps * _turned[^1]) + _turned[Math.Min(at, _turned.Length - 1)];
    }
}
