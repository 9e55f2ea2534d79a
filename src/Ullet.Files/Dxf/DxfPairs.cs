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
    internal double? Number =>
        double.TryParse(Value, NumberStyles.Float, CultureInfo.InvariantCulture, out var number)
        && double.IsFinite(number)
            ? number
            : null;
}

/// <summary>Splits the text of a DXF into pairs: a code on one line, its value on the next.</summary>
internal static class DxfPairs
{
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
                $"{what} is a binary DXF, or none at all. Save it again as an ASCII DXF."
            );
        }
        var lines = Encoding.UTF8.GetString(file.Span).ReplaceLineEndings("\n").Split('\n');
        if (!IsCode(lines[0], out _))
        {
            return new Refusal(
                $"{code}-foreign",
                "line 1",
                $"{what} is neither an SVG nor a DXF: it begins with \"{Shortened(lines[0])}\"."
            );
        }
        var pairs = new List<DxfPair>(lines.Length / 2);
        for (var i = 0; i + 1 < lines.Length; i += 2)
        {
            if (!IsCode(lines[i], out var group))
            {
                return new Refusal(
                    $"{code}-broken",
                    $"line {i + 1}",
                    $"{what} can't be read: line {i + 1} should be a group code, but is \"{Shortened(lines[i])}\"."
                );
            }
            pairs.Add(new DxfPair(group, lines[i + 1].Trim(), i + 2));
        }
        return pairs.Exists(pair => pair is { Code: 0, Value: "EOF" })
            ? pairs
            : new Refusal(
                $"{code}-truncated",
                $"line {lines.Length}",
                $"{what} ends in its middle (line {lines.Length}). Save or copy it again."
            );
    }

    private static bool IsCode(string line, out int group) =>
        int.TryParse(line.Trim(), NumberStyles.AllowLeadingSign, CultureInfo.InvariantCulture, out group);

    private static string Shortened(string line) => line.Length <= 24 ? line.Trim() : line[..24].Trim() + "…";
}
