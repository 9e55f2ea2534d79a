using System.Text.Json.Serialization;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Projects;

/// <summary>A machine thread that a household owns. Projects take copies of it: changing it changes none of them.</summary>
/// <param name="Id">Names it in the stash.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Colour">#rrggbb.</param>
public sealed record StashThread(string Id, string Name, string Colour)
{
    /// <summary>How much is left, metres.</summary>
    public static readonly (double Least, double Most) Lengths = (0, 100_000);

    public ThreadKind Kind { get; init; }

    /// <summary>What its maker numbers it by; null where nobody said.</summary>
    public string? Number { get; init; }

    /// <summary>Who made it, as typed; null where nobody said.</summary>
    public string? Maker { get; init; }

    /// <summary>How much is left, metres; null where nobody measured.</summary>
    public double? Metres { get; init; }

    /// <summary>Number and name.</summary>
    public string Label => ForProject(Id).Label;

    /// <summary>A copy for a project.</summary>
    public MachineThread ForProject(string id) =>
        new()
        {
            Id = id,
            Name = Name,
            Colour = Colour,
            Kind = Kind,
            Number = Number,
            Maker = Maker,
        };

    /// <summary>True when a search finds it: by number, name, maker or kind.</summary>
    public bool Answers(string search) => SearchText.Answers(search, Number, Name, Maker, Kind.ToString());

    /// <summary>The same for threads that are one spool, upper or lower case: of one maker under one number, or without a number
    /// under one name.</summary>
    [JsonIgnore]
    public string Spool => $"{Maker}\n{(Number is { } number ? $"#{number}" : Name)}".ToUpperInvariant();

    /// <summary>The same with its typed texts cleaned.</summary>
    public StashThread Cleaned() =>
        this with
        {
            Name = PlainText.Line(Name),
            Colour = Colour.ToLowerInvariant(),
            Number = MachineThread.Given(Number),
            Maker = MachineThread.Given(Maker),
        };

    /// <summary>Says what is wrong with it, or null.</summary>
    public Refusal? Check() =>
        ForProject(Id).Check() ?? Limits.CheckSet(Metres, Lengths, "m", $"What is left of {Name}", "metres");
}
