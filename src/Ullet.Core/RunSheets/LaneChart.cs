using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.RunSheets;

/// <summary>A layer of cloth in time.</summary>
/// <param name="LayerId">Names it.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Cloth">Its cloth.</param>
/// <param name="IsBehind">True when it lies under what is hooped.</param>
/// <param name="From">The step that lays it, counted from 0.</param>
/// <param name="Until">The step that takes it away; the number of all steps when none does.</param>
/// <param name="Changes">The steps that fold it, trim it or cut it open.</param>
public sealed record Lane(
    string LayerId,
    string Name,
    Cloth Cloth,
    bool IsBehind,
    int From,
    int Until,
    ImmutableArray<int> Changes
);

/// <summary>Layers against time: what lies in the hoop when, and which of it each stitch step goes through.</summary>
/// <param name="Lanes">The layers, the topmost first.</param>
/// <param name="Pierced">For each step the numbers of the lanes that its needle goes through.</param>
public sealed record LaneChart(ImmutableArray<Lane> Lanes, ImmutableArray<ImmutableArray<int>> Pierced)
{
    /// <param name="sheet">The steps in order.</param>
    /// <param name="layers">What lies in the hoop after each of them.</param>
    /// <param name="stitches">Needle points of each stitch step.</param>
    public static LaneChart Of(
        RunSheet sheet,
        ImmutableArray<ImmutableArray<PresentLayer>> layers,
        IReadOnlyDictionary<StepKey, StepStitches> stitches
    )
    {
        var lanes = Ordered(sheet, layers);
        var numbers = lanes
            .Select((lane, i) => (lane.LayerId, i))
            .ToDictionary(p => p.LayerId, p => p.i, StringComparer.Ordinal);
        return new LaneChart(
            lanes,
            [
                .. sheet.Steps.Select(
                    (step, i) =>
                        step is StitchStep && i > 0
                            ? LayerStates
                                .Pierced(layers[i - 1], [.. stitches[step.Key].Runs.SelectMany(run => run.Points)])
                                .Select(layer => numbers[layers[i - 1][layer].Id])
                                .Order()
                                .ToImmutableArray()
                            : []
                ),
            ]
        );
    }

    /// <summary>Layers in front by when they were laid, the latest on top; below them those behind, the latest at the bottom.</summary>
    private static ImmutableArray<Lane> Ordered(RunSheet sheet, ImmutableArray<ImmutableArray<PresentLayer>> layers)
    {
        var lanes = new List<Lane>();
        for (var i = 0; i < layers.Length; i++)
        {
            foreach (var layer in layers[i].Where(layer => !lanes.Exists(lane => lane.LayerId == layer.Id)))
            {
                Budget.Spend();
                var gone = Enumerable
                    .Range(i, layers.Length - i)
                    .FirstOrDefault(k => !Holds(layers[k], layer.Id), layers.Length);
                lanes.Add(
                    new Lane(layer.Id, layer.Name, layer.Cloth, layer.IsBehind, i, gone, Changes(sheet, layer.Id, i))
                );
            }
        }
        return [.. lanes.Where(lane => !lane.IsBehind).Reverse(), .. lanes.Where(lane => lane.IsBehind)];
    }

    private static bool Holds(ImmutableArray<PresentLayer> layers, string id) => layers.Any(layer => layer.Id == id);

    private static ImmutableArray<int> Changes(RunSheet sheet, string id, int laid) =>
        [
            .. Enumerable
                .Range(0, sheet.Steps.Length)
                .Where(i =>
                    i != laid
                    && sheet.Steps[i] is HandStep hand
                    && hand.Work.Changes.Any(change => change.LayerId == id && change is not LayerRemoved)
                ),
        ];
}
