using System.Text.Json.Serialization;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>A machine thread of the project.</summary>
public sealed record MachineThread
{
    /// <summary>Most characters of a thread's number.</summary>
    public const int LongestNumber = 20;

    public required string Id { get; init; }

    public required string Name { get; init; }

    /// <summary>#rrggbb.</summary>
    public required string Colour { get; init; }

    public ThreadKind Kind { get; init; } = ThreadKind.Polyester;

    /// <summary>What its maker numbers it by; null where nobody said.</summary>
    public string? Number { get; init; }

    /// <summary>Who made it, as typed; null where nobody said.</summary>
    public string? Maker { get; init; }

    /// <summary>How it is called wherever one thread is to be told from another: number and name.</summary>
    [JsonIgnore]
    public string Label => Number is { Length: > 0 } number && number != Name ? $"{number} {Name}" : Name;

    /// <summary>A number or a maker as it is kept: null for one that nobody typed.</summary>
    public static string? Given(string? text) => string.IsNullOrWhiteSpace(text) ? null : PlainText.Line(text);

    /// <summary>Says what is wrong with a thread, or null.</summary>
    public Refusal? Check() =>
        Limits.CheckName(Name, "The thread")
        ?? Limits.CheckColour(Colour, "The thread")
        ?? Limits.CheckLength(Number, LongestNumber, "The thread's number", "number")
        ?? Limits.CheckLength(Maker, Limits.LongestName, "The thread's maker", "maker");
}

public enum ThreadKind
{
    Polyester,
    Rayon,
    Cotton,
    Metallic,
}
