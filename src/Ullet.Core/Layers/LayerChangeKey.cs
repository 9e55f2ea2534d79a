using System.Collections.Immutable;
using Ullet.Core.Geometry;

namespace Ullet.Core.Layers;

/// <summary>What stands for changes of layers in keys.</summary>
internal static class LayerChangeKey
{
    /// <summary>Everything of a change that anything made of it depends on, to be hashed.</summary>
    /// <exception cref="ArgumentException">A kind of change that is not known.</exception>
    internal static object Of(LayerChange change) =>
        change switch
        {
            LayerLaid laid => new
            {
                laid.LayerId,
                laid.Name,
                laid.FaceUp,
                laid.IsBeneath,
                laid.Role,
                laid.Slider,
                laid.Cloth.Kind,
                Cloth = laid.Cloth.Id,
                Area = Written(laid.Area),
            },
            LayerTrimmed trimmed => new { trimmed.LayerId, Trimmed = Written(trimmed.Area) },
            LayerOpened opened => new { opened.LayerId, Opened = Written(opened.Area) },
            WorkCutOut cut => new { CutOut = Written(cut.Area) },
            LayerParted parted => new
            {
                parted.LayerId,
                parted.From,
                parted.To,
            },
            LayerFolded folded => new
            {
                folded.LayerId,
                folded.FaceUp,
                Folded = Written(folded.Area),
            },
            LayerRemoved removed => new { removed.LayerId },
            _ => throw new ArgumentException($"No key is known of {change.GetType().Name}.", nameof(change)),
        };

    private static double[] Written(ImmutableArray<Region> area) =>
        [
            .. area.SelectMany(region => region.Rings)
                .SelectMany(ring => ring.Points)
                .SelectMany(at => new[] { at.X, at.Y }),
        ];
}
