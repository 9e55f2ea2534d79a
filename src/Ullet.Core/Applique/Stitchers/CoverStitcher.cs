using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Covers of all kinds.</summary>
internal sealed class CoverStitcher : Stitcher<CoverPlan>
{
    /// <summary>The visible stretches are part of the outline's key.</summary>
    private protected override ContentHash Key(CoverPlan plan, string outlineKey) =>
        ContentHash.Of(plan.Numbers, $"cover-{outlineKey}");

    private protected override StepStitches Sew(CoverPlan plan, Outline outline, CancellationToken cancellation)
    {
        var (regions, cover, visible) = (outline.Flatten(), plan.Numbers, plan.Visible);
        return cover.Kind switch
        {
            CoverKind.Satin or CoverKind.Zigzag => SatinCover.Make(regions, cover.Band, cancellation, visible),
            CoverKind.Blanket => BlanketCover.Make(
                regions,
                new BlanketNumbers(cover.Outside, cover.Inside, cover.UnitLength, cover.IsMirrored),
                cancellation,
                visible
            ),
            CoverKind.Motif => MotifCover.Make(regions, cover, cancellation, visible),
            CoverKind.Bean or CoverKind.RawEdge => BeanCover.Make(regions, cover, visible),
        };
    }
}
