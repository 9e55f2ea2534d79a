using Ullet.Core.Geometry;

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
    internal static List<StrokePlace> Pick(ReadOnlySpan<StrokePlace> places, double spacing, bool even)
    {
        var picked = new List<StrokePlace>();
        if (places.Length == 0)
        {
            return picked;
        }
        var sums = new double[places.Length];
        for (var i = 1; i < places.Length; i++)
        {
            var (outer, inner) = Advance(places[i - 1], places[i]);
            sums[i] = sums[i - 1] + Math.Max(outer, inner);
        }
        var total = sums[^1];
        var halves = Math.Max(even ? 2 : 1, (int)Math.Round(total / (spacing / 2)));
        if (even && halves % 2 == 1)
        {
            halves++;
        }
        picked.Capacity = halves + 1;
        var at = 0;
        for (var k = 0; k <= halves; k++)
        {
            var wanted = total * k / halves;
            while (at + 1 < places.Length && sums[at + 1] < wanted)
            {
                at++;
            }
            picked.Add(Between(places, sums, at, wanted));
        }
        return picked;
    }

    /// <summary>Places whose two ends advance by less different ways than this do not crowd, share.</summary>
    private const double Calm = 0.75;

    /// <summary>True when strokes draw together anywhere.</summary>
    private static bool AnyCrowd(ReadOnlySpan<StrokePlace> places)
    {
        for (var i = 1; i < places.Length; i++)
        {
            var (outer, inner) = Advance(places[i - 1], places[i]);
            if (Math.Min(outer, inner) < Calm * Math.Max(outer, inner))
            {
                return true;
            }
        }
        return false;
    }

    /// <summary>Adds the picked strokes with their crowding.</summary>
    /// <param name="picked">The strokes.</param>
    /// <param name="places">The places that they were picked from.</param>
    /// <param name="spacing">The spacing that was asked for, mm.</param>
    /// <param name="strokes">Takes them.</param>
    internal static void AddWithCrowding(
        List<StrokePlace> picked,
        ReadOnlySpan<StrokePlace> places,
        double spacing,
        List<Stroke> strokes
    )
    {
        strokes.EnsureCapacity(strokes.Count + picked.Count);
        if (!AnyCrowd(places))
        {
            foreach (var place in picked)
            {
                strokes.Add(new Stroke(place, 1, 1));
            }
            return;
        }
        var wanted = spacing / 2;
        var outerSums = new double[picked.Count];
        var innerSums = new double[picked.Count];
        for (var i = 1; i < picked.Count; i++)
        {
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
