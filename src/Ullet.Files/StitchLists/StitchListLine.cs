using System.Globalization;
using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Files.StitchLists;

/// <summary>A line of a stitch list that can't be read; becomes a refusal at the reader's border.</summary>
internal sealed class StitchListException(int line, string why) : Exception(why)
{
    internal int Line { get; } = line;
}

/// <summary>One line of a stitch list, word by word.</summary>
internal sealed class StitchListLine
{
    /// <summary>No place lies farther away, mm.</summary>
    private const double MostMm = 10_000;

    private readonly List<string> _words;
    private int _at;

    internal StitchListLine(int number, string text)
    {
        Number = number;
        _words = Split(number, text);
    }

    internal int Number { get; }

    internal bool HasMore => _at < _words.Count;

    internal string Word(string what) => HasMore ? _words[_at++] : throw Wrong($"{what} is missing");

    /// <summary>True when the line's first word is this one and was not read yet.</summary>
    internal bool Starts(string word) => _at == 0 && _words.Count > 0 && _words[0] == word;

    /// <summary>Reads a word that must be this one.</summary>
    internal void Expect(string word)
    {
        var found = Word($"\"{word}\"");
        if (found != word)
        {
            throw Wrong($"\"{word}\" was expected, \"{Shorten(found)}\" stands there");
        }
    }

    /// <summary>Reads a word where it stands next; false where the line ends or another does.</summary>
    internal bool Takes(string word)
    {
        var takes = HasMore && _words[_at] == word;
        _at += takes ? 1 : 0;
        return takes;
    }

    internal double Real(string what)
    {
        var word = Word(what);
        return Measure.Read(word) is { } value && Math.Abs(value) <= MostMm
            ? value
            : throw Wrong($"{what} must be a number up to 10000; \"{Shorten(word)}\" is none");
    }

    internal int Whole(string what)
    {
        var word = Word(what);
        return int.TryParse(word, NumberStyles.None, CultureInfo.InvariantCulture, out var value)
            ? value
            : throw Wrong($"{what} must be a whole number; \"{Shorten(word)}\" is none");
    }

    internal TValue OneOf<TValue>(IReadOnlyDictionary<TValue, string> words, string what)
        where TValue : notnull
    {
        var word = Word(what);
        foreach (var (value, name) in words)
        {
            if (name == word)
            {
                return value;
            }
        }
        throw Wrong($"\"{Shorten(word)}\" is no {what} that version {StitchListFormat.Version} knows");
    }

    /// <summary>A colour like "#8e2347".</summary>
    internal string Colour(string what) => Checked(Word(what));

    /// <summary>A colour, or null for the word "none".</summary>
    internal string? ColourOrNone(string what) => Word(what) is var word && word == "none" ? null : Checked(word);

    internal Point Place() => new(Real("x"), Real("y"));

    /// <summary>Reads "x,y" pairs to the line's end.</summary>
    internal Ring Ring()
    {
        var points = new List<Point>();
        while (HasMore)
        {
            var word = Word("a place");
            var comma = word.IndexOf(',', StringComparison.Ordinal);
            if (
                comma < 0
                || word.IndexOf(',', comma + 1) >= 0
                || Measure.Read(word.AsSpan(0, comma)) is not { } x
                || Measure.Read(word.AsSpan(comma + 1)) is not { } y
                || Math.Max(Math.Abs(x), Math.Abs(y)) > MostMm
            )
            {
                throw Wrong($"\"{Shorten(word)}\" is no place like 12.5,-3");
            }
            points.Add(new Point(x, y));
        }
        return points.Count >= 3 ? Core.Geometry.Ring.Of(points) : throw Wrong("an area needs three places at least");
    }

    internal void End()
    {
        if (HasMore)
        {
            throw Wrong($"\"{Shorten(_words[_at])}\" stands where the line should end");
        }
    }

    internal StitchListException Wrong(string why) => new(Number, why);

    private string Checked(string colour) =>
        Limits.CheckColour(colour, "") is null ? colour : throw Wrong("a colour is written like #8e2347");

    private static string Shorten(string word) => word.Length <= 30 ? word : word[..30] + "…";

    /// <summary>The character that four hexadecimal digits stand for.</summary>
    private static char Coded(int number, string text, int at) =>
        at + StitchListFormat.CodeDigits <= text.Length
        && ushort.TryParse(
            text.AsSpan(at, StitchListFormat.CodeDigits),
            NumberStyles.AllowHexSpecifier,
            CultureInfo.InvariantCulture,
            out var code
        )
            ? (char)code
            : throw new StitchListException(number, "\\u is followed by four hexadecimal digits");

    private static List<string> Split(int number, string text)
    {
        var words = new List<string>();
        var i = 0;
        while (i < text.Length)
        {
            if (text[i] == ' ')
            {
                i++;
                continue;
            }
            if (text[i] != '"')
            {
                var end = text.IndexOf(' ', i);
                end = end < 0 ? text.Length : end;
                words.Add(text[i..end]);
                i = end;
                continue;
            }
            var word = new StringBuilder();
            for (i++; ; i++)
            {
                if (i >= text.Length)
                {
                    throw new StitchListException(number, "a quotation mark is not closed");
                }
                if (text[i] == '"')
                {
                    break;
                }
                if (text[i] == '\\' && i + 1 < text.Length)
                {
                    i++;
                    if (text[i] == 'u')
                    {
                        word.Append(Coded(number, text, i + 1));
                        i += StitchListFormat.CodeDigits;
                        continue;
                    }
                    word.Append(text[i] == 'n' ? '\n' : text[i]);
                    continue;
                }
                word.Append(text[i]);
            }
            i++;
            words.Add(word.ToString());
        }
        return words;
    }
}
