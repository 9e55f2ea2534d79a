using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Which corners are rounded.</summary>
public enum CornerSide
{
    All,

    /// <summary>Corners that point out of the material.</summary>
    Outer,

    /// <summary>Corners that point into the material.</summary>
    Inner,
}

/// <summary>Puts arcs in the place of corners; everything else keeps its curves.</summary>
/// <remarks>
/// Laws, tested in CornerRoundingTests: (1) every corner with room for it gets an arc of the asked radius that touches both
/// sides without a bend; (2) one without room gets the largest that takes at most half of each side; (3) a second rounding
/// changes nothing; (4) a corner adds at most <see cref="NodesPerCorner"/> nodes.
/// </remarks>
public static class CornerRounding
{
    /// <summary>Nodes that a rounded corner has more than a sharp one: its other end, and a middle on turns over 90°.</summary>
    public const int NodesPerCorner = 2;

    /// <summary>An arc may take at most this share of each side, so that the next corner has room as well.</summary>
    private const double MostOfSide = 0.499;

    /// <summary>Radii under this are not worth a node, mm.</summary>
    private const double LeastRadius = 0.05;

    private const int MostRounds = 24;

    /// <param name="outline">Parts and open lines, mm; lines keep their corners.</param>
    /// <param name="radius">Radius of the arcs, mm, over 0.</param>
    /// <param name="side">Which corners.</param>
    /// <returns>The very same outline when there is no corner to round.</returns>
    public static Outline By(Outline outline, double radius, CornerSide side = CornerSide.All)
    {
        ImmutableArray<OutlinePart> rounded =
        [
            .. outline.Parts.Select(part => new OutlinePart(
                Contour(part.Shell, radius, side),
                [.. part.Holes.Select(hole => Contour(hole, radius, side))]
            )),
        ];
        var isSame = outline
            .Contours.Zip(rounded.SelectMany(part => part.Contours))
            .All(pair => ReferenceEquals(pair.First, pair.Second));
        return isSame ? outline : outline with { Parts = rounded };
    }

    private static Contour Contour(Contour contour, double radius, CornerSide side)
    {
        var curves = contour.Curves;
        var count = curves.Length;
        var arcs = new Fillet?[count];
        for (var i = 0; i < count; i++)
        {
            Budget.Spend();
            arcs[i] = At(curves[(i + count - 1) % count], curves[i], radius, side);
        }
        if (Array.TrueForAll(arcs, arc => arc is null))
        {
            return contour;
        }
        var rounded = ImmutableArray.CreateBuilder<Curve>();
        for (var i = 0; i < count; i++)
        {
            var (before, after) = (arcs[i], arcs[(i + 1) % count]);
            if (before is not null)
            {
                rounded.AddRange(before.Curves());
            }
            var part = curves[i].Part(before?.After ?? 0, after?.Before ?? 1);
            if (part.Start.DistanceTo(part.End) > Tolerance.Quantum)
            {
                rounded.Add(part with { Start = before?.End ?? part.Start, End = after?.Start ?? part.End });
            }
        }
        return new Contour(rounded.ToImmutable());
    }

    /// <summary>The arc for the corner between two curves, or null where there is none to make.</summary>
    private static Fillet? At(Curve before, Curve after, double radius, CornerSide side)
    {
        var (into, onward) = (before.Slope(1).Unit(), after.Slope(0).Unit());
        var turn = Point.Turn(into, onward);
        var isOuter = turn > 0;
        if (
            Math.Abs(turn) <= Tolerance.CornerTurn
            || (side == CornerSide.Outer && !isOuter)
            || (side == CornerSide.Inner && isOuter)
        )
        {
            return null;
        }
        if (Solve(before, after, radius, turn) is { } whole)
        {
            return whole;
        }
        var (fits, tooLarge) = (0.0, radius);
        Fillet? best = null;
        for (var i = 0; i < MostRounds && tooLarge - fits > 0.002; i++)
        {
            Budget.Spend();
            var middle = (fits + tooLarge) / 2;
            if (middle < LeastRadius)
            {
                return best;
            }
            if (Solve(before, after, middle, turn) is { } found)
            {
                (best, fits) = (found, middle);
            }
            else
            {
                tooLarge = middle;
            }
        }
        return best;
    }

    /// <summary>Finds the circle that touches both curves by Newton's method on the two touching places.</summary>
    private static Fillet? Solve(Curve before, Curve after, double radius, double turn)
    {
        // The circle lies on the inner side of the turn: to the right of the way for a clockwise turn.
        var inner = turn > 0 ? -radius : radius;
        Point Centre(Curve curve, double t) => curve.At(t) + (curve.Slope(t).Unit().Outward() * inner);
        var setback = radius * Math.Tan(Math.Abs(turn) / 2 * Math.PI / 180);
        var (s, t) = (
            1 - (setback / Math.Max(before.Slope(1).Length, 1e-9)),
            setback / Math.Max(after.Slope(0).Length, 1e-9)
        );
        for (var round = 0; round < MostRounds; round++)
        {
            Budget.Spend();
            (s, t) = (Math.Clamp(s, 0, 1), Math.Clamp(t, 0, 1));
            var off = Centre(before, s) - Centre(after, t);
            if (off.Length < 1e-6)
            {
                return s > 1 - MostOfSide && t < MostOfSide
                    ? Fillet.Of(before, after, s, t, Centre(before, s), radius, turn > 0)
                    : null;
            }
            const double H = 1e-5;
            var (s0, t0) = (s > 0.5 ? s - H : s + H, t > 0.5 ? t - H : t + H);
            var ds = (Centre(before, s) - Centre(before, s0)) * (1 / (s - s0));
            var dt = (Centre(after, t) - Centre(after, t0)) * (-1 / (t - t0));
            var determinant = Point.Cross(ds, dt);
            if (Math.Abs(determinant) < 1e-9)
            {
                return null;
            }
            s -= Point.Cross(off, dt) / determinant;
            t -= Point.Cross(ds, off) / determinant;
        }
        return null;
    }

    /// <summary>An arc between two touching places.</summary>
    private sealed record Fillet(double Before, double After, Point Start, Point End, Point Centre, bool Clockwise)
    {
        internal static Fillet? Of(
            Curve before,
            Curve after,
            double s,
            double t,
            Point centre,
            double radius,
            bool clockwise
        )
        {
            var (start, end) = (before.At(s), after.At(t));
            return start.DistanceTo(end) < Tolerance.Quantum || Math.Abs(start.DistanceTo(centre) - radius) > 1e-3
                ? null
                : new Fillet(s, t, start, end, centre, clockwise);
        }

        internal IEnumerable<Curve> Curves()
        {
            var (from, to) = (Start - Centre, End - Centre);
            var sweep = Math.Atan2(Point.Cross(from, to), Point.Dot(from, to));
            var full = Clockwise == sweep > 0 ? sweep : sweep - (Math.Sign(sweep) * 2 * Math.PI);
            var pieces = Math.Abs(full) > Math.PI / 2 ? 2 : 1;
            var at = Start;
            for (var i = 1; i <= pieces; i++)
            {
                var end = i == pieces ? End : Centre + Turned(from, full * i / pieces);
                yield return Arc(at, end, full / pieces);
                at = end;
            }
        }

        private Curve Arc(Point start, Point end, double sweep)
        {
            var pull = 4.0 / 3 * Math.Tan(sweep / 4);
            var (a, b) = (start - Centre, end - Centre);
            return Curve.Cubic(start, start + (new Point(-a.Y, a.X) * pull), end - (new Point(-b.Y, b.X) * pull), end);
        }

        private static Point Turned(Point place, double by)
        {
            var (sin, cos) = Math.SinCos(by);
            return new Point((place.X * cos) - (place.Y * sin), (place.X * sin) + (place.Y * cos));
        }
    }
}
