using System.Collections.Immutable;
using System.Globalization;
using SkiaSharp;
using Ullet.Core.Evaluation;
using Ullet.Core.Lettering;
using Ullet.Core.Orders;
using Ullet.Files.Booklets;

namespace Ullet.Files.Orders;

/// <summary>An order as its proof shows it.</summary>
/// <param name="Order">The row of the book.</param>
/// <param name="Values">What its fill-ins say, with what they are called; those that say nothing are left out.</param>
/// <param name="Evaluated">It, filled in and computed.</param>
/// <param name="Sum">What it takes.</param>
public sealed record ProofOrder(
    Order Order,
    ImmutableArray<(string Label, string Says)> Values,
    Evaluated Evaluated,
    OrderSum Sum
);

/// <summary>How a proof sheet is set.</summary>
/// <param name="Paper">A4 or Letter.</param>
/// <param name="IsContact">True for twelve on a page, false for one.</param>
/// <param name="IsSpelled">True to spell every value letter by letter.</param>
public sealed record ProofLook(BookletPaper Paper, bool IsContact, bool IsSpelled);

/// <summary>Proof sheets: each order as it will be, with everything it says in large plain type, to be confirmed before it is sewn.</summary>
public static class ProofSheet
{
    private const float Margin = 40;

    private const int Across = 3;

    private const int Down = 4;

    /// <summary>Values that a small proof shows.</summary>
    private const int CellValues = 4;

    private const int PageDots = 1240;

    private static readonly SKColor Ink = new(0x1d, 0x2a, 0x3a);

    private static readonly SKColor Quiet = new(0x4c, 0x59, 0x68);

    private static readonly SKColor Line = new(0xb5, 0xbe, 0xc8);

    /// <summary>Sheets as PDF. Orders are asked for one after the other, so that as many as are wanted take no more memory than one page.</summary>
    public static byte[] Pdf(string title, IEnumerable<ProofOrder> orders, ProofLook look)
    {
        var (width, height) = PageOf(look.Paper);
        using var stream = new MemoryStream();
        var metadata = new SKDocumentPdfMetadata
        {
            Title = $"Proofs, {title}",
            Creator = "Ullet",
            EncodingQuality = 88,
        };
        using (var document = SKDocument.CreatePdf(stream, metadata))
        {
            foreach (var page in orders.Chunk(look.IsContact ? Across * Down : 1))
            {
                var canvas = document.BeginPage(width, height);
                Page(canvas, width, height, title, page, look);
                document.EndPage();
            }
            document.Close();
        }
        return stream.ToArray();
    }

    /// <summary>One order's sheet as a picture to send.</summary>
    public static byte[] Png(string title, ProofOrder order, ProofLook look)
    {
        var (width, height) = PageOf(look.Paper);
        var scale = PageDots / width;
        using var bitmap = new SKBitmap(PageDots, (int)Math.Round(height * scale));
        using (var canvas = new SKCanvas(bitmap))
        {
            canvas.Clear(SKColors.White);
            canvas.Scale(scale);
            Page(canvas, width, height, title, [order], look with { IsContact = false });
        }
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }

    /// <summary>Text letter by letter: each with a space round it, a space as a word.</summary>
    public static string Spelled(string text) =>
        string.Join(
            " · ",
            Characters
                .Of(text)
                .Select(letter =>
                    letter == " " ? "(space)"
                    : letter == "\n" ? "(new line)"
                    : letter
                )
        );

    private static (float Width, float Height) PageOf(BookletPaper paper)
    {
        var look = BookletLook.Of(paper, BookletType.Large);
        return (look.Width, look.Height);
    }

    private static void Page(
        SKCanvas canvas,
        float width,
        float height,
        string title,
        ProofOrder[] orders,
        ProofLook look
    )
    {
        if (!look.IsContact)
        {
            Single(new ProofPen(canvas, Margin, Margin, width - (2 * Margin)), height - Margin, title, orders[0], look);
            return;
        }
        var pen = new ProofPen(canvas, Margin, Margin, width - (2 * Margin));
        pen.Write($"Proofs: {title}", 13, Ink, isBold: true);
        var (top, gap) = (Margin + 26, 10f);
        var cell = (
            Width: (width - (2 * Margin) - ((Across - 1) * gap)) / Across,
            Height: (height - top - Margin - ((Down - 1) * gap)) / Down
        );
        for (var i = 0; i < orders.Length; i++)
        {
            var at = new SKPoint(Margin + (i % Across * (cell.Width + gap)), top + (i / Across * (cell.Height + gap)));
            Cell(canvas, new SKRect(at.X, at.Y, at.X + cell.Width, at.Y + cell.Height), orders[i], look);
        }
    }

    private static void Single(ProofPen pen, float bottom, string title, ProofOrder order, ProofLook look)
    {
        pen.Write($"{title}: order {order.Order.Number}", 20, Ink, isBold: true);
        var about = new[]
        {
            order.Order.Reference.Length > 0 ? $"Reference {order.Order.Reference}" : "",
            order.Order.Quantity > 1 ? $"{order.Order.Quantity} of it" : "",
            order.Order.WantedBy.Length > 0 ? $"wanted by {order.Order.WantedBy}" : "",
        };
        pen.Write(string.Join(", ", about.Where(each => each.Length > 0)), 11, Quiet);
        pen.Space(8);
        var lines = order.Values.Length + (look.IsSpelled ? order.Values.Length : 0);
        pen.Picture(order.Evaluated, Math.Max(170, bottom - pen.Y - 190 - (lines * 34)), 1000);
        pen.Space(10);
        foreach (var (label, says) in order.Values)
        {
            pen.Write(label, 11, Quiet);
            pen.Write(says.Replace('\n', ' '), 26, Ink, isBold: true);
            if (look.IsSpelled)
            {
                pen.Write(Spelled(says), 13, Ink);
            }
            pen.Space(4);
        }
        pen.Space(4);
        foreach (var sentence in Facts(order))
        {
            pen.Write(sentence, 10.5f, Ink);
        }
        pen.Tick(bottom);
    }

    private static void Cell(SKCanvas canvas, SKRect cell, ProofOrder order, ProofLook look)
    {
        using var frame = new SKPaint
        {
            Color = Line,
            IsStroke = true,
            StrokeWidth = 0.8f,
            IsAntialias = true,
        };
        canvas.DrawRoundRect(cell, 6, 6, frame);
        canvas.Save();
        canvas.ClipRect(cell);
        var pen = new ProofPen(canvas, cell.Left + 8, cell.Top + 4, cell.Width - 16);
        pen.Write($"Order {order.Order.Number}", 9.5f, Quiet, most: 1);
        var said = order.Values.Take(CellValues).ToList();
        var spelled = look.IsSpelled && said.Count > 0 ? Spelled(said.MaxBy(value => value.Says.Length).Says) : "";
        pen.Picture(order.Evaluated, cell.Height - 40 - (said.Count * 16) - (spelled.Length > 0 ? 11 : 0), 420);
        pen.Space(2);
        foreach (var (_, says) in said)
        {
            pen.Write(says.Replace('\n', ' '), 12, Ink, isBold: true, most: 1);
        }
        pen.Write(spelled, 7.5f, Ink, most: 1);
        pen.Write(
            string.Create(
                CultureInfo.InvariantCulture,
                $"{order.Sum.Width:0.#} × {order.Sum.Height:0.#} mm; {string.Join(", ", order.Sum.Threads.Select(use => use.Name))}"
            ),
            7.5f,
            Quiet,
            most: 1
        );
        canvas.Restore();
        pen.SmallTick(cell);
    }

    private static IEnumerable<string> Facts(ProofOrder order)
    {
        yield return string.Create(
            CultureInfo.InvariantCulture,
            $"Stitched size {order.Sum.Width:0.#} × {order.Sum.Height:0.#} mm; {order.Sum.Stitches:N0} stitches, {order.Sum.Stops} stops, about {Math.Ceiling(order.Sum.Seconds / 60):0} minutes with hands."
        );
        yield return $"Threads: {string.Join(", ", order.Sum.Threads.Select(use => use.Name))}.";
        if (!order.Sum.Cloths.IsEmpty)
        {
            yield return $"Cloths: {string.Join(", ", order.Sum.Cloths.Select(use => use.Name))}.";
        }
        if (!order.Sum.Fonts.IsEmpty)
        {
            yield return $"Letters: {string.Join(", ", order.Sum.Fonts)}.";
        }
    }
}
