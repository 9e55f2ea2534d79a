using SkiaSharp;
using Ullet.Core.Projects;
using Ullet.Files.Instructions;

namespace Ullet.Files.CutFiles;

/// <summary>Draws what stands on a printed page beside the shapes: its head, where pages are glued, the check square.</summary>
internal static class PdfPageMarks
{
    private const double TwoInches = 2 * LengthText.MmPerInch;

    private const float MarkWidth = 0.25f;

    internal static void Head(SKCanvas canvas, CutPage page, string number, PaperSize paper)
    {
        var mirrored = page.Mirrored is { } why ? $" · mirrored already: {why}" : "";
        Write(canvas, $"{page.Title} · {page.Cloth}{mirrored}", PaperSize.Margin, 7, 9, bold: true);
        Write(
            canvas,
            number.Length > 0 ? number : "print at 100 %, not fitted to the page",
            PaperSize.Margin,
            paper.Height - 5.5,
            8
        );
        if (number.Length > 0)
        {
            Write(canvas, "print at 100 %, not fitted to the page", paper.Width - 70, paper.Height - 5.5, 8);
        }
    }

    /// <summary>Dashed lines where the neighbours' paper goes, corner crosses, and which page joins there.</summary>
    internal static void Overlaps(SKCanvas canvas, PaperTile tile, PaperSize paper)
    {
        var (left, top) = (PaperSize.Margin, PaperSize.Margin);
        var (right, bottom) = (paper.Width - PaperSize.Margin, paper.Height - PaperSize.Margin);
        foreach (var (x, y) in new[] { (left, top), (right, top), (left, bottom), (right, bottom) })
        {
            Line(canvas, x - 3, y, x + 3, y);
            Line(canvas, x, y - 3, x, y + 3);
        }
        if (tile.Column < tile.Columns)
        {
            Line(canvas, right - PaperTile.Overlap, top, right - PaperTile.Overlap, bottom, dashed: true);
            Write(canvas, $"glue column {tile.Column + 1} here", right - PaperTile.Overlap + 1.5, top + 3, 6);
        }
        if (tile.Row < tile.Rows)
        {
            Line(canvas, left, bottom - PaperTile.Overlap, right, bottom - PaperTile.Overlap, dashed: true);
            Write(canvas, $"glue row {tile.Row + 1} here", left + 2, bottom - PaperTile.Overlap + 3.5, 6);
        }
        if (tile.Column > 1)
        {
            Line(canvas, left, top, left, bottom);
        }
        if (tile.Row > 1)
        {
            Line(canvas, left, top, right, top);
        }
    }

    internal static void CheckSquare(SKCanvas canvas, double x, double y)
    {
        Square(canvas, x + 2, y + 6, PdfCutWriter.CheckSide);
        Square(canvas, x + 2, y + 6, TwoInches);
        Write(canvas, "Check with a ruler:", x + 2, y + 4, 8, bold: true);
        Write(canvas, "inner square 50 mm,", x + 6, y + 28, 8);
        Write(canvas, "outer square 2 in", x + 6, y + 33, 8);
    }

    private static void Square(SKCanvas canvas, double x, double y, double side)
    {
        Line(canvas, x, y, x + side, y);
        Line(canvas, x + side, y, x + side, y + side);
        Line(canvas, x + side, y + side, x, y + side);
        Line(canvas, x, y + side, x, y);
    }

    private static void Line(SKCanvas canvas, double x1, double y1, double x2, double y2, bool dashed = false)
    {
        using var paint = new SKPaint();
        paint.Style = SKPaintStyle.Stroke;
        paint.Color = PdfCutWriter.Muted;
        paint.StrokeWidth = MarkWidth;
        using var dashes = dashed ? SKPathEffect.CreateDash([4, 3], 0) : null;
        paint.PathEffect = dashes;
        canvas.DrawLine(
            (float)(x1 * PdfCutWriter.PointsPerMm),
            (float)(y1 * PdfCutWriter.PointsPerMm),
            (float)(x2 * PdfCutWriter.PointsPerMm),
            (float)(y2 * PdfCutWriter.PointsPerMm),
            paint
        );
    }

    private static void Write(SKCanvas canvas, string text, double x, double y, float size, bool bold = false)
    {
        using var font = new SKFont(bold ? PdfPen.Bold : PdfPen.Regular, size);
        using var paint = new SKPaint();
        paint.Color = PdfCutWriter.Ink;
        paint.IsAntialias = true;
        canvas.DrawText(
            text,
            (float)(x * PdfCutWriter.PointsPerMm),
            (float)(y * PdfCutWriter.PointsPerMm),
            SKTextAlign.Left,
            font,
            paint
        );
    }
}
