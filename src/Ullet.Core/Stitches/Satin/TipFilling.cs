using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Covers bare cloth beside a stroke that was shortened, where that adds no surplus: it gets some of its length back,
/// or the next one on the same side moves over a little.</summary>
internal sealed class TipFilling(NeedleChain chain, ThreadField field, HoleCrowd crowd)
{
    /// <summary>How much of what a stroke lost it may be given back.</summary>
    private static readonly double[] Lengthenings = [0.35, 0.7, 1];

    /// <summary>How far towards its end the next stroke on the same side may move over.</summary>
    private static readonly double[] Slides = [0.15, 0.3];

    private readonly List<Filling> _tried = [];

    /// <summary>A needle point that would move, and how many bare cells its strokes would lie on.</summary>
    private readonly record struct Filling(int Number, Point To, int Most);

    /// <summary>Makes the change that covers most, if any does.</summary>
    /// <param name="i">The needle point whose stroke was shortened; one with a point before and after it.</param>
    /// <param name="around">The numbers of all points near.</param>
    internal void At(int i, List<int> around)
    {
        var full = Tried(i, chain.End(i));
        if (full.Most <= BareTip.Few)
        {
            return;
        }
        Try(i, full);
        var best = (Covered: BareTip.Few, Number: -1, To: default(Point));
        foreach (var (number, to, most) in _tried)
        {
            if (most <= best.Covered || crowd.IsAt(to, number, around))
            {
                continue;
            }
            var over = field.Over;
            var covered = -Swap(number, chain[number], to);
            if (covered > best.Covered && field.Over <= over)
            {
                best = (covered, number, to);
            }
            Swap(number, to, chain[number]);
        }
        if (best.Number >= 0)
        {
            Swap(best.Number, chain[best.Number], best.To);
            chain.Move(best.Number, best.To);
        }
    }

    /// <summary>Gathers the changes that may be made, the most promising first.</summary>
    private void Try(int i, Filling full)
    {
        _tried.Clear();
        _tried.Add(full);
        foreach (var share in Lengthenings.AsSpan(..^1))
        {
            _tried.Add(Tried(i, Point.Lerp(chain[i], chain.End(i), share)));
        }
        foreach (var beside in (ReadOnlySpan<int>)[Before(Before(i)), After(After(i))])
        {
            foreach (var share in beside >= 0 && chain.IsInside(beside) ? Slides : [])
            {
                _tried.Add(Tried(beside, Point.Lerp(chain[beside], chain.End(i), share)));
            }
        }
        // Stable, so that of two that promise the same the longer one comes first.
        for (var k = 1; k < _tried.Count; k++)
        {
            for (var j = k; j > 0 && _tried[j].Most > _tried[j - 1].Most; j--)
            {
                (_tried[j], _tried[j - 1]) = (_tried[j - 1], _tried[j]);
            }
        }
    }

    private Filling Tried(int number, Point to)
    {
        var (before, after) = (chain[Before(number)], chain[After(number)]);
        return new Filling(number, to, field.BareUnder(before, to) + field.BareUnder(to, after));
    }

    private int Before(int number) => number < 0 ? -1 : chain.Before(number);

    private int After(int number) => number < 0 ? -1 : chain.After(number);

    /// <summary>Counts a point's two strokes at another place.</summary>
    /// <returns>How many cells are bare now that were not.</returns>
    private int Swap(int number, Point old, Point to)
    {
        var (before, after) = (chain[Before(number)], chain[After(number)]);
        return field.Change([before, old, after], [before, to, after]);
    }
}
