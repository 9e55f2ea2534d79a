using System.Collections.Immutable;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternHands;

namespace Ullet.Core.Patterns;

/// <summary>Back and closing seams of a zip pouch, and what is done out of the hoop.</summary>
internal static class PouchClosing
{
    internal static IEnumerable<PatternAct> Of(PatternStuff stuff, PouchSizes pouch) =>
        [.. pouch.Variant.HasGap ? Hidden(stuff, pouch) : AtOnce(stuff, pouch), .. Finished(stuff, pouch)];

    /// <summary>Back and back lining, each with a seam of its own.</summary>
    private static IEnumerable<PatternAct> Hidden(PatternStuff stuff, PouchSizes pouch)
    {
        var (back, lining) = (stuff.Of(PouchCloths.Back), stuff.Of(PouchCloths.Lining));
        yield return LayBack(
            $"Lay the back ({back.Name}) face down over everything, right sides together, its corners between the marks beyond the panels",
            pouch,
            [Laid("p-back", "Back", back, false, pouch.Cut, role: LayerRole.Outer)]
        );
        yield return SewAct.Line(ZipPouchParts.ClosingSeam, ActRole.ClosingSeam);
        yield return Hands(
                HandKind.LayBehind,
                ZipPouchHands.LayBackLining,
                "Take the hoop off and turn it over. Lay the back lining right side down on the linings there, right sides together; tape its corners "
                    + "and turn the hoop back.",
                null,
                "It reaches past the closing seam all round, and no tape lies under the seam.",
                hoopOff: true,
                role: ActRole.LaySecond,
                changes: [Laid("p-back-lining", "Back lining", lining, true, pouch.Cut, true, LayerRole.Lining)]
            )
            .TapedAt("p-back-lining", TapePlace.Corners);
        yield return SewAct.Line(ZipPouchParts.LiningSeam, ActRole.SecondSeam);
    }

    /// <summary>One seam through everything, and a zigzag that keeps the allowance from fraying.</summary>
    private static IEnumerable<PatternAct> AtOnce(PatternStuff stuff, PouchSizes pouch)
    {
        var (back, lining) = (stuff.Of(PouchCloths.Back), stuff.Of(PouchCloths.Lining));
        yield return pouch.Variant.HasLining
            ? LayBack(
                $"Put the back ({back.Name}) and the back lining ({lining.Name}) wrong sides together. Lay both over everything, the back's right "
                    + "side down on the panels and the lining's right side up, their corners between the marks beyond the panels",
                pouch,
                [
                    Laid("p-back", "Back", back, false, pouch.Cut, role: LayerRole.Outer),
                    Laid("p-back-lining", "Back lining", lining, true, pouch.Cut, role: LayerRole.Lining),
                ]
            )
            : LayBack(
                $"Lay the back ({back.Name}) face down over everything, right sides together, its corners between the marks beyond the panels",
                pouch,
                [Laid("p-back", "Back", back, false, pouch.Cut, role: LayerRole.Outer)]
            );
        yield return SewAct.Line(ZipPouchParts.ClosingSeam, ActRole.ClosingSeam);
        yield return SewAct.Line(ZipPouchParts.Zigzag, ActRole.SecondSeam) with
        {
            IsOptional = true,
        };
    }

    private static HandsAct LayBack(string text, PouchSizes pouch, ImmutableArray<LayerChange> changes) =>
        Hands(
                HandKind.Lay,
                ZipPouchHands.LayBack,
                $"{text}; it must be at least {LengthText.AtLeast(pouch.Cut.Width, pouch.Cut.Height)}. Tape its corners.",
                pouch.Loop is null ? null : "The ribbon loop must lie flat beneath it.",
                "It covers both panels all round, and no tape lies under the seam.",
                role: ActRole.LayClosing,
                changes: changes
            )
            // The marks for its corners are the part of the line that lies outside the panels.
            .AlignedTo(ZipPouchParts.ZipPlace, leastSeen: 0.02)
            .TapedAt("p-back", TapePlace.Corners);

    /// <summary>Out of the hoop.</summary>
    private static IEnumerable<PatternAct> Finished(PatternStuff stuff, PouchSizes pouch)
    {
        var clipping = pouch.Form.Clipping(keepsOuter: !pouch.Variant.HasGap);
        yield return Finish(
            HandKind.CutOut,
            ZipPouchHands.CutOut,
            $"Take the work out of the hoop and cut the pouch out {ZipPouch.Trimmed:0} mm outside the "
                + (
                    pouch.Gap is { } open ? $"seams, {ZipPouch.LeftAtGap:0} mm at the gap {open.Where}"
                    : pouch.Variant.HasGap ? "seams"
                    : "seam, close to the zigzag"
                )
                + $". {(clipping.Length > 0 ? $"{clipping}. " : "")}Thin the tape's ends where the side seams cross them.",
            pouch.Variant.HasGap ? "Do not cut into a seam." : "Do not cut into the zigzag.",
            changes: new WorkCutOut(pouch.Form.Grown(ZipPouch.Trimmed).Area)
        );
        if (!pouch.Variant.HasLining)
        {
            var stabiliser = stuff.Of(PatternCloths.Stabiliser).Name;
            yield return Finish(
                HandKind.Remove,
                ZipPouchHands.TearAway,
                $"Tear {stabiliser} away from behind the front: first from the middle, then along the zip and out of the allowance, a thumb on "
                    + "the stitches.",
                changes: new LayerRemoved("p-stabiliser")
            );
        }
        if (pouch.Gap is { } gap)
        {
            yield return Finish(
                HandKind.Turn,
                ZipPouchHands.Turn,
                $"Turn the work through the gap of {gap.Length:0} mm in the lining: reach in between the linings and pull everything out. The lining is "
                    + "outside now, and flat."
            );
            yield return Finish(
                    HandKind.FreeText,
                    ZipPouchHands.CloseGap,
                    "Fold the gap's edges in and close it by hand, or with a line along the edge."
                )
                .AtTheGap() with
            {
                Subject = "Lining",
            };
            yield return Finish(
                HandKind.Turn,
                ZipPouchHands.TurnZip,
                "Turn the pouch through the zip, and push the corners out with a blunt point."
            );
        }
        else
        {
            yield return Finish(
                HandKind.Turn,
                ZipPouchHands.Turn,
                pouch.Variant.HasGap
                    ? "Turn the work right side out."
                    : "Reach through the open zip, take hold of the back and pull everything out; push the corners out with a blunt point."
            );
        }
        yield return Finish(
            HandKind.Press,
            ZipPouchHands.Press,
            "Press the pouch flat, the iron clear of the zip's teeth."
        );
    }
}
