using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Is a cloth laid that nothing sews?</summary>
internal sealed class UnsewnLayerCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var steps = input.RunSheet.Steps;
        var states = input.Layers;
        for (var i = 0; i < steps.Length; i++)
        {
            if (steps[i] is not HandStep hand || hand.Work.Kind == HandKind.HoopUp)
            {
                continue;
            }
            foreach (
                var laid in hand
                    .Work.Changes.OfType<LayerLaid>()
                    .Where(laid => laid.Role != LayerRole.TakenOut && !IsSewn(laid.LayerId, i, states, input))
            )
            {
                yield return new Finding(
                    "layer-not-sewn",
                    FindingLevel.Warn,
                    input.Project.Find(laid.LayerId)?.Id,
                    laid.Area.Aggregate(Box.Empty, (box, region) => box.Union(region.Bounds())).Centre,
                    $"Nothing sews {laid.Name} once it is laid at \"{StepNames.Of(hand)}\": it falls off when the work leaves the hoop."
                );
            }
        }
    }

    /// <summary>True when a step goes through a layer from a step on, or the layer is taken out again.</summary>
    private static bool IsSewn(
        string layerId,
        int from,
        ImmutableArray<ImmutableArray<PresentLayer>> states,
        FindingInput input
    )
    {
        var (area, index) = (ImmutableArray<Region>.Empty, (AreaIndex?)null);
        for (var i = from; i < states.Length; i++)
        {
            Budget.Spend();
            if (states[i].FirstOrDefault(layer => layer.Id == layerId) is not { } layer)
            {
                return true;
            }
            if (index is null || layer.Area != area)
            {
                (area, index) = (layer.Area, new AreaIndex(layer.Area));
            }
            if (
                input.RunSheet.Steps[i] is StitchStep step
                && input.Stitches.TryGetValue(step.Key, out var sewn)
                && sewn.Runs.Any(run => run.Points.Any(index.Holds))
            )
            {
                return true;
            }
        }
        return false;
    }
}
