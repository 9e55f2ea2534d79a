using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Evaluation;

/// <summary>What lies in the hoop once the last panel of a pattern lies as it will stay.</summary>
internal static class PatternBase
{
    internal static ImmutableArray<PresentLayer> Of(
        Project project,
        PatternPlan? plan,
        RunSheet sheet,
        ImmutableArray<ImmutableArray<PresentLayer>> layers
    )
    {
        var ready = plan?.Panels.Select(panel => panel.ReadyAfter).ToHashSet() ?? [];
        var at = Enumerable.Range(0, sheet.Steps.Length).LastOrDefault(i => ready.Contains(sheet.Steps[i].Key), -1);
        return at < 0
            ? []
            :
            [
                .. layers[at]
                    .Where(layer =>
                        !layer.IsBehind
                        && layer.Cloth.Id != project.Hooping.TopClothId
                        && project.Find(layer.Id) is null
                    ),
            ];
    }
}
