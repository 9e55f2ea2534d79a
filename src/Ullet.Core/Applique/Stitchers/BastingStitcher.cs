using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Basting: once along, in long stitches.</summary>
internal sealed class BastingStitcher : Stitcher<BastingPlan>
{
    private protected override StepStitches Sew(BastingPlan plan, Outline outline, CancellationToken cancellation) =>
        new RunStitcher().Sew((StitchPlan)new RunPlan(plan.StitchLength, 0, 1), outline, cancellation);
}
