using System.Globalization;
using System.Text;
using System.Xml.Linq;
using Ullet.Core.Cutting;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Files.CutFiles;

namespace Ullet.Files.Tests.CutFiles;

public sealed class SvgCutTests
{
    public static TheoryData<string, SvgSizing> Readings
    {
        get
        {
            var readings = new TheoryData<string, SvgSizing>();
            foreach (var title in DemoWork.All.Keys)
            {
                readings.Add(title, SvgSizing.Lengths);
                readings.Add(title, SvgSizing.UserUnits96);
            }
            return readings;
        }
    }

    [Theory]
    [MemberData(nameof(Readings))]
    public void Read_OfEveryDemoPiece_AgreesWithTheOutline(string title, SvgSizing sizing)
    {
        foreach (var sheet in DemoWork.All[title].Sheets)
        {
            var read = SvgCutReader.Read(Made.Svg(sheet), sizing).Value;
            var wanted = sheet
                .Shapes.SelectMany(placed => placed.Outline.Parts)
                .SelectMany(p => p.Holes.Append(p.Shell))
                .ToList();
            Assert.Equal(wanted.Count, read.Lines.Length);
            foreach (var (line, contour) in read.Lines.Zip(wanted))
            {
                Assert.True(line.IsClosed);
                Assert.Equal(contour.Bounds().Width, line.Contour.Bounds().Width, 0.05);
                Assert.Equal(contour.Bounds().Height, line.Contour.Bounds().Height, 0.05);
                var index = new SegmentIndex([contour.Flatten(0.001)]);
                Assert.All(
                    line.Contour.Flatten(0.01).Points,
                    p => Assert.InRange(index.Nearest(p, 1)?.DistanceTo(p) ?? 9, 0, 0.05)
                );
            }
        }
    }

    [Fact]
    public void Read_OfOnePieceAlone_AgreesWithItsOutline()
    {
        var sheet = DemoWork.Patch.Sheets.First(sheet => sheet.Cloth.Id == "leaf");
        var line = Assert.Single(SvgCutReader.Read(Made.Svg(sheet, sheet.Shapes[1])).Value.Lines);
        var wanted = DemoWork.Patch.Outlines[sheet.Shapes[1].Shape.ElementId].Bounds();
        Assert.Equal(wanted.Width, line.Contour.Bounds().Width, 0.01);
        Assert.Equal(wanted.Height, line.Contour.Bounds().Height, 0.01);
        Assert.Equal(5, line.Contour.Bounds().MinX, 0.01);
    }

    /// <summary>The file as somebody else's reader would take it: attributes only, no code of ours.</summary>
    [Fact]
    public void File_SaysTheSameSizeInMmAndInUserUnits()
    {
        var svg = XDocument.Parse(Encoding.UTF8.GetString(Made.Svg(DemoWork.Patch.Sheets[0]))).Root!;
        Assert.Equal("305mm", (string)svg.Attribute("width")!);
        var box = ((string)svg.Attribute("viewBox")!)
            .Split(' ')
            .Select(n => double.Parse(n, CultureInfo.InvariantCulture))
            .ToArray();
        Assert.Equal(305, box[2] / 96 * 25.4, 0.001);
        Assert.Equal(305, box[3] / 96 * 25.4, 0.001);
        Assert.DoesNotContain(
            svg.Descendants(),
            e => e.Attribute("transform") is not null || e.Name.LocalName is "text" or "use"
        );
        Assert.All(
            svg.Descendants().Where(e => e.Name.LocalName == "path"),
            p => Assert.StartsWith("M ", (string)p.Attribute("d")!, StringComparison.Ordinal)
        );
        Assert.Equal("shed-green-cotton-cut", (string)svg.Elements().Single().Attribute("id")!);
    }

    [Fact]
    public void Sheet_WithAHole_WritesTheHoleBeforeItsShell()
    {
        var sheet = DemoWork.All["Shed-key tab"].Sheets.First(sheet => sheet.Cloth.Id == "straw");
        var lines = SvgCutReader.Read(Made.Svg(sheet)).Value.Lines;
        Assert.Equal(12, lines[0].Contour.Bounds().Width, 0.02);
        Assert.Equal(46, lines[1].Contour.Bounds().Width, 0.02);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    public void Export_OfAnyShapeAtAnySize_ReadsBack(int seed)
    {
        var random = new Random(seed);
        var project = DemoWork.Patch.Project;
        for (var i = 0; i < 25; i++)
        {
            var edit = new PlaceElement
            {
                ElementId = "e4",
                Width = 2 + (random.NextDouble() * 600),
                Height = 2 + (random.NextDouble() * 600),
                Rotation = random.NextDouble() * 360,
            };
            foreach (var sheet in DemoWork.With(project, edit).Sheets)
            {
                Assert.True(SvgCutReader.Read(Made.Svg(sheet)).IsOk, $"seed {seed}, case {i}");
            }
        }
    }

    [Theory]
    [InlineData(
        "<svg xmlns='http://www.w3.org/2000/svg' width='2in' height='1in' viewBox='0 0 200 100'><rect x='0' y='0' width='100' height='50'/></svg>",
        25.4,
        12.7
    )]
    [InlineData("<svg width='10cm' height='10cm' viewBox='0 0 100 100'><circle cx='50' cy='50' r='20'/></svg>", 40, 40)]
    [InlineData("<svg width='96px' height='96px'><polygon points='0,0 96,0 96,48'/></svg>", 25.4, 12.7)]
    [InlineData(
        "<svg width='40mm' height='40mm' viewBox='0 0 40 40'><path d='m10 10 h20 v5 q0 5 -5 5 h-15 z'/></svg>",
        20,
        10
    )]
    public void Read_OfOtherPeoplesFiles_TakesUnitsAndBasicShapes(string svg, double width, double height)
    {
        var box = Assert.Single(SvgCutReader.Read(Encoding.UTF8.GetBytes(svg)).Value.Lines).Contour.Bounds();
        Assert.Equal(width, box.Width, 0.01);
        Assert.Equal(height, box.Height, 0.01);
    }

    [Theory]
    [InlineData(
        "<svg width='100' height='100' viewBox='0 0 100 100'><path d='M0 0H9V9Z'/></svg>",
        "cut-file-without-units"
    )]
    [InlineData("<svg viewBox='0 0 100 100'><path d='M0 0H9V9Z'/></svg>", "cut-file-without-units")]
    [InlineData(
        "<svg width='0mm' height='9mm' viewBox='0 0 1 1'><path d='M0 0H9V9Z'/></svg>",
        "cut-file-without-units"
    )]
    [InlineData(
        "<svg width='9mm' height='9mm'><g transform='scale(2)'><path d='M0 0H9V9Z'/></g></svg>",
        "cut-file-transform"
    )]
    [InlineData("<svg width='9mm' height='9mm'><text x='1'>Hi</text></svg>", "cut-file-text")]
    [InlineData("<svg width='9mm' height='9mm'><image href='a.png'/></svg>", "cut-file-part-unknown")]
    [InlineData("<svg width='9mm' height='9mm'><path d='M0 0 L banana'/></svg>", "cut-file-path-broken")]
    [InlineData("<svg width='9mm' height='9mm'></svg>", "cut-file-empty")]
    [InlineData("<html><body/></html>", "cut-file-foreign")]
    [InlineData("G21\nG90\nM3", "cut-file-broken")]
    [InlineData("<!DOCTYPE svg [<!ENTITY a 'aaaa'>]><svg width='9mm' height='9mm'>&a;</svg>", "cut-file-dtd")]
    [InlineData("", "cut-file-broken")]
    public void Read_OfAFileItCantTake_RefusesWithASentence(string svg, string code)
    {
        var refusal = SvgCutReader.Read(Encoding.UTF8.GetBytes(svg)).Refusal;
        Assert.Equal(code, refusal?.Code);
        Assert.EndsWith(".", refusal!.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void Export_OfAMirroredSheet_IsMirroredOnceInTheFile()
    {
        var project = DemoWork.All["Tea-towel corner"].Project;
        var plain = Moon(DemoWork.All["Tea-towel corner"].Sheets);
        var mirrored = Moon(
            DemoWork.With(project, new MirrorCloth { ClothId = "barrow", Lies = Lying.FaceDown }).Sheets
        );
        var page = plain.Bounds().MinX + plain.Bounds().MaxX;
        var index = new SegmentIndex([mirrored]);
        Assert.All(plain.Points, p => Assert.NotNull(index.Nearest(new Point(page - p.X, p.Y), 0.03)));
    }

    private static Ring Moon(IEnumerable<CutSheet> sheets)
    {
        var sheet = sheets.First(sheet => sheet.Cloth.Id == "barrow");
        return SvgCutReader.Read(Made.Svg(sheet)).Value.Lines[0].Contour.Flatten();
    }
}
