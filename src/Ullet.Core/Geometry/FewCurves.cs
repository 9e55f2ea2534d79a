using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Turns a ring of many points into as few lines and cubic curves as a search from place to place finds: each curve
/// goes on as far as it fits.</summary>
/// <remarks>Slower than <see cref="CurveFit"/> and with fewer curves. Law, tested in FewCurvesTests: no point of the ring lies
/// farther from the contour than the tolerance.</remarks>
public static class FewCurves
{
    /// <param name="ring">At least three points, mm.</param>
    /// <param name="tolerance">Largest distance of a ring point from the contour, mm.</param>
    public static Contour Of(Ring ring, double tolerance = Tolerance.Fit)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(ring.Points.Length, 3);
        var corners = ring.Corners();
        var start = corners.IsEmpty ? 0 : corners[0];
        var turned = ring.StartingAt(start);
        var closed = turned.Points.Add(turned.Points[0]);
        List<int> stops = corners.IsEmpty ? [0] : [.. corners.Select(corner => corner - start)];
        stops.Add(closed.Length - 1);
        var curves = ImmutableArray.CreateBuilder<Curve>();
        for (var i = 0; i + 1 < stops.Count; i++)
        {
            for (var at = stops[i]; at < stops[i + 1]; )
            {
                Budget.Spend();
                var (next, curve) = Longest(closed, at, stops[i + 1], tolerance);
                curves.Add(curve);
                at = next;
            }
        }
        return new Contour(curves.ToImmutable());
    }

    /// <summary>Doubles the run while one curve fits it, then halves the rest.</summary>
    private static (int Next, Curve Curve) Longest(ImmutableArray<Point> points, int from, int end, double tolerance)
    {
        var (good, curve) = (from + 1, Curve.Line(points[from], points[from + 1]));
        var bad = end + 1;
        for (var step = 2; good < end; step *= 2)
        {
            Budget.Spend();
            var to = Math.Min(end, from + step);
            if (One(points, from, to, tolerance) is not { } longer)
            {
                bad = to;
                break;
            }
            (good, curve) = (to, longer);
        }
        while (bad - good > 1)
        {
            Budget.Spend();
            var middle = (good + bad) / 2;
            if (One(points, from, middle, tolerance) is { } longer)
            {
                (good, curve) = (middle, longer);
            }
            else
            {
                bad = middle;
            }
        }
        return (good, curve);
    }

    private static Curve? One(ImmutableArray<Point> points, int from, int to, double tolerance) =>
        CurveFit.Open(points[from..(to + 1)], tolerance) is [var curve] ? curve : null;
}
