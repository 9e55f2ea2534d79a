using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Moments;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Tests.Moments;

/// <summary>What a drawing must show of a step, told from run sheet and layers alone.</summary>
internal static class MomentLaws
{
    /// <summary>What is wrong with a project's drawings, a sentence each.</summary>
    internal static List<string> Breaches(Evaluated evaluated)
    {
        var wrong = new List<string>();
        foreach (var output in evaluated.Hoopings)
        {
            var isFirst = output.Id == evaluated.Hoopings[0].Id;
            var moments = HoopMoments.Of(output, isFirst ? evaluated.Turning : null);
            if (moments.Length != output.Program.Steps.Length)
            {
                wrong.Add($"{moments.Length} drawings of {output.Program.Steps.Length} steps");
            }
            var isTurned = false;
            for (var i = 0; i < moments.Length; i++)
            {
                var step = output.Program.Steps[i];
                isTurned |= step is ProgramHands { Kind: HandKind.Turn };
                wrong.AddRange(
                    (
                        step is ProgramHands hands
                            ? OfHands(hands, i, moments[i], output, isTurned)
                            : OfSewn(moments[i])
                    ).Select(why => $"{step.Key}: {why}")
                );
            }
        }
        return wrong;
    }

    private static IEnumerable<string> OfSewn(Moment moment)
    {
        if (moment.View != MomentView.Front)
        {
            yield return $"sewn from {moment.View}";
        }
        if (moment.Parts.OfType<ThreadPart>().Count(thread => thread.IsNew) != 1)
        {
            yield return "its thread is not what is new";
        }
        if (moment.Parts.Any(part => part.IsNew && part is not ThreadPart))
        {
            yield return "something beside its thread is new";
        }
    }

    private static IEnumerable<string> OfHands(
        ProgramHands hands,
        int at,
        Moment moment,
        HoopingOutput output,
        bool isTurned
    )
    {
        var work = output.RunSheet.Steps.OfType<HandStep>().First(step => step.Key == hands.Key).Work;
        var goesBehind = hands.Kind != HandKind.HoopUp && hands.Changes.OfType<LayerLaid>().Any(laid => laid.IsBeneath);
        if (goesBehind && moment.View != MomentView.Back)
        {
            yield return "laid behind, and drawn from the front";
        }
        if (hands.Changes.OfType<LayerLaid>().Any(laid => !laid.IsBeneath) && moment.View != MomentView.Front)
        {
            yield return "laid on the front, and drawn from elsewhere";
        }
        foreach (var laid in hands.Changes.OfType<LayerLaid>())
        {
            var part = moment.Parts.OfType<LayerPart>().FirstOrDefault(part => part.Layer.Id == laid.LayerId);
            if (part is null or { IsNew: false })
            {
                yield return $"{laid.Name} is laid and not new";
            }
            else if (part.Face != SeenFace.Either && part.Face == SeenFace.Right != (laid.FaceUp != moment.IsMirrored))
            {
                yield return $"{laid.Name} shows the other face";
            }
        }
        if (moment.Parts.OfType<LayerPart>().Any(part => part.IsNew && !IsAbout(part.Layer.Id, hands, work)))
        {
            yield return "a layer is new that the step does not touch";
        }
        foreach (var line in moment.Parts.OfType<AlignedPart>().Where(part => part.Line is not null))
        {
            var sewn = output
                .Program.Steps.Take(at)
                .OfType<ProgramStitches>()
                .Where(step => step.Key == line.Line)
                .SelectMany(step => step.OwnPoints())
                .ToList();
            if (
                line
                    .Lines.SelectMany(each => each)
                    .Any(place => !sewn.Exists(point => point.DistanceTo(place) < StitchApart))
            )
            {
                yield return "it is lined up where nothing was sewn";
            }
        }
        foreach (var to in work.AlignsTo.Where(to => to.Line is not null))
        {
            if (!moment.Parts.OfType<AlignedPart>().Any(part => part.Line == to.Line))
            {
                yield return $"the line {to.Line} that it is held against is not drawn";
            }
        }
        foreach (var fold in hands.Changes.OfType<LayerFolded>())
        {
            if (!moment.Parts.OfType<FoldPart>().Any(part => part.LayerId == fold.LayerId))
            {
                yield return "a fold without its line";
            }
        }
        var cuts = hands.Changes.Count(change => change is LayerTrimmed or LayerOpened or WorkCutOut);
        if (moment.Parts.OfType<ScissorsPart>().Count() != cuts)
        {
            yield return "scissors' lines do not match what is cut";
        }
        if (isTurned && !moment.Stack.IsEmpty)
        {
            yield return "turned work with its layers as in the hoop";
        }
        foreach (var tape in moment.Parts.OfType<TapePart>())
        {
            var held = moment.Parts.OfType<LayerPart>().FirstOrDefault(part => part.Layer.Id == tape.LayerId);
            if (held is null || RegionOverlay.Distance(held.Layer.Area, [new Region(Ring.Of(tape.Strip), [])]) > 0.1)
            {
                yield return $"the tape of {tape.LayerId} does not reach it";
            }
            if (SewnOver(tape, at, output))
            {
                yield return $"the tape of {tape.LayerId} is sewn over";
            }
        }
    }

    /// <summary>No two stitches of a run lie farther apart, mm.</summary>
    private const double StitchApart = 8;

    private static bool IsAbout(string layer, ProgramHands hands, HandWork work) =>
        hands.Changes.Any(change => change.LayerId == layer)
        || (hands.Changes.IsEmpty && work.Tape.Any(taped => taped.LayerId == layer));

    /// <summary>True when the needle goes through a strip before hands take it off.</summary>
    private static bool SewnOver(TapePart tape, int at, HoopingOutput output)
    {
        var strip = new Region(Ring.Of(tape.Strip), []);
        for (var i = at + 1; i < output.Program.Steps.Length; i++)
        {
            if (
                output.Program.Steps[i] is ProgramHands hands
                && hands.Changes.Any(change => change.LayerId == tape.LayerId || change is WorkCutOut)
            )
            {
                return false;
            }
            if (
                output.Program.Steps[i] is ProgramStitches sewn
                && sewn.OwnPoints().Any(point => strip.Shell.Winding(point) != 0)
            )
            {
                return true;
            }
        }
        return false;
    }

    /// <summary>What is wrong with texts on a drawing: one over another, or off the page.</summary>
    internal static List<string> LabelBreaches(InkSheet sheet, ITextMeasure measure)
    {
        var texts = sheet.Content.OfType<InkText>().Select(text => (text.Text, Box: text.Bounds(measure))).ToList();
        var page = new Box(0, 0, sheet.Width, sheet.Height);
        var wrong = texts
            .Where(text => !page.Contains(text.Box, 0.6))
            .Select(text => $"{text.Text} is off the page")
            .ToList();
        for (var i = 0; i < texts.Count; i++)
        {
            for (var j = i + 1; j < texts.Count; j++)
            {
                if (texts[i].Box.Grown(-0.4).Overlaps(texts[j].Box.Grown(-0.4)))
                {
                    wrong.Add($"{texts[i].Text} lies over {texts[j].Text}");
                }
            }
        }
        return wrong;
    }

    /// <summary>Widths near enough to those of the font: a little wider.</summary>
    internal sealed class Rough : ITextMeasure
    {
        public double Width(string text, double size, bool isBold) => text.Length * size * (isBold ? 0.56 : 0.52);
    }
}
