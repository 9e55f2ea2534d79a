using System.Collections.Immutable;
using SkiaSharp;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Files.CutFiles;

/// <summary>What a tracing cutter finds in a picture.</summary>
/// <param name="Dpi">Pixels per inch, as the file says.</param>
/// <param name="Shapes">The box of each connected black area, mm, from the top down.</param>
/// <param name="Holes">The box of each white area inside one.</param>
public sealed record PngCutFile(double Dpi, ImmutableArray<Box> Shapes, ImmutableArray<Box> Holes);

/// <summary>Finds the black areas of a picture and their holes.</summary>
public static class PngCutReader
{
    private const byte Half = 128;

    /// <returns>What was found, or "cut-file-…" with a sentence.</returns>
    public static Result<PngCutFile> Read(byte[] file)
    {
        if (PngChunks.DensityOf(file) is not { } dpi)
        {
            return new Refusal(
                "cut-file-without-units",
                "pHYs",
                "This picture does not say how many pixels make an inch, so nobody knows how large its shapes are."
            );
        }
        using var decoded = SKBitmap.Decode(file);
        if (decoded is null)
        {
            return new Refusal("cut-file-broken", "file", "This picture can't be read.");
        }
        using var grey = decoded.ColorType == SKColorType.Gray8 ? decoded.Copy() : decoded.Copy(SKColorType.Gray8);
        var (width, height) = (grey.Width, grey.Height);
        var pixels = grey.GetPixelSpan();
        var black = new bool[width * height];
        for (var y = 0; y < height; y++)
        {
            for (var x = 0; x < width; x++)
            {
                black[(y * width) + x] = pixels[(y * grey.RowBytes) + x] < Half;
            }
        }
        var mm = LengthText.MmPerInch / dpi;
        var areas = PixelAreas.Of(black, width, height);
        Box Mm(PixelArea area) => new(area.MinX * mm, area.MinY * mm, (area.MaxX + 1) * mm, (area.MaxY + 1) * mm);
        return new PngCutFile(
            dpi,
            [.. areas.Where(area => area.IsBlack).Select(Mm)],
            [.. areas.Where(area => area is { IsBlack: false, TouchesBorder: false }).Select(Mm)]
        );
    }
}
