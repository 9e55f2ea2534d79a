using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternHands;

namespace Ullet.Core.Patterns;

/// <summary>What is sewn and done by hand for a mug rug, in order.</summary>
internal static class MugRugSteps
{
    /// <summary>What is laid for the filling, mm.</summary>
    internal static Box Filling(SeamForm form) => form.Bounds.Grown(8);

    internal static Cloth Stabiliser(PatternHold hold) =>
        hold.Of(PatternCloths.Stabiliser, PatternCloths.StickyTearAway);

    /// <param name="stuff">The project's cloths.</param>
    /// <param name="gap">The closing seam with its gap.</param>
    /// <param name="cut">What is laid for front and back, mm.</param>
    /// <param name="hold">What keeps filling and front still.</param>
    internal static IEnumerable<PatternAct> Of(PatternStuff stuff, SeamGap gap, Box cut, PatternHold hold)
    {
        var form = gap.Form;
        var (batting, front, back) = (stuff.Of(PatternCloths.Batting), stuff.Of(MugRug.Front), stuff.Of(MugRug.Back));
        var laid = Filling(form);
        yield return HoopUpStabiliser(stuff, cut, Stabiliser(hold), hold: hold);
        yield return SewAct.Line(MugRugParts.BattingPlace);
        yield return Hands(
                HandKind.Lay,
                MugRugHands.LayBatting,
                $"{hold.Before(batting)}Lay the {batting.Name} over the line; it must be at least {LengthText.AtLeast(laid.Width, laid.Height)}. {hold.OnStabiliser}",
                null,
                "It covers the line all round by a finger's width.",
                changes: [Laid("p-batting", "Filling", batting, true, laid)]
            )
            .TapedIf(hold.TapesOnStabiliser, "p-batting");
        yield return SewAct.Line(MugRugParts.BattingTack);
        yield return Hands(
            HandKind.Trim,
            MugRugHands.TrimBatting,
            "Take the hoop off the machine, leave the work in it, and trim the filling close to its tack-down, outside of it.",
            "Do not cut the stabiliser, nor the stitches: the closing seam runs just inside of them and is to catch the filling.",
            hoopOff: true,
            changes: [new LayerTrimmed("p-batting", form.Grown(MugRug.BattingLeft).Area)]
        );
        yield return Hands(
                HandKind.Lay,
                MugRugHands.LayFront,
                $"{hold.Before(front)}Lay the front ({front.Name}) face up over the filling; it must be at least {LengthText.AtLeast(cut.Width, cut.Height)}. "
                    + hold.OnCloth,
                null,
                "It lies smooth and reaches past the filling all round.",
                changes: [Laid("p-front", "Front", front, true, cut, role: LayerRole.Outer)]
            )
            .TapedIf(hold.TapesOnCloth, "p-front");
        yield return SewAct.Line(MugRugParts.FrontTack);
        yield return SewAct.Line(MugRugParts.Quilting) with
        {
            IsOptional = true,
        };
        yield return Hands(
                HandKind.Lay,
                MugRugHands.LayBack,
                $"Lay the back ({back.Name}) face down over everything, right sides together; it must be at least "
                    + $"{LengthText.AtLeast(cut.Width, cut.Height)}. Tape its corners.",
                null,
                "It reaches past the front's tack-down all round, and no tape lies under the seam.",
                role: ActRole.LayClosing,
                changes: [Laid("p-back", "Back", back, false, cut, role: LayerRole.Outer)]
            )
            .TapedAt("p-back", TapePlace.Corners);
        yield return SewAct.Line(MugRugParts.ClosingSeam, ActRole.ClosingSeam);
        var clipping = form.Clipping();
        yield return Finish(
            HandKind.CutOut,
            MugRugHands.CutOut,
            $"Take the work out of the hoop, tear away what stabiliser lies outside the seam, and cut the rug out {MugRug.Trimmed:0} mm outside the "
                + $"seam, {MugRug.Beyond:0} mm at the gap {gap.Where}: there the seam turns outwards at both ends.{(clipping.Length > 0 ? $" {clipping}." : "")}",
            "Do not cut into the seam.",
            changes: new WorkCutOut(form.Grown(MugRug.Trimmed).Area)
        );
        yield return Finish(
            HandKind.Turn,
            MugRugHands.Turn,
            $"Turn the rug right side out through the gap of {gap.Length:0} mm {gap.Where}, and push its edge out with a blunt point."
        );
        yield return Finish(
                HandKind.Press,
                MugRugHands.Press,
                "Fold the gap's edges in and press the rug flat. Close the gap by hand, or sew once round the rug 3 mm inside its edge"
                    + (stuff.LineThread is { } thread ? $" with {thread}." : ".")
            )
            .AtTheGap();
    }
}
