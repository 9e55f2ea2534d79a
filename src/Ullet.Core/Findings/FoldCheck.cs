using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Is a layer folded over that is sewn down beyond its fold?</summary>
internal sealed class FoldCheck : ICheck
{
    /// <summary>Nearer to the fold than this a line is the seam that it is folded along, mm.</summary>
    private const double AtFold = 1.5;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        var steps = input.RunSheet.Steps;
        var states = input.Layers;
        foreach (var hand in input.Project.RunSheet.Hands.Where(hand => HandTable.Of(hand.Kind).Folds))
        {
            // It names a layer, and nothing came of it.
            if (
                hand.LayerId is not null
                && steps.FirstOrDefault(step => step.Key == hand.Key) is HandStep { Work.Changes.IsEmpty: true } step
            )
            {
                yield return Nothing(
                    step,
                    "along no straight line that is sewn: choose a cloth that you or the pattern lays, and a straight seam to fold it along"
                );
            }
        }
        for (var i = 1; i < steps.Length; i++)
        {
            foreach (var fold in ((steps[i] as HandStep)?.Work.Changes ?? []).OfType<LayerFolded>())
            {
                Budget.Spend();
                if (!states[i - 1].Any(layer => layer.Id == fold.LayerId))
                {
                    yield return Nothing(steps[i], "which does not lie in the hoop then");
                }
                if (
                    states[i - 1].FirstOrDefault(layer => layer.Id == fold.LayerId) is { } layer
                    && SewnDown(layer, fold, i, states, input) is var (by, at)
                )
                {
                    yield return new Finding(
                        "fold-sewn-down",
                        FindingLevel.Stop,
                        null,
                        at,
                        $"{layer.Name} can't be folded over: \"{StepNames.Of(by)}\" has sewn it down beyond the fold."
                    );
                }
            }
        }
    }

    private static Finding Nothing(RunStep step, string why) =>
        new("fold-nothing", FindingLevel.Stop, null, null, $"\"{StepNames.Of(step)}\" is to fold a layer over {why}.");

    /// <summary>The step that sewed the part down which is to be folded over, and where; null for none.</summary>
    private static (StitchStep By, Point At)? SewnDown(
        PresentLayer layer,
        LayerFolded fold,
        int until,
        ImmutableArray<ImmutableArray<PresentLayer>> states,
        FindingInput input
    )
    {
        var moving = RegionOverlay.Difference(layer.Area, fold.Area);
        if (moving.IsEmpty)
        {
            return null;
        }
        var area = new AreaIndex(moving);
        for (var i = until - 1; i >= 0 && states[i].Any(known => known.Id == layer.Id); i--)
        {
            if (input.RunSheet.Steps[i] is not StitchStep step || !input.Stitches.TryGetValue(step.Key, out var sewn))
            {
                continue;
            }
            foreach (var point in sewn.Runs.SelectMany(run => run.Points))
            {
                if (area.Holds(point) && RegionOverlay.DistanceToRings(fold.Area, point) > AtFold)
                {
                    return (step, point);
                }
            }
        }
        return null;
    }
}
