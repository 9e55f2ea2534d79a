namespace Ullet.Core.Projects;

/// <summary>A machine thread of the project.</summary>
public sealed record MachineThread
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    /// <summary>#rrggbb.</summary>
    public required string Colour { get; init; }

    public ThreadKind Kind { get; init; } = ThreadKind.Polyester;
}

public enum ThreadKind
{
    Polyester,
    Rayon,
    Cotton,
    Metallic,
}
