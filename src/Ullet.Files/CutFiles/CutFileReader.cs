using Ullet.Core.Pipeline;
using Ullet.Files.Drawings;

namespace Ullet.Files.CutFiles;

/// <summary>Reads a cut file as a device would, by what it is: SVG or DXF.</summary>
public static class CutFileReader
{
    /// <returns>The lines in mm, or "cut-file-…" with a sentence.</returns>
    public static Result<CutFile> Read(ReadOnlyMemory<byte> file)
    {
        var isOther =
            file.Span.StartsWith("%!PS"u8)
            || file.Span.StartsWith("%PDF"u8)
            || (file.Length > 3 && file.Span[1..4].SequenceEqual("PNG"u8));
        return isOther ? Other()
            : DrawingFiles.IsTagged(file.Span) ? SvgCutReader.Read(file)
            : DxfCutReader.Read(file);
    }

    private static Refusal Other() =>
        new(
            "cut-file-other-format",
            "file",
            "The stand-in cutter takes SVG and DXF; save the cut file as one of them."
        );
}
