using System.Text;
using Ullet.Core.Drawings;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Files.Drawings;
using Ullet.Files.Tests.CutFiles;

namespace Ullet.Files.Tests.Drawings;

public sealed class SvgDrawingTests
{
    public static TheoryData<string> Icons =>
        [
            .. Directory
                .GetFiles(
                    Path.Combine(AppContext.BaseDirectory, "Drawings/icons"),
                    "*.svg",
                    SearchOption.AllDirectories
                )
                .Select(file => Path.GetRelativePath(AppContext.BaseDirectory, file))
                .Order(StringComparer.Ordinal),
        ];

    [Theory]
    [MemberData(nameof(Icons))]
    public void Areas_AgreeWithARasterOfTheFile(string file)
    {
        var outcome = IconAreas.Compare(File.ReadAllBytes(Path.Combine(AppContext.BaseDirectory, file)));
        Assert.Null(outcome.Refusal);
        Assert.True(outcome.Worst < 0.01, $"off by {outcome.Worst:P2}");
    }

    [Theory]
    [InlineData("40mm", "20mm", 40, 20)]
    [InlineData("4cm", "2cm", 40, 20)]
    [InlineData("2in", "1in", 50.8, 25.4)]
    [InlineData("72pt", "36pt", 25.4, 12.7)]
    [InlineData("6pc", "3pc", 25.4, 12.7)]
    [InlineData("160Q", "80Q", 40, 20)]
    [InlineData("2in", null, 50.8, 25.4)]
    [InlineData("1e1mm", "5mm", 10, 5)]
    public void RealLengths_GiveTheTrueSize(string width, string? height, double across, double down)
    {
        var size = height is null ? $"width='{width}'" : $"width='{width}' height='{height}'";
        var drawing = Read($"<svg {size} viewBox='0 0 200 100'><rect width='200' height='100'/></svg>");
        Assert.Equal(1, drawing.MmPerUnit);
        Assert.Equal(across, drawing.Bounds().Width, 1e-4);
        Assert.Equal(down, drawing.Bounds().Height, 1e-4);
    }

    [Theory]
    [InlineData("width='200' height='100'")]
    [InlineData("width='200px' height='100px'")]
    [InlineData("width='100%' height='100%'")]
    [InlineData("")]
    public void OtherLengths_AreAskedFor(string size) =>
        Assert.Null(Read($"<svg {size} viewBox='0 0 200 100'><rect width='200' height='100'/></svg>").MmPerUnit);

    [Theory]
    [InlineData("", 0, 50, 100, 50)]
    [InlineData("xMinYMin meet", 0, 0, 100, 50)]
    [InlineData("xMaxYMax meet", 0, 100, 100, 50)]
    [InlineData("none", 0, 0, 100, 150)]
    [InlineData("xMidYMid slice", -100, 0, 300, 150)]
    public void PreserveAspectRatio_IsKept(string fit, double x, double y, double width, double height)
    {
        var drawing = Read(
            $"<svg width='100mm' height='150mm' viewBox='0 0 200 100' preserveAspectRatio='{fit}'><rect width='200' height='100'/></svg>"
        );
        var box = drawing.Bounds();
        Assert.Equal((x, y), (Math.Round(box.MinX, 3), Math.Round(box.MinY, 3)));
        Assert.Equal((width, height), (Math.Round(box.Width, 3), Math.Round(box.Height, 3)));
    }

    [Theory]
    [InlineData("translate(5)", 5, 0, 10, 20)]
    [InlineData("translate(5,6) scale(2)", 5, 6, 20, 40)]
    [InlineData("rotate(90)", -20, 0, 20, 10)]
    [InlineData("rotate(90 5 10)", -5, 5, 20, 10)]
    [InlineData("matrix(0 1 -1 0 30 0)", 10, 0, 20, 10)]
    [InlineData("skewX(45)", 0, 0, 30, 20)]
    [InlineData("skewY(45)", 0, 0, 10, 30)]
    [InlineData("scale(-1 1)", -10, 0, 10, 20)]
    public void Transforms_AreCarriedOut(string transform, double x, double y, double width, double height)
    {
        var box = Read($"<svg><g transform='{transform}'><rect width='10' height='20'/></g></svg>").Bounds();
        Assert.Equal((x, y), (Math.Round(box.MinX, 4), Math.Round(box.MinY, 4)));
        Assert.Equal((width, height), (Math.Round(box.Width, 4), Math.Round(box.Height, 4)));
    }

    [Fact]
    public void UsesAndSymbols_AreUnfolded()
    {
        var drawing = Read(
            """
            <svg xmlns:x='http://www.w3.org/1999/xlink'>
              <defs><circle id='pea' r='5'/><g id='pod'><use href='#pea' x='10'/><use x:href='#pea' x='20'/></g>
              <symbol id='bed' viewBox='0 0 10 10'><rect width='10' height='10'/></symbol></defs>
              <use href='#pod' y='3'/><use href='#pod' y='30'/><use href='#bed' x='50' width='40' height='40'/>
              <use href='#gone'/>
            </svg>
            """
        );
        Assert.Equal(5, drawing.Paths.Length);
        Assert.Equal(8, drawing.Paths[0].Closed[0].Bounds().MaxY, 1e-4);
        Assert.Equal(40, drawing.Paths[4].Closed[0].Bounds().Width, 1e-4);
        Assert.Single(drawing.LeftOut);
    }

    [Fact]
    public void Styles_DecideWhatIsFilledShownAndHow()
    {
        var drawing = Read(
            """
            <svg><style>/* as some programs write it */ .a, .b { fill: none } #odd { fill-rule: evenodd }</style>
              <path class='b' d='M0 0 L9 0 L9 9'/>
              <path id='odd' d='M0 0 h9 v9 h-9 z M2 2 h3 v3 h-3 z'/>
              <g fill='none'><path d='M0 0 L9 0 L9 9'/><path style='fill:#ff0000' d='M0 0 L9 0 L9 9'/></g>
              <path style='display:none' d='M0 0 h9 v9 z'/><g visibility='hidden'><rect width='9' height='9'/></g>
            </svg>
            """
        );
        Assert.Equal([false, true, false, true], drawing.Paths.Select(path => path.IsFilled));
        Assert.Equal([1, 0, 1, 0], drawing.Paths.Select(path => path.Open.Length));
        Assert.Equal(FillRule.EvenOdd, drawing.Paths[1].Rule);
    }

    [Fact]
    public void TextsAndPictures_AreNamedAsNotImported()
    {
        var drawing = Read(
            "<svg><text>a</text><text>b</text><image href='x.png'/><rect width='9' height='9' clip-path='url(#c)'/></svg>"
        );
        Assert.Equal(
            ["1 clipping is not imported.", "1 picture is not imported.", "2 texts are not imported."],
            drawing.LeftOut.Order(StringComparer.Ordinal)
        );
        Assert.Contains("2 texts", Refused("<svg><text>a</text><text>b</text></svg>").Words, StringComparison.Ordinal);
    }

    public static TheoryData<string, string, string> Broken
    {
        get
        {
            var million = new StringBuilder("<svg><path d='M0 0");
            for (var i = 0; i < 300_000; i++)
            {
                million.Append(" L").Append(i % 7).Append(' ').Append(i % 11);
            }
            var deep =
                string.Concat(Enumerable.Repeat("<g>", 300))
                + "<rect width='9' height='9'/>"
                + string.Concat(Enumerable.Repeat("</g>", 300));
            var laughs =
                "<defs><g id='l0'><rect width='9' height='9'/></g>"
                + string.Concat(
                    Enumerable
                        .Range(1, 9)
                        .Select(i =>
                            $"<g id='l{i}'>{string.Concat(Enumerable.Repeat($"<use href='#l{i - 1}'/>", 10))}</g>"
                        )
                )
                + "</defs><use href='#l9'/>";
            return new()
            {
                { "no XML", "hello", "drawing-broken" },
                { "cut short", "<svg><rect width='9'", "drawing-broken" },
                { "a page", "<html><body/></html>", "drawing-foreign" },
                {
                    "a DTD",
                    "<!DOCTYPE svg PUBLIC '-//W3C//DTD SVG 1.1//EN' 'http://x/svg11.dtd'><svg/>",
                    "drawing-dtd"
                },
                {
                    "laughing entities",
                    "<!DOCTYPE l [<!ENTITY a 'ha'><!ENTITY b '&a;&a;'>]><svg>&b;</svg>",
                    "drawing-dtd"
                },
                { "laughing uses", $"<svg>{laughs}</svg>", "drawing-too-deep" },
                { "a use of itself", "<svg><g id='a'><use href='#a'/></g></svg>", "drawing-too-deep" },
                { "nested too deep", $"<svg>{deep}</svg>", "drawing-too-deep" },
                { "a part of another file", "<svg><use href='other.svg#a'/></svg>", "drawing-external" },
                { "no number", "<svg><path d='M 0 0 L NaN 9 L 9 9 Z'/></svg>", "drawing-path" },
                { "an endless number", "<svg><path d='M 0 0 L 1e30 9 L 9 9 Z'/></svg>", "drawing-path" },
                {
                    "a broken transform",
                    "<svg><rect width='9' height='9' transform='rotate(NaN)'/></svg>",
                    "drawing-transform"
                },
                { "half a million numbers", million.Append("'/></svg>").ToString(), "drawing-too-many" },
                { "no width", "<svg width='0' height='9'><rect width='9' height='9'/></svg>", "drawing-no-size" },
                {
                    "a view without width",
                    "<svg viewBox='0 0 0 9'><rect width='9' height='9'/></svg>",
                    "drawing-no-size"
                },
                { "nothing in it", "<svg/>", "drawing-empty" },
            };
        }
    }

    [Theory]
    [MemberData(nameof(Broken))]
    public void Read_OfWhatCantBeTaken_SaysWhatAndWhere(string _, string svg, string code)
    {
        var refusal = Refused(svg);
        Assert.Equal(code, refusal.Code);
        Assert.EndsWith(".", refusal.Words, StringComparison.Ordinal);
        Assert.DoesNotContain("Exception", refusal.Words, StringComparison.Ordinal);
    }

    /// <summary>What Ullet writes for the cutter comes back as the same pieces, 0.01 mm at most from where they were.</summary>
    [Fact]
    public void OurOwnCutFile_ComesInAgainAsItWas()
    {
        foreach (var sheet in DemoWork.All.Values.SelectMany(evaluated => evaluated.Sheets))
        {
            var drawing = SvgDrawingReader.Read(Made.Svg(sheet)).Value;
            var sorted = DrawingSorter.Sort(drawing, new DrawingWish(drawing.MmPerUnit!.Value));
            var wanted = sheet.Shapes.SelectMany(placed => placed.Outline.Parts).ToList();
            Assert.Equal(wanted.Count, sorted.Pieces.Length);
            Assert.Equal(wanted.Sum(part => part.Holes.Length), sorted.Pieces.Sum(piece => piece.Outline.Holes.Length));
            var index = new SegmentIndex(
                wanted.SelectMany(part => part.Contours).Select(contour => contour.Flatten(0.001))
            );
            foreach (
                var point in sorted
                    .Pieces.SelectMany(piece => piece.Outline.Contours)
                    .SelectMany(contour => contour.Flatten(0.001).Points)
            )
            {
                Assert.InRange(index.Nearest(point, 1)?.DistanceTo(point) ?? 1, 0, 0.01);
            }
        }
    }

    [Fact]
    public void OurOwnCutFile_AsElements_CutsTheSameShapesAgain()
    {
        var sheet = DemoWork.All["Plot 14 pennant"].Sheets.First(each => each.Cloth.Id == "beet");
        var context = DemoWork.Context with { Imports = new One(SvgDrawingReader.Read(Made.Svg(sheet)).Value) };
        var empty = Server.Documents.BlankProject.Make("x", 200, 200).Value;
        var project = new AddDrawing { Token = "t" }
            .Apply(empty, context)
            .Value;
        var made = project.Elements.Select(element => context.Evaluator.OutlineOf(element).Bounds()).ToList();
        var wanted = sheet.Shapes.Select(placed => placed.Outline.Bounds()).ToList();
        Assert.Equal(wanted.Count, made.Count);
        foreach (var (box, own) in wanted.OrderBy(box => box.MinX).Zip(made.OrderBy(box => box.MinX)))
        {
            Assert.Equal(box.Width, own.Width, 0.01);
            Assert.Equal(box.Height, own.Height, 0.01);
        }
    }

    private static Drawing Read(string svg) => SvgDrawingReader.Read(Encoding.UTF8.GetBytes(svg)).Value;

    private static Core.Pipeline.Refusal Refused(string svg) =>
        SvgDrawingReader.Read(Encoding.UTF8.GetBytes(svg)).Refusal!;

    private sealed class One(Drawing drawing) : IImportedDrawings
    {
        public Drawing? Find(string token) => drawing;
    }
}
