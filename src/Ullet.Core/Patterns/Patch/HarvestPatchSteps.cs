using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using static Ullet.Core.Patterns.PatternHands;

namespace Ullet.Core.Patterns;

/// <summary>What is sewn and done by hand for patches, in order.</summary>
internal static class HarvestPatchSteps
{
    internal static Cloth Stabiliser(PatternHold hold) => hold.Of(PatternCloths.WashAway, PatternCloths.StickyWashAway);

    internal static IEnumerable<PatternAct> Of(PatternStuff stuff, PatchWork work)
    {
        var (ground, backing, laid) = (stuff.Of(HarvestPatch.Ground), stuff.Of(HarvestPatch.Backing), work.Laid);
        var (one, isBacked) = (work.Count == 1, work.Back == HarvestPatch.BackFelt);
        var what = one ? "the patch" : $"all {work.Count} patches";
        yield return HoopUpStabiliser(stuff, laid, Stabiliser(work.Hold), hold: work.Hold);
        yield return new SewAct(HarvestPatchParts.Patch.Step(StageId.Placement));
        yield return Hands(
                HandKind.Lay,
                HarvestPatchHands.LayPatch,
                $"{work.Hold.Before(ground)}Lay {ground.Name} face up over the placement {(one ? "line" : "lines")}; one piece of at least "
                    + $"{LengthText.AtLeast(laid.Width, laid.Height)} covers {what}. {work.Hold.OnStabiliser}",
                null,
                "It covers every line by a finger's width.",
                changes: [Laid("p-patch", one ? "Patch" : "Patches", ground, true, laid)]
            )
            .TapedIf(work.Hold.TapesOnStabiliser, "p-patch");
        if (work.Hold == PatternHold.Baste)
        {
            yield return new SewAct(HarvestPatchParts.Basting.Step(StageId.Basting));
        }
        yield return new SewAct(HarvestPatchParts.Patch.Step(StageId.TackDown));
        if (work.Hold == PatternHold.Baste)
        {
            yield return new SewAct(new StepKey(HarvestPatchParts.Basting.ElementId, HandWork.TakeOutBasting, 0));
        }
        if (isBacked)
        {
            yield return Hands(
                    HandKind.LayBehind,
                    HarvestPatchHands.LayBacking,
                    $"Take the hoop off, turn it over, and lay {backing.Name} face down over the back; one piece of at least "
                        + $"{LengthText.AtLeast(laid.Width, laid.Height)} covers {what}. Tape its corners and turn the hoop back.",
                    null,
                    "It covers the stitching on the back by a finger's width all round, and lies within the hoop's inner ring.",
                    hoopOff: true,
                    role: ActRole.LayClosing,
                    changes: [Laid("p-backing", "Backing", backing, true, laid, beneath: true)]
                )
                .TapedAt("p-backing", TapePlace.Corners);
            yield return SewAct.Line(HarvestPatchParts.BackingTack);
        }
        yield return Trim(ground, backing, work, isBacked);
        if (work.Back != HarvestPatch.BackNone)
        {
            var thread = stuff.CoverThread(HarvestPatchParts.Patch) is { } name ? $" ({name})" : "";
            yield return Hands(
                HandKind.ChangeBobbin,
                HarvestPatchHands.Bobbin,
                $"Change the bobbin to one wound with the thread of the edge{thread}: the edge shows on the back.",
                null,
                "The bobbin has enough thread for the whole edge."
            );
        }
        yield return new SewAct(HarvestPatchParts.Patch.Step(StageId.Cover), ActRole.ClosingSeam);
        yield return Finish(
            HandKind.CutOut,
            HarvestPatchHands.CutOut,
            $"Take the work out of the hoop, cut {stuff.Of(Stabiliser(work.Hold)).Name} away close to the edge of {what}, and dissolve the rest with "
                + "a damp brush. Trim the thread ends.",
            "Do not cut into the edge.",
            changes: new WorkCutOut(RegionOffset.By(work.Patches, HarvestPatch.EdgeOutside))
        );
        if (work.Back == HarvestPatch.BackFusible)
        {
            yield return Finish(
                HandKind.Press,
                HarvestPatchHands.PressBack,
                $"Once it is dry, lay {(one ? "the piece" : "a piece")} of {stuff.Of(HarvestPatch.Fusible).Name} on the back of "
                    + $"{(one ? "the patch" : "each patch")}, its paper outside, and press it on, away from the machine."
            );
        }
    }

    private static HandsAct Trim(Cloth ground, Cloth backing, PatchWork work, bool isBacked) =>
        Hands(
            HandKind.Trim,
            HarvestPatchHands.TrimBoth,
            $"Take the hoop off the machine, leave the work in it, and trim {ground.Name} close to its tack-down on the front"
                + (isBacked ? $" and {backing.Name} close to its own on the back." : "."),
            "Do not cut the stitches, nor the stabiliser.",
            hoopOff: true,
            changes: isBacked
                ?
                [
                    new LayerTrimmed("p-patch", work.Patches),
                    new LayerTrimmed(
                        "p-backing",
                        RegionOffset.By(work.Patches, HarvestPatch.BackingLeft - HarvestPatch.BackingInset)
                    ),
                ]
                : [new LayerTrimmed("p-patch", work.Patches)]
        );
}
