using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Layers;

/// <summary>A layer that lies in the hoop.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Cloth">Its cloth.</param>
/// <param name="FaceUp">Which face.</param>
/// <param name="IsBehind">True when it lies under what is hooped.</param>
/// <param name="Area">What it takes, mm.</param>
public sealed record PresentLayer(
    string Id,
    string Name,
    Cloth Cloth,
    bool FaceUp,
    bool IsBehind,
    ImmutableArray<Region> Area
)
{
    /// <summary>What it is to the finished thing.</summary>
    public LayerRole Role { get; init; }

    /// <summary>Windows and slots that were cut into it, mm.</summary>
    public ImmutableArray<Region> Windows { get; init; } = [];

    /// <summary>The middle of its slider where it is shut, mm; null for what has none.</summary>
    public Point? SliderShut { get; init; }

    /// <summary>The middle of its slider as it stands, mm: at the far end of what is open.</summary>
    public Point? Slider => Parted?.From ?? SliderShut;

    /// <summary>Where it is parted without being cut: the open part of a zip.</summary>
    public (Point From, Point To)? Parted { get; init; }
}

/// <summary>What lies in the hoop after each step, from the bottom up.</summary>
public static class LayerStates
{
    /// <param name="changes">What each step changes, in order; nothing for a stitch step.</param>
    /// <returns>The layers after each step, one entry for each.</returns>
    public static ImmutableArray<ImmutableArray<PresentLayer>> After(IEnumerable<ImmutableArray<LayerChange>> changes)
    {
        var states = ImmutableArray.CreateBuilder<ImmutableArray<PresentLayer>>();
        var now = ImmutableArray<PresentLayer>.Empty;
        foreach (var step in changes)
        {
            Budget.Spend();
            now = step.Aggregate(now, Changed);
            states.Add(now);
        }
        return states.ToImmutable();
    }

    /// <summary>The numbers of the layers, from the bottom, that needle points go through.</summary>
    public static ImmutableArray<int> Pierced(ImmutableArray<PresentLayer> layers, IReadOnlyList<Point> points)
    {
        var box = Box.Of(points);
        return
        [
            .. Enumerable
                .Range(0, layers.Length)
                .Where(i =>
                    layers[i].Area.Any(region => region.Bounds().Overlaps(box))
                    && new AreaIndex(layers[i].Area) is var area
                    && points.Any(area.Holds)
                ),
        ];
    }

    private static ImmutableArray<PresentLayer> Changed(ImmutableArray<PresentLayer> now, LayerChange change) =>
        change switch
        {
            LayerLaid laid => Laid(now, laid),
            LayerTrimmed trimmed => With(now, trimmed.LayerId, layer => layer with { Area = trimmed.Area }),
            LayerFolded folded => With(
                now,
                folded.LayerId,
                layer => layer with { Area = folded.Area, FaceUp = folded.FaceUp }
            ),
            LayerOpened opened => With(
                now,
                opened.LayerId,
                layer =>
                    layer with
                    {
                        Area = RegionOverlay.Difference(layer.Area, opened.Area),
                        Windows = [.. layer.Windows, .. opened.Area],
                    }
            ),
            LayerParted parted => With(
                now,
                parted.LayerId,
                layer => layer with { Parted = parted.From == parted.To ? null : (parted.From, parted.To) }
            ),
            WorkCutOut cut =>
            [
                .. now.Select(layer => layer with { Area = RegionOverlay.Intersection(layer.Area, cut.Area) }),
            ],
            LayerRemoved removed => now.RemoveAll(layer => layer.Id == removed.LayerId),
            _ => throw new ArgumentException($"No layer changes by {change.GetType().Name}.", nameof(change)),
        };

    private static ImmutableArray<PresentLayer> Laid(ImmutableArray<PresentLayer> now, LayerLaid laid)
    {
        var layer = new PresentLayer(laid.LayerId, laid.Name, laid.Cloth, laid.FaceUp, laid.IsBeneath, laid.Area)
        {
            Role = laid.Role,
            SliderShut = laid.Slider,
        };
        var rest = now.RemoveAll(known => known.Id == laid.LayerId);
        return laid.IsBeneath ? rest.Insert(0, layer) : rest.Add(layer);
    }

    private static ImmutableArray<PresentLayer> With(
        ImmutableArray<PresentLayer> now,
        string id,
        Func<PresentLayer, PresentLayer> change
    ) => [.. now.Select(layer => layer.Id == id ? change(layer) : layer)];
}
