using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Moments;

namespace Ullet.Core.Booklets;

/// <summary>A page of the card: hands, or all that the machine sews until it stops again.</summary>
/// <param name="Hooping">The hooping, where there are several; empty for the project's own.</param>
/// <param name="Steps">The booklet's steps on it: one for hands, all of a run for the machine.</param>
/// <param name="StitchesLeft">Needle points from here to the end.</param>
public sealed record CardStop(string Hooping, ImmutableArray<BookletStep> Steps, int StitchesLeft)
{
    /// <summary>The step that names it for ever: its first.</summary>
    public BookletStep First => Steps[0];

    /// <summary>"7", or "7 to 9".</summary>
    public string Number => Steps.Length == 1 ? First.Number : $"{First.Number} to {Steps[^1].Number}";

    /// <summary>What is done; for the machine what it sews.</summary>
    public string Sentence => Steps.Length == 1 ? First.Sentence : "The machine sews, one block after the other.";

    /// <summary>Time and whether the hoop comes off; for the machine what comes after.</summary>
    public string Small =>
        First.IsHands ? First.Small
        : Steps[^1].StopAfter ? "Then it stops for your hands."
        : "Then it is done.";

    /// <summary>What is drawn: all that is sewn on it is new.</summary>
    public Moment Moment
    {
        get
        {
            var (last, sewn) = (Steps[^1].Moment, Steps.Select(step => step.Key).ToHashSet());
            return Steps.Length == 1
                ? last
                : last with
                {
                    Parts =
                    [
                        .. last.Parts.Select(part =>
                            part is ThreadPart thread && sewn.Contains(thread.Step)
                                ? thread with
                                {
                                    IsNew = true,
                                }
                                : part
                        ),
                    ],
                    Focus = Steps.Aggregate(Geometry.Box.Empty, (box, step) => box.Union(step.Moment.Focus)),
                };
        }
    }
}

/// <summary>The pages of the card.</summary>
public static class CardStops
{
    /// <summary>All of a project, those of other hoopings first.</summary>
    public static ImmutableArray<CardStop> Of(Evaluated evaluated) =>
        [
            .. evaluated
                .Hoopings.Skip(1)
                .Append(evaluated.Hoopings[0])
                .SelectMany(output =>
                    Of(
                        BookletWords.In(BookletSteps.Of(evaluated, output), evaluated.Project.Unit),
                        evaluated.Hoopings.Length > 1 ? output.Name : ""
                    )
                ),
        ];

    private static IEnumerable<CardStop> Of(ImmutableArray<BookletStep> steps, string hooping)
    {
        var left = steps.Sum(step => step.StitchCount);
        for (var i = 0; i < steps.Length; )
        {
            var count = 1;
            while (
                !steps[i].IsHands
                && i + count < steps.Length
                && !steps[i + count].IsHands
                && !steps[i + count - 1].StopAfter
            )
            {
                count++;
            }
            var stop = new CardStop(hooping, steps[i..(i + count)], left);
            yield return stop;
            left -= stop.Steps.Sum(step => step.StitchCount);
            i += count;
        }
    }
}
