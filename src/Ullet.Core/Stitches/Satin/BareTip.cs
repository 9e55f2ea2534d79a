using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Finds strokes that were shortened and leave cloth bare beyond their ends.</summary>
internal static class BareTip
{
    /// <summary>Strokes that lost less are left as they are, mm.</summary>
    private const double Shortened = 0.15;

    /// <summary>Bare cloth is looked for at this distance, mm, and among so many strokes to either side.</summary>
    private const double Sample = 0.1;
    private const int Beside = 7;

    /// <summary>A stroke is worth a change for more bare places than this.</summary>
    internal const int Few = 4;

    internal static bool IsShortened(NeedleChain chain, int i)
    {
        var lost = chain.End(i) - chain[i];
        return Point.Dot(lost, lost) > Shortened * Shortened;
    }

    /// <summary>True where a stroke was shortened and its neighbours leave cloth bare beyond it; other strokes may cover that.</summary>
    internal static bool IsAt(NeedleChain chain, int i)
    {
        if (!IsShortened(chain, i) || !chain.IsInside(i))
        {
            return false;
        }
        var (from, lost) = (chain[i], chain.End(i) - chain[i]);
        var length = lost.Length;
        var aside = lost.Unit().Outward() * Sample;
        var bare = 0;
        for (var s = Sample / 2; s < length; s += Sample)
        {
            var at = from + (lost * (s / length));
            bare += IsBare(chain, at, i) ? 1 : 0;
            bare += IsBare(chain, at + aside, i) ? 1 : 0;
            bare += IsBare(chain, at - aside, i) ? 1 : 0;
            if (bare > Few)
            {
                return true;
            }
        }
        return false;
    }

    private static bool IsBare(NeedleChain chain, Point place, int near)
    {
        const double Half = ThreadField.CountedWidth / 2;
        for (var i = Math.Max(0, near - Beside); i < Math.Min(chain.Count - 1, near + Beside); i++)
        {
            if (chain.After(i) != i + 1)
            {
                continue;
            }
            var (start, along) = (chain[i], chain[i + 1] - chain[i]);
            var to = place - start;
            var (ahead, square) = (Point.Dot(to, along), Point.Dot(along, along));
            var away = to - (along * (square < 1e-18 ? 0 : Math.Clamp(ahead / square, 0, 1)));
            if (Point.Dot(away, away) < Half * Half)
            {
                return false;
            }
        }
        return true;
    }
}
