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

    /// <summary>The first step of every pattern: the stabiliser is hooped alone.</summary>
    /// <param name="laid">All that will be laid on it, mm.</param>
    internal static HandsAct HoopUpStabiliser(Box laid) =>
        Hands(
            HandKind.HoopUp,
            "hoop-up",
            $"Hoop {PatternCloths.Stabiliser.Name} alone, drum-tight; it must reach past the hoop all round.",
            hoopOff: true,
            role: ActRole.HoopUp,
            changes: [Laid("p-stabiliser", "Stabiliser", PatternCloths.Stabiliser, true, laid.Grown(100))]
        );

    /// <summary>What is done once the last seam is sewn, the hoop off the machine.</summary>
    internal static HandsAct Finish(HandKind kind, string name, string text, string? warning = null) =>
        Hands(kind, name, text, warning, hoopOff: true, role: ActRole.Finish);

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
