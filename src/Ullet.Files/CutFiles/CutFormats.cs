using System.Collections.Frozen;
using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Files.CutFiles;

/// <summary>What is known of a format of cut files.</summary>
/// <param name="Id">The format.</param>
/// <param name="Ending">How its files end, without the full stop.</param>
/// <param name="MediaType">Its media type.</param>
/// <param name="Name">What a person calls it.</param>
/// <param name="About">What it is for, in a few words.</param>
/// <param name="Make">Writes a page and reads it back; a refusal where it can't be made as wished.</param>
public sealed record CutFormatRow(
    CutFormat Id,
    string Ending,
    string MediaType,
    string Name,
    string About,
    Func<CutPage, CutFileWish, Result<byte[]>> Make
);

/// <summary>The formats of cut files, a row each.</summary>
public static class CutFormats
{
    public static readonly ImmutableArray<CutFormatRow> All =
    [
        new(
            CutFormat.Svg,
            "svg",
            "image/svg+xml",
            "SVG",
            "curves, for most cutting programs",
            (page, _) => CutExport.Svg(page)
        ),
        new(
            CutFormat.Dxf,
            "dxf",
            "image/vnd.dxf",
            "DXF",
            "arcs and lines in millimetres",
            (page, _) => CutExport.Lines("DXF", page, DxfCutWriter.Write(page), file => DxfCutReader.Read(file))
        ),
        new(
            CutFormat.Eps,
            "eps",
            "application/postscript",
            "EPS",
            "curves, for drawing programs",
            (page, _) => CutExport.Lines("EPS", page, EpsCutWriter.Write(page), file => EpsCutReader.Read(file))
        ),
        new(
            CutFormat.Pdf,
            "pdf",
            "application/pdf",
            "PDF",
            "to print at true size, with a check square",
            (page, wish) => CutExport.Pdf([page], wish.Paper)
        ),
        new(
            CutFormat.Png,
            "png",
            "image/png",
            "PNG",
            "black shapes, for cutters that trace",
            (page, wish) => PngCutWriter.Write(page, wish.Dpi, wish.AntiAlias).Then(file => CutExport.Png(page, file))
        ),
    ];

    private static readonly FrozenDictionary<CutFormat, CutFormatRow> ById = All.ToFrozenDictionary(row => row.Id);

    public static CutFormatRow Of(CutFormat format) => ById[format];

    /// <summary>The format whose files end so; null for none.</summary>
    public static CutFormatRow? Find(string ending) =>
        All.FirstOrDefault(row => string.Equals(row.Ending, ending, StringComparison.OrdinalIgnoreCase));
}
