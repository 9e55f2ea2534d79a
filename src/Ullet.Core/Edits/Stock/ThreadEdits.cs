using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Adds a thread to the project.</summary>
public sealed record AddThread : Edit
{
    public required string Name { get; init; }

    public required string Colour { get; init; }

    public ThreadKind Kind { get; init; }

    public override string Label(Project before) => $"Add thread {Name}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var thread = new MachineThread
        {
            Id = $"t{project.NextNumber}",
            Name = Name.Trim(),
            Colour = Colour,
            Kind = Kind,
        };
        return ChangeThread.Check(thread) is { } refusal
            ? refusal
            : project with
            {
                Threads = project.Threads.Add(thread),
                NextNumber = project.NextNumber + 1,
            };
    }
}

/// <summary>Changes a thread wherever it is used.</summary>
public sealed record ChangeThread : Edit
{
    public required MachineThread Thread { get; init; }

    public override string Label(Project before) => $"Change thread {Thread.Name}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        if (project.FindThread(Thread.Id) is null)
        {
            return EditRefusals.NoThread(Thread.Id);
        }
        return Check(Thread) is { } refusal
            ? refusal
            : project with
            {
                Threads = [.. project.Threads.Select(thread => thread.Id == Thread.Id ? Thread : thread)],
            };
    }

    internal static Refusal? Check(MachineThread thread) =>
        Limits.CheckName(thread.Name, "The thread") ?? Limits.CheckColour(thread.Colour, "The thread");
}
