using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Moments;
using Ullet.Core.Projects;

namespace Ullet.Core.Booklets;

/// <summary>A page of the card: hands, or all that the machine sews until it stops again.</summary>
/// <param name="Key">Names it for ever: its first step.</param>
/// <param name="Hooping">The hooping, where there are several; empty for the project's own.</param>
/// <param name="Number">"7", or "7 to 9".</param>
/// <param name="IsHands">True where hands work.</param>
/// <param name="Sentence">What is done; for the machine what it sews.</param>
/// <param name="Warning">What must not go wrong; null for nothing.</param>
/// <param name="Check">What to check before pressing start; null for nothing.</param>
/// <param name="Note">The user's own line; null for none.</param>
/// <param name="Small">Time, and whether the hoop comes off.</param>
/// <param name="Blocks">The blocks that the machine sews; none for hands.</param>
/// <param name="StitchesLeft">Needle points from here to the end.</param>
/// <param name="Moment">What is drawn.</param>
public sealed record CardStop(
    StepKey Key,
    string Hooping,
    string Number,
    bool IsHands,
    string Sentence,
    string? Warning,
    string? Check,
    string? Note,
    string Small,
    ImmutableArray<CardBlock> Blocks,
    int StitchesLeft,
    Moment Moment
);

/// <summary>A block as the machine counts.</summary>
/// <param name="Block">Its number.</param>
/// <param name="Thread">The thread's name.</param>
/// <param name="Colour">#rrggbb.</param>
/// <param name="What">What it sews.</param>
/// <param name="StitchCount">Needle points.</param>
public sealed record CardBlock(int Block, string Thread, string Colour, string What, int StitchCount);

/// <summary>The pages of the card.</summary>
public static class CardStops
{
    /// <summary>All of a project, those of other hoopings first.</summary>
    public static ImmutableArray<CardStop> Of(Evaluated evaluated) =>
        [
            .. evaluated
                .Hoopings.Skip(1)
                .Append(evaluated.Hoopings[0])
                .SelectMany(output => Of(evaluated, output, evaluated.Hoopings.Length > 1 ? output.Name : "")),
        ];

    private static IEnumerable<CardStop> Of(Evaluated evaluated, HoopingOutput output, string hooping)
    {
        var steps = BookletSteps.Of(evaluated, output);
        var left = steps.Sum(step => step.StitchCount);
        for (var i = 0; i < steps.Length; )
        {
            var step = steps[i];
            var count = 1;
            while (
                !step.IsHands
                && i + count < steps.Length
                && !steps[i + count].IsHands
                && !steps[i + count - 1].StopAfter
            )
            {
                count++;
            }
            var run = steps.AsSpan(i, count).ToArray();
            yield return step.IsHands ? Hands(step, hooping, left) : Machine(run, hooping, left);
            left -= run.Sum(each => each.StitchCount);
            i += count;
        }
    }

    private static CardStop Hands(BookletStep step, string hooping, int left) =>
        new(
            step.Key,
            hooping,
            step.Number,
            true,
            step.Sentence,
            step.Warning,
            step.Check,
            step.Note,
            step.Small,
            [],
            left,
            step.Moment
        );

    private static CardStop Machine(BookletStep[] run, string hooping, int left)
    {
        var sewn = run.Select(step => step.Key).ToHashSet();
        var last = run[^1].Moment;
        var moment = last with
        {
            Parts =
            [
                .. last.Parts.Select(part =>
                    part is ThreadPart thread && sewn.Contains(thread.Step) ? thread with { IsNew = true } : part
                ),
            ],
            Focus = run.Aggregate(Geometry.Box.Empty, (box, step) => box.Union(step.Moment.Focus)),
        };
        return new CardStop(
            run[0].Key,
            hooping,
            run.Length == 1 ? run[0].Number : $"{run[0].Number} to {run[^1].Number}",
            false,
            run.Length == 1 ? run[0].Sentence : "The machine sews, one block after the other.",
            null,
            null,
            null,
            run[^1].StopAfter ? "Then it stops for your hands." : "Then it is done.",
            [
                .. run.Select(step => new CardBlock(
                    step.Block,
                    step.Thread,
                    step.Colour,
                    step.Sentence,
                    step.StitchCount
                )),
            ],
            left,
            moment
        );
    }
}
