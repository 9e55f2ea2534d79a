using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Is the work sewn with two threads that nobody could tell apart? One of them saves changes of thread, and stops.</summary>
internal sealed class ThreadsAlikeCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var sewn = input
            .Program.Steps.OfType<ProgramStitches>()
            .Select(step => input.Program.Threads[step.Thread - 1])
            .GroupBy(thread => (thread.Name, thread.Colour))
            .Select(group => (Thread: Owned(input.Project, group.Key), Steps: group.Count()))
            .Where(each => each.Thread is not null)
            .ToList();
        foreach (var ((one, steps), (other, otherSteps)) in Pairs(sewn))
        {
            if (
                one!.Kind != other!.Kind
                || ColourDistance.Between(one.Colour, other.Colour) > ColourDistance.HardlyTold
            )
            {
                continue;
            }
            var (kept, gone) = steps >= otherSteps ? (one, other) : (other, one);
            yield return new Finding(
                "threads-alike",
                FindingLevel.Tip,
                null,
                null,
                $"{one.Label} and {other.Label} can hardly be told apart; one thread for both saves changing it.",
                new ExchangeThreadMend(gone.Id, kept.Id, kept.Label)
            )
            {
                OtherMends = [new ExchangeThreadMend(kept.Id, gone.Id, gone.Label)],
            };
        }
    }

    private static MachineThread? Owned(Project project, (string Label, string Colour) sewn) =>
        project.Threads.FirstOrDefault(own => own.Label == sewn.Label && own.Colour == sewn.Colour);

    private static IEnumerable<(T One, T Other)> Pairs<T>(List<T> all) =>
        all.SelectMany((one, i) => all.Skip(i + 1).Select(other => (one, other)));
}
