using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>The bean stitch: every stitch of a run forward, back, and forward again.</summary>
public static class BeanStitch
{
    /// <param name="run">Needle points of a running stitch, mm.</param>
    /// <param name="passes">How often each stitch is sewn; odd, so that it goes on.</param>
    /// <returns>That many times the stitches, between the same holes. A single point stays as it is.</returns>
    public static ImmutableArray<Point> Of(ImmutableArray<Point> run, int passes = StitchDefaults.BeanPasses)
    {
        ArgumentOutOfRangeException.ThrowIfNotEqual(passes % 2, 1);
        if (run.Length < 2)
        {
            return run;
        }
        var points = ImmutableArray.CreateBuilder<Point>(((run.Length - 1) * passes) + 1);
        points.Add(run[0]);
        for (var i = 1; i < run.Length; i++)
        {
            Budget.Spend();
            for (var pass = 0; pass < passes; pass++)
            {
                points.Add(pass % 2 == 0 ? run[i] : run[i - 1]);
            }
        }
        return points.MoveToImmutable();
    }
}
