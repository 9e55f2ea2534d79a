using Ullet.Core.Pipeline;

namespace Ullet.Files.StitchLists;

/// <summary>The lines of a stitch list that say something, made one by one as they are read.</summary>
/// <remarks>Lines end with a line feed, a carriage return before it left aside, and with nothing else: a name may hold what Unicode
/// calls a line separator.</remarks>
internal sealed class StitchListLines(string text)
{
    private StitchListLine? _next;
    private int _at;
    private int _number;

    /// <summary>How many lines were looked at so far.</summary>
    internal int Number => _number;

    /// <summary>The next line, which stays; false at the end.</summary>
    internal bool TryPeek(out StitchListLine line)
    {
        _next ??= Next();
        line = _next!;
        return _next is not null;
    }

    /// <summary>Takes the next line; false at the end.</summary>
    internal bool TryDequeue(out StitchListLine line)
    {
        var found = TryPeek(out line);
        _next = null;
        return found;
    }

    internal StitchListLine Dequeue() =>
        TryDequeue(out var line) ? line : throw new InvalidOperationException("There are no more lines.");

    /// <summary>Takes the next line, which must begin with this word.</summary>
    internal StitchListLine Header(string word)
    {
        if (!TryDequeue(out var line))
        {
            throw new StitchListException(1, $"the line \"{word}\" is missing");
        }
        line.Expect(word);
        return line;
    }

    /// <summary>The one word of a line that has a name and a word.</summary>
    internal string Only(string name)
    {
        var line = Header(name);
        var word = line.Word($"the {name}");
        line.End();
        return word;
    }

    /// <summary>True when the next line begins with this word.</summary>
    internal bool NextIs(string word) => TryPeek(out var line) && line.Starts(word);

    private StitchListLine? Next()
    {
        while (_at < text.Length)
        {
            var end = text.IndexOf('\n', _at);
            end = end < 0 ? text.Length : end;
            var line = text.AsSpan(_at, end - _at).TrimEnd('\r');
            _at = end + 1;
            _number++;
            Budget.Spend(1 + (line.Length / 16));
            // The first line names the format.
            if (_number > 1 && line.Length > 0 && line[0] != '#')
            {
                return new StitchListLine(_number, line.ToString());
            }
        }
        return null;
    }
}
