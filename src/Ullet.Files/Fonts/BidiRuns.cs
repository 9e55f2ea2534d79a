using System.Globalization;
using System.Text;

namespace Ullet.Files.Fonts;

/// <summary>A stretch of a line that reads one way.</summary>
/// <param name="Start">Place in the line, UTF-16.</param>
/// <param name="Length">UTF-16.</param>
/// <param name="IsRightToLeft">Which way it reads.</param>
internal readonly record struct BidiRun(int Start, int Length, bool IsRightToLeft);

/// <summary>Divides a line into stretches of one direction, in the order in which they stand from left to right.</summary>
/// <remarks>The implicit levels of Unicode's bidirectional algorithm (UAX 9: P2, W2, W7, N1, N2, I1, I2, L2) for one
/// paragraph. Departure: explicit embeddings and isolates are treated as neutral characters; names have none.</remarks>
internal static class BidiRuns
{
    private enum Kind
    {
        Left,
        Right,
        Digit,
        Neutral,
    }

    internal static List<BidiRun> Of(string line)
    {
        if (line.Length == 0)
        {
            return [];
        }
        var kinds = Kinds(line);
        var isRight =
            kinds.FirstOrDefault(kind => kind is Kind.Left or Kind.Right) == Kind.Right && kinds.Contains(Kind.Right);
        var levels = Levels(kinds, isRight ? 1 : 0);
        var runs = new List<(BidiRun Run, int Level)>();
        for (var i = 0; i < line.Length; )
        {
            var end = i;
            while (end < line.Length && levels[end] == levels[i])
            {
                end++;
            }
            runs.Add((new BidiRun(i, end - i, levels[i] % 2 == 1), levels[i]));
            i = end;
        }
        // L2: from the highest level down, reverse whatever stands at that level or higher.
        for (var level = runs.Max(run => run.Level); level > 0; level--)
        {
            for (var i = 0; i < runs.Count; i++)
            {
                var end = i;
                while (end < runs.Count && runs[end].Level >= level)
                {
                    end++;
                }
                runs.Reverse(i, end - i);
                i = Math.Max(i, end - 1);
            }
        }
        return [.. runs.Select(run => run.Run)];
    }

    private static Kind[] Kinds(string line)
    {
        var kinds = new Kind[line.Length];
        var (at, last) = (0, Kind.Neutral);
        foreach (var rune in line.EnumerateRunes())
        {
            var category = Rune.GetUnicodeCategory(rune);
            var kind =
                category is UnicodeCategory.NonSpacingMark or UnicodeCategory.EnclosingMark or UnicodeCategory.Format
                    ? last
                : category is UnicodeCategory.DecimalDigitNumber ? Kind.Digit
                : !Rune.IsLetter(rune) ? Kind.Neutral
                : IsRightToLeft(rune.Value) ? Kind.Right
                : Kind.Left;
            for (var i = 0; i < rune.Utf16SequenceLength; i++)
            {
                kinds[at++] = kind;
            }
            last = kind;
        }
        return kinds;
    }

    private static int[] Levels(Kind[] kinds, int start)
    {
        var levels = new int[kinds.Length];
        var strong = start == 1 ? Kind.Right : Kind.Left;
        for (var i = 0; i < kinds.Length; )
        {
            if (kinds[i] != Kind.Neutral)
            {
                strong = kinds[i] == Kind.Digit ? strong : kinds[i];
                // A number after letters that read right to left stands among them, but reads left to right.
                levels[i] =
                    kinds[i] == Kind.Right ? 1
                    : kinds[i] == Kind.Digit && strong == Kind.Right ? 2
                    : start * 2;
                i++;
                continue;
            }
            var end = i;
            while (end < kinds.Length && kinds[end] == Kind.Neutral)
            {
                end++;
            }
            var after =
                end < kinds.Length && kinds[end] != Kind.Digit ? kinds[end]
                : end < kinds.Length ? strong
                : (Kind?)null;
            var level = after == strong ? (strong == Kind.Right ? 1 : start * 2) : start;
            Array.Fill(levels, level, i, end - i);
            i = end;
        }
        return levels;
    }

    private static bool IsRightToLeft(int value) =>
        value
            is (>= 0x0590 and <= 0x08FF)
                or (>= 0xFB1D and <= 0xFDFF)
                or (>= 0xFE70 and <= 0xFEFF)
                or (>= 0x10800 and <= 0x10FFF)
                or (>= 0x1E800 and <= 0x1EFFF);
}
