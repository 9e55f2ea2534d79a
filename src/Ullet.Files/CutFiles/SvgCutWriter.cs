using System.Globalization;
using System.Text;
using System.Xml;
using Ullet.Core.Cutting;
using Ullet.Core.Geometry;

namespace Ullet.Files.CutFiles;

/// <summary>Writes cut shapes as SVG at true size.</summary>
/// <remarks>Width and height in mm, a viewBox in 1/96 in, plain absolute paths, no transforms, no text, one named group,
/// hairline strokes, no fills: a reader of lengths and a reader of user units get the same size.</remarks>
public static class SvgCutWriter
{
    /// <summary>User units of 1/96 in for each mm.</summary>
    public const double UnitsPerMm = 96 / 25.4;

    /// <summary>Room around a single shape on its page, mm.</summary>
    public const double AloneMargin = 5;

    /// <summary>A whole sheet: the page is the mat, larger only when shapes do not fit it.</summary>
    public static byte[] Sheet(CutSheet sheet)
    {
        var box = sheet.Bounds();
        var width = Math.Max(sheet.MatWidth, box.MaxX + SheetPlanner.Margin);
        var height = Math.Max(sheet.MatHeight, box.MaxY + SheetPlanner.Margin);
        return Page(
            width,
            height,
            sheet.Cloth.Name,
            sheet.Shapes.Select(placed => (placed.Shape.Name, placed.Outline))
        );
    }

    /// <summary>One shape alone, on a page just larger than it.</summary>
    public static byte[] Alone(CutSheet sheet, PlacedShape placed)
    {
        var box = placed.Outline.Bounds().Grown(AloneMargin);
        var moved = placed.Outline.Transform(Affine.Translate(-box.MinX, -box.MinY));
        return Page(box.Width, box.Height, sheet.Cloth.Name, [(placed.Shape.Name, moved)]);
    }

    private static byte[] Page(
        double width,
        double height,
        string cloth,
        IEnumerable<(string Name, Outline Outline)> shapes
    )
    {
        using var stream = new MemoryStream();
        var settings = new XmlWriterSettings { Encoding = new UTF8Encoding(false), Indent = true };
        using (var xml = XmlWriter.Create(stream, settings))
        {
            xml.WriteStartElement("svg", "http://www.w3.org/2000/svg");
            xml.WriteAttributeString("width", Number(width) + "mm");
            xml.WriteAttributeString("height", Number(height) + "mm");
            xml.WriteAttributeString("viewBox", $"0 0 {Units(width)} {Units(height)}");
            xml.WriteStartElement("g");
            xml.WriteAttributeString("id", Id(cloth) + "-cut");
            xml.WriteAttributeString("fill", "none");
            xml.WriteAttributeString("stroke", "#000000");
            xml.WriteAttributeString("stroke-width", "0.1");
            var used = new HashSet<string>(StringComparer.Ordinal);
            foreach (var (name, outline) in shapes)
            {
                // Holes first: what lies inside is cut before what holds it.
                foreach (var contour in outline.Parts.SelectMany(part => part.Holes.Append(part.Shell)))
                {
                    xml.WriteStartElement("path");
                    xml.WriteAttributeString("id", Unique(Id(name), used));
                    xml.WriteAttributeString("d", Data(contour));
                    xml.WriteEndElement();
                }
            }
            xml.WriteEndElement();
            xml.WriteEndElement();
        }
        return stream.ToArray();
    }

    private static string Data(Contour contour)
    {
        var data = new StringBuilder();
        data.Append("M ").Append(Pair(contour.Curves[0].Start));
        for (var i = 0; i < contour.Curves.Length; i++)
        {
            var curve = contour.Curves[i];
            if (!curve.IsLine)
            {
                data.Append($" C {Pair(curve.Control1)} {Pair(curve.Control2)} {Pair(curve.End)}");
            }
            else if (i + 1 < contour.Curves.Length)
            {
                data.Append(" L ").Append(Pair(curve.End));
            }
        }
        return data.Append(" Z").ToString();
    }

    private static string Pair(Point point) => $"{Units(point.X)} {Units(point.Y)}";

    private static string Units(double mm) => (mm * UnitsPerMm).ToString("0.####", CultureInfo.InvariantCulture);

    private static string Number(double mm) => mm.ToString("0.####", CultureInfo.InvariantCulture);

    /// <summary>A name that XML takes as an id: letters, figures and hyphens, a letter first.</summary>
    private static string Id(string name)
    {
        var plain = new string([.. name.Trim().ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-')]);
        return plain.Length > 0 && char.IsAsciiLetter(plain[0]) ? plain : "shape-" + plain;
    }

    private static string Unique(string id, HashSet<string> used)
    {
        var candidate = id;
        for (var i = 2; !used.Add(candidate); i++)
        {
            candidate = $"{id}-{i}";
        }
        return candidate;
    }
}
