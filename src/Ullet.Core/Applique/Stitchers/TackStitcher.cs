using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Zigzag and blanket tack-downs.</summary>
internal sealed class TackStitcher : Stitcher<TackPlan>
{
    private protected override StepStitches Sew(TackPlan plan, Outline outline, CancellationToken cancellation)
    {
        var regions = outline.Flatten();
        return plan.Kind == TackKind.Blanket
            ? BlanketCover.Make(
                regions,
                new BlanketNumbers(-plan.Inset, plan.Inset + plan.Width, StitchDefaults.TackWidth, IsMirrored: false),
                cancellation
            )
            : ZigzagTack.Make(regions, plan.Inset, plan.Width, cancellation);
    }
}
