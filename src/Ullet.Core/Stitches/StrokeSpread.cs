using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Picks strokes at an even spacing along a leg, measured on its locally longer side.</summary>
internal static class StrokeSpread
{
    /// <summary>The places where the thread turns, half a spacing apart, from the leg's first to its last.</summary>
    /// <param name="places">Closely set stroke places.</param>
    /// <param name="spacing">Distance between neighbouring holes on one side, mm. It is fitted so that a whole number of
    /// half spacings fills the leg.</param>
    /// <param name="even">True to make the number of half spacings even, so that a closed edge meets itself.</param>
    internal static List<StrokePlace> Pick(IReadOnlyList<StrokePlace> places, double spacing, bool even)
    {
        var picked = new List<StrokePlace>();
        if (places.Count == 0)
        {
            return picked;
        }
        var sums = new double[places.Count];
        for (var i = 1; i < places.Count; i++)
        {
            sums[i] = sums[i - 1] + Advance(places[i - 1], places[i]);
        }
        var total = sums[^1];
        var halves = Math.Max(even ? 2 : 1, (int)Math.Round(total / (spacing / 2)));
        if (even && halves % 2 == 1)
        {
            halves++;
        }
        var at = 0;
        for (var k = 0; k <= halves; k++)
        {
            var wanted = total * k / halves;
            while (at + 1 < places.Count && sums[at + 1] < wanted)
            {
                at++;
            }
            picked.Add(Between(places, sums, at, wanted));
        }
        return picked;
    }

    /// <summary>How far the stroke moves across its own direction, at the end that moves more, mm.</summary>
    private static double Advance(StrokePlace from, StrokePlace to)
    {
        var across = (from.Outer - from.Inner).Unit() + (to.Outer - to.Inner).Unit();
        var normal = across.Unit();
        return Math.Max(
            Math.Abs(Point.Cross(to.Outer - from.Outer, normal)),
            Math.Abs(Point.Cross(to.Inner - from.Inner, normal))
        );
    }

    private static StrokePlace Between(IReadOnlyList<StrokePlace> places, double[] sums, int at, double wanted)
    {
        if (at + 1 >= places.Count)
        {
            return places[^1];
        }
        var span = sums[at + 1] - sums[at];
        var t = span < 1e-12 ? 0 : Math.Clamp((wanted - sums[at]) / span, 0, 1);
        return new StrokePlace(
            Point.Lerp(places[at].Outer, places[at + 1].Outer, t),
            Point.Lerp(places[at].Inner, places[at + 1].Inner, t)
        );
    }
}
