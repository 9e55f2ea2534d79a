using System.Collections.Immutable;
using System.Globalization;
using System.IO.Compression;
using System.Text;
using System.Text.RegularExpressions;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Files.CutFiles;

/// <summary>A page of a PDF with the lines that are stroked on it.</summary>
/// <param name="Width">mm.</param>
/// <param name="Height">mm.</param>
/// <param name="Lines">Each stroked line, mm from the page's top left, with its width in points.</param>
public sealed record PdfCutPage(double Width, double Height, ImmutableArray<PdfStroke> Lines);

/// <summary>A stroked line.</summary>
public sealed record PdfStroke(Contour Contour, bool IsClosed, double Width);

/// <summary>Reads the stroked lines of PDFs back that were written here: pages, transforms, line widths, paths.</summary>
public static partial class PdfCutReader
{
    private const double MmPerPoint = 1 / EpsCutWriter.PointsPerMm;

    private const RegexOptions Plain =
        RegexOptions.NonBacktracking | RegexOptions.ExplicitCapture | RegexOptions.CultureInvariant;

    /// <returns>The pages, or "cut-file-…" with a sentence.</returns>
    public static Result<ImmutableArray<PdfCutPage>> Read(byte[] file)
    {
        var text = Encoding.Latin1.GetString(file);
        if (
            !text.StartsWith("%PDF", StringComparison.Ordinal)
            || !text.TrimEnd().EndsWith("%%EOF", StringComparison.Ordinal)
        )
        {
            return new Refusal("cut-file-broken", "file", "This file is not a whole PDF.");
        }
        var objects = Objects()
            .Matches(text)
            .GroupBy(match => match.Groups["id"].Value, StringComparer.Ordinal)
            .ToDictionary(same => same.Key, same => same.First(), StringComparer.Ordinal);
        var pages = ImmutableArray.CreateBuilder<PdfCutPage>();
        foreach (var id in PageIds(text, objects))
        {
            if (!objects.TryGetValue(id, out var page))
            {
                return new Refusal("cut-file-broken", $"object {id}", $"A page of this PDF is missing (object {id}).");
            }
            var dictionary = Body(text, page);
            var box = MediaBox().Match(dictionary);
            var contents = Contents().Match(dictionary);
            if (!box.Success || !contents.Success || !objects.TryGetValue(contents.Groups["id"].Value, out var stream))
            {
                return new Refusal(
                    "cut-file-broken",
                    $"object {id}",
                    $"A page of this PDF can't be read (object {id})."
                );
            }
            var (width, height) = (Number(box.Groups["width"].Value), Number(box.Groups["height"].Value));
            pages.Add(
                new PdfCutPage(
                    width * MmPerPoint,
                    height * MmPerPoint,
                    new PdfStrokes(height, Widths(text, dictionary, objects)).Of(
                        Encoding.Latin1.GetString(Unpacked(file, text, stream))
                    )
                )
            );
        }
        return pages.ToImmutable();
    }

    /// <summary>The line widths that a page's graphics states set, by their names.</summary>
    private static Dictionary<string, double> Widths(string text, string page, Dictionary<string, Match> objects) =>
        States()
            .Matches(page)
            .Where(state => objects.ContainsKey(state.Groups["id"].Value))
            .Select(state =>
                (Name: state.Groups["name"].Value, Width: Width().Match(Body(text, objects[state.Groups["id"].Value])))
            )
            .Where(state => state.Width.Success)
            .ToDictionary(
                state => state.Name,
                state => Number(state.Width.Groups["width"].Value),
                StringComparer.Ordinal
            );

    /// <summary>The pages in their order: of many pages a PDF makes a tree.</summary>
    private static IEnumerable<string> PageIds(string text, Dictionary<string, Match> objects)
    {
        var roots = objects
            .Where(pair =>
                IsNode(Body(text, pair.Value)) && !Body(text, pair.Value).Contains("/Parent", StringComparison.Ordinal)
            )
            .Select(pair => pair.Key);
        var open = new Stack<string>(roots);
        var seen = new HashSet<string>(StringComparer.Ordinal);
        while (open.TryPop(out var id))
        {
            var body = objects.TryGetValue(id, out var found) ? Body(text, found) : "";
            if (!seen.Add(id))
            {
                continue;
            }
            if (!IsNode(body))
            {
                yield return id;
                continue;
            }
            var kids = Reference().Matches(Kids().Match(body).Groups["ids"].Value);
            foreach (var kid in kids.Reverse())
            {
                open.Push(kid.Groups["id"].Value);
            }
        }
    }

    private static bool IsNode(string body) => body.Contains("/Type /Pages", StringComparison.Ordinal);

    private static string Body(string text, Match start)
    {
        var end = text.IndexOf("endobj", start.Index, StringComparison.Ordinal);
        return text[start.Index..(end < 0 ? text.Length : end)];
    }

    private static byte[] Unpacked(byte[] file, string text, Match start)
    {
        var at = text.IndexOf("stream", start.Index, StringComparison.Ordinal) + "stream".Length;
        at += text[at] == '\r' ? 2 : 1;
        var end = text.IndexOf("endstream", at, StringComparison.Ordinal);
        var dictionary = text[start.Index..at];
        if (!dictionary.Contains("FlateDecode", StringComparison.Ordinal))
        {
            return file[at..end];
        }
        using var packed = new ZLibStream(new MemoryStream(file, at, end - at), CompressionMode.Decompress);
        using var plain = new MemoryStream();
        packed.CopyTo(plain);
        return plain.ToArray();
    }

    internal static double Number(string text) => double.Parse(text, NumberStyles.Float, CultureInfo.InvariantCulture);

    [GeneratedRegex(@"^(?<id>[0-9]+) 0 obj\b", Plain | RegexOptions.Multiline)]
    private static partial Regex Objects();

    [GeneratedRegex(@"/Kids \[(?<ids>[^\]]*)\]", Plain)]
    private static partial Regex Kids();

    [GeneratedRegex(@"(?<id>[0-9]+) 0 R", Plain)]
    private static partial Regex Reference();

    [GeneratedRegex(@"/MediaBox \[0 0 (?<width>[0-9.]+) (?<height>[0-9.]+)\]", Plain)]
    private static partial Regex MediaBox();

    [GeneratedRegex(@"(?<name>/G[0-9]+) (?<id>[0-9]+) 0 R", Plain)]
    private static partial Regex States();

    [GeneratedRegex(@"/LW (?<width>[0-9.]+)", Plain)]
    private static partial Regex Width();

    [GeneratedRegex(@"/Contents (?<id>[0-9]+) 0 R", Plain)]
    private static partial Regex Contents();
}
