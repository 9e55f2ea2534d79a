using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>The bean (triple) stitch: every stitch of a run forward, back, and forward again.</summary>
public static class BeanStitch
{
    /// <param name="run">Needle points of a running stitch, mm.</param>
    /// <returns>Three times the stitches, between the same holes. A single point stays as it is.</returns>
    public static ImmutableArray<Point> Of(ImmutableArray<Point> run)
    {
        if (run.Length < 2)
        {
            return run;
        }
        var points = ImmutableArray.CreateBuilder<Point>(((run.Length - 1) * 3) + 1);
        points.Add(run[0]);
        for (var i = 1; i < run.Length; i++)
        {
            points.Add(run[i]);
            points.Add(run[i - 1]);
            points.Add(run[i]);
        }
        return points.MoveToImmutable();
    }
}
