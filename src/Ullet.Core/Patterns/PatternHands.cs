using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>Short ways to write what hands do in patterns.</summary>
internal static class PatternHands
{
    internal static HandsAct Hands(
        HandKind kind,
        string name,
        string text,
        string? warning = null,
        string? check = null,
        bool hoopOff = false,
        ActRole role = ActRole.Plain,
        params ImmutableArray<LayerChange> changes
    ) => new(new HandWork(kind, name, text, warning, hoopOff, changes) { Check = check }, role);

    internal static LayerLaid Laid(
        string layer,
        string name,
        Cloth cloth,
        bool faceUp,
        Box area,
        bool beneath = false
    ) => new(layer, name, cloth, faceUp, PatternLines.Area(area)) { IsBeneath = beneath };

    internal static LayerFolded Folded(string layer, bool faceUp, Box area) =>
        new(layer, faceUp, PatternLines.Area(area));
}
