using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Files.CutFiles;

namespace Ullet.Files.Tests.CutFiles;

/// <summary>Every sheet and every shape of every demo project, in every format that has lines, read back place by place.</summary>
public sealed class EveryFormatTests
{
    public static TheoryData<string, CutFormat> Files
    {
        get
        {
            var files = new TheoryData<string, CutFormat>();
            foreach (var title in DemoWork.All.Keys)
            {
                foreach (var format in Enum.GetValues<CutFormat>())
                {
                    files.Add(title, format);
                }
            }
            return files;
        }
    }

    [Theory]
    [MemberData(nameof(Files))]
    public void File_OfEveryDemoSheetAndShape_ComesBackWhereItLay(string title, CutFormat format)
    {
        var sheets = DemoWork.All[title].Sheets;
        Assert.NotEmpty(sheets);
        foreach (var sheet in sheets)
        {
            Agrees(format, Made.Page(sheet), Made.File(new CutFileWish(format, Dpi: 120), sheet));
            foreach (var placed in sheet.Shapes)
            {
                Agrees(format, Made.Page(sheet, placed), Made.File(format, sheet, placed));
            }
        }
    }

    private static void Agrees(CutFormat format, CutPage page, byte[] file)
    {
        if (format == CutFormat.Png)
        {
            Pixels(page, PngCutReader.Read(file).Value);
            return;
        }
        var found = format switch
        {
            CutFormat.Svg => [.. SvgCutReader.Read(file).Value.Lines.Select(line => line.Contour)],
            CutFormat.Dxf => [.. DxfCutReader.Read(file).Value.Lines.Select(line => line.Contour)],
            CutFormat.Eps => [.. EpsCutReader.Read(file).Value.Lines.Select(line => line.Contour)],
            _ => Whole(page, file),
        };
        Assert.Equal(page.Paths.Length, found.Count);
        foreach (var path in page.Paths)
        {
            var wanted = new Contour(path.Curves);
            var index = new SegmentIndex([.. found.Select(contour => contour.Flatten(0.001))]);
            Assert.All(
                wanted.Flatten(0.01).Points,
                place => Assert.InRange(index.Nearest(place, 1)?.DistanceTo(place) ?? 9, 0, 0.05)
            );
            var box = wanted.Bounds();
            Assert.Contains(
                found.Select(contour => contour.Bounds()),
                each => Math.Abs(each.Width - box.Width) < 0.05 && Math.Abs(each.Height - box.Height) < 0.05
            );
        }
    }

    /// <summary>The one page of a PDF that is as large as the sheet.</summary>
    private static List<Contour> Whole(CutPage page, byte[] tiled)
    {
        Assert.NotEmpty(PdfCutReader.Read(tiled).Value);
        var file = CutExport.Make(page, new CutFileWish(CutFormat.Pdf, Paper.Sheet)).Value;
        return [.. Assert.Single(PdfCutReader.Read(file).Value).Lines.Select(line => line.Contour)];
    }

    private static void Pixels(CutPage page, PngCutFile found)
    {
        // Pixels per metre are a whole number in the file: a hair is lost over the page.
        var pixel = (LengthText.MmPerInch / found.Dpi) + 0.05;
        foreach (var path in page.Paths.Where(path => path is { Role: CutRole.Cut, IsClosed: true }))
        {
            var box = new Contour(path.Curves).Bounds();
            Assert.Contains(
                found.Shapes.Concat(found.Holes),
                each =>
                    Math.Abs(each.MinX - box.MinX) <= pixel
                    && Math.Abs(each.MaxX - box.MaxX) <= pixel
                    && Math.Abs(each.MinY - box.MinY) <= pixel
                    && Math.Abs(each.MaxY - box.MaxY) <= pixel
            );
        }
    }
}
