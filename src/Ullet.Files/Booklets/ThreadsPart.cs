using System.Collections.Immutable;
using SkiaSharp;
using Ullet.Core.Booklets;
using Ullet.Files.Instructions;

namespace Ullet.Files.Booklets;

/// <summary>Threads by block, each with a spot of its colour.</summary>
internal sealed record ThreadsPart(ImmutableArray<BookletThread> Threads) : BookletPart
{
    internal override float Height(BookletLook look) => Threads.Length * look.Body * 1.5f;

    internal override void Draw(SKCanvas canvas, float x, float y, BookletLook look)
    {
        using var font = new SKFont(PdfPen.Regular, look.Body);
        using var ink = new SKPaint { Color = BookletPages.InkColour, IsAntialias = true };
        using var edge = new SKPaint
        {
            Color = BookletPages.InkColour,
            IsAntialias = true,
            IsStroke = true,
            StrokeWidth = 0.7f,
        };
        foreach (var thread in Threads)
        {
            y += look.Body * 1.5f;
            var (middle, radius) = (y - (look.Body * 0.42f), look.Body * 0.42f);
            using var spot = new SKPaint { Color = SKColor.Parse(thread.Colour), IsAntialias = true };
            canvas.DrawCircle(x + radius, middle, radius, spot);
            canvas.DrawCircle(x + radius, middle, radius, edge);
            var blocks = thread.Blocks.Contains(' ', StringComparison.Ordinal) ? "blocks" : "block";
            var said = BookletPages
                .Lines(look.Body, false)
                .Fitted($"{thread.Name}, {blocks} {thread.Blocks}", look.Room - 24);
            canvas.DrawText(said, x + 18, y - (look.Body * 0.1f), SKTextAlign.Left, font, ink);
        }
    }
}
