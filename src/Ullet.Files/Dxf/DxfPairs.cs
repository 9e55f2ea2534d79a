using System.Globalization;
using System.Text;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Dxf;

/// <summary>A group code with its value.</summary>
/// <param name="Code">What the value is.</param>
/// <param name="Value">As it stands.</param>
/// <param name="Line">Where the value stands, from 1.</param>
internal readonly record struct DxfPair(int Code, string Value, int Line)
{
    /// <summary>The value as a number; null when it is none.</summary>
    internal double? Number => Measure.Read(Value);

    /// <summary>True for a value that is a number by its code, and measures nothing: endless, beyond all size, or almost zero.</summary>
    internal bool IsWild =>
        Code is (>= 10 and < 60) or (>= 110 and < 150) or (>= 210 and < 240) or (>= 1010 and < 1060)
        && double.TryParse(Value, NumberStyles.Float, CultureInfo.InvariantCulture, out var number)
        && (!Measure.Is(number) || Measure.IsWild(Value));
}

/// <summary>Splits the text of a DXF into pairs: a code on one line, its value on the next.</summary>
internal static class DxfPairs
{
    /// <summary>More lines of text than any drawing has that can be taken.</summary>
    private const int MostLines = 3_000_000;

    /// <param name="file">The file's bytes.</param>
    /// <param name="what">What it is called in sentences: "This drawing".</param>
    /// <param name="code">First part of the refusal's code.</param>
    /// <param name="largest">Most bytes read.</param>
    internal static Result<List<DxfPair>> Of(ReadOnlyMemory<byte> file, string what, string code, int largest)
    {
        if (file.Length > largest)
        {
            return new Refusal(
                $"{code}-too-large",
                "file",
                $"{what} has {file.Length / 1e6:0} MB; up to {largest / 1e6:0} MB are read."
            );
        }
        if (file.Span.IndexOf((byte)0) >= 0)
        {
            return new Refusal(
                $"{code}-binary",
                "file",
                $"{what} is a binary DXF, or none at all. Save it again in the program it comes from, as DXF in plain text (ASCII)."
            );
        }
        if (file.Span.Count((byte)'\n') + file.Span.Count((byte)'\r') > MostLines)
        {
            return new Refusal(
                $"{code}-too-large",
                "file",
                $"{what} has more than {MostLines:N0} lines of text. Simplify it first, or save it in pieces."
            );
        }
        var lines = Lines(Encoding.UTF8.GetString(file.Span));
        if (!IsCode(lines[0], out _))
        {
            return new Refusal(
                $"{code}-foreign",
                "line 1",
                $"{what} is neither an SVG nor a DXF: it begins with \"{Shortened(lines[0])}\"."
            );
        }
        var pairs = new List<DxfPair>(lines.Length / 2);
        var isDrawn = false;
        for (var i = 0; i + 1 < lines.Length; i += 2)
        {
            if (!IsCode(lines[i], out var group))
            {
                return new Refusal(
                    $"{code}-broken",
                    $"line {i + 1}",
                    $"{what} is damaged from line {i + 1} on (\"{Shortened(lines[i])}\"). Save it again in the program it comes from, or save it there as SVG."
                );
            }
            Budget.Spend();
            var pair = new DxfPair(group, lines[i + 1].Trim(), i + 2);
            if (pair.Code == 2 && pairs is [.., { Code: 0, Value: "SECTION" }])
            {
                isDrawn = pair.Value is "ENTITIES" or "BLOCKS";
            }
            // Headers say "endless" where nothing was measured yet: it concerns nothing that is drawn.
            if (isDrawn && pair.IsWild)
            {
                return new Refusal(
                    $"{code}-number",
                    $"line {i + 2}",
                    $"{what} draws something endlessly far away (line {i + 2}, \"{Shortened(pair.Value)}\"). Delete what lies far off in the "
                        + "program it comes from, and save it again."
                );
            }
            pairs.Add(pair);
        }
        return pairs.Exists(pair => pair is { Code: 0, Value: "EOF" })
            ? pairs
            : new Refusal(
                $"{code}-truncated",
                $"line {lines.Length}",
                $"{what} ends in its middle (line {lines.Length}). Save or copy it again."
            );
    }

    /// <summary>Line ends of every system, and no others: a name may hold what Unicode calls a line separator.</summary>
    private static string[] Lines(string text) =>
        text.Replace("\r\n", "\n", StringComparison.Ordinal).Replace('\r', '\n').Split('\n');

    private static bool IsCode(string line, out int group) =>
        int.TryParse(line.Trim(), NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out group);

    private static string Shortened(string line) => line.Length <= 24 ? line.Trim() : line[..24].Trim() + "…";
}
