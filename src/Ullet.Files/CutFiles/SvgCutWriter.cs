using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using System.Xml;
using Ullet.Core.Cutting;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Files.CutFiles;

/// <summary>Writes cut shapes as SVG at true size.</summary>
/// <remarks>Width and height in mm, a viewBox in 1/96 in, plain absolute paths, no transforms, no text, one named group for
/// each role, hairline strokes, no fills: a reader of lengths and a reader of user units get the same size.</remarks>
public static class SvgCutWriter
{
    /// <summary>User units of 1/96 in for each mm.</summary>
    public const double UnitsPerMm = SizeReading.UnitsPerInch / LengthText.MmPerInch;

    internal const string ClothMark = "data-cloth";

    internal const string MirrorMark = "data-mirrored";

    public static byte[] Write(CutPage page)
    {
        using var stream = new MemoryStream();
        var settings = new XmlWriterSettings { Encoding = new UTF8Encoding(false), Indent = true };
        using (var xml = XmlWriter.Create(stream, settings))
        {
            xml.WriteStartElement("svg", "http://www.w3.org/2000/svg");
            xml.WriteAttributeString("width", Number(page.Width) + "mm");
            xml.WriteAttributeString("height", Number(page.Height) + "mm");
            xml.WriteAttributeString("viewBox", $"0 0 {Units(page.Width)} {Units(page.Height)}");
            xml.WriteAttributeString(ClothMark, page.Cloth);
            if (page.Mirrored is { } reason)
            {
                xml.WriteAttributeString(MirrorMark, reason);
            }
            var used = new HashSet<string>(StringComparer.Ordinal);
            foreach (var role in Enum.GetValues<CutRole>().Where(role => page.Of(role).Any()))
            {
                Group(xml, page, role, used);
            }
            xml.WriteEndElement();
        }
        return stream.ToArray();
    }

    private static void Group(XmlWriter xml, CutPage page, CutRole role, HashSet<string> used)
    {
        xml.WriteStartElement("g");
        xml.WriteAttributeString("id", CutNames.Group(page.Cloth, role));
        xml.WriteAttributeString("fill", "none");
        xml.WriteAttributeString(
            "stroke",
            role switch
            {
                CutRole.Draw => "#3b4ba3",
                CutRole.Score => "#b3343a",
                _ => "#000000",
            }
        );
        xml.WriteAttributeString("stroke-width", "0.1");
        foreach (var path in page.Of(role))
        {
            xml.WriteStartElement("path");
            xml.WriteAttributeString("id", CutNames.Unique(CutNames.Id(path.Name), used));
            xml.WriteAttributeString("d", Data(path.Curves, path.IsClosed));
            xml.WriteEndElement();
        }
        xml.WriteEndElement();
    }

    private static string Data(ImmutableArray<Curve> curves, bool closed)
    {
        var data = new StringBuilder();
        data.Append("M ").Append(Pair(curves[0].Start));
        for (var i = 0; i < curves.Length; i++)
        {
            var curve = curves[i];
            if (!curve.IsLine)
            {
                data.Append($" C {Pair(curve.Control1)} {Pair(curve.Control2)} {Pair(curve.End)}");
            }
            else if (!closed || i + 1 < curves.Length)
            {
                data.Append(" L ").Append(Pair(curve.End));
            }
        }
        return closed ? data.Append(" Z").ToString() : data.ToString();
    }

    private static string Pair(Point point) => $"{Units(point.X)} {Units(point.Y)}";

    private static string Units(double mm) => (mm * UnitsPerMm).ToString("0.####", CultureInfo.InvariantCulture);

    private static string Number(double mm) => mm.ToString("0.####", CultureInfo.InvariantCulture);
}
