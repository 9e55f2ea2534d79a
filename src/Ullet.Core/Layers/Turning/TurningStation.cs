using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Layers;

/// <summary>What is sewn and laid until the work is turned.</summary>
/// <param name="Steps">The steps before it, in order.</param>
/// <param name="Keys">What stands for the needle points of each step that is sewn, as long as the steps; null for hands.</param>
public sealed record TurningInput(ImmutableArray<PhysicalStep> Steps, ImmutableArray<ContentHash?> Keys);

/// <summary>What was found about turning.</summary>
/// <param name="Report">Null where there is nothing to say.</param>
public sealed record TurningFound(TurningReport? Report);

/// <summary>Layers and seams to whether the work can be turned.</summary>
public sealed class TurningStation : IStation<TurningInput, TurningFound>
{
    public int Version => 1;

    public long Bytes(TurningFound output) =>
        Footprint.Thing + (output.Report is { } report ? Footprint.Of(report.Way) : 0);

    public ContentHash Key(TurningInput input) =>
        ContentHash.Combine(
            input.Steps.Zip(
                input.Keys,
                (step, sewn) =>
                    ContentHash.Of(
                        new { step.Name, Changes = step.Changes.Select(LayerChangeKey.Of).ToArray() },
                        $"turning-{Version}-{sewn?.Hex}"
                    )
            )
        );

    public TurningFound Compute(TurningInput input, CancellationToken cancellation) =>
        new(TurningSearch.Of(SewnLayers.After(input.Steps)));
}
