using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternHands;

namespace Ullet.Core.Patterns;

/// <summary>The front of a zip pouch: the zip and the panels beside it.</summary>
internal static class PouchFront
{
    /// <summary>The zip and the panels beside it.</summary>
    internal static IEnumerable<PatternAct> Of(PatternStuff stuff, PouchSizes pouch)
    {
        yield return HoopUpStabiliser(
            stuff,
            pouch.Cut,
            PouchCloths.StabiliserOf(pouch.Variant),
            pouch.Variant.HasLining ? LayerRole.Inner : LayerRole.TakenOut
        );
        yield return SewAct.Line(ZipPouchParts.ZipPlace, ActRole.PlaceZip);
        yield return Hands(
                HandKind.Lay,
                ZipPouchHands.LayZip,
                $"Lay the closed zip face up along the three lines, its teeth on the middle one and its slider to the right. Its tape must be at "
                    + $"least {LengthText.AtLeast(pouch.Tape.Width, ZipPouch.Tape)}: it reaches {ZipPouch.StopEnd - 5:0} mm past the ends of the lines on the left and "
                    + $"{ZipPouch.SliderEnd - 5:0} mm on the right. Tape both ends down, away from the needle.",
                $"The slider must lie {ZipPouch.SliderShut - (ZipPouch.Slider.Width / 2) - 5:0} mm or more beyond the right end of the lines: the presser foot must not touch it.",
                "The teeth lie along the middle line from end to end, and the tape does not bow.",
                role: ActRole.LayZip,
                changes:
                [
                    Laid("p-zip", "Zip", stuff.Of(PouchCloths.ZipTape), true, pouch.Tape) with
                    {
                        Slider = new Point(pouch.Band.Right + ZipPouch.SliderShut, pouch.Zip),
                    },
                ]
            )
            .AlignedTo(ZipPouchParts.ZipPlace)
            .TapedAt("p-zip", TapePlace.Ends);
        yield return SewAct.Line(ZipPouchParts.ZipTack, ActRole.TackZip);
        yield return SewAct.Line(ZipPouchParts.ZipStop, ActRole.JoinTape);
        yield return LayPanel(
            ZipPouchHands.LayFront,
            "front",
            "front panel",
            stuff.Of(PouchCloths.Front),
            Flipped(pouch.Lower, pouch.Lower.MinY, ZipPouch.Allowance),
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
            stuff.Of(PouchCloths.Top),
            Flipped(pouch.Upper, pouch.Upper.MaxY, ZipPouch.Allowance),
            "upper",
            "toward the bottom of the hoop"
        );
        yield return SewAct.Line(ZipPouchParts.TopSeam);
        yield return FoldPanel(ZipPouchHands.FoldTop, "top", "top panel", "up", pouch.Upper);
        yield return SewAct.Line(ZipPouchParts.TopBaste);
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
                    + $"{body}; it must be at least {LengthText.AtLeast(area.Width, area.Height)}. Where it "
                    + "would reach over the hoop's frame, roll it up from its far edge and tape the roll; tape its corners.",
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
            )
            .AlignedTo(ZipPouchParts.ZipTack)
            .TapedAt($"p-{part}", TapePlace.Corners);

    internal static HandsAct FoldPanel(PatternHand step, string part, string name, string way, Box area) =>
        Hands(
                HandKind.Fold,
                step,
                $"Fold the {name} {way} along its seam, so that it lies face up; crease it with a nail and tape its far edge.",
                null,
                "It lies flat and does not cover the teeth.",
                changes: [Folded($"p-{part}", true, area)]
            )
            .TapedAt($"p-{part}", way == "down" ? TapePlace.Bottom : TapePlace.Top);

    /// <summary>Where a panel lies before it is folded along a line: over it, its raw edge an allowance past it.</summary>
    internal static Box Flipped(Box folded, double fold, double allowance) =>
        fold == folded.MinY
            ? new Box(folded.MinX, fold - folded.Height, folded.MaxX, fold + allowance)
            : new Box(folded.MinX, fold - allowance, folded.MaxX, fold + folded.Height);
}
