using SkiaSharp;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Files.CutFiles;

/// <summary>Draws cut shapes at true size as PDF: one page as large as the sheet, or tiled over paper with marks where tiles
/// overlap and a square to check the print by.</summary>
public static class PdfCutWriter
{
    internal const float PointsPerMm = (float)EpsCutWriter.PointsPerMm;

    /// <summary>Side of the check square, mm; half of it stands for 2 in beside it.</summary>
    public const double CheckSide = 50;

    /// <summary>Room that the check square takes, mm.</summary>
    private static readonly (double Width, double Height) CheckRoom = (58, 62);

    /// <summary>Cut lines have this very width, points: by it they are told from everything else.</summary>
    internal const float CutWidth = 0.5f;

    internal const float DrawWidth = 0.4f;

    internal const float ScoreWidth = 0.45f;

    internal static readonly SKColor Ink = new(0x1d, 0x2a, 0x3a);

    internal static readonly SKColor Muted = new(0x5a, 0x68, 0x78);

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
            PdfPageMarks.Head(first, page, "check square", paper);
            PdfPageMarks.CheckSquare(first, PaperSize.Margin + 6, PaperSize.Margin + 12);
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
            PdfPageMarks.Head(canvas, page, number, paper);
            PdfPageMarks.Overlaps(canvas, tile, paper);
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
                PdfPageMarks.CheckSquare(canvas, corner.X, corner.Y);
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
}
