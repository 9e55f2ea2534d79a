using SkiaSharp;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Files.Instructions;

namespace Ullet.Files.CutFiles;

/// <summary>Draws cut shapes at true size as PDF: one page as large as the sheet, or tiled over paper with marks where tiles
/// overlap and a square to check the print by.</summary>
public static class PdfCutWriter
{
    private const float PointsPerMm = (float)EpsCutWriter.PointsPerMm;

    /// <summary>Side of the check square, mm; half of it stands for 2 in beside it.</summary>
    public const double CheckSide = 50;

    private const double TwoInches = 2 * LengthText.MmPerInch;

    /// <summary>Room that the check square takes, mm.</summary>
    private static readonly (double Width, double Height) CheckRoom = (58, 62);

    /// <summary>Cut lines have this very width, points: by it they are told from everything else.</summary>
    internal const float CutWidth = 0.5f;

    internal const float DrawWidth = 0.4f;

    internal const float ScoreWidth = 0.45f;

    private const float MarkWidth = 0.25f;

    internal static readonly SKColor Ink = new(0x1d, 0x2a, 0x3a);

    private static readonly SKColor Muted = new(0x5a, 0x68, 0x78);

    private static readonly SKColor Trouble = new(0xb3, 0x34, 0x3a);

    /// <summary>The pages one after the other in one file.</summary>
    /// <param name="pages">What is drawn; each begins on a new page of paper.</param>
    /// <param name="paper">What it is printed on.</param>
    public static byte[] Write(IReadOnlyList<CutPage> pages, Paper paper)
    {
        using var stream = new MemoryStream();
        var about = new SKDocumentPdfMetadata
        {
            Title = pages[0].Title,
            Subject = string.Join("; ", pages.Select(About).Distinct()),
            Creator = "Ullet",
        };
        using (var document = SKDocument.CreatePdf(stream, about))
        {
            foreach (var page in pages)
            {
                if (paper == Paper.Sheet)
                {
                    Whole(document, page);
                }
                else
                {
                    Tiled(document, page, PaperSize.Of(paper));
                }
            }
            document.Close();
        }
        return stream.ToArray();
    }

    private static string About(CutPage page) =>
        page.Cloth + (page.Mirrored is { } why ? $", mirrored already: {why}" : "");

    private static void Whole(SKDocument document, CutPage page)
    {
        // Page boxes are whole points: the page grows by less than one, its lines stay where they are.
        var canvas = document.BeginPage(
            (float)Math.Ceiling(page.Width * PointsPerMm),
            (float)Math.Ceiling(page.Height * PointsPerMm)
        );
        Paths(canvas, page, 0, 0);
        document.EndPage();
    }

    private static void Tiled(SKDocument document, CutPage page, PaperSize paper)
    {
        var tiles = PaperTile.Of(page, paper);
        var free = tiles.Select(tile => FreeCorner(page, tile, paper)).ToList();
        if (!free.Exists(corner => corner is not null))
        {
            var first = Begin(document, paper);
            Head(first, page, "check square", paper);
            CheckSquare(first, PaperSize.Margin + 6, PaperSize.Margin + 12);
            document.EndPage();
        }
        for (var i = 0; i < tiles.Length; i++)
        {
            var tile = tiles[i];
            var canvas = Begin(document, paper);
            var number =
                tiles.Length == 1
                    ? ""
                    : $"page {i + 1} of {tiles.Length}: row {tile.Row} of {tile.Rows}, column {tile.Column} of {tile.Columns}";
            Head(canvas, page, number, paper);
            Overlaps(canvas, tile, paper);
            canvas.Save();
            canvas.ClipRect(
                SKRect.Create(
                    (float)(PaperSize.Margin * PointsPerMm),
                    (float)(PaperSize.Margin * PointsPerMm),
                    (float)(paper.PrintedWidth * PointsPerMm),
                    (float)(paper.PrintedHeight * PointsPerMm)
                )
            );
            Paths(canvas, page.On(tile, paper), PaperSize.Margin - tile.X, PaperSize.Margin - tile.Y);
            canvas.Restore();
            if (free[i] is { } corner)
            {
                CheckSquare(canvas, corner.X, corner.Y);
            }
            document.EndPage();
        }
    }

    private static SKCanvas Begin(SKDocument document, PaperSize paper) =>
        document.BeginPage((float)(paper.Width * PointsPerMm), (float)(paper.Height * PointsPerMm));

    /// <summary>Lines, moved by so many mm.</summary>
    private static void Paths(SKCanvas canvas, CutPage page, double x, double y)
    {
        foreach (var path in page.Paths)
        {
            using var paint = new SKPaint();
            paint.Style = SKPaintStyle.Stroke;
            paint.StrokeJoin = SKStrokeJoin.Round;
            paint.IsAntialias = true;
            (paint.Color, paint.StrokeWidth) = path.Role switch
            {
                CutRole.Draw => (Muted, DrawWidth),
                CutRole.Score => (Trouble, ScoreWidth),
                _ => (Ink, CutWidth),
            };
            using var drawn = new SKPath();
            SKPoint At(Point p) => new((float)((p.X + x) * PointsPerMm), (float)((p.Y + y) * PointsPerMm));
            drawn.MoveTo(At(path.Curves[0].Start));
            foreach (var curve in path.Curves)
            {
                if (curve.IsLine)
                {
                    drawn.LineTo(At(curve.End));
                }
                else
                {
                    drawn.CubicTo(At(curve.Control1), At(curve.Control2), At(curve.End));
                }
            }
            if (path.IsClosed)
            {
                drawn.Close();
            }
            canvas.DrawPath(drawn, paint);
        }
    }

    private static void Head(SKCanvas canvas, CutPage page, string number, PaperSize paper)
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
    private static void Overlaps(SKCanvas canvas, PaperTile tile, PaperSize paper)
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

    /// <summary>A corner of a tile on which no line lies, as the top left of the check square's room, mm; null where none is.</summary>
    private static Point? FreeCorner(CutPage page, PaperTile tile, PaperSize paper)
    {
        var (w, h) = CheckRoom;
        foreach (var bottom in new[] { true, false })
        {
            foreach (var right in new[] { true, false })
            {
                var x = right
                    ? paper.Width - PaperSize.Margin - w - (tile.Column < tile.Columns ? PaperTile.Overlap : 0)
                    : PaperSize.Margin + 3;
                var y = bottom
                    ? paper.Height - PaperSize.Margin - h - (tile.Row < tile.Rows ? PaperTile.Overlap : 0)
                    : PaperSize.Margin + 3;
                var room = new Box(x, y, x + w, y + h);
                if (!page.Paths.Any(path => Touches(path, tile, room)))
                {
                    return new Point(x, y);
                }
            }
        }
        return null;
    }

    private static bool Touches(CutPath path, PaperTile tile, Box room)
    {
        var onSheet = new Box(
            room.MinX - PaperSize.Margin + tile.X,
            room.MinY - PaperSize.Margin + tile.Y,
            room.MaxX - PaperSize.Margin + tile.X,
            room.MaxY - PaperSize.Margin + tile.Y
        );
        return path.Bounds().Overlaps(onSheet);
    }

    private static void CheckSquare(SKCanvas canvas, double x, double y)
    {
        Square(canvas, x + 2, y + 6, CheckSide);
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
        paint.Color = Muted;
        paint.StrokeWidth = MarkWidth;
        using var dashes = dashed ? SKPathEffect.CreateDash([4, 3], 0) : null;
        paint.PathEffect = dashes;
        canvas.DrawLine(
            (float)(x1 * PointsPerMm),
            (float)(y1 * PointsPerMm),
            (float)(x2 * PointsPerMm),
            (float)(y2 * PointsPerMm),
            paint
        );
    }

    private static void Write(SKCanvas canvas, string text, double x, double y, float size, bool bold = false)
    {
        using var font = new SKFont(bold ? PdfPen.Bold : PdfPen.Regular, size);
        using var paint = new SKPaint();
        paint.Color = Ink;
        paint.IsAntialias = true;
        canvas.DrawText(text, (float)(x * PointsPerMm), (float)(y * PointsPerMm), SKTextAlign.Left, font, paint);
    }
}
