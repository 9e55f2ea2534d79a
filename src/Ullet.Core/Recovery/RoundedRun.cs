using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Recovery;

/// <summary>The curve that a run's needle points stand on: a cubic from each to the next, smooth through bends, broken at corners.</summary>
/// <remarks>Directions at a bend are those of the circle through it and its neighbours, so that needle points on a circle give the circle
/// back to a hundredth of the sagitta of their chords.</remarks>
internal static class RoundedRun
{
    /// <summary>A line that turns by more than this between two stitches has a corner there, degrees.</summary>
    private const double Corner = 38;

    /// <summary>A line that turns by less goes straight on, degrees.</summary>
    private const double Straight = 1;

    internal static ImmutableArray<Curve> Of(ImmutableArray<Point> points, bool isClosed)
    {
        var count = points.Length;
        var last = isClosed ? count : count - 1;
        var directions = new Point?[count];
        for (var i = 0; i < count; i++)
        {
            Budget.Spend();
            directions[i] =
                !isClosed && (i == 0 || i == count - 1)
                    ? null
                    : Direction(
                        points[(i + count - 1) % count],
                        points[i],
                        points[(i + 1) % count],
                        Turn(i - 1),
                        Turn(i + 1)
                    );
        }
        var curves = ImmutableArray.CreateBuilder<Curve>();
        for (var i = 0; i < last; i++)
        {
            Budget.Spend();
            var next = (i + 1) % count;
            curves.Add(Between(points[i], directions[i], points[next], directions[next]));
        }
        return curves.ToImmutable();

        double Turn(int i) =>
            !isClosed && (i < 1 || i > count - 2)
                ? 0
                : Strides.Turn(
                    points[(i + (2 * count) - 1) % count],
                    points[(i + count) % count],
                    points[(i + 1) % count]
                );
    }

    /// <summary>The direction of the circle through three places at the middle one; null at a corner.</summary>
    /// <param name="before">The needle point before.</param>
    /// <param name="at">The needle point.</param>
    /// <param name="after">The one after.</param>
    /// <param name="turnBefore">How the line turns at the one before, degrees.</param>
    /// <param name="turnAfter">How it turns at the one after.</param>
    private static Point? Direction(Point before, Point at, Point after, double turnBefore, double turnAfter)
    {
        var (into, on) = (at - before, after - at);
        var turn = Math.Abs(Strides.Turn(before, at, after));
        // Where a straight stretch goes over into a bend, its direction is the straight one's.
        if (turn <= Corner && turn > Straight)
        {
            var (straightBefore, straightAfter) = (Math.Abs(turnBefore) < Straight, Math.Abs(turnAfter) < Straight);
            if (straightBefore != straightAfter)
            {
                return straightBefore ? into.Unit() : on.Unit();
            }
        }
        if (Math.Abs(Strides.Turn(before, at, after)) > Corner || into.Length < 1e-9 || on.Length < 1e-9)
        {
            return null;
        }
        // Each chord's direction counts as much as the other chord is long.
        return ((into.Unit() * on.Length) + (on.Unit() * into.Length)).Unit();
    }

    private static Curve Between(Point from, Point? leaving, Point to, Point? arriving)
    {
        var chord = to - from;
        if ((leaving is null && arriving is null) || chord.Length < 1e-9)
        {
            return Curve.Line(from, to);
        }
        var along = chord.Unit();
        // At a corner the stretch is taken for a piece of the circle that its other end says.
        var out1 = leaving ?? Mirrored(arriving!.Value, along);
        var out2 = arriving ?? Mirrored(leaving!.Value, along);
        var bend = Math.Abs(Math.Atan2(Point.Cross(out1, out2), Point.Dot(out1, out2)));
        if (bend < 0.002)
        {
            return Curve.Line(from, to);
        }
        // The cubic of a circular arc.
        var reach = chord.Length / (3 * Math.Pow(Math.Cos(bend / 4), 2));
        return Curve.Cubic(from, from + (out1 * reach), to - (out2 * reach), to);
    }

    private static Point Mirrored(Point direction, Point along) =>
        ((along * (2 * Point.Dot(direction, along))) - direction).Unit();
}
