using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Server.Scenes;

namespace Ullet.Server.Devices;

/// <summary>A layer that is laid (with its cloth), or cut back, folded or taken away (without one).</summary>
/// <param name="LayerId">Names the layer in the file.</param>
/// <param name="Name">Its name; null when it lies there already.</param>
/// <param name="Cloth">Its cloth; null when it lies there already.</param>
/// <param name="FaceUp">Which face; null when it stays as it was.</param>
/// <param name="Path">The area it takes from here on, SVG path data, mm; empty when it is taken away.</param>
public sealed record RehearsedLayer(string LayerId, string? Name, Cloth? Cloth, bool? FaceUp, string Path);

/// <summary>What hand steps change of the picture from above, one step after the other. Sights say more; this is what whoever asks as
/// before finds beside them.</summary>
internal sealed class RehearsedLayers(StitchProgram file)
{
    private readonly HashSet<string> _behind =
    [
        .. file
            .Steps.OfType<ProgramHands>()
            .SelectMany(hands => hands.Changes)
            .OfType<LayerLaid>()
            .Where(laid => laid.IsBeneath)
            .Select(laid => laid.LayerId),
    ];

    /// <summary>The cloth that lies under the hooped one; a window shows it.</summary>
    private LayerLaid? _beneath;

    /// <summary>What the next step changes.</summary>
    internal ImmutableArray<RehearsedLayer> Next(ProgramHands step)
    {
        _beneath = step.Changes.OfType<LayerLaid>().LastOrDefault(laid => laid.IsBeneath) ?? _beneath;
        return [.. step.Changes.Where(change => IsSeen(change) && !_behind.Contains(change.LayerId)).Select(Layer)];
    }

    private RehearsedLayer Layer(LayerChange change) =>
        change switch
        {
            LayerOpened opened => new RehearsedLayer(
                _beneath?.LayerId ?? opened.LayerId,
                _beneath?.Name,
                _beneath?.Cloth,
                _beneath?.FaceUp,
                PathText.Of(opened.Area)
            ),
            LayerLaid laid => new RehearsedLayer(
                laid.LayerId,
                laid.Name,
                laid.Cloth,
                laid.FaceUp,
                PathText.Of(laid.Area)
            ),
            LayerFolded folded => new RehearsedLayer(
                folded.LayerId,
                null,
                null,
                folded.FaceUp,
                PathText.Of(folded.Area)
            ),
            LayerRemoved removed => new RehearsedLayer(removed.LayerId, null, null, null, ""),
            LayerTrimmed trimmed => new RehearsedLayer(trimmed.LayerId, null, null, null, PathText.Of(trimmed.Area)),
            _ => throw new InvalidOperationException("Unknown change of layers."),
        };

    /// <summary>True for what changes the picture from above: not for what is laid behind, a slot under other layers, a zip that is
    /// opened, or work that is cut out.</summary>
    private static bool IsSeen(LayerChange change) =>
        change
            is not (
                LayerLaid { IsBeneath: true }
                or LayerOpened { LayerId: not HandWork.GroundLayer }
                or LayerParted
                or WorkCutOut
            );
}
