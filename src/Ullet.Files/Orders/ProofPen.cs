using SkiaSharp;
using Ullet.Core.Evaluation;
using Ullet.Core.Moments;
using Ullet.Files.Instructions;
using Ullet.Files.Moments;
using Ullet.Files.Pictures;

namespace Ullet.Files.Orders;

/// <summary>Writes and draws down a column of a proof. Points.</summary>
internal sealed class ProofPen(SKCanvas canvas, float left, float top, float room)
{
    private const float LineHeight = 1.28f;

    private static readonly SKColor Ink = new(0x1d, 0x2a, 0x3a);

    private static readonly HankenMeasure Measure = new();

    /// <summary>Where the next line goes.</summary>
    internal float Y { get; private set; } = top;

    internal void Space(float height) => Y += height;

    /// <summary>Writes text, broken into lines; nothing for none. A single word that is wider than the column is set smaller.</summary>
    internal void Write(string text, float size, SKColor colour, bool isBold = false, int most = int.MaxValue)
    {
        if (text.Length == 0)
        {
            return;
        }
        using var paint = new SKPaint { Color = colour, IsAntialias = true };
        foreach (var line in new TextLines(size, isBold, Measure).Broken(text, room).Take(most))
        {
            using var font = new SKFont(isBold ? PdfPen.Bold : PdfPen.Regular, size);
            var width = font.MeasureText(line);
            if (width > room)
            {
                font.Size = size * room / width;
            }
            Y += size * LineHeight;
            canvas.DrawText(line, left, Y - (size * 0.28f), SKTextAlign.Left, font, paint);
        }
    }

    /// <summary>Draws what an order will look like, within a height, in the column's middle.</summary>
    internal void Picture(Evaluated evaluated, float height, int dots)
    {
        if (height < 24)
        {
            return;
        }
        using var image = SKImage.FromEncodedData(ProjectPicture.Png(evaluated, dots, PictureFrame.Design));
        var scale = Math.Min(room / image.Width, height / image.Height);
        var (wide, high) = (image.Width * scale, image.Height * scale);
        var at = left + ((room - wide) / 2);
        canvas.DrawImage(
            image,
            new SKRect(at, Y, at + wide, Y + high),
            new SKSamplingOptions(SKCubicResampler.Mitchell)
        );
        Y += high;
    }

    /// <summary>A line to tick at the foot: that all is right, by whom, when.</summary>
    internal void Tick(float bottom)
    {
        using var paint = new SKPaint
        {
            Color = Ink,
            IsStroke = true,
            StrokeWidth = 1.2f,
            IsAntialias = true,
        };
        using var text = new SKPaint { Color = Ink, IsAntialias = true };
        using var font = new SKFont(PdfPen.Regular, 11);
        canvas.DrawRect(left, bottom - 14, 13, 13, paint);
        canvas.DrawText("Spelled right, make it so", left + 22, bottom - 3, SKTextAlign.Left, font, text);
        canvas.DrawLine(left + (room * 0.5f), bottom - 2, left + room, bottom - 2, paint);
    }

    /// <summary>The same in the corner of a small proof.</summary>
    internal void SmallTick(SKRect cell)
    {
        using var paint = new SKPaint
        {
            Color = Ink,
            IsStroke = true,
            StrokeWidth = 1,
            IsAntialias = true,
        };
        canvas.DrawRect(cell.Right - 18, cell.Top + 6, 11, 11, paint);
    }
}
