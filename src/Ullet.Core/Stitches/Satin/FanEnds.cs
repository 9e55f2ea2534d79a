using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Where strokes round a curve end, so that at every depth as many go on as lie well side by side, evenly apart.</summary>
internal static class FanEnds
{
    /// <summary>A stroke keeps at least this share of its length.</summary>
    private const double LeastKept = 0.3;

    /// <summary>Needle points slide along their side by up to this many strokes.</summary>
    private const double MostSlid = 1.2;

    private const int Rounds = 4;

    /// <summary>Between strokes that turn by more than this cosine nothing slides.</summary>
    private const double Even = 0.985;

    /// <summary>Fractions of multiples of the golden ratio lie evenly however many of them are taken.</summary>
    private const double Golden = 0.618033988749895;

    /// <summary>The needle points of strokes, to and fro.</summary>
    /// <param name="strokes">In sewing order.</param>
    /// <param name="first">The number of the first of them among all; with <paramref name="outerFirst"/> it says which end is sewn.</param>
    /// <param name="outerFirst">Whether stroke 0 of all is entered at its outer end.</param>
    /// <param name="thinning">How much is left out.</param>
    internal static Point[] Of(ReadOnlySpan<Stroke> strokes, int first, bool outerFirst, Thinning thinning)
    {
        var points = new Point[strokes.Length];
        for (var side = 0; side < 2; side++)
        {
            // Every second stroke ends on the same side.
            var isOuter = (first + side) % 2 == 0 == outerFirst;
            End(strokes, side, isOuter, first, thinning, points);
        }
        return points;
    }

    private static void End(
        ReadOnlySpan<Stroke> strokes,
        int begin,
        bool isOuter,
        int first,
        Thinning thinning,
        Point[] points
    )
    {
        var count = (strokes.Length - begin + 1) / 2;
        var limits = new double[count];
        var kept = new double[count];
        var slid = new double[count];
        var isThinned = false;
        for (var k = 0; k < count; k++)
        {
            var stroke = strokes[begin + (2 * k)];
            var (share, otherShare) = isOuter
                ? (stroke.OuterShare, stroke.InnerShare)
                : (stroke.InnerShare, stroke.OuterShare);
            slid[k] = begin + (2 * k);
            var limit = Turn(((first + begin) / 2) + k + thinning.Phase) / thinning.Room;
            if (share >= ShortStrokes.Thinned || limit <= share || otherShare - share < 0.05)
            {
                kept[k] = 1;
                continue;
            }
            (limits[k], isThinned) = (limit, true);
            kept[k] = Math.Max(LeastKept, (otherShare - limit) / (otherShare - share));
        }
        if (isThinned)
        {
            Slide(limits, slid, Along(strokes, isOuter));
        }
        for (var k = 0; k < count; k++)
        {
            var own = begin + (2 * k);
            var (outer, inner) = Sides(strokes, slid[k]) ?? (strokes[own].Place.Outer, strokes[own].Place.Inner);
            points[own] = isOuter ? Point.Lerp(inner, outer, kept[k]) : Point.Lerp(outer, inner, kept[k]);
        }
    }

    /// <summary>The two ends at a place between strokes; null where those beside it turn too much for one between them.</summary>
    private static (Point Outer, Point Inner)? Sides(ReadOnlySpan<Stroke> strokes, double at)
    {
        var i = Math.Clamp((int)at, 0, Math.Max(0, strokes.Length - 2));
        var (here, next) = (strokes[i].Place, strokes[Math.Min(i + 1, strokes.Length - 1)].Place);
        return Point.Dot((here.Outer - here.Inner).Unit(), (next.Outer - next.Inner).Unit()) < Even
            ? null
            : (Point.Lerp(here.Outer, next.Outer, at - i), Point.Lerp(here.Inner, next.Inner, at - i));
    }

    /// <summary>The way along a side up to each stroke, mm.</summary>
    private static double[] Along(ReadOnlySpan<Stroke> strokes, bool isOuter)
    {
        var along = new double[strokes.Length];
        for (var i = 1; i < along.Length; i++)
        {
            var (from, to) = (strokes[i - 1].Place, strokes[i].Place);
            // A hair more, so that every stroke has a way of its own.
            along[i] =
                along[i - 1] + 1e-6 + (isOuter ? from.Outer.DistanceTo(to.Outer) : from.Inner.DistanceTo(to.Inner));
        }
        return along;
    }

    /// <summary>Moves every point halfway between those beside it that reach as deep; the deepest first.</summary>
    /// <param name="limits">0 for strokes of full length, more the earlier they end.</param>
    /// <param name="slid">The number of each stroke; becomes the place between strokes where it ends.</param>
    /// <param name="along">The way along the side up to each stroke, mm.</param>
    private static void Slide(double[] limits, double[] slid, double[] along)
    {
        var at = Array.ConvertAll(slid, stroke => along[(int)stroke]);
        var full = Enumerable.Range(0, limits.Length).Where(k => limits[k] == 0).ToArray();
        for (var round = 0; round < Rounds; round++)
        {
            Budget.Spend();
            for (var i = 1; i + 1 < full.Length; i++)
            {
                at[full[i]] = Clamped(full[i], (at[full[i - 1]] + at[full[i + 1]]) / 2, slid, along);
            }
        }
        foreach (var k in full)
        {
            slid[k] = NumberAt(at[k], slid[k], along);
        }
        foreach (var k in Enumerable.Range(0, limits.Length).Where(k => limits[k] > 0).OrderBy(k => limits[k]))
        {
            var (before, after) = (k - 1, k + 1);
            while (before >= 0 && limits[before] >= limits[k])
            {
                before--;
            }
            while (after < limits.Length && limits[after] >= limits[k])
            {
                after++;
            }
            if (before >= 0 && after < limits.Length)
            {
                slid[k] = Math.Clamp((slid[before] + slid[after]) / 2, slid[k] - MostSlid, slid[k] + MostSlid);
            }
        }
    }

    private static double Clamped(int k, double wanted, double[] slid, double[] along) =>
        Math.Clamp(
            wanted,
            along[(int)Math.Max(0, slid[k] - MostSlid)],
            along[(int)Math.Min(along.Length - 1, slid[k] + MostSlid)]
        );

    /// <summary>The stroke, counted between strokes as well, that stands at a way along the side.</summary>
    private static double NumberAt(double at, double from, double[] along)
    {
        var i = (int)from;
        while (i > 0 && along[i] > at)
        {
            i--;
        }
        while (i + 2 < along.Length && along[i + 1] < at)
        {
            i++;
        }
        return i + 1 >= along.Length ? i : i + ((at - along[i]) / (along[i + 1] - along[i]));
    }

    /// <summary>The share of a stroke's neighbours, 0 to 1, that have to end before it does.</summary>
    private static double Turn(int number)
    {
        var turned = (number + 0.5) * Golden;
        return turned - Math.Floor(turned);
    }
}
