using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A stroke that was picked, with how its neighbours crowd at its ends: their distance there over the one wanted.</summary>
internal readonly record struct Stroke(StrokePlace Place, double OuterShare, double InnerShare);

/// <summary>Picks strokes at an even spacing along a leg, measured on its locally longer side.</summary>
internal static class StrokeSpread
{
    /// <summary>Neighbours to either side over which crowding is averaged.</summary>
    private const int Around = 3;

    /// <summary>Neighbours to either side of a crowd that belong to it.</summary>
    private const int Beside = 3;

    /// <summary>The places where the thread turns, half a spacing apart, from the leg's first to its last.</summary>
    /// <param name="places">Stroke places; between two of them strokes lie evenly.</param>
    /// <param name="spacing">Distance between neighbouring holes on one side, mm. It is fitted so that a whole number of
    /// half spacings fills the leg.</param>
    /// <param name="even">True to make the number of half spacings even, so that a closed edge meets itself.</param>
    internal static List<StrokePlace> Pick(ReadOnlySpan<StrokePlace> places, double spacing, bool even) =>
        Pick(places, Sums(places, double.MaxValue, out _), spacing, even);

    private static List<StrokePlace> Pick(ReadOnlySpan<StrokePlace> places, double[] sums, double spacing, bool even)
    {
        var picked = new List<StrokePlace>();
        Walk(places, sums, Halves(sums, spacing, even), Halves(sums, spacing, even) + 1, picked.Add);
        return picked;
    }

    /// <summary>How many half spacings fill a leg; -1 for a leg without places.</summary>
    private static int Halves(double[] sums, double spacing, bool even)
    {
        if (sums.Length == 0)
        {
            return -1;
        }
        var halves = Math.Max(even ? 2 : 1, (int)Math.Round(sums[^1] / (spacing / 2)));
        return even && halves % 2 == 1 ? halves + 1 : halves;
    }

    /// <summary>Hands out the first places where the thread turns.</summary>
    private static void Walk(
        ReadOnlySpan<StrokePlace> places,
        double[] sums,
        int halves,
        int count,
        Action<StrokePlace> take
    )
    {
        var at = 0;
        for (var k = 0; k < count; k++)
        {
            Budget.Spend();
            var wanted = sums[^1] * k / halves;
            while (at + 1 < sums.Length && sums[at + 1] < wanted)
            {
                at++;
            }
            take(Between(places, sums, at, wanted));
        }
    }

    /// <summary>At most so much closer strokes lie where they turn.</summary>
    private const double Closer = 1.15;

    /// <summary>Places whose two ends advance by less different ways than this do not crowd, share.</summary>
    private const double Calm = 0.75;

    /// <summary>The way along a leg up to each place, on its locally longer side, mm.</summary>
    /// <param name="places">Stroke places.</param>
    /// <param name="most">Where strokes turn by more than this over a mm they lie a little closer, degrees.</param>
    /// <param name="crowds">True when strokes draw together anywhere.</param>
    private static double[] Sums(ReadOnlySpan<StrokePlace> places, double most, out bool crowds)
    {
        crowds = false;
        var sums = new double[places.Length];
        for (var i = 1; i < places.Length; i++)
        {
            Budget.Spend();
            var (outer, inner) = Advance(places[i - 1], places[i]);
            var way = Math.Max(outer, inner);
            sums[i] = sums[i - 1] + Math.Min(Closer * way, Math.Max(way, Turn(places[i - 1], places[i]) / most));
            crowds |= Math.Min(outer, inner) < Calm * Math.Max(outer, inner);
        }
        return sums;
    }

    /// <summary>Adds the strokes of a leg, with their crowding.</summary>
    /// <param name="places">Stroke places; between two of them strokes lie evenly.</param>
    /// <param name="spacing">The spacing that is asked for, mm.</param>
    /// <param name="isSmooth">True for a closed edge without corners, whose last stroke is its first one.</param>
    /// <param name="strokes">Takes them.</param>
    /// <param name="mostTurn">Strokes that run the same way turn by no more than this from one to the next if lying a little closer helps,
    /// degrees.</param>
    internal static void Add(
        ReadOnlySpan<StrokePlace> places,
        double spacing,
        bool isSmooth,
        List<Stroke> strokes,
        double mostTurn = double.MaxValue
    )
    {
        var sums = Sums(places, mostTurn / spacing, out var crowds);
        var count = Halves(sums, spacing, isSmooth) + 1;
        count -= isSmooth && count > 1 ? 1 : 0;
        strokes.EnsureCapacity(strokes.Count + count);
        if (crowds)
        {
            var picked = Pick(places, sums, spacing, isSmooth);
            picked.RemoveRange(count, picked.Count - count);
            AddCrowded(picked, spacing, strokes);
            return;
        }
        Walk(places, sums, Halves(sums, spacing, isSmooth), count, place => strokes.Add(new Stroke(place, 1, 1)));
    }

    private static void AddCrowded(List<StrokePlace> picked, double spacing, List<Stroke> strokes)
    {
        var wanted = spacing / 2;
        var outerSums = new double[picked.Count];
        var innerSums = new double[picked.Count];
        for (var i = 1; i < picked.Count; i++)
        {
            Budget.Spend();
            var (outer, inner) = Advance(picked[i - 1], picked[i]);
            outerSums[i] = outerSums[i - 1] + outer;
            innerSums[i] = innerSums[i - 1] + inner;
        }
        var (outerShares, innerShares) = (new double[picked.Count], new double[picked.Count]);
        for (var i = 0; i < picked.Count; i++)
        {
            var (from, to) = (Math.Max(0, i - Around), Math.Min(picked.Count - 1, i + Around));
            var each = wanted * Math.Max(1, to - from);
            outerShares[i] = (outerSums[to] - outerSums[from]) / each;
            innerShares[i] = (innerSums[to] - innerSums[from]) / each;
        }
        for (var i = 0; i < picked.Count; i++)
        {
            Budget.Spend();
            // Strokes beside a tight curve end at the same place as those round it.
            var (outer, inner) = (outerShares[i], innerShares[i]);
            for (var k = Math.Max(0, i - Beside); k <= Math.Min(picked.Count - 1, i + Beside); k++)
            {
                outer = Math.Min(outer, outerShares[k]);
                inner = Math.Min(inner, innerShares[k]);
            }
            strokes.Add(new Stroke(picked[i], outer, inner));
        }
    }

    private static double Turn(in StrokePlace from, in StrokePlace to) =>
        Math.Abs(Point.Turn(from.Outer - from.Inner, to.Outer - to.Inner));

    /// <summary>How far a stroke's two ends move across its own direction, mm.</summary>
    private static (double Outer, double Inner) Advance(in StrokePlace from, in StrokePlace to)
    {
        var across = ((from.Outer - from.Inner).Unit() + (to.Outer - to.Inner).Unit()).Unit();
        return (
            Math.Abs(Point.Cross(to.Outer - from.Outer, across)),
            Math.Abs(Point.Cross(to.Inner - from.Inner, across))
        );
    }

    private static StrokePlace Between(ReadOnlySpan<StrokePlace> places, double[] sums, int at, double wanted)
    {
        if (at + 1 >= places.Length)
        {
            return places[^1];
        }
        var span = sums[at + 1] - sums[at];
        var t = span < 1e-12 ? 0 : Math.Clamp((wanted - sums[at]) / span, 0, 1);
        return new StrokePlace(
            Point.Lerp(places[at].Outer, places[at + 1].Outer, t),
            Point.Lerp(places[at].Inner, places[at + 1].Inner, t)
        )
        {
            IsClipped = places[at].IsClipped || places[at + 1].IsClipped,
        };
    }
}
