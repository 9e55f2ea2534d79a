using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Moments;

/// <summary>The opening that a seam leaves which goes nearly all round the work.</summary>
internal static class SeamGap
{
    /// <summary>A seam reaches over so much of the work both ways, a share of its box.</summary>
    private const double Round = 0.8;

    /// <summary>A gap is at least so long, mm; and is at most so much of the seam.</summary>
    private static readonly (double Length, double Share) Least = (20, 0.5);

    /// <summary>The ends of the gap in the last seam that goes round; null where none is open.</summary>
    /// <param name="sewn">The stitches of each step, in order.</param>
    /// <param name="work">The box of the work, mm.</param>
    internal static (Point From, Point To)? Of(IEnumerable<ImmutableArray<ImmutableArray<Point>>> sewn, Box work)
    {
        foreach (var runs in sewn.Reverse())
        {
            foreach (var run in runs)
            {
                Budget.Spend(run.Length);
                var box = Box.Of(run);
                var (from, to) = (run[^1], run[0]);
                var length = Enumerable.Range(1, run.Length - 1).Sum(i => run[i].DistanceTo(run[i - 1]));
                if (
                    box.Width > Round * work.Width
                    && box.Height > Round * work.Height
                    && from.DistanceTo(to) >= Least.Length
                    && from.DistanceTo(to) <= Least.Share * length
                )
                {
                    return (from, to);
                }
            }
        }
        return null;
    }
}
