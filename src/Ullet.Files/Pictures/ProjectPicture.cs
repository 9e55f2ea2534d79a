using System.Collections.Immutable;
using SkiaSharp;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Files.Pictures;

/// <summary>Draws a project as it will look when it is finished: cloths and thread, seen from above.</summary>
public static class ProjectPicture
{
    private const float ThreadWidth = 0.42f;

    /// <summary>The picture as PNG.</summary>
    /// <param name="evaluated">What is drawn.</param>
    /// <param name="size">Longer side of the picture, pixels; 64 to 2400.</param>
    public static byte[] Png(Evaluated evaluated, int size)
    {
        ArgumentOutOfRangeException.ThrowIfLessThan(size, 64);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(size, 2400);
        var hoop = evaluated.Project.Hooping.Hoop;
        var scale = size / Math.Max(hoop.FieldWidth, hoop.FieldHeight);
        var (width, height) = ((int)Math.Round(hoop.FieldWidth * scale), (int)Math.Round(hoop.FieldHeight * scale));
        using var bitmap = new SKBitmap(width, height);
        using (var canvas = new SKCanvas(bitmap))
        {
            canvas.Scale((float)scale);
            canvas.Translate((float)(hoop.FieldWidth / 2), (float)(hoop.FieldHeight / 2));
            Draw(canvas, evaluated);
        }
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }

    /// <summary>Draws on a canvas whose unit is a mm and whose origin is the field's centre.</summary>
    internal static void Draw(SKCanvas canvas, Evaluated evaluated)
    {
        var project = evaluated.Project;
        canvas.Clear(Colour(project.FindCloth(project.Hooping.GroundClothId)!.Colour));
        using var weave = Weave();
        canvas.DrawPaint(weave);
        foreach (var piece in project.Elements.OfType<Piece>())
        {
            using var path = PathOf(evaluated.Outlines[piece.Id].Flatten(0.05));
            var cloth = project.FindCloth(piece.ClothId)!;
            using var ground = new SKPaint { Color = Colour(cloth.Colour), IsAntialias = true };
            canvas.DrawPath(path, ground);
            canvas.Save();
            canvas.ClipPath(path, antialias: true);
            DrawPattern(canvas, cloth, path.Bounds);
            canvas.DrawPaint(weave);
            canvas.Restore();
            foreach (
                var step in evaluated.Program.Steps.OfType<ProgramStitches>().Where(s => s.Key.OwnerId == piece.Id)
            )
            {
                DrawThread(canvas, step, Colour(evaluated.Program.Threads[step.Thread - 1].Colour));
            }
        }
    }

    /// <summary>Dots or stripes 3 mm apart, counted from the field's centre as on the wall.</summary>
    private static void DrawPattern(SKCanvas canvas, Cloth cloth, SKRect box)
    {
        using var paint = new SKPaint
        {
            Color = Colour(cloth.PatternColour ?? Lightened(cloth.Colour)),
            IsAntialias = true,
        };
        const float Apart = 3;
        for (var x = MathF.Floor(box.Left / Apart) * Apart; x < box.Right; x += Apart)
        {
            if (cloth.Texture == ClothTexture.Striped)
            {
                canvas.DrawRect(x + 0.6f, box.Top, 1, box.Height, paint);
            }
            for (
                var y = MathF.Floor(box.Top / Apart) * Apart;
                cloth.Texture == ClothTexture.Dotted && y < box.Bottom;
                y += Apart
            )
            {
                if ((int)MathF.Round((x + y) / Apart) % 2 == 0)
                {
                    canvas.DrawCircle(x + 1.5f, y + 1.5f, 0.62f, paint);
                }
            }
        }
    }

    /// <summary>The colour of a pattern that has none of its own: the ground's, nearer to white.</summary>
    private static string Lightened(string hex)
    {
        var colour = Colour(hex);
        return $"#{Mixed(colour.Red):x2}{Mixed(colour.Green):x2}{Mixed(colour.Blue):x2}";

        static int Mixed(byte part) => part + (int)((255 - part) * 0.62);
    }

    private static void DrawThread(SKCanvas canvas, ProgramStitches step, SKColor colour)
    {
        using var dark = Thread(Shaded(colour, 0.78f), ThreadWidth);
        using var body = Thread(colour, ThreadWidth * 0.72f);
        using var light = Thread(Shaded(colour, 1.28f), ThreadWidth * 0.22f);
        Point? last = null;
        foreach (var command in step.Commands)
        {
            if (command.Kind == NeedleKind.Stitch && last is { } from)
            {
                foreach (var paint in new[] { dark, body, light })
                {
                    canvas.DrawLine((float)from.X, (float)from.Y, (float)command.At.X, (float)command.At.Y, paint);
                }
            }
            last = command.Kind == NeedleKind.Trim ? null : command.At;
        }
    }

    private static SKPaint Thread(SKColor colour, float width) =>
        new()
        {
            Color = colour,
            StrokeWidth = width,
            StrokeCap = SKStrokeCap.Round,
            IsAntialias = true,
            Style = SKPaintStyle.Stroke,
        };

    /// <summary>A faint weave, 0.6 mm from thread to thread.</summary>
    private static SKPaint Weave()
    {
        using var cell = new SKBitmap(4, 4);
        cell.Erase(SKColors.Transparent);
        cell.SetPixel(0, 0, new SKColor(0, 0, 0, 14));
        cell.SetPixel(1, 1, new SKColor(255, 255, 255, 26));
        cell.SetPixel(2, 2, new SKColor(0, 0, 0, 14));
        cell.SetPixel(3, 3, new SKColor(255, 255, 255, 26));
        using var shader = SKShader.CreateBitmap(
            cell,
            SKShaderTileMode.Repeat,
            SKShaderTileMode.Repeat,
            SKMatrix.CreateScale(0.3f, 0.3f)
        );
        return new SKPaint { Shader = shader };
    }

    private static SKPath PathOf(ImmutableArray<Region> regions)
    {
        var path = new SKPath { FillType = SKPathFillType.EvenOdd };
        foreach (var ring in regions.SelectMany(region => region.Rings))
        {
            path.AddPoly([.. ring.Points.Select(p => new SKPoint((float)p.X, (float)p.Y))], close: true);
        }
        return path;
    }

    private static SKColor Colour(string hex) => SKColor.Parse(hex);

    private static SKColor Shaded(SKColor colour, float factor) =>
        new(Scaled(colour.Red, factor), Scaled(colour.Green, factor), Scaled(colour.Blue, factor));

    private static byte Scaled(byte part, float factor) =>
        (byte)Math.Clamp(factor <= 1 ? part * factor : 255 - ((255 - part) / factor), 0, 255);
}
