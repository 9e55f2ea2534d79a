using System.Globalization;
using System.Xml.Linq;
using SkiaSharp;
using Ullet.Core.Drawings;
using Ullet.Files.Drawings;

namespace Ullet.Files.Tests.Drawings;

/// <summary>Holds what the reader makes of an icon against a raster of the same file, which knows nothing of the reader.</summary>
/// <remarks>For plain icons: paths and basic shapes without transforms. Unfilled outlines count where they close.</remarks>
internal static class IconAreas
{
    private const int PixelsPerUnit = 48;

    /// <summary>How large icons are made, mm.</summary>
    private const double Size = 80;

    /// <summary>What came of one icon.</summary>
    /// <param name="Refusal">Why it was not taken, or null.</param>
    /// <param name="Worst">The largest relative difference of one of its outlines' areas.</param>
    /// <param name="Outlines">How many outlines with an area were compared.</param>
    internal sealed record Outcome(string? Refusal, double Worst, int Outlines);

    internal static Outcome Compare(byte[] file)
    {
        var read = SvgDrawingReader.Read(file);
        if (!read.IsOk)
        {
            return new Outcome(read.Refusal!.Words, 0, 0);
        }
        var root = XDocument.Load(new MemoryStream(file)).Root!;
        var box = ((string)root.Attribute("viewBox")!)
            .Split(' ')
            .Select(part => double.Parse(part, CultureInfo.InvariantCulture))
            .ToArray();
        var scale = Size / box[2];
        var ours = read
            .Value.Paths.Select(path =>
            {
                var wish = new DrawingWish(scale);
                var closed = path.Closed.Select(contour => contour.Transform(Core.Geometry.Affine.Scale(scale, scale)));
                return DrawingSorter.OutlineOf([.. closed], path, wish).Flatten().Sum(region => region.Area)
                    / (scale * scale);
            })
            .ToList();
        var theirs = root.Descendants()
            .Select(element => (Element: element, Path: PathOf(element)))
            .Where(pair => pair.Path is not null)
            .ToList();
        if (ours.Count != theirs.Count)
        {
            return new Outcome(null, 1, ours.Count);
        }
        var (worst, compared) = (0.0, 0);
        for (var i = 0; i < ours.Count; i++)
        {
            var (element, path) = theirs[i];
            using var whole = path!;
            using var filled = IsFilled(element) ? whole : OnlyClosed(whole);
            var raster = Raster(filled, box);
            if (raster < 0.05)
            {
                continue;
            }
            worst = Math.Max(worst, Math.Abs(ours[i] - raster) / raster);
            compared++;
        }
        return new Outcome(null, worst, compared);
    }

    private static double Raster(SKPath path, double[] box)
    {
        using var bitmap = new SKBitmap(
            (int)(box[2] * PixelsPerUnit),
            (int)(box[3] * PixelsPerUnit),
            SKColorType.Alpha8,
            SKAlphaType.Premul
        );
        using var canvas = new SKCanvas(bitmap);
        canvas.Scale(PixelsPerUnit);
        canvas.Translate((float)-box[0], (float)-box[1]);
        using var paint = new SKPaint { Color = SKColors.Black, IsAntialias = true };
        canvas.DrawPath(path, paint);
        canvas.Flush();
        var sum = 0.0;
        foreach (var alpha in bitmap.GetPixelSpan())
        {
            sum += alpha;
        }
        return sum / 255 / PixelsPerUnit / PixelsPerUnit;
    }

    private static SKPath? PathOf(XElement element)
    {
        float N(string name) => float.Parse((string?)element.Attribute(name) ?? "0", CultureInfo.InvariantCulture);
        var path = new SKPath();
        switch (element.Name.LocalName)
        {
            case "path":
                path = SKPath.ParseSvgPathData((string)element.Attribute("d")!);
                break;
            case "circle":
                path.AddCircle(N("cx"), N("cy"), N("r"));
                break;
            case "ellipse":
                path.AddOval(new SKRect(N("cx") - N("rx"), N("cy") - N("ry"), N("cx") + N("rx"), N("cy") + N("ry")));
                break;
            case "rect":
                var radius = Math.Max(N("rx"), N("ry"));
                path.AddRoundRect(SKRect.Create(N("x"), N("y"), N("width"), N("height")), radius, radius);
                break;
            case "line":
                path.MoveTo(N("x1"), N("y1"));
                path.LineTo(N("x2"), N("y2"));
                break;
            case "polygon":
            case "polyline":
                path = SKPath.ParseSvgPathData(
                    "M" + (string)element.Attribute("points")! + (element.Name.LocalName == "polygon" ? "Z" : "")
                );
                break;
            default:
                return null;
        }
        path.FillType = Inherited(element, "fill-rule") == "evenodd" ? SKPathFillType.EvenOdd : SKPathFillType.Winding;
        return path;
    }

    private static bool IsFilled(XElement element) => Inherited(element, "fill") != "none";

    private static string? Inherited(XElement element, string name) =>
        element.AncestorsAndSelf().Select(up => (string?)up.Attribute(name)).FirstOrDefault(value => value is not null);

    private static SKPath OnlyClosed(SKPath path)
    {
        var closed = new SKPath { FillType = path.FillType };
        var current = new SKPath();
        var points = new SKPoint[4];
        using var walk = path.CreateRawIterator();
        void End(bool closes)
        {
            if (closes || (current.PointCount > 2 && SKPoint.Distance(current[0], current.LastPoint) < 1e-4))
            {
                closed.AddPath(current);
            }
            current.Reset();
        }
        for (var verb = walk.Next(points); verb != SKPathVerb.Done; verb = walk.Next(points))
        {
            switch (verb)
            {
                case SKPathVerb.Move:
                    End(false);
                    current.MoveTo(points[0]);
                    break;
                case SKPathVerb.Line:
                    current.LineTo(points[1]);
                    break;
                case SKPathVerb.Quad:
                    current.QuadTo(points[1], points[2]);
                    break;
                case SKPathVerb.Conic:
                    current.ConicTo(points[1], points[2], walk.ConicWeight());
                    break;
                case SKPathVerb.Cubic:
                    current.CubicTo(points[1], points[2], points[3]);
                    break;
                case SKPathVerb.Close:
                    current.Close();
                    End(true);
                    break;
            }
        }
        End(false);
        current.Dispose();
        return closed;
    }
}
