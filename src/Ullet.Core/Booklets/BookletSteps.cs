using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Moments;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Timing;

namespace Ullet.Core.Booklets;

/// <summary>The steps of a hooping as booklet and card tell them: equal ones in a row are told once.</summary>
public static class BookletSteps
{
    /// <param name="evaluated">The project.</param>
    /// <param name="output">One of its hoopings.</param>
    public static ImmutableArray<BookletStep> Of(Evaluated evaluated, HoopingOutput output)
    {
        var program = output.Program;
        var isFirst = output.Id == evaluated.Hoopings[0].Id;
        var moments = HoopMoments.Of(output, isFirst ? evaluated.Turning : null);
        var groups = EqualSteps.Of(program).ToDictionary(group => group.First);
        var seconds = StepTimes.Of(program);
        var steps = ImmutableArray.CreateBuilder<BookletStep>();
        for (var i = 0; i < program.Steps.Length; )
        {
            Budget.Spend();
            var group = groups.GetValueOrDefault(i);
            var count = group?.Count ?? 1;
            steps.Add(
                program.Steps[i] switch
                {
                    ProgramHands hands => Hands(
                        hands,
                        i,
                        group,
                        HoopMoments.Together([.. moments.Skip(i).Take(count)]),
                        seconds.Skip(i).Take(count).Sum()
                    ),
                    ProgramStitches sewn => Sewn(sewn, i, program, moments[i], seconds[i]),
                    var other => throw new ArgumentException($"{other.GetType().Name} can't be told.", nameof(output)),
                }
            );
            i += count;
        }
        return [.. steps.Select(step => step with { Photo = evaluated.Project.RunSheet.Of(step.Key)?.Photo })];
    }

    /// <summary>Minutes as hands count them: "about 3 minutes", "less than a minute".</summary>
    public static string Minutes(double seconds)
    {
        var minutes = Math.Ceiling(seconds / 60);
        return minutes <= 1 ? "about a minute" : FormattableString.Invariant($"about {minutes:0} minutes");
    }

    private static BookletStep Hands(ProgramHands hands, int at, EqualGroup? group, Moment moment, double seconds) =>
        new(
            hands.Key,
            group is null ? $"{at + 1}" : $"{at + 1} to {at + group.Count}",
            true,
            group?.Text ?? hands.Text,
            hands.Warning,
            hands.Check,
            hands.Note,
            $"{(hands.HoopOff ? "Hoop off the machine" : "Hoop stays on the machine")}, {Minutes(seconds)}",
            moment
        );

    private static BookletStep Sewn(ProgramStitches sewn, int at, StitchProgram program, Moment moment, double seconds)
    {
        var thread = program.Threads[sewn.Thread - 1];
        var next =
            sewn.StopAfter ? "then it stops"
            : at + 1 < program.Steps.Length ? "then it goes straight on"
            : "then it is done";
        return new BookletStep(
            sewn.Key,
            $"{at + 1}",
            false,
            $"The machine sews the {sewn.Role} of {sewn.OwnerName} with {thread.Name}.",
            null,
            null,
            null,
            FormattableString.Invariant(
                $"Block {sewn.Block}, {sewn.StitchCount:N0} stitches, {Minutes(seconds)}; {next}"
            ),
            moment
        )
        {
            Block = sewn.Block,
            Thread = thread.Name,
            Colour = thread.Colour,
            StitchCount = sewn.StitchCount,
            StopAfter = sewn.StopAfter,
        };
    }
}
