using UglyToad.PdfPig;
using Ullet.Core.Cutting;
using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Files.CutFiles;
using Ullet.Files.Instructions;

namespace Ullet.Files.Tests.CutFiles;

/// <summary>PDF and PNG held against readers that are not ours.</summary>
public sealed class PdfAndPngTests
{
    private const double MmPerPoint = 25.4 / 72;

    [Fact]
    public void Pdf_OfAWholeSheet_HasTheSizesThatAnotherReaderFinds()
    {
        foreach (var sheet in DemoWork.All["Plot 14 pennant"].Sheets)
        {
            using var document = PdfDocument.Open(Made.File(new CutFileWish(CutFormat.Pdf, Paper.Sheet), sheet));
            var page = document.GetPages().Single();
            Assert.Equal(305, (double)page.Width * MmPerPoint, 0.4);
            var boxes = page
                .Paths.Where(path => path.IsStroked)
                .Select(path => path.GetBoundingRectangle()!.Value)
                .ToList();
            var wanted = sheet.Shapes.SelectMany(placed => placed.Outline.Contours).Select(contour => contour.Bounds());
            foreach (var box in wanted)
            {
                Assert.Contains(
                    boxes,
                    each =>
                        Math.Abs((each.Width * MmPerPoint) - box.Width) < 0.05
                        && Math.Abs((each.Height * MmPerPoint) - box.Height) < 0.05
                        && Math.Abs((each.Left * MmPerPoint) - box.MinX) < 0.05
                );
            }
        }
    }

    [Theory]
    [InlineData(Paper.A4, 210, 297)]
    [InlineData(Paper.Letter, 215.9, 279.4)]
    public void Pdf_OfALargeSheet_IsTiledWithACheckSquareOf50And50Point8(Paper paper, double width, double height)
    {
        var sheet = Large();
        using var document = PdfDocument.Open(Made.File(new CutFileWish(CutFormat.Pdf, paper), sheet));
        var pages = document.GetPages().ToList();
        Assert.True(pages.Count >= 4);
        Assert.All(pages, page => Assert.Equal(width, (double)page.Width * MmPerPoint, 0.4));
        Assert.All(pages, page => Assert.Equal(height, (double)page.Height * MmPerPoint, 0.4));
        var lines = pages.SelectMany(page => page.Paths).Select(path => path.GetBoundingRectangle()!.Value).ToList();
        Assert.Contains(lines, line => Math.Abs((line.Width * MmPerPoint) - 50) < 0.02);
        Assert.Contains(lines, line => Math.Abs((line.Width * MmPerPoint) - 50.8) < 0.02);
        Assert.Contains(pages, page => page.Text.Contains("glue column 2 here", StringComparison.Ordinal));
        Assert.Contains(pages, page => page.Text.Contains("glue row 2 here", StringComparison.Ordinal));
    }

    [Fact]
    public void Pdf_Tiles_ShowEveryPlaceOfTheSheetAndOverlap()
    {
        var page = Made.Page(Large());
        var size = PaperSize.Of(Paper.A4);
        var tiles = PaperTile.Of(page, size);
        var box = page.Bounds();
        for (var x = box.MinX; x <= box.MaxX; x += 3)
        {
            // Along the upper edge of the shape, which is drawn.
            Assert.Contains(
                tiles,
                tile =>
                    x >= tile.X
                    && x <= tile.X + size.PrintedWidth
                    && box.MinY >= tile.Y
                    && box.MinY <= tile.Y + size.PrintedHeight
            );
        }
        var first = tiles.First(tile => tile is { Row: 1, Column: 1 });
        var second = tiles.First(tile => tile is { Row: 1, Column: 2 });
        Assert.Equal(PaperTile.Overlap, first.X + size.PrintedWidth - second.X, 1e-9);
    }

    [Fact]
    public void Pdf_OfAMirroredSheet_SaysSo()
    {
        var project = DemoWork.All["Plot 14 pennant"].Project;
        var sheet = DemoWork
            .With(project, new MirrorCloth { ClothId = "carrot", Lies = Lying.FilmDown })
            .Sheets.First(each => each.Cloth.Id == "carrot");
        using var document = PdfDocument.Open(Made.File(CutFormat.Pdf, sheet));
        Assert.Contains("mirrored already: iron-on film", document.GetPage(1).Text, StringComparison.Ordinal);
    }

    [Fact]
    public void ScissorsPages_OfEveryDemo_NameEveryShapeTrue()
    {
        foreach (var (title, evaluated) in DemoWork.All)
        {
            using var document = PdfDocument.Open(ScissorsPages.Pdf(evaluated, Paper.A4).Value);
            Assert.True(
                document.NumberOfPages >= evaluated.Sheets.Select(sheet => sheet.Cloth.Id).Distinct().Count(),
                title
            );
            var widths = document
                .GetPages()
                .SelectMany(page => page.Paths)
                .Select(path => path.GetBoundingRectangle()!.Value)
                .SelectMany(box => new[] { box.Width * MmPerPoint, box.Height * MmPerPoint })
                .ToList();
            Assert.All(
                evaluated.Cuts.SelectMany(shape => shape.Outline.Contours).Select(contour => contour.Bounds()),
                box => Assert.Contains(widths, width => Math.Abs(width - box.Width) < 0.05)
            );
        }
    }

    [Fact]
    public void SizeCard_NamesEveryShapeWithTheNumberToType()
    {
        var evaluated = DemoWork.All["Plot 14 pennant"];
        using var document = PdfDocument.Open(SizeCardSheet.Pdf(evaluated));
        var text = string.Concat(document.GetPages().Select(page => page.Text));
        Assert.All(
            evaluated.Sheets.SelectMany(sheet => sheet.Shapes),
            placed =>
                Assert.Contains(
                    SizeReading.Of(placed.Outline.Bounds()).Typed.Replace(" ", "", StringComparison.Ordinal),
                    text.Replace(" ", "", StringComparison.Ordinal),
                    StringComparison.Ordinal
                )
        );
    }

    [Theory]
    [InlineData(72, false)]
    [InlineData(300, false)]
    [InlineData(150, true)]
    public void Png_HasItsDensityAndNoGreyUnlessAsked(int dpi, bool smooth)
    {
        var sheet = DemoWork.All["Plot 14 pennant"].Sheets[0];
        var alone = sheet.Shapes[0];
        var file = Made.File(new CutFileWish(CutFormat.Png, Dpi: dpi, AntiAlias: smooth), sheet, alone);
        var picture = StbImageSharp.ImageResult.FromMemory(file, StbImageSharp.ColorComponents.Grey);
        Assert.Equal(smooth, picture.Data.Any(grey => grey is not (0 or 255)));
        var box = alone.Outline.Bounds();
        Assert.Equal(Math.Ceiling((box.Width + 10) * dpi / 25.4), picture.Width);
        var columns = Enumerable
            .Range(0, picture.Width)
            .Where(x => Enumerable.Range(0, picture.Height).Any(y => picture.Data[(y * picture.Width) + x] < 128))
            .ToList();
        Assert.Equal(box.Width * dpi / 25.4, columns[^1] - columns[0] + 1, 1.0);
        var density = PngChunks.Of(file, "pHYs").Single();
        Assert.Equal(dpi / 0.0254, (density[0] << 24) + (density[1] << 16) + (density[2] << 8) + density[3], 0.6);
    }

    [Fact]
    public void Png_TooLarge_SaysHowLargeItMayBe()
    {
        var made = CutExport.Make(Made.Page(Large()), new CutFileWish(CutFormat.Png, Dpi: 1200));
        Assert.Equal("picture-too-large", made.Refusal!.Code);
        var most = int.Parse(made.Refusal.Words.Split("at most ")[1].Split(' ')[0]);
        Assert.True(CutExport.Make(Made.Page(Large()), new CutFileWish(CutFormat.Png, Dpi: most)).IsOk);
        Assert.Equal(
            "dpi-out-of-range",
            CutExport.Make(Made.Page(Large()), new CutFileWish(CutFormat.Png, Dpi: 5)).Refusal!.Code
        );
    }

    /// <summary>A bar a few pixels wide comes back; a beetroot squeezed until its root is thinner than a pixel does not.</summary>
    [Fact]
    public void Png_TooCoarseForAPart_IsRefused()
    {
        var bar = new AddPiece
        {
            Shape = new RectangleShape(),
            Box = new ElementBox(0, 0, 1, 60, 7),
            Method = Method.CutBeforehand,
            ClothId = "carrot",
        };
        var bars = DemoWork.With(DemoWork.Patch.Project, bar).Sheets.First(sheet => sheet.Cloth.Id == "carrot");
        Assert.True(CutExport.Make(Made.Page(bars), new CutFileWish(CutFormat.Png, Dpi: 150)).IsOk);
        var squeezed = new PlaceElement
        {
            ElementId = "e4",
            Width = 1,
            Height = 60,
        }
            .Apply(DemoWork.Patch.Project, DemoWork.Context)
            .Value;
        var beet = DemoWork
            .With(squeezed, new SetMethod { ElementId = "e4", Method = Method.CutBeforehand })
            .Sheets.First(sheet => sheet.Shapes.Any(placed => placed.Shape.ElementId == "e4"));
        var refusal = CutExport.Make(Made.Page(beet), new CutFileWish(CutFormat.Png, Dpi: 300)).Refusal;
        Assert.Equal("picture-too-coarse", refusal?.Code);
        Assert.True(CutExport.Make(Made.Page(beet), new CutFileWish(CutFormat.Svg)).IsOk);
    }

    [Fact]
    public void PixelAreas_JoinAcrossCornersAndFindHoles()
    {
        string[] rows = ["..........", ".###......", ".#.#...#..", ".###..#...", ".........."];
        var black = rows.SelectMany(row => row.Select(c => c == '#')).ToArray();
        var areas = PixelAreas.Of(black, 10, 5);
        Assert.Equal(2, areas.Count(area => area.IsBlack));
        Assert.Contains(new PixelArea(true, 6, 2, 7, 3, false), areas);
        Assert.Contains(new PixelArea(false, 2, 2, 2, 2, false), areas);
        Assert.Equal(1, areas.Count(area => !area.IsBlack && area.TouchesBorder));
    }

    /// <summary>One shape over several sheets of paper.</summary>
    [Fact]
    public void Pdf_OfManyPages_IsReadBackInItsOrder()
    {
        // From nine pages on the pages of a PDF stand in a tree.
        var file = Made.File(new CutFileWish(CutFormat.Pdf, Paper.A4), Large(side: 1500));
        using var document = PdfDocument.Open(file);
        var pages = PdfCutReader.Read(file).Value;
        Assert.True(pages.Length > 8, $"{pages.Length} pages");
        Assert.Equal(
            document.GetPages().Select(page => page.Paths.Count(path => path.IsStroked)),
            pages.Select(page => page.Lines.Length)
        );
    }

    private static CutSheet Large(double side = 610)
    {
        var project = DemoWork.Patch.Project;
        var wide = DemoWork.Context.Evaluator.Evaluate(
            new SetMat { Width = side, Height = side }
                .Apply(
                    new PlaceElement
                    {
                        ElementId = "e4",
                        Width = 0.65 * side,
                        Height = 0.66 * side,
                        Rotation = 0,
                    }
                        .Apply(project, DemoWork.Context)
                        .Value,
                    DemoWork.Context
                )
                .Value
        );
        return wide.Sheets.First(sheet => sheet.Shapes.Any(placed => placed.Shape.ElementId == "e4"));
    }
}
