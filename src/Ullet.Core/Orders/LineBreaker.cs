using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>The ways in which a text may be set on lines.</summary>
internal static class LineBreaker
{
    /// <summary>Of a text with more places to break than can be tried one by one, so many ways are tried: the evenest.</summary>
    private const int MostWays = 1500;

    /// <summary>Every allowed way, fewest lines first.</summary>
    /// <param name="text">The text; line ends that were typed stay.</param>
    /// <param name="breaks">Where it may go on in another line.</param>
    /// <param name="most">Most lines.</param>
    internal static IEnumerable<string> Ways(string text, LineBreaks breaks, int most)
    {
        var places = Places(text, breaks);
        var typed = text.Count(c => c == '\n') + 1;
        if (typed > most)
        {
            // Lines that were typed and do not fit are joined again.
            text = text.Replace('\n', ' ');
            places = Places(text, breaks);
            typed = 1;
        }
        var given = 0;
        for (var more = 0; more <= Math.Min(most - typed, places.Length); more++)
        {
            foreach (var chosen in Choices(places.Length, more))
            {
                Budget.Spend();
                if (++given > MostWays)
                {
                    break;
                }
                yield return Broken(text, [.. chosen.Select(i => places[i])]);
            }
            if (given > MostWays)
            {
                foreach (var rest in Even(text, places, more, Math.Min(most - typed, places.Length)))
                {
                    yield return rest;
                }
                yield break;
            }
        }
    }

    private static ImmutableArray<int> Places(string text, LineBreaks breaks) =>
        breaks switch
        {
            LineBreaks.AsTyped => [],
            LineBreaks.Spaces => [.. Inside(text, c => c == ' ')],
            LineBreaks.SpacesAndHyphens => [.. Inside(text, c => c is ' ' or '-' or '‐')],
            _ => throw new ArgumentOutOfRangeException(nameof(breaks)),
        };

    private static IEnumerable<int> Inside(string text, Func<char, bool> breaks) =>
        Enumerable.Range(1, Math.Max(0, text.Length - 2)).Where(i => breaks(text[i]));

    /// <summary>The text broken at places: a space goes, a hyphen stays.</summary>
    private static string Broken(string text, ImmutableArray<int> at)
    {
        var lines = new List<string>();
        var from = 0;
        foreach (var place in at)
        {
            lines.Add(text[from..(text[place] == ' ' ? place : place + 1)].Trim(' '));
            from = place + 1;
        }
        lines.Add(text[from..].Trim(' '));
        return string.Join('\n', lines);
    }

    private static IEnumerable<int[]> Choices(int count, int chosen)
    {
        var at = Enumerable.Range(0, chosen).ToArray();
        while (true)
        {
            yield return at;
            var i = chosen - 1;
            while (i >= 0 && at[i] == count - chosen + i)
            {
                i--;
            }
            if (i < 0)
            {
                yield break;
            }
            at[i]++;
            for (var j = i + 1; j < chosen; j++)
            {
                at[j] = at[j - 1] + 1;
            }
        }
    }

    /// <summary>Lines of nearly equal length, one way for each number of lines.</summary>
    private static IEnumerable<string> Even(string text, ImmutableArray<int> places, int from, int most)
    {
        for (var more = from; more <= most; more++)
        {
            var chosen = new SortedSet<int>();
            for (var i = 1; i <= more; i++)
            {
                var wish = text.Length * i / (more + 1.0);
                chosen.Add(places.MinBy(place => Math.Abs(place - wish)));
            }
            yield return Broken(text, [.. chosen]);
        }
    }
}
