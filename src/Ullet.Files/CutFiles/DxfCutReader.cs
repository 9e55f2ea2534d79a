using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Files.Dxf;

namespace Ullet.Files.CutFiles;

/// <summary>Reads a DXF cut file as a device would: in the units that it declares, without writing, y turned down.</summary>
public static class DxfCutReader
{
    public const int LargestFile = 40_000_000;

    /// <summary>No line lies farther away, mm.</summary>
    private const double FarthestPlace = 100_000;

    internal const string ClothNote = "cloth: ";

    internal const string MirrorNote = "mirrored: ";

    internal const string PageNote = "page mm: ";

    private const string What = "This cut file";

    private const string Code = "cut-file";

    /// <returns>The lines in mm, or "cut-file-…" with a sentence.</returns>
    public static Result<CutFile> Read(ReadOnlyMemory<byte> file) =>
        DxfPairs.Of(file, What, Code, LargestFile).Then(pairs => Read(DxfDocument.Of(pairs)));

    private static Result<CutFile> Read(DxfDocument document)
    {
        if (document.MmPerUnit is not { } mm)
        {
            return new Refusal(
                $"{Code}-without-units",
                "$INSUNITS",
                "This cut file does not say which unit its numbers are in, so nobody knows how large it is. "
                    + "Save it again with its units (inches or millimetres) declared."
            );
        }
        var walk = new DxfWalk(document, What, Code);
        var read = walk.Read();
        if (!read.IsOk)
        {
            return read.Refusal!;
        }
        foreach (var (kind, left) in walk.Left)
        {
            return DxfCurves.Texts.Contains(kind)
                ? new Refusal(
                    $"{Code}-text",
                    left.Place,
                    $"This cut file has writing or measures in it ({kind}, {left.Place}), which no blade can follow. "
                        + "Turn them into outlines or leave them out, and save the file again."
                )
                : new Refusal(
                    $"{Code}-part-unknown",
                    left.Place,
                    DxfCurves.Known.Contains(kind)
                        ? $"A {kind} of this cut file can't be read ({left.Place}): its numbers draw no line."
                        : $"The cutter can't take a {kind} ({left.Place}); it takes lines, polylines, arcs, circles, ellipses, "
                            + "splines and inserted blocks."
                );
        }
        return read.Value.Count == 0
            ? new Refusal($"{Code}-empty", "file", "This cut file has nothing to cut in it.")
            : Placed(document, read.Value, mm);
    }

    /// <summary>Turned y down: from the page's height where the file notes it, from the highest line otherwise.</summary>
    private static Result<CutFile> Placed(DxfDocument document, List<DxfLine> lines, double mm)
    {
        var box = lines.SelectMany(line => line.Curves).Aggregate(Box.Empty, (all, curve) => all.Union(curve.Bounds()));
        if (!(Math.Max(box.Width, box.Height) * mm < FarthestPlace))
        {
            return new Refusal($"{Code}-number", "file", "The lines of this cut file reach beyond all measure.");
        }
        var page = Note(document, PageNote)?.Split(' ').Select(Svg.SvgLength.Number).ToArray();
        var (width, height, left) = page is [{ } w, { } h]
            ? (w, h, 0.0)
            : (box.Width * mm, box.MaxY * mm, -box.MinX * mm);
        var map = Affine.Scale(mm, -mm).Then(Affine.Translate(left, height));
        ImmutableArray<CutLine> placed =
        [
            .. lines.Select(line => new CutLine(
                line.Layer.ToLowerInvariant(),
                line.Name,
                new Contour(line.Curves).Transform(map),
                line.IsClosed
            )),
        ];
        return new CutFile(width, page is null ? (box.MaxY - box.MinY) * mm : height, placed)
        {
            Cloth = Note(document, ClothNote),
            Mirrored = Note(document, MirrorNote),
        };
    }

    private static string? Note(DxfDocument document, string prefix) =>
        document.Notes.Find(note => note.StartsWith(prefix, StringComparison.Ordinal))?[prefix.Length..];
}
