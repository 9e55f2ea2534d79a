namespace Ullet.Core.Projects;

/// <summary>What a person chose last in a project. New pieces begin with it; a null goes by the presets.</summary>
public sealed record Habits
{
    public Method? Method { get; init; }

    public Holding? Holding { get; init; }

    /// <summary>Kind and motif of the cover; numbers stay with the piece they were set for.</summary>
    public CoverKind? CoverKind { get; init; }

    public string? MotifId { get; init; }

    public TackKind? TackKind { get; init; }

    /// <summary>The stages that a new piece begins with.</summary>
    public StageSettings Stages() =>
        new()
        {
            TackDown = new RunSettings { Kind = TackKind },
            Cover = new CoverSettings { Kind = CoverKind, MotifId = MotifId },
        };
}
