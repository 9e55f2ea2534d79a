using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Stitches;

namespace Ullet.Core.Maps;

/// <summary>The longest piece of thread in a step that shows where nobody is meant to see it.</summary>
internal static class RunsInSight
{
    /// <summary>The tops as thread, one for each run; null for what is no top.</summary>
    internal static RunThread?[] Threads(StepStitches stitches) =>
        [.. stitches.Runs.Select(run => run.Kind == RunKind.Top ? new RunThread(run.Points) : null)];

    /// <summary>Looks along every stitch.</summary>
    /// <param name="stitches">The step's.</param>
    /// <param name="hides">Whether a place of a run's stitches is hidden in the end, by the run's number.</param>
    /// <param name="most">So much of a run's stitch may show, mm, by the run's number.</param>
    /// <param name="stays">Stitches of tops of which this is true are not looked at.</param>
    /// <returns>The longest that is too long; null when there is none.</returns>
    internal static MeasuredPlace? Worst(
        StepStitches stitches,
        Func<int, Func<Point, bool>> hides,
        Func<int, double> most,
        Func<Point, Point, bool> stays
    )
    {
        MeasuredPlace? worst = null;
        for (var i = 0; i < stitches.Runs.Length; i++)
        {
            var run = stitches.Runs[i];
            var (isHidden, allowed) = (hides(i), most(i));
            for (var k = 1; k < run.Points.Length; k++)
            {
                Budget.Spend();
                var (from, to) = (run.Points[k - 1], run.Points[k]);
                if (run.Kind == RunKind.Top && stays(from, to))
                {
                    continue;
                }
                var (length, at) = ThreadInSight.Longest(from, to, isHidden);
                worst = length > allowed && length > (worst?.Value ?? 0) ? new MeasuredPlace(at, length) : worst;
            }
        }
        return worst;
    }
}
