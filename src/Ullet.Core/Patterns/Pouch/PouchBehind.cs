using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternHands;

namespace Ullet.Core.Patterns;

/// <summary>What is done behind a pouch's front before it is closed: linings, the way to the zip, and its open end.</summary>
internal static class PouchBehind
{
    internal static IEnumerable<PatternAct> Of(PatternStuff stuff, PouchSizes pouch)
    {
        if (pouch.Variant.HasLining)
        {
            yield return LayLinings(stuff.Of(PouchCloths.Lining), pouch);
        }
        yield return SewAct.Line(ZipPouchParts.TopStitch);
        if (pouch.Variant.HasLining)
        {
            yield return CutSlot(pouch);
        }
        yield return OpenZip(pouch);
        yield return Hands(
                HandKind.Tape,
                ZipPouchHands.JoinEnds,
                "Bring both halves of the tape together at the open end on the right, teeth against teeth, and tape them there, outside the lines.",
                null,
                "The halves meet; the zip does not gape at its end."
            )
            .TapedAt("p-zip", TapePlace.Right) with
        {
            Subject = "Zip",
        };
        yield return SewAct.Line(ZipPouchParts.ZipEnds, ActRole.JoinOpenEnd);
        if (pouch.Loop is { } loop)
        {
            yield return LayLoop(stuff.Of(PouchCloths.Ribbon), loop);
        }
    }

    private static HandsAct LayLinings(Cloth lining, PouchSizes pouch) =>
        Hands(
                HandKind.LayBehind,
                ZipPouchHands.LayLining,
                $"Take the hoop off and turn it over. Lay both front linings on the back, right side towards you, the pressed edge of each "
                    + $"along the zip: {ZipPouch.LiningBack:0} mm farther from the teeth than the panel's seam, which shows there. Hold them with "
                    + "wash-away tape and turn the hoop back.",
                "Nothing on the front may be caught, and the slider lies outside still.",
                "Both pressed edges run straight along their seams, and neither covers the teeth.",
                hoopOff: true,
                changes:
                [
                    Laid("p-lining", "Lower lining", lining, false, pouch.LowerLining, true, LayerRole.Lining),
                    Laid("p-lining-top", "Upper lining", lining, false, pouch.UpperLining, true, LayerRole.Lining),
                ]
            )
            .AlignedTo(ZipPouchParts.FrontSeam, isPressed: true)
            .AlignedTo(ZipPouchParts.TopSeam, isPressed: true)
            .TapedAt("p-lining", TapePlace.Sides)
            .TapedAt("p-lining-top", TapePlace.Sides) with
        {
            Subject = "Linings",
        };

    private static HandsAct CutSlot(PouchSizes pouch) =>
        Hands(
            HandKind.Trim,
            ZipPouchHands.CutSlot,
            $"Take the hoop off and turn it over. Cut a slot {ZipPouch.Slot:0} mm wide into the stabiliser behind the teeth; it ends "
                + $"{ZipPouch.Slot:0} mm short of both side seams, which is {ZipPouch.Slot + 5:0} mm short of the ends of the lines along the zip.",
            "Do not cut the tape, the teeth or a lining.",
            "The teeth can be seen along the whole slot.",
            hoopOff: true,
            changes: [new LayerOpened("p-stabiliser", PatternLines.Area(pouch.Slot))]
        ) with
        {
            Subject = "Stabiliser",
        };

    private static HandsAct OpenZip(PouchSizes pouch) =>
        Hands(
            HandKind.OpenZip,
            ZipPouchHands.OpenZip,
            $"Open the zip by two thirds: pull the slider to the left, to about {pouch.Band.Right + 5 - pouch.SliderOpen:0} mm from the right "
                + "ends of the lines along it.",
            "The pouch is turned through this opening: shut, it can't be turned.",
            "The slider lies inside the pouch, clear of every line that is still to be sewn.",
            role: ActRole.OpenZip,
            changes:
            [
                new LayerParted(
                    "p-zip",
                    new Point(pouch.SliderOpen, pouch.Zip),
                    new Point(pouch.Band.Right, pouch.Zip)
                ),
            ]
        );

    private static HandsAct LayLoop(Cloth ribbon, PouchLoop loop) =>
        Hands(
                HandKind.Insert,
                ZipPouchHands.LayLoop,
                $"Fold {2 * PouchLoop.Folded:0} mm of {ribbon.Name} in half and lay it on the front panel between the two short marks at the "
                    + $"{loop.Side} edge, the fold towards the middle of the pouch, the raw ends "
                    + $"{PouchLoop.Outside - ZipPouch.BasteOutside:0} mm past the basted line. Tape the raw ends there, outside that line.",
                null,
                "It lies at a right angle to the edge, and its fold lies inside.",
                changes: [Laid("p-loop", "Ribbon loop", ribbon, true, loop.Area)]
            )
            .AlignedTo(ZipPouchParts.FrontBaste)
            .TapedAt("p-loop", loop.Side == "left" ? TapePlace.Left : TapePlace.Right);
}
