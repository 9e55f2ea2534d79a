using SkiaSharp;
using Ullet.Core.Projects;

namespace Ullet.Files.Pictures;

/// <summary>Draws cloth, in mm: a photo repeated at its true size, or colour, pattern and surface.</summary>
internal sealed class ClothPaint(IReadOnlyDictionary<string, byte[]>? photos) : IDisposable
{
    /// <summary>Dots and stripes repeat after so many mm, counted from the field's centre as on the wall.</summary>
    private const float Repeat = 6;

    private const int TilePixels = 192;

    private readonly Dictionary<string, SKShader> _shaders = new(StringComparer.Ordinal);

    /// <summary>Covers the whole canvas.</summary>
    internal void Fill(SKCanvas canvas, Cloth cloth)
    {
        using var paint = new SKPaint { Shader = ShaderOf(cloth) };
        canvas.DrawPaint(paint);
    }

    /// <summary>Lays a piece, with the shadow it throws on what is beneath.</summary>
    internal void Lay(SKCanvas canvas, SKPath path, Cloth cloth, bool isFaceDown = false)
    {
        Shadow(canvas, path);
        using var paint = new SKPaint { Shader = ShaderOf(cloth), IsAntialias = true };
        canvas.DrawPath(path, paint);
        if (isFaceDown)
        {
            // The wrong side of cloth is paler and hardly shows its print.
            using var pale = new SKPaint { Color = new SKColor(255, 255, 255, 153), IsAntialias = true };
            canvas.DrawPath(path, pale);
        }
    }

    /// <summary>The shadow that something throws on what is beneath.</summary>
    internal static void Shadow(SKCanvas canvas, SKPath path)
    {
        using var shadow = new SKPaint { Color = new SKColor(20, 26, 36, 90), IsAntialias = true };
        shadow.MaskFilter = SKMaskFilter.CreateBlur(SKBlurStyle.Normal, 0.7f, respectCTM: true);
        canvas.Save();
        canvas.Translate(0.3f, 0.6f);
        canvas.DrawPath(path, shadow);
        canvas.Restore();
    }

    public void Dispose()
    {
        foreach (var shader in _shaders.Values)
        {
            shader.Dispose();
        }
    }

    private SKShader ShaderOf(Cloth cloth)
    {
        if (!_shaders.TryGetValue(cloth.Id, out var shader))
        {
            _shaders[cloth.Id] = shader = Photo(cloth) ?? Drawn(cloth);
        }
        return shader;
    }

    private SKShader? Photo(Cloth cloth)
    {
        if (cloth.Swatch is not { } swatch || photos is null || !photos.TryGetValue(swatch.AssetId, out var file))
        {
            return null;
        }
        using var bitmap = SKBitmap.Decode(file);
        return bitmap is null ? null : Tiled(bitmap, (float)swatch.WidthMm / bitmap.Width);
    }

    private static SKShader Drawn(Cloth cloth)
    {
        using var tile = new SKBitmap(TilePixels, TilePixels);
        using (var canvas = new SKCanvas(tile))
        {
            canvas.Clear(Shades.Colour(cloth.Colour));
            canvas.Scale(TilePixels / Repeat);
            Pattern(canvas, cloth);
            Surface(canvas, cloth);
        }
        return Tiled(tile, Repeat / TilePixels);
    }

    private static SKShader Tiled(SKBitmap bitmap, float mmPerPixel)
    {
        using var image = SKImage.FromBitmap(bitmap);
        return image.ToShader(
            SKShaderTileMode.Repeat,
            SKShaderTileMode.Repeat,
            new SKSamplingOptions(SKFilterMode.Linear, SKMipmapMode.Linear),
            SKMatrix.CreateScale(mmPerPixel, mmPerPixel)
        );
    }

    private static void Pattern(SKCanvas canvas, Cloth cloth)
    {
        var colour = cloth.PatternColour is { } own ? Shades.Colour(own) : Shades.Colour(cloth.Colour).Shaded(2.6f);
        using var paint = new SKPaint { Color = colour, IsAntialias = true };
        if (cloth.Texture == ClothTexture.Dotted)
        {
            canvas.DrawCircle(1.5f, 1.5f, 0.62f, paint);
            canvas.DrawCircle(4.5f, 4.5f, 0.62f, paint);
        }
        if (cloth.Texture == ClothTexture.Striped)
        {
            canvas.DrawRect(0.6f, 0, 1, Repeat, paint);
            canvas.DrawRect(3.6f, 0, 1, Repeat, paint);
        }
    }

    /// <summary>Warp and weft half a mm apart, or the fibres of felt; vinyl is smooth.</summary>
    private static void Surface(SKCanvas canvas, Cloth cloth)
    {
        using var dark = new SKPaint
        {
            Color = new SKColor(0, 0, 0, 16),
            IsAntialias = true,
            StrokeWidth = 0.07f,
        };
        using var light = new SKPaint
        {
            Color = new SKColor(255, 255, 255, 22),
            IsAntialias = true,
            StrokeWidth = 0.07f,
        };
        if (cloth.Kind == ClothKind.Felt)
        {
            var seed = 7L;
            float Next() => (seed = seed * 16807 % 2147483647) / 2147483647f;
            for (var i = 0; i < 260; i++)
            {
                var (x, y, turn) = (Next() * Repeat, Next() * Repeat, Next() * MathF.PI);
                canvas.DrawLine(
                    x,
                    y,
                    x + (MathF.Cos(turn) * 0.7f),
                    y + (MathF.Sin(turn) * 0.7f),
                    i % 2 == 0 ? dark : light
                );
            }
            return;
        }
        for (var i = 0; cloth.Kind != ClothKind.Vinyl && cloth.Texture != ClothTexture.Plain && i < 144; i++)
        {
            var (x, y) = (i % 12 * 0.5f, i / 12 * 0.5f);
            canvas.DrawRect(x + 0.04f, y + 0.04f, 0.42f, 0.42f, ((i % 12) + (i / 12)) % 2 == 0 ? light : dark);
        }
    }
}
