using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Edits;

/// <summary>Adds a thread to the project.</summary>
public sealed record AddThread : Edit
{
    public required string Name { get; init; }

    public required string Colour { get; init; }

    public ThreadKind Kind { get; init; }

    /// <summary>What its maker numbers it by.</summary>
    public string? Number { get; init; }

    /// <summary>Who made it, as typed.</summary>
    public string? Maker { get; init; }

    public override string Label(Project before) => $"Add thread {Name}";

    public override Result<Project> Apply(Project project, EditContext context)
    {
        var thread = new MachineThread
        {
            Id = $"t{project.NextNumber}",
            Name = Name.Trim(),
            Colour = Colour,
            Kind = Kind,
            Number = MachineThread.Given(Number),
            Maker = MachineThread.Given(Maker),
        };
        return thread.Check() is { } refusal
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
        return Thread.Check() is { } refusal
            ? refusal
            : project with
            {
                Threads = [.. project.Threads.Select(thread => thread.Id == Thread.Id ? Thread : thread)],
            };
    }
}
