using System.Text.Json.Serialization;

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

    /// <summary>The cloth that was chosen last.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? ClothId { get; init; }

    /// <summary>What was made of words last.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public WordsUse? WordsUse { get; init; }

    /// <summary>New cloth as it begins: method, holding and kinds as chosen last.</summary>
    /// <param name="cloth">The new making.</param>
    /// <param name="method">How it is applied.</param>
    public ClothMaking Begun(ClothMaking cloth, Method method) =>
        cloth with
        {
            Method = method,
            Holding = Holding ?? cloth.Holding,
            Stages = new StageSettings
            {
                TackDown = new RunSettings { Kind = TackKind },
                Cover = new CoverSettings { Kind = CoverKind, MotifId = MotifId },
            },
        };
}
