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

    /// <summary>A new piece as it begins: method, holding and kinds as chosen last.</summary>
    /// <param name="piece">The new piece.</param>
    /// <param name="method">How it is applied.</param>
    public TPiece Begun<TPiece>(TPiece piece, Method method)
        where TPiece : AppliqueElement =>
        piece with
        {
            Method = method,
            Holding = Holding ?? piece.Holding,
            Stages = new StageSettings
            {
                TackDown = new RunSettings { Kind = TackKind },
                Cover = new CoverSettings { Kind = CoverKind, MotifId = MotifId },
            },
        };
}
