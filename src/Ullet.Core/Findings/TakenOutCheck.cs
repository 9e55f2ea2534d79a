using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Does a layer that is to come out again come out, and can hands reach it then? Is something taken out that is not there?</summary>
internal sealed class TakenOutCheck : ICheck
{
    /// <summary>A layer is shut in on a side where others cover more than this share of it.</summary>
    private const double Covered = 0.9;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        var steps = input.RunSheet.Steps;
        for (var i = 0; i < steps.Length; i++)
        {
            foreach (var removed in ((steps[i] as HandStep)?.Work.Changes ?? []).OfType<LayerRemoved>())
            {
                Budget.Spend();
                var before = i == 0 ? [] : input.Layers[i - 1];
                var at = before.Select(layer => layer.Id).ToList().IndexOf(removed.LayerId);
                if (at < 0)
                {
                    yield return Of(
                        "taken-out-missing",
                        FindingLevel.Stop,
                        $"\"{StepNames.Of(steps[i])}\" takes out what does not lie in the hoop then."
                    );
                }
                else if (IsShut(before[at], before[(at + 1)..]) && IsShut(before[at], before[..at]))
                {
                    yield return Of(
                        "layer-shut-in",
                        FindingLevel.Stop,
                        $"{before[at].Name} can't be taken out any more at \"{StepNames.Of(steps[i])}\": it lies shut in between "
                            + $"{before[at - 1].Name.ToLowerInvariant()} and {before[at + 1].Name.ToLowerInvariant()}. Take it out before they are laid."
                    );
                }
            }
        }
        foreach (
            var left in input.Layers.IsEmpty ? [] : input.Layers[^1].Where(layer => layer.Role == LayerRole.TakenOut)
        )
        {
            yield return Of(
                "layer-left-in",
                FindingLevel.Warn,
                $"{left.Name} is to come out again, and no step takes it out."
            );
        }
    }

    private static Finding Of(string code, FindingLevel level, string words) => new(code, level, null, null, words);

    private static bool IsShut(PresentLayer layer, IEnumerable<PresentLayer> others)
    {
        double AreaOf(IEnumerable<Region> regions) => regions.Sum(region => region.Area);
        var open = others.Aggregate(layer.Area, (left, other) => RegionOverlay.Difference(left, other.Area));
        return AreaOf(open) < (1 - Covered) * AreaOf(layer.Area);
    }
}
