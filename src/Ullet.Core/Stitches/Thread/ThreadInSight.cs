using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>How much of a thread shows that nobody is meant to see: travel, underlay, and stitches that leave their band. The one
/// measure for every kind of stitch and for travel between them.</summary>
internal static class ThreadInSight
{
    /// <summary>So much in one piece may show: a thread's end at a hole is not seen, mm. A little under the 0.5 that is promised.</summary>
    internal const double Most = 0.4;

    /// <summary>Thread hides what lies no farther from its middle than this: half its width and a little that it is pressed
    /// flat by, mm.</summary>
    internal const double Hides = 0.25;

    /// <summary>Distance between looks, mm.</summary>
    private const double Step = 0.12;

    /// <summary>The longest piece of a stitch that shows, mm, and its middle.</summary>
    /// <param name="from">Where it begins, mm.</param>
    /// <param name="to">Where it ends, mm.</param>
    /// <param name="isHidden">Whether a place of it is hidden in the end.</param>
    internal static (double Length, Point At) Longest(Point from, Point to, Func<Point, bool> isHidden)
    {
        var length = from.DistanceTo(to);
        var looks = Math.Max(1, (int)Math.Ceiling(length / Step));
        var (longest, run, middle) = (0, 0, from);
        for (var i = 0; i < looks; i++)
        {
            Budget.Spend();
            var at = Point.Lerp(from, to, (i + 0.5) / looks);
            run = isHidden(at) ? 0 : run + 1;
            if (run > longest)
            {
                (longest, middle) = (run, Point.Lerp(from, to, (i + 1 - (run / 2.0)) / looks));
            }
        }
        return (longest * length / looks, middle);
    }

    /// <summary>True when no piece of a stitch shows that is longer than <see cref="Most"/>.</summary>
    internal static bool IsHidden(Point from, Point to, Func<Point, bool> isHidden) =>
        from.DistanceTo(to) <= Most || Longest(from, to, isHidden).Length <= Most;
}
