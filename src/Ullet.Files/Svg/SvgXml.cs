using System.Xml;
using System.Xml.Linq;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Svg;

/// <summary>SVG text to an XML tree, without DTDs, entities or anything from outside.</summary>
internal static class SvgXml
{
    /// <summary>Elements, attributes and texts of one file.</summary>
    private const int MostParts = 1_000_000;

    private const int Deepest = 256;

    private const int CharactersPerStep = 32;

    /// <summary>Attributes that hold numbers.</summary>
    private static readonly HashSet<string> Numeric =
    [
        "width",
        "height",
        "viewBox",
        "transform",
        "d",
        "points",
        "x",
        "y",
        "x1",
        "y1",
        "x2",
        "y2",
        "cx",
        "cy",
        "r",
        "rx",
        "ry",
    ];

    private static readonly XmlReaderSettings Safe = new()
    {
        DtdProcessing = DtdProcessing.Prohibit,
        XmlResolver = null,
    };

    /// <param name="file">The file's bytes.</param>
    /// <param name="what">What it is called in sentences: "This drawing".</param>
    /// <param name="code">First part of the refusal's code.</param>
    /// <param name="largest">Most bytes read.</param>
    /// <returns>The root element, "svg".</returns>
    internal static Result<XElement> Root(ReadOnlyMemory<byte> file, string what, string code, int largest)
    {
        if (file.Length > largest)
        {
            return new Refusal(
                $"{code}-too-large",
                "file",
                $"{what} has {file.Length / 1e6:0} MB; up to {largest / 1e6:0} MB are read."
            );
        }
        try
        {
            if (Wild(file, what, code) is { } wild)
            {
                return wild;
            }
            using var stream = new MemoryStream(file.ToArray());
            using var reader = XmlReader.Create(stream, Safe);
            var root = XDocument.Load(reader, LoadOptions.SetLineInfo).Root!;
            return root.Name.LocalName == "svg"
                ? root
                : new Refusal(
                    $"{code}-foreign",
                    "file",
                    $"{what} is not an SVG: its outermost element is \"{root.Name.LocalName}\"."
                );
        }
        catch (XmlException wrong) when (wrong.Message.Contains("DTD", StringComparison.Ordinal))
        {
            return new Refusal(
                $"{code}-dtd",
                $"line {wrong.LineNumber}",
                $"{what} has a document type (DTD) in line {wrong.LineNumber}, which may pull in other files, so it is not read. "
                    + "Save it again as plain SVG, or delete the line that begins with <!DOCTYPE."
            );
        }
        catch (XmlException wrong)
        {
            return new Refusal(
                $"{code}-broken",
                $"line {wrong.LineNumber}",
                $"{what} is not an SVG that can be read: {wrong.Message}"
            );
        }
    }

    /// <summary>Goes once through the text before a tree is made of it: what is nested or divided beyond measure, or has numbers
    /// that measure nothing, is refused.</summary>
    private static Refusal? Wild(ReadOnlyMemory<byte> file, string what, string code)
    {
        using var stream = new MemoryStream(file.ToArray());
        using var reader = XmlReader.Create(stream, Safe);
        var parts = 0;
        while (reader.Read())
        {
            Budget.Spend(1 + (reader.ValueSize() / CharactersPerStep));
            if (reader.NodeType == XmlNodeType.EndElement)
            {
                continue;
            }
            parts += 1 + reader.AttributeCount;
            if (parts > MostParts || reader.Depth > Deepest)
            {
                return new Refusal(
                    $"{code}-too-deep",
                    $"line {Line(reader)}",
                    $"{what} has more than {MostParts:N0} parts, or is nested more than {Deepest} deep (line {Line(reader)}), so it is not "
                        + "read. Simplify it first, or save it in pieces."
                );
            }
            while (reader.MoveToNextAttribute())
            {
                Budget.Spend(1 + (reader.Value.Length / CharactersPerStep));
                if (Numeric.Contains(reader.LocalName) && Measure.IsWild(reader.Value))
                {
                    return new Refusal(
                        $"{code}-number",
                        $"line {Line(reader)}",
                        $"{what} has a number in it that measures nothing (line {Line(reader)}, \"{reader.LocalName}\"), so it is not read."
                    );
                }
            }
        }
        return null;
    }

    private static int ValueSize(this XmlReader reader) =>
        reader.NodeType is XmlNodeType.Text or XmlNodeType.CDATA or XmlNodeType.Comment ? reader.Value.Length : 0;

    private static int Line(XmlReader reader) => ((IXmlLineInfo)reader).LineNumber;

    /// <summary>Where an element stands in its file: "line 12".</summary>
    internal static string Place(XElement element) => $"line {((IXmlLineInfo)element).LineNumber}";
}
