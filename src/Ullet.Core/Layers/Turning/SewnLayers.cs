using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Layers;

/// <summary>A step of a run sheet as layers feel it.</summary>
/// <param name="Name">What is sewn, as a sentence about it names it: "closing seam".</param>
/// <param name="Changes">What hands change; nothing for a step that is sewn.</param>
/// <param name="Lines">Needle points that stay in the work, mm; nothing for hands.</param>
public sealed record PhysicalStep(
    string Name,
    ImmutableArray<LayerChange> Changes,
    ImmutableArray<ImmutableArray<Point>> Lines
);

/// <summary>What was sewn, and the layers that it went through wherever they lay then.</summary>
/// <param name="Name">What is sewn.</param>
/// <param name="Lines">Its needle points, mm.</param>
/// <param name="Layers">The layers that lay in the hoop then, from the bottom, each with the area that it took.</param>
public sealed record SewnSeam(
    string Name,
    ImmutableArray<ImmutableArray<Point>> Lines,
    ImmutableArray<PresentLayer> Layers
);

/// <summary>Layers and the seams that join them.</summary>
/// <param name="Layers">The layers in the end, from the bottom.</param>
/// <param name="Seams">What was sewn, in order.</param>
public sealed record SewnLayers(ImmutableArray<PresentLayer> Layers, ImmutableArray<SewnSeam> Seams)
{
    /// <summary>The stack after steps.</summary>
    public static SewnLayers After(IReadOnlyList<PhysicalStep> steps)
    {
        var states = LayerStates.After(steps.Select(step => step.Changes));
        return new SewnLayers(
            steps.Count == 0 ? [] : states[^1],
            [
                .. steps
                    .Select((step, i) => new SewnSeam(step.Name, step.Lines, states[i]))
                    .Where(seam => !seam.Lines.IsEmpty),
            ]
        );
    }
}
