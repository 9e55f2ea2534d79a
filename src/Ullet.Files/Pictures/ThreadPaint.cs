using SkiaSharp;
using Ullet.Core.Program;

namespace Ullet.Files.Pictures;

/// <summary>Draws needle points as thread, in mm: its shadow on the cloth, a dark edge, the body, a lit middle.</summary>
internal static class ThreadPaint
{
    /// <summary>40-weight thread lies about this wide, mm.</summary>
    private const float Width = 0.42f;

    internal static void Draw(SKCanvas canvas, ProgramStitches step, ProgramThread thread)
    {
        var colour = Shades.Colour(thread.Colour);
        using var path = new SKPath();
        var isDown = false;
        foreach (var command in step.Commands)
        {
            var at = new SKPoint((float)command.At.X, (float)command.At.Y);
            if (command.Kind == NeedleKind.Stitch && isDown)
            {
                path.LineTo(at);
            }
            else
            {
                path.MoveTo(at);
            }
            isDown = command.Kind != NeedleKind.Trim;
        }
        using (var shadow = Stroke(new SKColor(20, 26, 36, 70), Width))
        {
            shadow.MaskFilter = SKMaskFilter.CreateBlur(SKBlurStyle.Normal, 0.28f, respectCTM: true);
            canvas.Save();
            canvas.Translate(0.12f, 0.3f);
            canvas.DrawPath(path, shadow);
            canvas.Restore();
        }
        using var dark = Stroke(colour.Shaded(0.7f), Width);
        using var body = Stroke(colour, Width * 0.74f);
        using var light = Stroke(colour.Shaded(1.35f), Width * 0.24f);
        light.StrokeCap = SKStrokeCap.Butt;
        // Stroke by stroke, so that each lies over the one before as thread does.
        SKPoint? last = null;
        foreach (var command in step.Commands)
        {
            var at = new SKPoint((float)command.At.X, (float)command.At.Y);
            if (command.Kind == NeedleKind.Stitch && last is { } from)
            {
                canvas.DrawLine(from, at, dark);
                canvas.DrawLine(from, at, body);
                canvas.DrawLine(Between(from, at, 0.24f), Between(from, at, 0.68f), light);
            }
            last = command.Kind == NeedleKind.Trim ? null : at;
        }
    }

    private static SKPoint Between(SKPoint a, SKPoint b, float t) =>
        new(a.X + ((b.X - a.X) * t), a.Y + ((b.Y - a.Y) * t));

    private static SKPaint Stroke(SKColor colour, float width) =>
        new()
        {
            Color = colour,
            StrokeWidth = width,
            StrokeCap = SKStrokeCap.Round,
            StrokeJoin = SKStrokeJoin.Round,
            IsAntialias = true,
            Style = SKPaintStyle.Stroke,
        };
}
