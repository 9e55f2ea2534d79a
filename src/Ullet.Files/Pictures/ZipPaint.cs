using SkiaSharp;
using Ullet.Core.Program;
using Ullet.Core.Projects;

namespace Ullet.Files.Pictures;

/// <summary>Draws what makes a zip look like one, on its tape, in mm.</summary>
internal static class ZipPaint
{
    private static readonly SKColor Inside = new(0x2b, 0x33, 0x3d);
    private static readonly SKColor Metal = new(0xb9, 0xbe, 0xc4);

    internal static void Draw(SKCanvas canvas, ZipLook zip, Cloth tape)
    {
        using (var slit = new SKPaint { Color = Inside, IsAntialias = true })
        using (var open = SkiaRegions.Path(zip.Slit))
        {
            canvas.DrawPath(open, slit);
        }
        using (var dash = SKPathEffect.CreateDash([0.9f, 0.5f], 0))
        using (
            var teeth = new SKPaint
            {
                Color = Shades.Colour(tape.Colour).Shaded(0.6f),
                IsAntialias = true,
                IsStroke = true,
                StrokeWidth = (float)ZipLook.TeethWidth,
                PathEffect = dash,
            }
        )
        {
            foreach (var row in zip.Teeth)
            {
                using var line = new SKPath();
                line.AddPoly([.. row.Select(at => new SKPoint((float)at.X, (float)at.Y))], close: false);
                canvas.DrawPath(line, teeth);
            }
        }
        using var metal = new SKPaint { Color = Metal, IsAntialias = true };
        using var slider = SkiaRegions.Path(zip.Slider);
        ClothPaint.Shadow(canvas, slider);
        canvas.DrawPath(slider, metal);
    }
}
