using System.Collections.Immutable;
using System.Text.Json;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Edits;

/// <summary>The kinds that a trait's values are chosen from, with their words and names.</summary>
/// <param name="called">What a person calls the trait: "Method".</param>
/// <param name="rows">Every kind with its name, as it is offered.</param>
internal sealed class TraitKinds<TKind>(string called, IEnumerable<(TKind Kind, string Name)> rows)
    where TKind : struct, Enum
{
    private readonly ImmutableArray<(TKind Kind, string Name)> _rows = [.. rows];

    /// <summary>What can be chosen.</summary>
    internal ImmutableArray<TraitChoice> Choices =>
        [.. _rows.Select(row => new TraitChoice(WordOf(row.Kind), row.Name))];

    /// <summary>The value that a kind is.</summary>
    internal static TraitValue Value(TKind kind) => new(WordOf(kind));

    /// <summary>The edit that gives the kind which a value stands for.</summary>
    /// <returns>Or "trait-value-unknown", with the kinds that there are.</returns>
    internal Result<Edit> Given(TraitValue value, Func<TKind, Edit> edit)
    {
        foreach (var (kind, _) in _rows)
        {
            if (WordOf(kind) == value.Word)
            {
                return edit(kind);
            }
        }
        var known = string.Join(", ", _rows.Select(row => WordOf(row.Kind)));
        return new Refusal(
            "trait-value-unknown",
            "word",
            $"\"{value.Word}\" is none of these: {known} ({called.ToLowerInvariant()})."
        );
    }

    /// <summary>A kind's word, as files and requests write it.</summary>
    private static string WordOf(TKind kind) => JsonNamingPolicy.CamelCase.ConvertName(kind.ToString());
}
