using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>A stitcher that knows its plan's type.</summary>
internal abstract class Stitcher<TPlan> : IStitcher
    where TPlan : StitchPlan
{
    public Type Plan => typeof(TPlan);

    public ContentHash Key(StitchPlan plan, string outlineKey) => Key((TPlan)plan, outlineKey);

    public StepStitches Sew(StitchPlan plan, Outline outline, CancellationToken cancellation) =>
        Sew((TPlan)plan, outline, cancellation);

    private protected virtual ContentHash Key(TPlan plan, string outlineKey) =>
        ContentHash.Of(plan, $"{typeof(TPlan).Name}-{outlineKey}");

    private protected abstract StepStitches Sew(TPlan plan, Outline outline, CancellationToken cancellation);
}
