using Ullet.Core.Program;

namespace Ullet.Core.Findings;

/// <summary>Is there a thread that the user added and nothing is sewn with?</summary>
internal sealed class ThreadUnusedCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var used = input.Program.Threads.Select(thread => thread.Name).ToHashSet(StringComparer.Ordinal);
        if (!input.Program.Steps.OfType<ProgramStitches>().Any())
        {
            yield break;
        }
        foreach (var thread in input.Project.Threads.Where(IsAdded).Where(thread => !used.Contains(thread.Label)))
        {
            yield return new Finding(
                "thread-unused",
                FindingLevel.Tip,
                null,
                null,
                $"Nothing is sewn with the thread {thread.Label}."
            );
        }
    }

    /// <summary>Threads that a project begins with are a choice to pick from; added ones have a number for a name.</summary>
    private static bool IsAdded(Projects.MachineThread thread) =>
        thread.Id.Length > 1 && thread.Id[0] == 't' && thread.Id.AsSpan(1).ContainsAnyExceptInRange('0', '9') is false;
}
