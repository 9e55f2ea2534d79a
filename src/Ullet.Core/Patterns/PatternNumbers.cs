using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Patterns;

/// <summary>What is asked of a pattern, the usual filled in: numbers, choices, an outline.</summary>
public sealed record PatternNumbers(ImmutableDictionary<string, double> Values)
{
    public double this[string id] => Values[id];

    /// <summary>The option that is chosen of each choice.</summary>
    public ImmutableDictionary<string, string> Choices { get; init; } = ImmutableDictionary<string, string>.Empty;

    /// <summary>The user's own form for the outline; null without one.</summary>
    public ShapeSource? OwnOutline { get; init; }

    /// <summary>The same with another number.</summary>
    public PatternNumbers With(string id, double value) => this with { Values = Values.SetItem(id, value) };

    public string Choice(string id) => Choices[id];

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
        if (ChoiceRefusal(pattern, use) is { } unknown)
        {
            return unknown;
        }
        var numbers = Filled(pattern, use);
        return pattern.Check(numbers) is { } against ? against : numbers;
    }

    /// <summary>What was asked, the usual filled in; whether the pattern takes it is not looked at but for choices it does not know.</summary>
    public static Result<PatternNumbers> ToBegin(IPattern pattern, PatternUse use) =>
        ChoiceRefusal(pattern, use) is { } unknown ? unknown : Filled(pattern, use);

    private static PatternNumbers Filled(IPattern pattern, PatternUse use) =>
        new(pattern.Numbers.ToImmutableDictionary(field => field.Id, field => use.NumberOf(field.Id) ?? field.Usual))
        {
            Choices = pattern.Choices.ToImmutableDictionary(
                choice => choice.Id,
                choice => use.ChoiceOf(choice.Id) ?? choice.Usual
            ),
            OwnOutline = use.Outline,
        };

    private static Refusal? ChoiceRefusal(IPattern pattern, PatternUse use)
    {
        foreach (var pick in use.Choices)
        {
            if (pattern.Choices.FirstOrDefault(choice => choice.Id == pick.Id) is not { } choice)
            {
                return new Refusal(
                    "pattern-choice-unknown",
                    pick.Id,
                    $"The pattern \"{pattern.Name}\" has nothing to choose that is called \"{pick.Id}\"."
                );
            }
            if (!choice.Options.Any(option => option.Id == pick.OptionId))
            {
                return new Refusal(
                    "pattern-option-unknown",
                    pick.Id,
                    $"{choice.Label} is one of {string.Join(", ", choice.Options.Select(option => option.Id))}; "
                        + $"\"{pick.OptionId}\" is none of them."
                );
            }
        }
        return null;
    }
}
