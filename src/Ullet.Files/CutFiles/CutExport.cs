using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Files.CutFiles;

/// <summary>The formats of cut files.</summary>
public enum CutFormat
{
    Svg,
    Dxf,
    Eps,
    Pdf,
    Png,
}

/// <summary>How a cut file is wanted.</summary>
/// <param name="Format">Its format.</param>
/// <param name="Paper">What a PDF is printed on.</param>
/// <param name="Dpi">Pixels per inch of a picture.</param>
/// <param name="AntiAlias">True for grey pixels along a picture's edges.</param>
public sealed record CutFileWish(CutFormat Format, Paper Paper = Paper.A4, int Dpi = 300, bool AntiAlias = false)
{
    /// <summary>How its files end, the full stop with it.</summary>
    public string Ending => "." + CutFormats.Of(Format).Ending;

    public string MediaType => CutFormats.Of(Format).MediaType;
}

/// <summary>Writes cut files and reads every one of them back, by readers of its own, before it is handed out.</summary>
public static class CutExport
{
    /// <summary>Everything must come back within this, mm (a picture's shapes within a pixel).</summary>
    public const double SizeTolerance = CutReadBack.Tolerated;

    /// <returns>The file, or why it can't be made as wished.</returns>
    /// <exception cref="InvalidOperationException">When it does not come back as it was meant: a fault of ours.</exception>
    public static Result<byte[]> Make(CutPage page, CutFileWish wish) => CutFormats.Of(wish.Format).Make(page, wish);

    /// <summary>Pages one after the other, printed on paper.</summary>
    public static byte[] Pdf(IReadOnlyList<CutPage> pages, Paper paper)
    {
        var file = PdfCutWriter.Write(pages, paper);
        var read = Taken("PDF", PdfCutReader.Read(file));
        var tiles = pages.SelectMany(page => Printed(page, paper)).ToList();
        // Pages that hold a check square alone have no line of a shape.
        var drawn = read.Select(page => page.Lines.Where(line => CutReadBack.RoleOf(line) is not null).ToList())
            .Where(lines => lines.Count > 0)
            .ToList();
        if (drawn.Count != tiles.Count)
        {
            throw new InvalidOperationException(
                $"The PDF has {drawn.Count} pages of shapes, and should have {tiles.Count}."
            );
        }
        foreach (var (lines, tile) in drawn.Zip(tiles))
        {
            CutReadBack.Check("PDF", tile.Paths, lines.ConvertAll(line => line.Contour));
        }
        return file;
    }

    /// <summary>What each printed page of a cut page shows, where it lies on the paper.</summary>
    private static IEnumerable<CutPage> Printed(CutPage page, Paper paper)
    {
        if (paper == Paper.Sheet)
        {
            return [page];
        }
        var size = PaperSize.Of(paper);
        return PaperTile
            .Of(page, size)
            .Select(tile => page.On(tile, size).Shifted(PaperSize.Margin - tile.X, PaperSize.Margin - tile.Y));
    }

    internal static byte[] Svg(CutPage page)
    {
        var file = SvgCutWriter.Write(page);
        foreach (var sizing in Enum.GetValues<SvgSizing>())
        {
            Lines("SVG", Grouped(page), file, bytes => SvgCutReader.Read(bytes, sizing));
        }
        return file;
    }

    /// <summary>With its lines in the order of their roles, as an SVG groups them.</summary>
    private static CutPage Grouped(CutPage page) =>
        page with
        {
            Paths = [.. Enum.GetValues<CutRole>().SelectMany(page.Of)],
        };

    internal static byte[] Lines(string what, CutPage page, byte[] file, Func<byte[], Result<CutFile>> reader)
    {
        var read = Taken(what, reader(file));
        CutReadBack.Check(what, page.Paths, [.. read.Lines.Select(line => line.Contour)]);
        return read.Mirrored == page.Mirrored
            ? file
            : throw new InvalidOperationException($"The {what} does not say rightly whether it is mirrored.");
    }

    internal static Result<byte[]> Png(CutPage page, byte[] file)
    {
        var read = Taken("PNG", PngCutReader.Read(file));
        // Pixels per metre are a whole number in the file: that much is lost over the page.
        var pixel =
            (LengthText.MmPerInch / read.Dpi) + (Math.Max(page.Width, page.Height) * 0.51 / (read.Dpi / 0.0254));
        // Shapes that overlap run together in a picture; each must lie in what was found.
        var boxes = page.Of(CutRole.Cut)
            .Where(path => path.Part is not null)
            .GroupBy(path => path.Part, ReferenceEqualityComparer.Instance)
            .Select(part => part.Aggregate(Box.Empty, (box, path) => box.Union(path.Bounds())))
            .ToList();
        var all = boxes.Aggregate(Box.Empty, (box, each) => box.Union(each));
        var seen = read.Shapes.Aggregate(Box.Empty, (box, each) => box.Union(each));
        var missing = boxes.Where(box => !read.Shapes.Any(shape => shape.Contains(box, pixel))).ToList();
        var apart = boxes.Count == read.Shapes.Length;
        if (
            missing.Count > 0
            || !seen.Contains(all, pixel)
            || !all.Contains(seen, pixel)
            || (apart && boxes.Any(box => !read.Shapes.Any(shape => Near(shape, box, pixel))))
        )
        {
            // Pixels can't show what is thinner than they are: nothing that differs is handed out.
            return new Refusal(
                "picture-too-coarse",
                "dpi",
                $"At {read.Dpi:0} pixels per inch a part of a shape is thinner than a pixel and comes back in another size. Ask for "
                    + "more pixels per inch, or take another format."
            );
        }
        return file;
    }

    private static bool Near(Box found, Box wanted, double pixel) =>
        found.Contains(wanted, pixel) && wanted.Contains(found, pixel);

    private static T Taken<T>(string what, Result<T> read) =>
        read.IsOk
            ? read.Value
            : throw new InvalidOperationException($"The {what} can't be read back: {read.Refusal!.Words}");
}
