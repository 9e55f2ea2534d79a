using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Whether lines hold an edge: how near they must lie, and how much of it they leave free.</summary>
internal static class HeldEdge
{
    /// <summary>A line holds edges that lie this much farther from it than wanted, mm.</summary>
    private const double Slack = 0.3;

    /// <summary>A corner may lie as many times the distance from the line.</summary>
    private const double AtCorners = 1.5;

    /// <summary>A stretch of edge shorter than this need not be held, mm.</summary>
    internal const double Free = 3;

    /// <summary>How far from an edge a line may lie that runs a distance inside it, and hold it, mm.</summary>
    internal static double Within(double distance) => Math.Max(distance + Slack, AtCorners * distance);

    /// <summary>Distance between looks along an edge, mm.</summary>
    private const double Step = 0.4;

    /// <summary>The longest stretch of edge that lines leave free, mm, and its middle; 0 where none does.</summary>
    /// <param name="edges">The edges, as open or closed lines, mm.</param>
    /// <param name="lines">What holds them, mm.</param>
    /// <param name="within">How far from an edge a line may lie to hold it, mm.</param>
    internal static (double Length, Point At) LongestFree(
        IEnumerable<IReadOnlyList<Point>> edges,
        IReadOnlyList<Ring> lines,
        double within
    )
    {
        var index = new SegmentIndex(lines, Math.Max(1, within));
        var (longest, middle) = (0.0, Point.Zero);
        foreach (var edge in edges)
        {
            var along = new ArcLength([.. edge]);
            var looks = Math.Max(1, (int)Math.Ceiling(along.Total / Step));
            var step = along.Total / looks;
            var isClosed = edge[0].DistanceTo(edge[^1]) <= Tolerance.Same;
            var run = 0;
            // Twice round a closed edge, as a free stretch may lie across its first point.
            for (var i = 0; i < (isClosed ? 2 : 1) * looks; i++)
            {
                Budget.Spend();
                var isFree = index.Nearest(along.At((i % looks + 0.5) * step), within) is null;
                run = isFree ? Math.Min(run + 1, looks) : 0;
                if (run * step > longest)
                {
                    (longest, middle) = (
                        run * step,
                        along.At(((i % looks) + 0.5 - (run / 2.0) + looks) % looks * step)
                    );
                }
            }
        }
        return (longest, middle);
    }
}
