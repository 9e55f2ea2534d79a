using System.Globalization;
using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Files.Dxf;

namespace Ullet.Files.CutFiles;

/// <summary>Writes cut shapes as an ASCII DXF at true size: polylines with arcs, millimetres declared, a layer for each role of
/// a cloth, y up from the page's lower left.</summary>
public static class DxfCutWriter
{
    public static byte[] Write(CutPage page)
    {
        var text = new DxfText();
        text.Pair(999, $"{DxfCutReader.ClothNote}{CutNames.Plain(page.Cloth)}");
        if (page.Mirrored is { } reason)
        {
            text.Pair(999, $"{DxfCutReader.MirrorNote}{reason}");
        }
        text.Pair(999, $"{DxfCutReader.PageNote}{DxfText.Number(page.Width)} {DxfText.Number(page.Height)}");
        Header(text, page);
        Layers(text, page);
        text.Pair(0, "SECTION").Pair(2, "ENTITIES");
        var used = new HashSet<string>(StringComparer.Ordinal);
        var up = Affine.Scale(1, -1).Then(Affine.Translate(0, page.Height));
        foreach (var path in page.Paths)
        {
            Polyline(text, path.Transform(up), page.Cloth, used);
        }
        text.Pair(0, "ENDSEC").Pair(0, "EOF");
        return text.Bytes();
    }

    private static void Header(DxfText text, CutPage page)
    {
        var box = page.Bounds();
        text.Pair(0, "SECTION").Pair(2, "HEADER");
        text.Pair(9, "$ACADVER").Pair(1, "AC1009");
        text.Pair(9, "$INSUNITS").Pair(70, "4");
        text.Pair(9, "$MEASUREMENT").Pair(70, "1");
        text.Pair(9, "$EXTMIN").Pair(10, box.MinX).Pair(20, page.Height - box.MaxY).Pair(30, 0);
        text.Pair(9, "$EXTMAX").Pair(10, box.MaxX).Pair(20, page.Height - box.MinY).Pair(30, 0);
        text.Pair(0, "ENDSEC");
    }

    private static void Layers(DxfText text, CutPage page)
    {
        var roles = Enum.GetValues<CutRole>().Where(role => page.Of(role).Any()).ToList();
        text.Pair(0, "SECTION").Pair(2, "TABLES");
        text.Pair(0, "TABLE").Pair(2, "LTYPE").Pair(70, "1");
        text.Pair(0, "LTYPE").Pair(2, "CONTINUOUS").Pair(70, "0").Pair(3, "Solid line").Pair(72, "65").Pair(73, "0");
        text.Pair(40, 0).Pair(0, "ENDTAB");
        text.Pair(0, "TABLE").Pair(2, "LAYER").Pair(70, roles.Count.ToString(CultureInfo.InvariantCulture));
        foreach (var role in roles)
        {
            text.Pair(0, "LAYER").Pair(2, Layer(page.Cloth, role)).Pair(70, "0");
            text.Pair(62, (7 - (int)role).ToString(CultureInfo.InvariantCulture)).Pair(6, "CONTINUOUS");
        }
        text.Pair(0, "ENDTAB").Pair(0, "ENDSEC");
    }

    private static void Polyline(DxfText text, CutPath path, string cloth, HashSet<string> used)
    {
        var layer = Layer(cloth, path.Role);
        var arcs = ArcFit.Of(path.Curves);
        text.Pair(999, DxfWalk.NamePrefix + CutNames.Unique(CutNames.Id(path.Name), used));
        text.Pair(0, "POLYLINE").Pair(8, layer).Pair(66, "1").Pair(10, 0).Pair(20, 0).Pair(30, 0);
        text.Pair(70, path.IsClosed ? "1" : "0");
        foreach (var arc in arcs)
        {
            Vertex(text, layer, arc.Start, arc.Bulge);
        }
        if (!path.IsClosed)
        {
            Vertex(text, layer, arcs[^1].End, 0);
        }
        text.Pair(0, "SEQEND").Pair(8, layer);
    }

    private static void Vertex(DxfText text, string layer, Point at, double bulge)
    {
        text.Pair(0, "VERTEX").Pair(8, layer).Pair(10, at.X).Pair(20, at.Y).Pair(30, 0);
        if (bulge != 0)
        {
            text.Pair(42, bulge);
        }
    }

    private static string Layer(string cloth, CutRole role) => CutNames.Group(cloth, role).ToUpperInvariant();

    /// <summary>The text of a DXF: pairs of lines.</summary>
    private sealed class DxfText
    {
        private readonly StringBuilder _text = new();

        internal DxfText Pair(int code, string value)
        {
            _text.Append(CultureInfo.InvariantCulture, $"{code, 3}\n{value}\n");
            return this;
        }

        internal DxfText Pair(int code, double value) => Pair(code, Number(value));

        internal byte[] Bytes() => Encoding.ASCII.GetBytes(_text.ToString());

        internal static string Number(double value)
        {
            var text = value.ToString("0.######", CultureInfo.InvariantCulture);
            // A real number has a point in a DXF.
            return text.Contains('.', StringComparison.Ordinal) ? text : text + ".0";
        }
    }
}
