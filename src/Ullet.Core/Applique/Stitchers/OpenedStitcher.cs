using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Opened stitches: every needle point where the file has it; runs at another size are stepped anew.</summary>
internal sealed class OpenedStitcher : Stitcher<OpenedPlan>
{
    /// <summary>Nearer to 1 than this nothing is stepped anew: turning and moving leave stitches as they are.</summary>
    private const double SameSize = 0.0005;

    private protected override ContentHash Key(OpenedPlan plan, string outlineKey) => plan.Key(outlineKey);

    private protected override StepStitches Sew(OpenedPlan plan, Outline outline, CancellationToken cancellation)
    {
        var isRestepped = OpenedLookTable.Of(plan.Look).IsRestepped && Math.Abs(plan.Growth - 1) > SameSize;
        var kind = plan.HidesUnderTop ? RunKind.Top : RunKind.Line;
        var runs = ImmutableArray.CreateBuilder<StitchRun>();
        var open = ImmutableArray.CreateBuilder<Point>();
        Point? jump = null;
        foreach (var point in plan.Form.Points)
        {
            Budget.Spend();
            if (point.Move == OpenedMove.Stitch)
            {
                open.Add(plan.Map.Apply(point.At));
                continue;
            }
            Close(isTrimmed: point.Move == OpenedMove.Trim);
            jump = point.Move == OpenedMove.Jump ? plan.Map.Apply(point.At) : null;
        }
        Close(isTrimmed: false);
        return new StepStitches(runs.ToImmutable(), []);

        void Close(bool isTrimmed)
        {
            if (open.Count == 0)
            {
                if (isTrimmed && runs.Count > 0)
                {
                    runs[^1] = runs[^1] with { AsMade = runs[^1].AsMade! with { IsTrimmed = true } };
                }
                return;
            }
            var points = open.DrainToImmutable();
            runs.Add(
                new StitchRun(kind, 0, isRestepped ? Restepped.Of(points, plan.Growth, plan.Look) : points)
                {
                    AsMade = new AsMadeRun(jump, isTrimmed),
                }
            );
            jump = null;
        }
    }
}
