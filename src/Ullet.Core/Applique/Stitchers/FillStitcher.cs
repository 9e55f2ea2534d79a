using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Rows of stitches over areas.</summary>
internal sealed class FillStitcher : Stitcher<FillPlan>
{
    private protected override StepStitches Sew(FillPlan plan, Outline outline, CancellationToken cancellation)
    {
        var (area, frame) = (outline.Flatten(), plan.Frame());
        if (plan.SecondThreadId is not { } second)
        {
            return FillAreas.Make(area, plan.Numbers, frame, cancellation);
        }
        var first = FillAreas.Make(area, plan.Numbers with { Fade = RowFade.Out }, frame, cancellation);
        var over = FillAreas.Make(
            area,
            plan.Numbers with
            {
                Fade = RowFade.In,
                Underlay = new FillUnderlay(false, false),
            },
            frame,
            cancellation
        );
        return first with
        {
            Runs = [.. first.Runs, .. over.Runs.Select(run => run with { ThreadId = second })],
            Fallen = [.. first.Fallen, .. over.Fallen],
        };
    }
}
