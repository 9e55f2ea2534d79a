using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Does a needle sew down what scissors are to cut away later?</summary>
internal sealed class WasteCheck : ICheck
{
    /// <summary>Scissors and needle are not more exact than this, mm.</summary>
    private const double Exact = 1;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        var steps = input.RunSheet.Steps;
        for (var i = 1; i < steps.Length; i++)
        {
            foreach (var trimmed in ((steps[i] as HandStep)?.Work.Changes ?? []).OfType<LayerTrimmed>())
            {
                Budget.Spend();
                if (SewnIn(trimmed, i, input) is var (by, layer, at))
                {
                    yield return new Finding(
                        "sewn-into-waste",
                        FindingLevel.Stop,
                        input.Project.Find(by.OwnerId)?.Id,
                        at,
                        $"\"{StepNames.Of(by)}\" sews down a part of {layer.Name} that \"{StepNames.Of(steps[i])}\" is to cut away: move the two "
                            + "apart, or choose a method whose cloth is cut beforehand.",
                        input.RunSheet.Order.IsUsersOwn ? new PutRightMend() : null
                    );
                }
            }
        }
    }

    private static (StitchStep By, PresentLayer Layer, Point At)? SewnIn(
        LayerTrimmed trimmed,
        int until,
        FindingInput input
    )
    {
        var layer = input.Layers[until - 1].FirstOrDefault(known => known.Id == trimmed.LayerId);
        if (layer is null)
        {
            return null;
        }
        // Deeper in than scissors and needle are exact.
        var waste = RegionOffset.By(RegionOverlay.Difference(layer.Area, trimmed.Area), -Exact);
        if (waste.IsEmpty)
        {
            return null;
        }
        var area = new AreaIndex(waste);
        var box = Box.Of(waste);
        for (var i = until - 1; i >= 0 && input.Layers[i].Any(known => known.Id == layer.Id); i--)
        {
            if (
                input.RunSheet.Steps[i] is not StitchStep step
                || step.OwnerId == trimmed.LayerId
                || StageTable.Of(step.Stage.Id).IsTakenOut
                || IsOfOneSheet(step, layer, input)
            )
            {
                continue;
            }
            foreach (var at in input.PointsOf(step.Key).Where(at => box.Contains(at) && area.Holds(at)))
            {
                return (step, layer, at);
            }
        }
        return null;
    }

    /// <summary>True for a piece of the same cloth: one sheet may be laid for both.</summary>
    private static bool IsOfOneSheet(StitchStep step, PresentLayer layer, FindingInput input) =>
        input.Pieces.Any(work => work.Part.Element.Id == step.OwnerId && work.Cloth.Id == layer.Cloth.Id);
}
