using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternHands;
using static Ullet.Core.Patterns.ZipPouch;

namespace Ullet.Core.Patterns;

/// <summary>What is sewn and done by hand for a zip pouch, in order.</summary>
internal static class ZipPouchSteps
{
    /// <param name="stuff">The project's cloths.</param>
    /// <param name="pouch">Where its parts lie.</param>
    internal static IEnumerable<PatternAct> Of(PatternStuff stuff, PouchSizes pouch) =>
        [.. Front(stuff, pouch), .. Behind(stuff, pouch), .. Closed(stuff, pouch), .. Finished(pouch)];

    /// <summary>The zip and the panels beside it.</summary>
    private static IEnumerable<PatternAct> Front(PatternStuff stuff, PouchSizes pouch)
    {
        yield return HoopUpStabiliser(stuff, pouch.Cut, SoftStabiliser);
        yield return SewAct.Line(ZipPouchParts.ZipPlace, ActRole.PlaceZip);
        yield return Hands(
            HandKind.Lay,
            ZipPouchHands.LayZip,
            $"Lay the closed zip face up along the three lines, its teeth on the middle one and its slider to the right. Its tape must be at "
                + $"least {LengthText.AtLeast(pouch.Tape.Width, Tape)}: it reaches {StopEnd:0} mm past the ends of the lines on the left and "
                + $"{SliderEnd:0} mm on the right. Tape both ends down, away from the needle.",
            $"The slider must lie {SliderEnd - 30:0} mm or more beyond the right end of the lines: the presser foot must not touch it.",
            "The teeth lie along the middle line from end to end, and the tape does not bow.",
            role: ActRole.LayZip,
            changes: [Laid("p-zip", "Zip", stuff.Of(ZipTape), true, pouch.Tape)]
        );
        yield return SewAct.Line(ZipPouchParts.ZipTack, ActRole.TackZip);
        yield return SewAct.Line(ZipPouchParts.ZipStop, ActRole.JoinTape);
        yield return LayPanel(
            ZipPouchHands.LayFront,
            "front",
            "front panel",
            stuff.Of(ZipPouch.Front),
            Flipped(pouch.Lower, pouch.Lower.MinY, Allowance),
            "lower",
            "toward the top of the hoop"
        );
        yield return SewAct.Line(ZipPouchParts.FrontSeam);
        yield return FoldPanel(ZipPouchHands.FoldFront, "front", "front panel", "down", pouch.Lower);
        yield return SewAct.Line(ZipPouchParts.FrontBaste);
        yield return LayPanel(
            ZipPouchHands.LayTop,
            "top",
            "top panel",
            stuff.Of(Top),
            Flipped(pouch.Upper, pouch.Upper.MaxY, Allowance),
            "upper",
            "toward the bottom of the hoop"
        );
        yield return SewAct.Line(ZipPouchParts.TopSeam);
        yield return FoldPanel(ZipPouchHands.FoldTop, "top", "top panel", "up", pouch.Upper);
        yield return SewAct.Line(ZipPouchParts.TopBaste);
    }

    /// <summary>The linings of the front, and the way to the zip from behind.</summary>
    private static IEnumerable<PatternAct> Behind(PatternStuff stuff, PouchSizes pouch)
    {
        var lining = stuff.Of(Lining);
        yield return Hands(
            HandKind.LayBehind,
            ZipPouchHands.LayLining,
            $"Take the hoop off and turn it over. Lay both front linings on the back, right side towards you, the pressed edge of each "
                + $"along the zip: {LiningBack:0} mm farther from the teeth than the panel's seam, which shows there. Hold them with wash-away tape and turn "
                + "the hoop back.",
            "Nothing on the front may be caught, and the slider lies outside still.",
            "Both pressed edges run straight along their seams, and neither covers the teeth.",
            hoopOff: true,
            changes:
            [
                Laid("p-lining", "Lower lining", lining, false, pouch.LowerLining, true, LayerRole.Lining),
                Laid("p-lining-top", "Upper lining", lining, false, pouch.UpperLining, true, LayerRole.Lining),
            ]
        ) with
        {
            Subject = "Linings",
        };
        yield return SewAct.Line(ZipPouchParts.TopStitch);
        yield return Hands(
            HandKind.Trim,
            ZipPouchHands.CutSlot,
            $"Take the hoop off and turn it over. Cut a slot {Slot:0} mm wide into the stabiliser behind the teeth; it ends {Slot:0} mm "
                + "short of both side seams.",
            "Do not cut the tape, the teeth or a lining.",
            "The teeth can be seen along the whole slot.",
            hoopOff: true,
            changes: [new LayerOpened("p-stabiliser", PatternLines.Area(pouch.Slot))]
        ) with
        {
            Subject = "Stabiliser",
        };
        yield return Hands(
            HandKind.OpenZip,
            ZipPouchHands.OpenZip,
            $"Open the zip by two thirds: pull the slider to the left, to about {Opened * pouch.Width:0} mm from the right seam.",
            "The pouch is turned through this opening: shut, it can't be turned.",
            "The slider lies inside the pouch, clear of every line that is still to be sewn.",
            role: ActRole.OpenZip,
            changes:
            [
                new LayerParted("p-zip", new Point(pouch.SliderOpen, pouch.Zip), new Point(pouch.Seam.MaxX, pouch.Zip)),
            ]
        );
        yield return Hands(
            HandKind.Tape,
            ZipPouchHands.JoinEnds,
            "Bring both halves of the tape together at the open end on the right, teeth against teeth, and tape them there, outside the lines.",
            null,
            "The halves meet; the zip does not gape at its end."
        ) with
        {
            Subject = "Zip",
        };
        yield return SewAct.Line(ZipPouchParts.ZipEnds, ActRole.JoinOpenEnd);
    }

    /// <summary>Back and back lining, each with a seam of its own.</summary>
    private static IEnumerable<PatternAct> Closed(PatternStuff stuff, PouchSizes pouch)
    {
        var cut = pouch.Cut;
        yield return Hands(
            HandKind.Lay,
            ZipPouchHands.LayBack,
            $"Lay the back face down over everything, right sides together, its corners between the marks beyond the panels; it must be at least "
                + $"{LengthText.AtLeast(cut.Width, cut.Height)}. Tape its corners.",
            null,
            "The back covers both panels all round, and no tape lies under the seam.",
            role: ActRole.LayClosing,
            changes: [Laid("p-back", "Back", stuff.Of(Back), false, cut, role: LayerRole.Outer)]
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
            changes: [Laid("p-back-lining", "Back lining", stuff.Of(Lining), true, cut, true, LayerRole.Lining)]
        );
        yield return SewAct.Line(ZipPouchParts.LiningSeam, ActRole.SecondSeam);
    }

    /// <summary>Out of the hoop.</summary>
    private static IEnumerable<PatternAct> Finished(PouchSizes pouch)
    {
        yield return Finish(
            HandKind.CutOut,
            ZipPouchHands.CutOut,
            $"Take the work out of the hoop and cut the pouch out {Trimmed:0} mm outside the seams, {LeftAtGap:0} mm at the gap. Notch the round "
                + "corners, and thin the tape's ends where the side seams cross them.",
            "Do not cut into a seam."
        );
        yield return Finish(
            HandKind.Turn,
            ZipPouchHands.Turn,
            pouch.Gap > 0
                ? $"Turn the work through the gap of {pouch.Gap:0} mm in the lining: reach in between the linings and pull everything out. The lining is "
                    + "outside now, and flat."
                : "Turn the work right side out."
        );
        yield return Finish(
            HandKind.FreeText,
            ZipPouchHands.CloseGap,
            "Fold the gap's edges in and close it by hand, or with a line along the edge."
        ) with
        {
            Subject = "Lining",
        };
        yield return Finish(
            HandKind.FreeText,
            ZipPouchHands.TurnZip,
            "Turn the pouch through the zip, and push the corners out with a blunt point."
        );
        yield return Finish(
            HandKind.Press,
            ZipPouchHands.Press,
            "Press the pouch flat, the iron clear of the zip's teeth."
        );
    }

    internal static HandsAct LayPanel(
        PatternHand step,
        string part,
        string name,
        Cloth cloth,
        Box area,
        string edge,
        string body
    ) =>
        Hands(
            HandKind.Lay,
            step,
            $"Lay the {name} ({cloth.Name}) face down over the zip, its raw edge on the {edge} line on the tape and its body "
                + $"{body}; it must be at least {LengthText.AtLeast(area.Width, area.Height)}. Roll up what "
                + "would reach over the hoop's frame, and tape it there and at its corners.",
            null,
            "The raw edge lies on the line from end to end.",
            changes:
            [
                Laid(
                    $"p-{part}",
                    char.ToUpperInvariant(name[0]) + name[1..],
                    cloth,
                    false,
                    area,
                    role: LayerRole.Outer
                ),
            ]
        );

    internal static HandsAct FoldPanel(PatternHand step, string part, string name, string way, Box area) =>
        Hands(
            HandKind.Fold,
            step,
            $"Fold the {name} {way} along its seam, so that it lies face up; crease it with a nail and tape its far edge.",
            null,
            "It lies flat and does not cover the teeth.",
            changes: [Folded($"p-{part}", true, area)]
        );

    /// <summary>Where a panel lies before it is folded along a line: over it, its raw edge an allowance past it.</summary>
    internal static Box Flipped(Box folded, double fold, double allowance) =>
        fold == folded.MinY
            ? new Box(folded.MinX, fold - folded.Height, folded.MaxX, fold + allowance)
            : new Box(folded.MinX, fold - allowance, folded.MaxX, fold + folded.Height);
}
