using SkiaSharp;
using Ullet.Core.Program;

namespace Ullet.Files.Pictures;

/// <summary>Draws needle points as thread, in mm: its shadow on the cloth, a dark edge, the body, a lit middle.</summary>
internal static class ThreadPaint
{
    /// <summary>40-weight thread lies about this wide, mm.</summary>
    private const float Width = 0.42f;

    /// <summary>Shorter strokes catch no light, mm.</summary>
    private const float Short = 0.5f;

    /// <summary>Strokes that face the light by more than this shine.</summary>
    private const float Shining = 0.45f;

    /// <summary>Light falls from the left and above.</summary>
    private static readonly SKPoint Light = new(-0.6f, -0.8f);

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
        using var light = Stroke(colour.Shaded(1.35f), Width * 0.2f);
        using var faint = Stroke(colour.Shaded(1.14f), Width * 0.28f);
        light.StrokeCap = SKStrokeCap.Butt;
        faint.StrokeCap = SKStrokeCap.Butt;
        // Stroke by stroke, so that each lies over the one before as thread does.
        SKPoint? last = null;
        foreach (var command in step.Commands)
        {
            var at = new SKPoint((float)command.At.X, (float)command.At.Y);
            if (command.Kind == NeedleKind.Stitch && last is { } from)
            {
                canvas.DrawLine(from, at, dark);
                canvas.DrawLine(from, at, body);
                Lit(canvas, from, at, light, faint);
            }
            last = command.Kind == NeedleKind.Trim ? null : at;
        }
    }

    /// <summary>A soft light along the side that faces it: strokes across the light shine, those along it hardly.</summary>
    private static void Lit(SKCanvas canvas, SKPoint from, SKPoint to, SKPaint light, SKPaint faint)
    {
        var way = to - from;
        if (way.Length < Short)
        {
            return;
        }
        var across = new SKPoint(-way.Y / way.Length, way.X / way.Length);
        var facing = (across.X * Light.X) + (across.Y * Light.Y);
        var by = Math.Sign(facing) * Width * 0.15f;
        var side = new SKPoint(across.X * by, across.Y * by);
        canvas.DrawLine(
            Between(from, to, 0.15f) + side,
            Between(from, to, 0.85f) + side,
            Math.Abs(facing) > Shining ? light : faint
        );
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
