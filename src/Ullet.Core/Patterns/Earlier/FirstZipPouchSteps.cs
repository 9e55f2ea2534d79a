using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternHands;
using static Ullet.Core.Patterns.ZipPouch;

namespace Ullet.Core.Patterns;

/// <summary>What was sewn and done by hand for the zip pouch of 0.6, in order.</summary>
internal static class FirstZipPouchSteps
{
    /// <param name="stuff">The project's cloths.</param>
    /// <param name="seam">The closing seam, mm.</param>
    /// <param name="cut">What is laid for the pouch, mm.</param>
    /// <param name="zip">The middle of the teeth, mm down.</param>
    /// <param name="lower">The front panel once it is folded, mm.</param>
    /// <param name="upper">The top panel once it is folded, mm.</param>
    internal static IEnumerable<PatternAct> Of(PatternStuff stuff, Box seam, Box cut, double zip, Box lower, Box upper)
    {
        var tapeArea = new Box(
            seam.MinX - FirstZipPouch.TapeEnds,
            zip - (Tape / 2),
            seam.MaxX + FirstZipPouch.TapeEnds,
            zip + (Tape / 2)
        );
        var down = PouchFront.Flipped(lower, lower.MinY, Allowance);
        var up = PouchFront.Flipped(upper, upper.MaxY, Allowance);
        yield return HoopUpStabiliser(stuff, cut);
        yield return SewAct.Line(ZipPouchParts.ZipPlace, ActRole.PlaceZip);
        yield return Hands(
            HandKind.Lay,
            ZipPouchHands.LayZip,
            $"Lay the closed zip face up between the two lines, its slider to the right, beyond the end of the lines; the tape must be at "
                + $"least {LengthText.AtLeast(tapeArea.Width, Tape)}. Tape both ends down, away from the needle.",
            "The slider must lie outside the lines.",
            "The teeth lie midway between the lines and the zip does not bow.",
            role: ActRole.LayZip,
            changes: [Laid("p-zip", "Zip", stuff.Of(PouchCloths.ZipTape), true, tapeArea)]
        );
        yield return SewAct.Line(ZipPouchParts.ZipTack, ActRole.TackZip);
        yield return SewAct.Line(ZipPouchParts.ZipEnds, ActRole.JoinTape);
        yield return LayPanel(
            ZipPouchHands.LayFront,
            "front",
            "front panel",
            stuff.Of(PouchCloths.Front),
            down,
            "lower",
            "toward the top of the hoop"
        );
        yield return SewAct.Line(ZipPouchParts.FrontSeam);
        yield return PouchFront.FoldPanel(ZipPouchHands.FoldFront, "front", "front panel", "down", lower);
        yield return SewAct.Line(ZipPouchParts.TopStitchLower) with
        {
            IsOptional = true,
        };
        yield return LayPanel(
            ZipPouchHands.LayTop,
            "top",
            "top panel",
            stuff.Of(PouchCloths.Top),
            up,
            "upper",
            "toward the bottom of the hoop"
        );
        yield return SewAct.Line(ZipPouchParts.TopSeam);
        yield return PouchFront.FoldPanel(ZipPouchHands.FoldTop, "top", "top panel", "up", upper);
        yield return SewAct.Line(ZipPouchParts.TopStitchUpper) with
        {
            IsOptional = true,
        };
        yield return Hands(
            HandKind.LayBehind,
            ZipPouchHands.LayLining,
            "Take the hoop off and turn it over. Lay both lining pieces right side down on the back, a raw edge of each "
                + $"{Allowance:0} mm past its seam along the zip, their bodies over the zip. Tape them and turn the hoop back.",
            "Nothing on the front may be caught: smooth the panels flat and tape them.",
            "Both linings cover their seam lines from end to end.",
            hoopOff: true,
            changes:
            [
                Laid("p-lining", "Lower lining", stuff.Of(PouchCloths.Lining), false, down, true, LayerRole.Lining),
                Laid("p-lining-top", "Upper lining", stuff.Of(PouchCloths.Lining), false, up, true, LayerRole.Lining),
            ]
        ) with
        {
            Subject = "Linings",
        };
        yield return SewAct.Line(ZipPouchParts.LiningSeam);
        yield return Hands(
            HandKind.Fold,
            ZipPouchHands.FoldLining,
            "Take the hoop off and turn it over. Fold both linings away from the zip along their seams, crease them with a nail, "
                + "tape them flat, and turn the hoop back.",
            hoopOff: true,
            changes: [Folded("p-lining", true, lower), Folded("p-lining-top", true, upper)]
        ) with
        {
            Subject = "Linings",
        };
        yield return Hands(
            HandKind.OpenZip,
            ZipPouchHands.OpenZip,
            $"Open the zip by half to two thirds: pull the slider to the left, to about {FirstZipPouch.Opened * seam.Width:0} mm from the right seam.",
            "The pouch is turned through this opening: shut, it can't be turned.",
            "The slider lies inside the pouch, clear of every line that is still to be sewn.",
            role: ActRole.OpenZip,
            changes:
            [
                new LayerParted(
                    "p-zip",
                    new Point(seam.MaxX - (FirstZipPouch.Opened * seam.Width), zip),
                    new Point(seam.MaxX, zip)
                ),
            ]
        );
        yield return Hands(
            HandKind.Lay,
            ZipPouchHands.LayBack,
            $"Lay the back face down over everything, right sides together; it must be at least {LengthText.AtLeast(cut.Width, cut.Height)}. "
                + "Tape its corners.",
            role: ActRole.LayClosing,
            changes: [Laid("p-back", "Back", stuff.Of(PouchCloths.Back), false, cut, role: LayerRole.Outer)]
        );
        yield return Hands(
            HandKind.LayBehind,
            ZipPouchHands.LayBackLining,
            "Turn the hoop over and lay the back lining right side down on the linings there; tape its corners and turn the hoop back.",
            null,
            "All four layers reach past the closing seam all round, and no tape lies under it.",
            hoopOff: true,
            role: ActRole.LayClosing,
            changes:
            [
                Laid("p-back-lining", "Back lining", stuff.Of(PouchCloths.Lining), false, cut, true, LayerRole.Lining),
            ]
        );
        yield return SewAct.Line(ZipPouchParts.ClosingSeam, ActRole.ClosingSeam);
        yield return Finish(
            HandKind.CutOut,
            ZipPouchHands.CutOut,
            $"Take the work out of the hoop, tear the stabiliser away, and cut the pouch out {Trimmed:0} mm outside the closing seam. Cut "
                + "the zip's ends off level and clip the corners.",
            "Do not cut into the seam."
        );
        yield return Finish(
            HandKind.Turn,
            ZipPouchHands.Turn,
            "Turn the pouch right side out through the zip, and push the corners out with a blunt point."
        );
        yield return Finish(
            HandKind.Press,
            ZipPouchHands.Press,
            "Press the pouch flat, the iron clear of the zip's teeth."
        );
    }

    private static HandsAct LayPanel(
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
            $"Lay the {name} ({cloth.Name}) face down over the zip, its raw edge {Allowance:0} mm past the {edge} seam line and its body "
                + $"{body}; it must be at least {LengthText.AtLeast(area.Width, area.Height)}. Tape its corners.",
            null,
            $"The raw edge runs straight along the {edge} side of the teeth.",
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
}
