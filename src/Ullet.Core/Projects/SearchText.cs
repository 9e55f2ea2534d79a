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
    public static string Folded(string text)
    {
        var folded = new StringBuilder(text.Length);
        foreach (var sign in text.Normalize(NormalizationForm.FormD))
        {
            if (CharUnicodeInfo.GetUnicodeCategory(sign) != UnicodeCategory.NonSpacingMark)
            {
                folded.Append(char.IsWhiteSpace(sign) && sign != '\n' ? ' ' : char.ToLowerInvariant(sign));
            }
        }
        return folded.ToString();
    }
}
