using SkiaSharp;

namespace Ullet.Files.Tests.Pictures;

/// <summary>A small photo of cloth: pure red and pure blue checks, which no drawn cloth has.</summary>
internal static class SwatchPicture
{
    internal static byte[] Checks()
    {
        using var bitmap = new SKBitmap(40, 40);
        for (var x = 0; x < 40; x++)
        {
            for (var y = 0; y < 40; y++)
            {
                bitmap.SetPixel(x, y, ((x / 20) + (y / 20)) % 2 == 0 ? new SKColor(255, 0, 0) : new SKColor(0, 0, 255));
            }
        }
        using var data = bitmap.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }
}
