using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>A parametric in-the-hoop project: it takes a size and a few words and gives elements, steps, cloths and texts.</summary>
public interface IPattern
{
    string Id { get; }

    string Name { get; }

    /// <summary>One sentence: what it is and how it is closed.</summary>
    string Summary { get; }

    /// <summary>Which making it is: it goes up when the pattern is sewn otherwise than before, and projects keep the making that they
    /// were made by until they are made anew.</summary>
    int Making => 1;

    /// <summary>What this making has over the one before, to go on after "made anew, "; null for a first making.</summary>
    string? Gain => null;

    /// <summary>The sizes and counts that may be asked for.</summary>
    ImmutableArray<PatternNumberField> Numbers { get; }

    /// <summary>What else may be asked for: variants, an outline.</summary>
    ImmutableArray<PatternChoice> Choices => [];

    /// <summary>The words and motifs that change from order to order.</summary>
    ImmutableArray<PatternFillIn> FillIns { get; }

    /// <summary>What one may begin from instead of sizes: a zip, a mug.</summary>
    ImmutableArray<HardwareStart> Hardware { get; }

    /// <summary>What numbers that are each in their range say against each other; null when they go together.</summary>
    Refusal? Check(PatternNumbers numbers);

    /// <summary>The sizes that hardware gives.</summary>
    /// <param name="hardware">The id of one of <see cref="Hardware"/>.</param>
    /// <param name="size">Its size, mm.</param>
    /// <param name="asked">What else is asked for: a form of another outline needs another width.</param>
    ImmutableArray<PatternNumber> FromHardware(string hardware, double size, PatternNumbers asked);

    /// <summary>The whole of it at a size. Deterministic; the numbers must have been checked.</summary>
    PatternPlan Make(PatternNumbers numbers, PatternUse use, PatternStuff stuff);
}

/// <summary>A size (mm) or a count that may be asked of a pattern.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Label">What it is called.</param>
/// <param name="Least">Smallest value.</param>
/// <param name="Most">Largest value.</param>
/// <param name="Usual">The value where none is asked for.</param>
/// <param name="IsCount">True for a whole number without a unit.</param>
public sealed record PatternNumberField(
    string Id,
    string Label,
    double Least,
    double Most,
    double Usual,
    bool IsCount = false
)
{
    /// <summary>Asked only with some option of a choice; null for always.</summary>
    public PatternCondition? Only { get; init; }
}

/// <summary>A place for words, or for a motif.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Label">What it is called.</param>
/// <param name="Usual">What it says where nothing is asked for.</param>
/// <param name="Choices">The motifs to choose from, by name; empty for words.</param>
public sealed record PatternFillIn(string Id, string Label, string Usual, ImmutableArray<string> Choices)
{
    /// <summary>Most characters of words.</summary>
    public const int LongestText = 24;
}

/// <summary>A thing that a pattern is sized for.</summary>
/// <param name="Id">Names it.</param>
/// <param name="Label">What it is, and what of it is measured: "A zip, its tape measured".</param>
/// <param name="Least">Smallest size, mm.</param>
/// <param name="Most">Largest size, mm.</param>
/// <param name="Usual">A common size, mm.</param>
public sealed record HardwareStart(string Id, string Label, double Least, double Most, double Usual);
