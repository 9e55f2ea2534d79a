using System.Collections.Immutable;
using SkiaSharp;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Files.CutFiles;

/// <summary>Draws the shapes of a page as black areas on white, for cutters that trace pictures; the file says how many pixels
/// make an inch.</summary>
public static class PngCutWriter
{
    public const int LeastDpi = 36;

    public const int MostDpi = 1200;

    /// <summary>The most pixels of one picture.</summary>
    public const double MostPixels = 50e6;

    /// <param name="page">What is drawn: outlines to cut; marks are left out, a tracing cutter would cut them.</param>
    /// <param name="dpi">Pixels per inch; <see cref="LeastDpi"/> to <see cref="MostDpi"/>.</param>
    /// <param name="antiAlias">True for grey pixels along the edges; false for black and white alone.</param>
    /// <returns>The file, or why it can't be made.</returns>
    public static Result<byte[]> Write(CutPage page, int dpi, bool antiAlias)
    {
        if (dpi is < LeastDpi or > MostDpi)
        {
            return new Refusal(
                "dpi-out-of-range",
                "dpi",
                $"A picture has from {LeastDpi} to {MostDpi} pixels per inch; {dpi} was given."
            );
        }
        var scale = dpi / LengthText.MmPerInch;
        var (width, height) = ((int)Math.Ceiling(page.Width * scale), (int)Math.Ceiling(page.Height * scale));
        if ((double)width * height > MostPixels)
        {
            var most = Math.Floor(Math.Sqrt(MostPixels / (page.Width * page.Height)) * LengthText.MmPerInch);
            return new Refusal(
                "picture-too-large",
                "dpi",
                $"At {dpi} pixels per inch this sheet has {width / 1e6 * height:0} million pixels; up to {MostPixels / 1e6:0} million are "
                    + $"made. Ask for at most {most:0} pixels per inch, or for one piece alone."
            );
        }
        using var bitmap = new SKBitmap(new SKImageInfo(width, height, SKColorType.Gray8, SKAlphaType.Opaque));
        using (var canvas = new SKCanvas(bitmap))
        {
            canvas.Clear(SKColors.White);
            canvas.Scale((float)scale);
            using var paint = new SKPaint();
            paint.Color = SKColors.Black;
            paint.IsAntialias = antiAlias;
            foreach (var shape in Shapes(page))
            {
                using var path = shape;
                canvas.DrawPath(path, paint);
            }
            PngTips.Draw(canvas, page, bitmap, scale);
        }
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return PngChunks.With(
            data.ToArray(),
            PngChunks.Density(dpi),
            PngChunks.Text("Title", $"{page.Title}, {page.Cloth}"),
            PngChunks.Text("Description", page.Mirrored is { } why ? $"mirrored already: {why}" : "not mirrored")
        );
    }

    /// <summary>Each part of the outlines to cut, with its holes.</summary>
    private static IEnumerable<SKPath> Shapes(CutPage page) =>
        page.Of(CutRole.Cut)
            .Where(path => path.Part is not null)
            .GroupBy(path => path.Part, ReferenceEqualityComparer.Instance)
            .Select(part =>
            {
                var path = new SKPath { FillType = SKPathFillType.EvenOdd };
                foreach (var line in part)
                {
                    Add(path, line.Curves);
                }
                return path;
            });

    private static void Add(SKPath path, ImmutableArray<Curve> curves)
    {
        path.MoveTo(At(curves[0].Start));
        foreach (var curve in curves)
        {
            path.CubicTo(At(curve.Control1), At(curve.Control2), At(curve.End));
        }
        path.Close();
    }

    private static SKPoint At(Point p) => new((float)p.X, (float)p.Y);
}
