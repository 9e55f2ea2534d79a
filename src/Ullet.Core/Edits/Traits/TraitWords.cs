using System.Text.Json;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Edits;

/// <summary>Reads the words of traits.</summary>
internal static class TraitWords
{
    /// <summary>A kind's word, as files and requests write it.</summary>
    internal static string Of<TKind>(TKind kind)
        where TKind : struct, Enum => JsonNamingPolicy.CamelCase.ConvertName(kind.ToString());

    /// <summary>The kind that a word stands for, or which there are.</summary>
    internal static Result<TKind> Read<TKind>(TraitValue value, string name, IEnumerable<TKind> kinds)
        where TKind : struct, Enum
    {
        var known = kinds.ToList();
        var at = known.FindIndex(kind => Of(kind) == value.Word);
        return at >= 0
            ? known[at]
            : new Refusal(
                "trait-value-unknown",
                "word",
                $"\"{value.Word}\" is none of these: {string.Join(", ", known.Select(Of))} ({name.ToLowerInvariant()})."
            );
    }
}
