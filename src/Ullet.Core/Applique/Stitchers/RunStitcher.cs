using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Running stitches: round and round a ring, to and fro along an open line.</summary>
internal sealed class RunStitcher : Stitcher<RunPlan>
{
    private protected override StepStitches Sew(RunPlan plan, Outline outline, CancellationToken cancellation)
    {
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        var edge = 0;
        foreach (var ring in InsetLine.Of(outline.Flatten(), plan.Inset).Select(StartPoint.Choose))
        {
            if (plan.Across > 0)
            {
                Add(ZigzagLine.Of([.. ring.Points, ring.Points[0]], plan.Across));
                continue;
            }
            var points = RunStitch.Round(ring, plan.StitchLength);
            for (var pass = 1; pass < plan.Passes; pass++)
            {
                points = points.AddRange(RunStitch.Round(ring, plan.StitchLength, 0.5).Skip(1));
            }
            Add(points);
        }
        foreach (var line in outline.Lines)
        {
            Add(Along(line.Flatten(), plan));
        }
        return new StepStitches(runs.ToImmutable(), []);

        void Add(ImmutableArray<Point> points)
        {
            if (points.Length > 1)
            {
                runs.Add(new StitchRun(RunKind.Line, edge, plan.IsBean ? BeanStitch.Of(points) : points));
            }
            edge++;
        }
    }

    private static ImmutableArray<Point> Along(ImmutableArray<Point> line, RunPlan plan)
    {
        var once = plan.Across > 0 ? ZigzagLine.Of(line, plan.Across) : RunStitch.Along(line, plan.StitchLength);
        var isClosed = line.Length > 2 && line[0].DistanceTo(line[^1]) <= Tolerance.Same;
        var points = once;
        for (var pass = 1; pass < plan.Passes; pass++)
        {
            points = points.AddRange(isClosed || pass % 2 == 0 ? once.Skip(1) : once.Reverse().Skip(1));
        }
        return points;
    }
}
