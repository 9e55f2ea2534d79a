using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>Short ways to write what hands do in patterns.</summary>
internal static class PatternHands
{
    private static readonly PatternHand HoopUp = new("hoop-up");

    internal static HandsAct Hands(
        HandKind kind,
        PatternHand name,
        string text,
        string? warning = null,
        string? check = null,
        bool hoopOff = false,
        ActRole role = ActRole.Plain,
        params ImmutableArray<LayerChange> changes
    ) => new(new HandWork(kind, name.Name, text, warning, hoopOff, changes) { Check = check }, role);

    /// <summary>The first step of every pattern: the stabiliser is hooped alone.</summary>
    /// <param name="stuff">The project's cloths.</param>
    /// <param name="laid">All that will be laid on it, mm.</param>
    /// <param name="stabiliser">Which; null for a medium tear-away.</param>
    /// <param name="role">Whether it stays or comes out again.</param>
    /// <param name="hold">What keeps cloths on it; null for tape.</param>
    internal static HandsAct HoopUpStabiliser(
        PatternStuff stuff,
        Box laid,
        Cloth? stabiliser = null,
        LayerRole role = LayerRole.Inner,
        PatternHold? hold = null
    ) =>
        Hands(
            HandKind.HoopUp,
            HoopUp,
            $"Hoop {stuff.Of(stabiliser ?? PatternCloths.Stabiliser).Name} alone, drum-tight; it must reach past the hoop all round.{hold?.Hooping}",
            hoopOff: true,
            role: ActRole.HoopUp,
            changes:
            [
                Laid(
                    "p-stabiliser",
                    "Stabiliser",
                    stuff.Of(stabiliser ?? PatternCloths.Stabiliser),
                    true,
                    laid.Grown(100),
                    role: role
                ),
            ]
        );

    /// <summary>What is done once the last seam is sewn, the hoop off the machine.</summary>
    internal static HandsAct Finish(
        HandKind kind,
        PatternHand name,
        string text,
        string? warning = null,
        params ImmutableArray<LayerChange> changes
    ) => Hands(kind, name, text, warning, hoopOff: true, role: ActRole.Finish, changes: changes);

    /// <summary>The same, held against the line that a part sews.</summary>
    internal static HandsAct AlignedTo(
        this HandsAct act,
        PatternPart part,
        double leastSeen = 0.5,
        bool isPressed = false
    ) =>
        act with
        {
            Work = act.Work with
            {
                AlignsTo = act.Work.AlignsTo.Add(
                    new Alignment(part.Line) { LeastSeen = leastSeen, IsPressed = isPressed }
                ),
            },
        };

    /// <summary>The same, a layer held with tape.</summary>
    internal static HandsAct TapedAt(this HandsAct act, string layerId, TapePlace place) =>
        act with
        {
            Work = act.Work with { Tape = act.Work.Tape.Add(new Taped(layerId, place)) },
        };

    /// <summary>The same, a layer taped at its corners where what holds it asks for that.</summary>
    internal static HandsAct TapedIf(this HandsAct act, bool isTaped, string layerId) =>
        isTaped ? act.TapedAt(layerId, TapePlace.Corners) : act;

    /// <summary>The same, done where the work was turned through its gap.</summary>
    internal static HandsAct AtTheGap(this HandsAct act) => act with { Work = act.Work with { ClosesGap = true } };

    internal static LayerLaid Laid(
        string layer,
        string name,
        Cloth cloth,
        bool faceUp,
        Box area,
        bool beneath = false,
        LayerRole role = LayerRole.Inner
    ) => new(layer, name, cloth, faceUp, PatternLines.Area(area)) { IsBeneath = beneath, Role = role };

    internal static LayerFolded Folded(string layer, bool faceUp, Box area) =>
        new(layer, faceUp, PatternLines.Area(area));
}
