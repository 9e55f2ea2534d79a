using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>One stretch of a contour: a straight line or a cubic Bézier curve, mm.</summary>
/// <param name="Start">Where the stretch begins.</param>
/// <param name="Control1">First control point; not used on a line.</param>
/// <param name="Control2">Second control point; not used on a line.</param>
/// <param name="End">Where the stretch ends.</param>
/// <param name="IsLine">True for a straight line.</param>
public readonly record struct Curve(Point Start, Point Control1, Point Control2, Point End, bool IsLine)
{
    private const int MostPieces = 512;

    public static Curve Line(Point start, Point end) => new(start, start, end, end, true);

    public static Curve Cubic(Point start, Point control1, Point control2, Point end) =>
        new(start, control1, control2, end, false);

    public Point At(double t)
    {
        if (IsLine)
        {
            return Point.Lerp(Start, End, t);
        }
        var u = 1 - t;
        return (Start * (u * u * u))
            + (Control1 * (3 * u * u * t))
            + (Control2 * (3 * u * t * t))
            + (End * (t * t * t));
    }

    /// <summary>The derivative, mm for the whole stretch. Where it vanishes at an end, the direction to the next point that differs.</summary>
    public Point Slope(double t)
    {
        if (IsLine)
        {
            return End - Start;
        }
        var u = 1 - t;
        var slope =
            ((Control1 - Start) * (3 * u * u))
            + ((Control2 - Control1) * (6 * u * t))
            + ((End - Control2) * (3 * t * t));
        return slope.Length > 1e-9 ? slope
            : t < 0.5 ? (Control2.DistanceTo(Start) > 1e-9 ? Control2 : End) - Start
            : End - (Control1.DistanceTo(End) > 1e-9 ? Control1 : Start);
    }

    /// <summary>The stretch between two parameters, 0 to 1; backwards when the second is the smaller. Exact (de Casteljau).</summary>
    public Curve Part(double from, double to)
    {
        if (from > to)
        {
            return Part(to, from).Reversed();
        }
        var (start, end) = (At(from), At(to));
        if (IsLine)
        {
            return Line(start, end);
        }
        var third = (to - from) / 3;
        return Cubic(start, start + (Slope3(from) * third), end - (Slope3(to) * third), end);
    }

    private Point Slope3(double t)
    {
        var u = 1 - t;
        return ((Control1 - Start) * (3 * u * u))
            + ((Control2 - Control1) * (6 * u * t))
            + ((End - Control2) * (3 * t * t));
    }

    public Curve Transform(Affine map) =>
        new(map.Apply(Start), map.Apply(Control1), map.Apply(Control2), map.Apply(End), IsLine);

    public Curve Reversed() => new(End, Control2, Control1, Start, IsLine);

    /// <summary>Into how many straight pieces the curve is flattened within a tolerance.</summary>
    public int PiecesWithin(double tolerance)
    {
        if (IsLine)
        {
            return 1;
        }
        var first = (Start - (Control1 * 2) + Control2).Length;
        var second = (Control1 - (Control2 * 2) + End).Length;
        return Math.Clamp((int)Math.Ceiling(Math.Sqrt(0.75 * Math.Max(first, second) / tolerance)), 1, MostPieces);
    }

    /// <summary>Adds the points after the start that keep the polyline within the tolerance.</summary>
    /// <remarks>A chord over a parameter span h is off by at most h²/8 · max|B''|, and B'' of a cubic is at most
    /// 6 · m, m the larger second difference of its control points; hence n = √(0.75 · m / tolerance).</remarks>
    public void Flatten(double tolerance, List<Point> into)
    {
        if (!IsLine)
        {
            var pieces = PiecesWithin(tolerance);
            Budget.Spend(pieces);
            for (var i = 1; i < pieces; i++)
            {
                into.Add(At(i / (double)pieces));
            }
        }
        Budget.Spend();
        into.Add(End);
    }

    /// <summary>The exact box: ends and the points where a derivative vanishes.</summary>
    public Box Bounds()
    {
        var box = Box.Empty.Including(Start).Including(End);
        if (IsLine)
        {
            return box;
        }
        foreach (var t in Extremes(Start.X, Control1.X, Control2.X, End.X))
        {
            box = box.Including(At(t));
        }
        foreach (var t in Extremes(Start.Y, Control1.Y, Control2.Y, End.Y))
        {
            box = box.Including(At(t));
        }
        return box;
    }

    private static IEnumerable<double> Extremes(double p0, double p1, double p2, double p3)
    {
        var a = -p0 + (3 * p1) - (3 * p2) + p3;
        var b = 2 * (p0 - (2 * p1) + p2);
        var c = p1 - p0;
        if (Math.Abs(a) < 1e-12)
        {
            if (Math.Abs(b) > 1e-12)
            {
                yield return Math.Clamp(-c / b, 0, 1);
            }
            yield break;
        }
        var under = (b * b) - (4 * a * c);
        if (under < 0)
        {
            yield break;
        }
        var root = Math.Sqrt(under);
        yield return Math.Clamp((-b + root) / (2 * a), 0, 1);
        yield return Math.Clamp((-b - root) / (2 * a), 0, 1);
    }
}
