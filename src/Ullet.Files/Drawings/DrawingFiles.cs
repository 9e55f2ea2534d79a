using Ullet.Core.Drawings;
using Ullet.Core.Pipeline;

namespace Ullet.Files.Drawings;

/// <summary>Reads a drawing by what it is: SVG begins with a tag, DXF with a number.</summary>
public static class DrawingFiles
{
    /// <returns>What it draws, or "drawing-…" with a sentence.</returns>
    public static Result<Drawing> Read(ReadOnlyMemory<byte> file) =>
        IsTagged(file.Span) ? SvgDrawingReader.Read(file) : DxfDrawingReader.Read(file);

    /// <summary>True for what begins with a tag, blanks and a byte order mark aside.</summary>
    internal static bool IsTagged(ReadOnlySpan<byte> file)
    {
        foreach (var b in file)
        {
            if (b is not (0xEF or 0xBB or 0xBF or (byte)' ' or (byte)'\t' or (byte)'\r' or (byte)'\n'))
            {
                return b == '<';
            }
        }
        return true;
    }
}
