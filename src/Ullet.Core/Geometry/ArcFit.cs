using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Geometry;

/// <summary>Turns curves into few arcs and straight stretches.</summary>
/// <remarks>From each place the longest stretch that holds is taken; its ends lie on the curve, so neighbours meet without a
/// gap and with a kink too small to see. Law, tested in ArcFitTests: no place of the curve is farther from the arcs than the
/// tolerance, nor any place of the arcs from the curve.</remarks>
public static class ArcFit
{
    /// <summary>Largest distance between curve and arcs, mm.</summary>
    public const double Within = 0.015;

    /// <summary>The curve is judged by places this near to it, mm.</summary>
    private const double Sampling = 0.001;

    /// <summary>Arcs turn less than this tangent of a quarter turn: half a circle at most.</summary>
    private const double MostBulge = 0.999;

    /// <param name="curves">Each begins where the one before it ends, mm.</param>
    /// <param name="within">Largest distance, mm.</param>
    public static ImmutableArray<BulgeArc> Of(IReadOnlyList<Curve> curves, double within = Within)
    {
        var arcs = ImmutableArray.CreateBuilder<BulgeArc>();
        var run = new List<Point>();
        foreach (var curve in curves)
        {
            if (curve.IsLine)
            {
                Fit(run, within, arcs);
                arcs.Add(new BulgeArc(curve.Start, curve.End, 0));
                continue;
            }
            if (run.Count > 0 && Tolerance.IsCorner(run[^1] - run[^2], curve.Slope(0)))
            {
                Fit(run, within, arcs);
            }
            if (run.Count == 0)
            {
                run.Add(curve.Start);
            }
            curve.Flatten(Sampling, run);
        }
        Fit(run, within, arcs);
        return arcs.ToImmutable();
    }

    private static void Fit(List<Point> run, double within, ImmutableArray<BulgeArc>.Builder arcs)
    {
        for (var at = 0; at < run.Count - 1; )
        {
            Budget.Spend();
            var (next, bulge) = Longest(run, at, within);
            arcs.Add(new BulgeArc(run[at], run[next], bulge));
            at = next;
        }
        run.Clear();
    }

    /// <summary>Doubles the stretch while it holds, then halves the rest.</summary>
    private static (int Next, double Bulge) Longest(List<Point> run, int at, double within)
    {
        var (good, bulge) = (at + 1, 0.0);
        var bad = run.Count;
        for (var step = 2; at + step < run.Count; step *= 2)
        {
            Budget.Spend();
            if (Held(run, at, at + step, within) is not { } held)
            {
                bad = at + step;
                break;
            }
            (good, bulge) = (at + step, held);
        }
        while (bad - good > 1)
        {
            Budget.Spend();
            var middle = (good + bad) / 2;
            if (Held(run, at, middle, within) is { } held)
            {
                (good, bulge) = (middle, held);
            }
            else
            {
                bad = middle;
            }
        }
        return (good, bulge);
    }

    /// <summary>The bulge of a stretch that keeps to the curve; null when none was found.</summary>
    private static double? Held(List<Point> run, int from, int to, double within)
    {
        var (start, end) = (run[from], run[to]);
        var chord = end - start;
        if (chord.Length < Tolerance.Same)
        {
            return null;
        }
        if (Error(run, from, to, 0) <= within)
        {
            return 0;
        }
        double? best = null;
        var least = within;
        foreach (var share in Shares)
        {
            var through = run[from + (int)Math.Round((to - from) * share)];
            if (BulgeThrough(start, through, end) is not { } bulge || Math.Abs(bulge) > MostBulge)
            {
                continue;
            }
            var error = Error(run, from, to, bulge);
            if (error <= least)
            {
                (best, least) = (bulge, error);
            }
        }
        return best;
    }

    private static readonly double[] Shares = [0.5, 0.28, 0.72];

    private static double? BulgeThrough(Point start, Point through, Point end)
    {
        var (a, b) = (start - through, end - through);
        if (a.Length < Tolerance.Same || b.Length < Tolerance.Same)
        {
            return null;
        }
        // The angle at the place in between is half a turn less half the arc.
        var angle = Math.Atan2(Point.Cross(a, b), Point.Dot(a, b));
        var half = Math.Sign(angle) * (Math.PI - Math.Abs(angle));
        return -Math.Tan(half / 2);
    }

    /// <summary>The farthest that the places of a stretch lie from its arc, mm.</summary>
    private static double Error(List<Point> run, int from, int to, double bulge)
    {
        var (start, end) = (run[from], run[to]);
        var worst = 0.0;
        if (bulge == 0)
        {
            for (var i = from + 1; i < to; i++)
            {
                worst = Math.Max(worst, SegmentIndex.Foot(run[i], start, end).DistanceTo(run[i]));
            }
            return worst;
        }
        var centre = new BulgeArc(start, end, bulge).Middle;
        var radius = start.DistanceTo(centre);
        for (var i = from; i < to; i++)
        {
            // A straight stretch has places at its ends only; the arc must keep to its middle as well.
            worst = Math.Max(worst, Off(Point.Lerp(run[i], run[i + 1], 0.5)));
            worst = i > from ? Math.Max(worst, Off(run[i])) : worst;
        }
        return worst;

        double Off(Point place)
        {
            var spoke = place - centre;
            // Outside the arc's wedge its ends are what is near: a curve that turns back on itself runs along the circle, beyond
            // the arc.
            var isBeside =
                Point.Cross(start - centre, spoke) * bulge >= 0 && Point.Cross(spoke, end - centre) * bulge >= 0;
            return isBeside
                ? Math.Abs(spoke.Length - radius)
                : Math.Min(place.DistanceTo(start), place.DistanceTo(end));
        }
    }
}
