using SkiaSharp;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Pictures;

/// <summary>A picture's size, pixels.</summary>
public sealed record PictureSize(int Width, int Height);

/// <summary>Opens PNG and JPEG pictures, within limits.</summary>
public static class PictureReader
{
    public const int LargestFile = 15_000_000;

    /// <summary>Most pixels of a picture.</summary>
    public const long MostPixels = 40_000_000;

    /// <summary>Most passes of a progressive JPEG; usual ones have about ten.</summary>
    private const int MostScans = 40;

    /// <returns>The picture's size, or "picture-…" with a sentence.</returns>
    public static Result<PictureSize> Size(byte[] file)
    {
        if (file.Length > LargestFile)
        {
            return No(
                "too-large",
                $"This picture has {file.Length / 1e6:0} MB; up to {LargestFile / 1e6:0} MB are read."
            );
        }
        using var data = SKData.CreateCopy(file);
        using var codec = SKCodec.Create(data);
        if (codec is null || codec.EncodedFormat is not (SKEncodedImageFormat.Png or SKEncodedImageFormat.Jpeg))
        {
            return No("foreign", "This is not a picture that can be read; choose a PNG or a JPEG.");
        }
        var info = codec.Info;
        if (info.Width < 1 || info.Height < 1 || (long)info.Width * info.Height > MostPixels)
        {
            return No("too-large", $"This picture has {info.Width} × {info.Height} pixels; up to 40 million are read.");
        }
        // Decoding can't be stopped once begun; a JPEG in many passes goes over all of its pixels with each.
        var passes = info.Width > 0 && codec.EncodedFormat == SKEncodedImageFormat.Jpeg ? Scans(file) : 1;
        if (passes > MostScans)
        {
            return No(
                "too-large",
                $"This picture is stored in {passes} passes; up to {MostScans} are read. Save it again."
            );
        }
        Budget.SpendAhead((double)info.Width * info.Height * (1 + (passes / 4.0)));
        using var bitmap = new SKBitmap(info);
        return codec.GetPixels(info, bitmap.GetPixels()) != SKCodecResult.Success
            ? No("broken", "This picture is damaged and can't be read.")
            : new PictureSize(info.Width, info.Height);
    }

    /// <summary>How often a JPEG goes over its pixels: its "start of scan" marks.</summary>
    private static int Scans(ReadOnlySpan<byte> file) => file.Count((ReadOnlySpan<byte>)[0xFF, 0xDA]);

    /// <summary>"image/png" or "image/jpeg", from the first byte.</summary>
    public static string MediaType(byte[] file) => file.Length > 0 && file[0] == 0x89 ? "image/png" : "image/jpeg";

    private static Refusal No(string code, string words) => new($"picture-{code}", "file", words);
}
