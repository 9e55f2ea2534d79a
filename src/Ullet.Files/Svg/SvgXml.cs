using System.Xml;
using System.Xml.Linq;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Svg;

/// <summary>SVG text to an XML tree, without DTDs, entities or anything from outside.</summary>
internal static class SvgXml
{
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

    /// <summary>Where an element stands in its file: "line 12".</summary>
    internal static string Place(XElement element) => $"line {((IXmlLineInfo)element).LineNumber}";
}
