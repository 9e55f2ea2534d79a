using System.Collections.Immutable;

namespace Ullet.Core.Geometry;

/// <summary>A stretch of a line of arcs: straight when its bulge is 0.</summary>
/// <param name="Start">Where it begins.</param>
/// <param name="End">Where it ends.</param>
/// <param name="Bulge">Tangent of a quarter of the angle that it turns through; positive turns against the clock with y up
/// (clockwise with y down).</param>
public readonly record struct BulgeArc(Point Start, Point End, double Bulge)
{
    public bool IsLine => Bulge == 0;

    /// <summary>The middle of its circle; not finite for a straight stretch.</summary>
    public Point Middle
    {
        get
        {
            var chord = End - Start;
            // From the chord's middle, away from the bulge.
            var aside = (1 - (Bulge * Bulge)) / (4 * Bulge);
            return Point.Lerp(Start, End, 0.5) + new Point(-chord.Y * aside, chord.X * aside);
        }
    }

    /// <summary>The arc as cubic curves; see <see cref="EllipticArc"/>. It ends at its very ends.</summary>
    public ImmutableArray<Curve> Curves()
    {
        if (Math.Abs(Bulge) < 1e-9)
        {
            return [Curve.Line(Start, End)];
        }
        var middle = Middle;
        var first = Start - middle;
        var curves = EllipticArc.Curves(middle, first, new Point(-first.Y, first.X), 0, 4 * Math.Atan(Bulge));
        curves = curves.SetItem(0, curves[0] with { Start = Start });
        return curves.SetItem(curves.Length - 1, curves[^1] with { End = End });
    }
}
