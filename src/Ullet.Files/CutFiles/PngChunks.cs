using System.Buffers.Binary;
using System.Text;

namespace Ullet.Files.CutFiles;

/// <summary>Chunks of a PNG that the picture's encoder does not write: density and texts (PNG specification, 11.3).</summary>
internal static class PngChunks
{
    private const int Signature = 8;

    /// <summary>Length, type and checksum of a chunk.</summary>
    private const int Frame = 12;

    private const double InchesPerMetre = 1 / 0.0254;

    internal static byte[] Density(int dpi)
    {
        var data = new byte[9];
        var perMetre = (int)Math.Round(dpi * InchesPerMetre);
        BinaryPrimitives.WriteInt32BigEndian(data, perMetre);
        BinaryPrimitives.WriteInt32BigEndian(data.AsSpan(4), perMetre);
        data[8] = 1;
        return Chunk("pHYs", data);
    }

    internal static byte[] Text(string keyword, string text)
    {
        var latin = Encoding.Latin1.GetBytes($"{keyword}\0{CutNames.Plain(text)}");
        return Chunk("tEXt", latin);
    }

    /// <summary>The file with chunks put in behind its header.</summary>
    internal static byte[] With(byte[] png, params byte[][] chunks)
    {
        var header = Signature + Frame + BinaryPrimitives.ReadInt32BigEndian(png.AsSpan(Signature));
        return [.. png[..header], .. chunks.SelectMany(chunk => chunk), .. png[header..]];
    }

    /// <summary>The data of the chunks of one type.</summary>
    internal static IEnumerable<byte[]> Of(byte[] png, string type)
    {
        for (var at = Signature; at + Frame <= png.Length; )
        {
            var length = BinaryPrimitives.ReadInt32BigEndian(png.AsSpan(at));
            if (length < 0 || at + Frame + length > png.Length)
            {
                yield break;
            }
            if (Encoding.ASCII.GetString(png, at + 4, 4) == type)
            {
                yield return png[(at + 8)..(at + 8 + length)];
            }
            at += Frame + length;
        }
    }

    /// <summary>Pixels per inch as the file says; null where it does not.</summary>
    internal static double? DensityOf(byte[] png) =>
        Of(png, "pHYs").FirstOrDefault() is { Length: 9 } data && data[8] == 1
            ? BinaryPrimitives.ReadInt32BigEndian(data) / InchesPerMetre
            : null;

    private static byte[] Chunk(string type, byte[] data)
    {
        var chunk = new byte[Frame + data.Length];
        BinaryPrimitives.WriteInt32BigEndian(chunk, data.Length);
        Encoding.ASCII.GetBytes(type, chunk.AsSpan(4));
        data.CopyTo(chunk, 8);
        BinaryPrimitives.WriteUInt32BigEndian(
            chunk.AsSpan(8 + data.Length),
            Checksum(chunk.AsSpan(4, 4 + data.Length))
        );
        return chunk;
    }

    /// <summary>CRC-32 as PNG and zip use it.</summary>
    private static uint Checksum(ReadOnlySpan<byte> bytes)
    {
        var crc = uint.MaxValue;
        foreach (var b in bytes)
        {
            crc ^= b;
            for (var bit = 0; bit < 8; bit++)
            {
                crc = (crc & 1) == 1 ? (crc >> 1) ^ 0xEDB88320 : crc >> 1;
            }
        }
        return ~crc;
    }
}
