using System.Globalization;
using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Files.CutFiles;

/// <summary>Writes cut shapes as Encapsulated PostScript at true size: coordinates in points of 1/72 in, y up.</summary>
/// <remarks>After the EPSF specification 3.0. The bounding box is that of the lines, in whole points and exactly.</remarks>
public static class EpsCutWriter
{
    public const double PointsPerMm = 72 / LengthText.MmPerInch;

    internal const string PageMark = "%CutPage:";

    internal const string ClothMark = "%CutCloth:";

    internal const string MirrorMark = "%CutMirrored:";

    internal const string PathMark = "%CutPath:";

    public static byte[] Write(CutPage page)
    {
        var box = page.Bounds();
        var (left, bottom) = (box.MinX * PointsPerMm, (page.Height - box.MaxY) * PointsPerMm);
        var (right, top) = (box.MaxX * PointsPerMm, (page.Height - box.MinY) * PointsPerMm);
        var text = new StringBuilder();
        text.Append("%!PS-Adobe-3.0 EPSF-3.0\n");
        text.Append(
            CultureInfo.InvariantCulture,
            $"%%BoundingBox: {Math.Floor(left):0} {Math.Floor(bottom):0} {Math.Ceiling(right):0} {Math.Ceiling(top):0}\n"
        );
        text.Append($"%%HiResBoundingBox: {Number(left)} {Number(bottom)} {Number(right)} {Number(top)}\n");
        text.Append($"%%Title: {CutNames.Plain(page.Title)}, {CutNames.Plain(page.Cloth)}\n");
        text.Append("%%LanguageLevel: 1\n%%DocumentData: Clean7Bit\n%%EndComments\n");
        text.Append($"{PageMark} {Number(page.Width)} {Number(page.Height)}\n");
        text.Append($"{ClothMark} {CutNames.Plain(page.Cloth)}\n");
        if (page.Mirrored is { } reason)
        {
            text.Append($"{MirrorMark} {reason}\n");
        }
        text.Append("gsave\n0.1 setlinewidth 1 setlinejoin\n");
        foreach (var path in page.Paths)
        {
            text.Append($"{PathMark} {CutNames.Group(page.Cloth, path.Role)} {CutNames.Id(path.Name)}\n");
            Path(text, path, page.Height);
        }
        text.Append("grestore\nshowpage\n%%EOF\n");
        return Encoding.ASCII.GetBytes(text.ToString());
    }

    private static void Path(StringBuilder text, CutPath path, double height)
    {
        string Pair(Point p) => $"{Number(p.X * PointsPerMm)} {Number((height - p.Y) * PointsPerMm)}";
        text.Append($"newpath {Pair(path.Curves[0].Start)} moveto\n");
        for (var i = 0; i < path.Curves.Length; i++)
        {
            var curve = path.Curves[i];
            if (!curve.IsLine)
            {
                text.Append($"{Pair(curve.Control1)} {Pair(curve.Control2)} {Pair(curve.End)} curveto\n");
            }
            else if (!path.IsClosed || i + 1 < path.Curves.Length)
            {
                text.Append($"{Pair(curve.End)} lineto\n");
            }
        }
        text.Append(path.IsClosed ? "closepath stroke\n" : "stroke\n");
    }

    private static string Number(double value) => value.ToString("0.####", CultureInfo.InvariantCulture);
}
