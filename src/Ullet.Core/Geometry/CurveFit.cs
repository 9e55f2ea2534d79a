using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Turns a ring of many points into few lines and cubic curves.</summary>
/// <remarks>After Philip J. Schneider, "An Algorithm for Automatically Fitting Digitized Curves", Graphics Gems, 1990.
/// Departure: corners are split first, and a run of two points or a straight run becomes a line.</remarks>
public static class CurveFit
{
    private const int Rounds = 12;

    /// <summary>Fits that are off by this many tolerances are not mended by moving parameters; they are split at once.</summary>
    private const double Hopeless = 30;

    /// <summary>Fits a contour to a ring.</summary>
    /// <param name="ring">At least three points, mm.</param>
    /// <param name="tolerance">Largest distance of a ring point from the contour, mm.</param>
    public static Contour Of(Ring ring, double tolerance = Tolerance.Fit)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(ring.Points.Length, 3);
        var corners = ring.Corners();
        var start = corners.IsEmpty ? 0 : corners[0];
        var turned = ring.StartingAt(start);
        var stops = corners.IsEmpty ? [0] : corners.Select(c => c - start).ToList();
        var closed = turned.Points.Add(turned.Points[0]);
        var curves = ImmutableArray.CreateBuilder<Curve>();
        for (var i = 0; i < stops.Count; i++)
        {
            var end = i + 1 < stops.Count ? stops[i + 1] : closed.Length - 1;
            var run = closed[stops[i]..(end + 1)];
            curves.AddRange(Open(run, tolerance, smoothSeam: corners.IsEmpty));
        }
        return new Contour(curves.ToImmutable());
    }

    /// <summary>Fits curves to an open run of points.</summary>
    /// <param name="run">At least two points, mm.</param>
    /// <param name="tolerance">Largest distance of a point from the curves, mm.</param>
    /// <param name="smoothSeam">True when the run ends where it begins and goes on smoothly there.</param>
    public static ImmutableArray<Curve> Open(ImmutableArray<Point> run, double tolerance, bool smoothSeam = false)
    {
        var (into, outOf) = (
            EndTangent(run[0], run[1], run[Math.Min(2, run.Length - 1)]),
            EndTangent(run[^1], run[^2], run[^Math.Min(3, run.Length)])
        );
        if (smoothSeam)
        {
            var across = Tangent(run[^2], run[0], run[1]);
            (into, outOf) = (across, across * -1);
        }
        var curves = ImmutableArray.CreateBuilder<Curve>();
        Fit(run, into, outOf, tolerance, curves);
        return curves.ToImmutable();
    }

    private static void Fit(
        ImmutableArray<Point> run,
        Point into,
        Point outOf,
        double tolerance,
        ImmutableArray<Curve>.Builder curves
    )
    {
        if (run.Length == 2 || IsStraight(run, tolerance))
        {
            curves.Add(Curve.Line(run[0], run[^1]));
            return;
        }
        var t = ChordLengths(run);
        var split = run.Length / 2;
        for (var round = 0; round < Rounds; round++)
        {
            Budget.Spend();
            var curve = LeastSquares(run, t, into, outOf);
            var (error, worst) = WorstError(run, t, curve);
            split = worst;
            if (error <= tolerance)
            {
                curves.Add(curve);
                return;
            }
            if (error > tolerance * Hopeless)
            {
                break;
            }
            t = Reparameterise(run, t, curve);
        }
        split = Math.Clamp(split, 1, run.Length - 2);
        var tangent = Tangent(run[split + 1], run[split], run[split - 1]);
        Fit(run[..(split + 1)], into, tangent, tolerance, curves);
        Fit(run[split..], tangent * -1, outOf, tolerance, curves);
    }

    /// <summary>Direction of the parabola through three points at the middle one: the nearer neighbour counts for more.</summary>
    private static Point Tangent(Point before, Point at, Point after)
    {
        var (first, second) = (at - before, after - at);
        return ((first.Unit() * second.Length) + (second.Unit() * first.Length)).Unit();
    }

    /// <summary>Direction of the parabola through the first three points at the first; along the first edge where the edges are
    /// of very different length, as where a straight side ends in an arc.</summary>
    private static Point EndTangent(Point start, Point next, Point third)
    {
        const double Alike = 3;
        var (first, second) = (next - start, third - next);
        if (first.Length > Alike * second.Length || second.Length > Alike * first.Length)
        {
            return first.Unit();
        }
        var share = first.Length / (first.Length + second.Length);
        return ((first.Unit() * (1 + share)) - (second.Unit() * share)).Unit();
    }

    private static bool IsStraight(ImmutableArray<Point> run, double tolerance) =>
        run.All(p => SegmentIndex.Foot(p, run[0], run[^1]).DistanceTo(p) <= tolerance / 4);

    private static double[] ChordLengths(ImmutableArray<Point> run)
    {
        var t = new double[run.Length];
        for (var i = 1; i < run.Length; i++)
        {
            t[i] = t[i - 1] + run[i].DistanceTo(run[i - 1]);
        }
        var total = t[^1];
        for (var i = 1; i < t.Length; i++)
        {
            t[i] /= total;
        }
        return t;
    }

    private static Curve LeastSquares(ImmutableArray<Point> run, double[] t, Point into, Point outOf)
    {
        double c00 = 0,
            c01 = 0,
            c11 = 0,
            x0 = 0,
            x1 = 0;
        var (first, last) = (run[0], run[^1]);
        for (var i = 0; i < run.Length; i++)
        {
            var u = 1 - t[i];
            var (b1, b2) = (3 * u * u * t[i], 3 * u * t[i] * t[i]);
            var (a0, a1) = (into * b1, outOf * b2);
            c00 += Point.Dot(a0, a0);
            c01 += Point.Dot(a0, a1);
            c11 += Point.Dot(a1, a1);
            var rest = run[i] - (first * ((u * u * u) + b1)) - (last * (b2 + (t[i] * t[i] * t[i])));
            x0 += Point.Dot(a0, rest);
            x1 += Point.Dot(a1, rest);
        }
        var determinant = (c00 * c11) - (c01 * c01);
        var chord = first.DistanceTo(last);
        var (alpha, beta) =
            Math.Abs(determinant) < 1e-12
                ? (chord / 3, chord / 3)
                : (((x0 * c11) - (x1 * c01)) / determinant, ((c00 * x1) - (c01 * x0)) / determinant);
        if (alpha < 1e-6 * chord || beta < 1e-6 * chord || alpha > 4 * chord + 10 || beta > 4 * chord + 10)
        {
            (alpha, beta) = (chord / 3, chord / 3);
        }
        return Curve.Cubic(first, first + (into * alpha), last + (outOf * beta), last);
    }

    /// <summary>How far the curve is off, at the points and halfway along every edge: between the far ends of a straight side
    /// no point would show a bulge. A chord may lie off the curve that it was flattened from by the flattening's tolerance.</summary>
    private static (double Error, int Index) WorstError(ImmutableArray<Point> run, double[] t, Curve curve)
    {
        var (worst, index) = (0.0, run.Length / 2);
        for (var i = 0; i + 1 < run.Length; i++)
        {
            if (i > 0)
            {
                Judge(curve.At(t[i]).DistanceTo(run[i]), i);
            }
            var halfway = curve.At((t[i] + t[i + 1]) / 2);
            var off = SegmentIndex.Foot(halfway, run[i], run[i + 1]).DistanceTo(halfway) - ChordSlack;
            Judge(off, i == 0 ? 1 : i);
        }
        return (worst, index);

        void Judge(double error, int at)
        {
            if (error > worst)
            {
                (worst, index) = (error, at);
            }
        }
    }

    private const double ChordSlack = Tolerance.Flatten + Tolerance.Quantum;

    private static double[] Reparameterise(ImmutableArray<Point> run, double[] t, Curve curve)
    {
        var better = (double[])t.Clone();
        for (var i = 1; i < run.Length - 1; i++)
        {
            var u = 1 - t[i];
            var off = curve.At(t[i]) - run[i];
            var (d1, d2, d3) = (
                curve.Control1 - curve.Start,
                curve.Control2 - curve.Control1,
                curve.End - curve.Control2
            );
            var slope = ((d1 * (u * u)) + (d2 * (2 * u * t[i])) + (d3 * (t[i] * t[i]))) * 3;
            var bend = (((d2 - d1) * u) + ((d3 - d2) * t[i])) * 6;
            var denominator = Point.Dot(slope, slope) + Point.Dot(off, bend);
            if (Math.Abs(denominator) > 1e-12)
            {
                better[i] = Math.Clamp(t[i] - (Point.Dot(off, slope) / denominator), 0, 1);
            }
        }
        return better;
    }
}
