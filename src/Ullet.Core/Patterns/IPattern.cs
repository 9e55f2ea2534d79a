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

    /// <summary>The sizes and counts that may be asked for.</summary>
    ImmutableArray<PatternNumberField> Numbers { get; }

    /// <summary>The words and motifs that change from order to order.</summary>
    ImmutableArray<PatternFillIn> FillIns { get; }

    /// <summary>What one may begin from instead of sizes: a zip, a mug.</summary>
    ImmutableArray<HardwareStart> Hardware { get; }

    /// <summary>What numbers that are each in their range say against each other; null when they go together.</summary>
    Refusal? Check(PatternNumbers numbers);

    /// <summary>The sizes that hardware gives.</summary>
    /// <param name="hardware">The id of one of <see cref="Hardware"/>.</param>
    /// <param name="size">Its size, mm.</param>
    ImmutableArray<PatternNumber> FromHardware(string hardware, double size);

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
);

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
/// <param name="Label">Asks for its size: "A zip, length of its tape".</param>
/// <param name="Least">Smallest size, mm.</param>
/// <param name="Most">Largest size, mm.</param>
/// <param name="Usual">A common size, mm.</param>
public sealed record HardwareStart(string Id, string Label, double Least, double Most, double Usual);

/// <summary>Numbers asked of a pattern, the usual ones filled in.</summary>
public sealed record PatternNumbers(ImmutableDictionary<string, double> Values)
{
    public double this[string id] => Values[id];

    public int Count(string id) => (int)Math.Round(Values[id]);

    /// <summary>What was asked of a pattern, or why it can't be had.</summary>
    public static Result<PatternNumbers> Of(IPattern pattern, PatternUse use)
    {
        foreach (var number in use.Numbers)
        {
            if (!pattern.Numbers.Any(field => field.Id == number.Id))
            {
                return new Refusal(
                    "pattern-number-unknown",
                    number.Id,
                    $"The pattern \"{pattern.Name}\" has no number \"{number.Id}\"."
                );
            }
        }
        foreach (var field in pattern.Numbers)
        {
            var value = use.NumberOf(field.Id) ?? field.Usual;
            var refusal = Limits.CheckRange(
                value,
                field.Least,
                field.Most,
                field.IsCount ? "" : "mm",
                $"{field.Label} of the {pattern.Name.ToLowerInvariant()}",
                field.Id
            );
            if (refusal is not null)
            {
                return refusal;
            }
            if (field.IsCount && value != Math.Round(value))
            {
                return new Refusal("number-not-whole", field.Id, $"{field.Label} is a whole number; {value} is none.");
            }
        }
        var numbers = new PatternNumbers(
            pattern.Numbers.ToImmutableDictionary(field => field.Id, field => use.NumberOf(field.Id) ?? field.Usual)
        );
        return pattern.Check(numbers) is { } against ? against : numbers;
    }
}
