using System.Collections.Immutable;
using SkiaSharp;
using Ullet.Core.Geometry;
using Ullet.Core.Moments;
using Ullet.Files.Instructions;

namespace Ullet.Files.Moments;

/// <summary>Draws ink on a canvas whose unit is the page unit: a page of a PDF, or a picture.</summary>
internal static class SkiaInk
{
    internal static void Draw(SKCanvas canvas, IEnumerable<Ink> content)
    {
        foreach (var ink in content)
        {
            switch (ink)
            {
                case InkText text:
                    Text(canvas, text);
                    break;
                case InkLines lines:
                    Lines(canvas, lines, at => at);
                    break;
                case InkFrame frame:
                    canvas.Save();
                    canvas.ClipRect(
                        new SKRect(
                            (float)frame.Window.MinX,
                            (float)frame.Window.MinY,
                            (float)frame.Window.MaxX,
                            (float)frame.Window.MaxY
                        )
                    );
                    foreach (var lines in frame.Content)
                    {
                        Lines(canvas, lines, frame.OnPage);
                    }
                    canvas.Restore();
                    break;
                default:
                    throw new ArgumentException($"{ink.GetType().Name} can't be drawn.", nameof(content));
            }
        }
    }

    private static void Text(SKCanvas canvas, InkText text)
    {
        using var font = new SKFont(text.IsBold ? PdfPen.Bold : PdfPen.Regular, (float)text.Size);
        using var paint = new SKPaint { Color = SKColor.Parse(text.Colour), IsAntialias = true };
        var align = text.Anchor switch
        {
            InkAnchor.Start => SKTextAlign.Left,
            InkAnchor.Middle => SKTextAlign.Center,
            InkAnchor.End => SKTextAlign.Right,
            _ => throw new ArgumentException("no such anchor", nameof(text)),
        };
        canvas.DrawText(text.Text, (float)text.At.X, (float)text.At.Y, align, font, paint);
    }

    private static void Lines(SKCanvas canvas, InkLines lines, Func<Point, Point> onPage)
    {
        using var drawn = new SKPath();
        foreach (var line in lines.Lines.Where(line => line.Length > 1))
        {
            drawn.AddPoly(Placed(line, onPage), lines.IsClosed);
        }
        drawn.FillType = SKPathFillType.EvenOdd;
        if (lines.Style.Fill is { } fill)
        {
            using var paint = new SKPaint { Color = SKColor.Parse(fill), IsAntialias = true };
            canvas.DrawPath(drawn, paint);
        }
        if (lines.Style.Stroke is not { } stroke)
        {
            return;
        }
        using var pen = new SKPaint
        {
            Color = SKColor.Parse(stroke),
            IsAntialias = true,
            IsStroke = true,
            StrokeWidth = (float)lines.Style.Width,
            StrokeCap = SKStrokeCap.Round,
            StrokeJoin = SKStrokeJoin.Round,
        };
        if (!lines.Style.Dash.IsEmpty)
        {
            pen.PathEffect = SKPathEffect.CreateDash([.. lines.Style.Dash.Select(each => (float)each)], 0);
        }
        canvas.DrawPath(drawn, pen);
    }

    private static SKPoint[] Placed(ImmutableArray<Point> line, Func<Point, Point> onPage) =>
        [.. line.Select(onPage).Select(at => new SKPoint((float)at.X, (float)at.Y))];
}
