using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Satin columns over areas and along lines.</summary>
internal sealed class SatinStitcher : Stitcher<SatinPlan>
{
    private protected override StepStitches Sew(SatinPlan plan, Outline outline, CancellationToken cancellation) =>
        SatinColumns.Make(
            plan.Band is { } band ? LineBand.Of(outline, band) : outline.Flatten(),
            plan.Numbers,
            new ColumnWork(plan.Directions, plan.Order == LetterOrder.FromMiddle, plan.JoinNearer),
            cancellation
        );
}
