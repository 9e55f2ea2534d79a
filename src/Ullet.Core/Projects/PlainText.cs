using System.Globalization;
using System.Text;

namespace Ullet.Core.Projects;

/// <summary>The one rule for text that people type: what can't be seen or would break a line is taken out.</summary>
/// <remarks>
/// Line ends of every kind (CR, LF, U+0085, U+2028, U+2029, vertical tab, form feed) become "\n" in a text of several lines and a
/// blank in a name; tabs become blanks; other control characters, marks that turn the writing direction (U+200E, U+200F, U+061C,
/// U+202A to U+202E, U+2066 to U+2069), byte order marks and halves of surrogate pairs go. Joiners (U+200C, U+200D) stay: scripts
/// and emoji need them. Laws, tested in PlainTextTests: cleaning twice is cleaning once; clean text comes back as it is.
/// </remarks>
public static class PlainText
{
    /// <summary>A name, a title, a note: one line, without blanks at its ends.</summary>
    public static string Line(string text) => IsClean(text, lines: false) ? text : Cleaned(text, ' ').Trim();

    /// <summary>A text of several lines, divided by "\n".</summary>
    public static string Lines(string text) => IsClean(text, lines: true) ? text : Cleaned(text, '\n');

    private static bool IsClean(string text, bool lines)
    {
        for (var i = 0; i < text.Length; i++)
        {
            if (char.IsHighSurrogate(text[i]) && i + 1 < text.Length && char.IsLowSurrogate(text[i + 1]))
            {
                i++;
                continue;
            }
            if (
                (text[i] != '\n' || !lines)
                && (IsLineEnd(text[i]) || char.IsControl(text[i]) || char.IsSurrogate(text[i]) || IsUnseen(text[i]))
            )
            {
                return false;
            }
        }
        return lines || text.Length == 0 || !(char.IsWhiteSpace(text[0]) || char.IsWhiteSpace(text[^1]));
    }

    private static string Cleaned(string text, char lineEnd)
    {
        var clean = new StringBuilder(text.Length);
        for (var i = 0; i < text.Length; i++)
        {
            var c = text[i];
            if (char.IsHighSurrogate(c) && i + 1 < text.Length && char.IsLowSurrogate(text[i + 1]))
            {
                clean.Append(c).Append(text[++i]);
            }
            else if (c == '\r' && i + 1 < text.Length && text[i + 1] == '\n')
            {
                continue;
            }
            else if (IsLineEnd(c))
            {
                clean.Append(lineEnd);
            }
            else if (c == '\t')
            {
                clean.Append(' ');
            }
            else if (!char.IsControl(c) && !char.IsSurrogate(c) && !IsUnseen(c))
            {
                clean.Append(c);
            }
        }
        return clean.ToString();
    }

    private static bool IsLineEnd(char c) =>
        c is '\n' or '\r' or '\v' or '\f' or '\u0085'
        || char.GetUnicodeCategory(c) is UnicodeCategory.LineSeparator or UnicodeCategory.ParagraphSeparator;

    private static bool IsUnseen(char c) =>
        c
            is '\u200e'
                or '\u200f'
                or '\u061c'
                or (>= '\u202a' and <= '\u202e')
                or (>= '\u2066' and <= '\u2069')
                or '\ufeff'
                or '\ufffe'
                or '\uffff';
}
