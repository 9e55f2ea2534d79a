using System.Collections.Frozen;
using System.Globalization;
using System.Text;

namespace Ullet.Core.Projects;

/// <summary>Finding by words that a person types: whatever case and accents, in whatever order.</summary>
public static class SearchText
{
    /// <summary>True when each word of a search stands in one of the texts; a search without words finds everything.</summary>
    public static bool Answers(string search, params ReadOnlySpan<string?> texts)
    {
        var words = Words(search);
        if (words.Length == 0)
        {
            return true;
        }
        var folded = Folded(string.Join('\n', texts!));
        return Array.TrueForAll(words, word => folded.Contains(word, StringComparison.Ordinal));
    }

    /// <summary>True when each of some folded words stands in a folded text.</summary>
    public static bool Holds(string folded, ReadOnlySpan<string> words)
    {
        foreach (var word in words)
        {
            if (!folded.Contains(word, StringComparison.Ordinal))
            {
                return false;
            }
        }
        return true;
    }

    /// <summary>The folded words of a search.</summary>
    public static string[] Words(string search) => Folded(search).Split(' ', StringSplitOptions.RemoveEmptyEntries);

    /// <summary>A text without accents, in lower case, its white space as blanks.</summary>
    /// <remarks>By a table of its own: Ullet runs without the system's language data, so that it does the same everywhere.</remarks>
    public static string Folded(string text)
    {
        var folded = new StringBuilder(text.Length);
        foreach (var sign in text)
        {
            var lower = char.ToLowerInvariant(sign);
            if (lower < FirstAccented)
            {
                folded.Append(char.IsWhiteSpace(lower) && lower != '\n' ? ' ' : lower);
            }
            else if (Plain.TryGetValue(lower, out var plain))
            {
                folded.Append(plain);
            }
            else if (CharUnicodeInfo.GetUnicodeCategory(lower) != UnicodeCategory.NonSpacingMark)
            {
                folded.Append(char.IsWhiteSpace(lower) ? ' ' : lower);
            }
        }
        return folded.ToString();
    }

    private const char FirstAccented = '\u00a0';

    /// <summary>What letters of the Latin alphabets are without their marks, and what is typed for signs that keys lack.</summary>
    private static readonly FrozenDictionary<char, string> Plain = new[]
    {
        ("a", "àáâãäåāăąǎ"),
        ("ae", "æ"),
        ("c", "çćĉċč"),
        ("d", "ďđð"),
        ("e", "èéêëēĕėęě"),
        ("g", "ĝğġģ"),
        ("h", "ĥħ"),
        ("i", "ìíîïĩīĭįı"),
        ("j", "ĵ"),
        ("k", "ķ"),
        ("l", "ĺļľŀł"),
        ("n", "ñńņňŉ"),
        ("o", "òóôõöøōŏő"),
        ("oe", "œ"),
        ("r", "ŕŗř"),
        ("s", "śŝşšș"),
        ("ss", "ß"),
        ("t", "ţťŧț"),
        ("th", "þ"),
        ("u", "ùúûüũūŭůűų"),
        ("w", "ŵ"),
        ("y", "ýÿŷ"),
        ("z", "źżž"),
        ("'", "‘’"),
        ("\"", "“”"),
        ("-", "‐‑‒–—"),
    }
        .SelectMany(row => row.Item2.Select(sign => KeyValuePair.Create(sign, row.Item1)))
        .ToFrozenDictionary();
}
