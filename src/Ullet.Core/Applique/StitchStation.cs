using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Stage to needle points, without travel, locks and trims.</summary>
public sealed class StitchStation : IStation<Stage, StepStitches>
{
    public int Version => 10;

    public long Bytes(StepStitches output) => Footprint.Thing + output.Runs.Sum(run => Footprint.Of(run.Points));

    /// <summary>The thread is not part of the key: another colour has the same needle points.</summary>
    public ContentHash Key(Stage input) => Stitchers.Of(input.Plan).Key(input.Plan, $"{Version}-{input.OutlineKey}");

    public StepStitches Compute(Stage input, CancellationToken cancellation) =>
        Stitchers.Of(input.Plan).Sew(input.Plan, input.Outline, cancellation);
}
