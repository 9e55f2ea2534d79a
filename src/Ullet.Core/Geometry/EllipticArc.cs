using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Arcs of ellipses (and circles) as cubic curves of at most an eighth of a turn each: off by 4 millionths of the
/// larger radius at most.</summary>
/// <remarks>Control points lie 4/3 · tan(angle / 4) along the tangents: the usual approximation of an arc.</remarks>
public static class EllipticArc
{
    private const double Eighth = Math.PI / 4;

    /// <summary>The places middle + cos(angle) · first + sin(angle) · second.</summary>
    /// <param name="middle">The ellipse's middle.</param>
    /// <param name="first">From the middle to the place at angle 0.</param>
    /// <param name="second">From the middle to the place at a quarter turn.</param>
    /// <param name="from">Where it begins, radians.</param>
    /// <param name="turn">How far it goes on, radians; backwards when negative, at most a whole turn. A whole turn ends where it
    /// begins.</param>
    public static ImmutableArray<Curve> Curves(Point middle, Point first, Point second, double from, double turn)
    {
        var closed = Math.Abs(Math.Abs(turn) - (2 * Math.PI)) < 1e-6;
        var pieces = Math.Max(1, (int)Math.Ceiling((Math.Abs(turn) / Eighth) - 1e-9));
        var step = turn / pieces;
        var reach = 4.0 / 3 * Math.Tan(step / 4);
        var curves = ImmutableArray.CreateBuilder<Curve>(pieces);
        for (var i = 0; i < pieces; i++)
        {
            Budget.Spend();
            var (a, b) = (from + (i * step), closed && i + 1 == pieces ? from : from + ((i + 1) * step));
            curves.Add(Curve.Cubic(At(a), At(a) + (Slope(a) * reach), At(b) - (Slope(b) * reach), At(b)));
        }
        return curves.MoveToImmutable();

        Point At(double angle) => middle + (first * Math.Cos(angle)) + (second * Math.Sin(angle));
        Point Slope(double angle) => (second * Math.Cos(angle)) - (first * Math.Sin(angle));
    }
}
