using System.Text;
using Ullet.Core.Cutting;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Files.CutFiles;
using Ullet.Server.Documents;

namespace Ullet.Files.Tests.CutFiles;

/// <summary>Sheets by seed: any forms, turned, with holes and marks, mirrored or not, shapes put off the mat by hand.</summary>
public sealed class RandomSheetsTests
{
    private static readonly ShapeSource[] Forms =
    [
        new LeafShape(),
        new HeartShape(),
        new StarShape(7, 0.3),
        new CrescentShape(0.2),
        new DropShape(),
        new RectangleShape(4),
        new PolygonShape(5),
        new EllipseShape(),
    ];

    [Theory]
    [InlineData(11)]
    [InlineData(12)]
    [InlineData(13)]
    public void File_OfARandomSheet_SaysWhatItHolds(int seed)
    {
        foreach (var sheet in Sheets(seed))
        {
            var page = Made.Page(sheet);
            foreach (var format in Enum.GetValues<CutFormat>())
            {
                Assert.True(CutExport.Make(page, new CutFileWish(format, Dpi: 96)).IsOk, $"seed {seed}, {format}");
            }
            foreach (var read in new[] { Svg(page), Dxf(page), Eps(page) })
            {
                Assert.Equal(page.Mirrored, read.Mirrored);
                Assert.Equal(page.Cloth, read.Cloth);
                Assert.Equal(page.Width, read.Width, 0.01);
                Assert.Equal(page.Height, read.Height, 0.01);
                foreach (var role in Enum.GetValues<CutRole>())
                {
                    Assert.Equal(
                        page.Paths.Count(path => path.Role == role),
                        read.Lines.Count(line => line.Role == role)
                    );
                }
                Assert.Equal(
                    page.Paths.Count(path => path.IsClosed),
                    read.Lines.Count(line => line.IsClosed && line.Role != CutRole.Draw)
                );
            }
        }
    }

    [Theory]
    [InlineData(21)]
    [InlineData(22)]
    public void Dxf_OfARandomSheet_KeepsWithinTwoHundredthsOfItsCurves(int seed)
    {
        foreach (var sheet in Sheets(seed))
        {
            var page = Made.Page(sheet);
            var lines = Dxf(page).Lines;
            for (var i = 0; i < page.Paths.Length; i++)
            {
                if (!page.Paths[i].IsClosed)
                {
                    continue;
                }
                var index = new SegmentIndex([lines[i].Contour.Flatten(0.001)]);
                Assert.All(
                    new Contour(page.Paths[i].Curves).Flatten(0.002).Points,
                    place => Assert.InRange(index.Nearest(place, 1)?.DistanceTo(place) ?? 9, 0, 0.02)
                );
            }
        }
    }

    /// <summary>The first thing wrong with a file is said, wherever it is cut short.</summary>
    [Theory]
    [InlineData(CutFormat.Svg)]
    [InlineData(CutFormat.Dxf)]
    [InlineData(CutFormat.Eps)]
    [InlineData(CutFormat.Pdf)]
    public void File_CutShortAnywhere_IsRefusedAndNeverThrows(CutFormat format)
    {
        var file = Made.File(format, DemoWork.Patch.Sheets[0]);
        for (var share = 0.02; share < 0.99; share += 0.03)
        {
            var part = file[..(int)(file.Length * share)];
            var refusal = format switch
            {
                CutFormat.Svg => SvgCutReader.Read(part).Refusal,
                CutFormat.Dxf => DxfCutReader.Read(part).Refusal,
                CutFormat.Eps => EpsCutReader.Read(part).Refusal,
                _ => PdfCutReader.Read(part).Refusal,
            };
            Assert.NotNull(refusal);
            Assert.StartsWith("cut-file-", refusal.Code, StringComparison.Ordinal);
            Assert.EndsWith(".", refusal.Words, StringComparison.Ordinal);
        }
    }

    [Theory]
    [InlineData(CutFormat.Svg)]
    [InlineData(CutFormat.Dxf)]
    public void File_WithAnyLineSpoilt_IsReadOrRefusedAndNeverThrows(CutFormat format)
    {
        var random = new Random(31);
        var lines = Encoding.UTF8.GetString(Made.File(format, DemoWork.Patch.Sheets[0])).Split('\n');
        string[] spoilt = ["", "banana", "-1", "1e400", "NaN", "0", "SPLINE", "INSERT", "<g>", "999999999999999999999"];
        for (var i = 0; i < 200; i++)
        {
            var copy = (string[])lines.Clone();
            copy[random.Next(copy.Length)] = spoilt[random.Next(spoilt.Length)];
            var read = CutFileReader.Read(Encoding.UTF8.GetBytes(string.Join('\n', copy)));
            Assert.True(read.IsOk || read.Refusal!.Words.EndsWith('.'));
        }
    }

    [Fact]
    public void Svg_OfAMillionPoints_IsRefused()
    {
        var svg = new StringBuilder("<svg width='99mm' height='99mm' viewBox='0 0 99 99'><path d='M0 0");
        for (var i = 0; i < 1_000_000; i++)
        {
            svg.Append(' ').Append(i % 97).Append(' ').Append(i % 89);
        }
        var refusal = SvgCutReader.Read(Encoding.UTF8.GetBytes(svg.Append("Z'/></svg>").ToString())).Refusal!;
        Assert.Equal("cut-file-too-many-curves", refusal.Code);
    }

    [Fact]
    public void Stamps_OfAFile_AreOfTheSheetAndNotOfItsPage()
    {
        var sheet = Sheets(41)[0];
        Assert.True(CutStamp.Agree(CutStamp.Of(sheet), CutStamp.Of(sheet with { Number = 3, Count = 4 })));
        Assert.False(CutStamp.Agree(CutStamp.Of(sheet), CutStamp.Of(sheet, sheet.Shapes[0])));
    }

    private static CutFile Svg(CutPage page) => SvgCutReader.Read(SvgCutWriter.Write(page)).Value;

    private static CutFile Dxf(CutPage page) => DxfCutReader.Read(DxfCutWriter.Write(page)).Value;

    private static CutFile Eps(CutPage page) => EpsCutReader.Read(EpsCutWriter.Write(page)).Value;

    private static List<CutSheet> Sheets(int seed)
    {
        var random = new Random(seed);
        var project = BlankProject.Make("Seeded", 240, 360).Value;
        for (var i = 0; i < 9; i++)
        {
            var (width, height) = (12 + (random.NextDouble() * 120), 12 + (random.NextDouble() * 120));
            Apply(
                new AddPiece
                {
                    Shape = Forms[random.Next(Forms.Length)],
                    Box = new ElementBox(random.Next(-90, 90), random.Next(-140, 140), width, height, random.Next(360)),
                    ClothId = random.Next(2) == 0 ? "clay" : "hay",
                    Method = random.Next(2) == 0 ? Method.CutBeforehand : Method.TrimInTheHoop,
                }
            );
            if (random.Next(3) == 0)
            {
                var hole = new PieceHole(new EllipseShape(), 0, 0, width / 5, height / 5);
                Apply(new SetHole { ElementId = project.Elements[^1].Id, Hole = hole });
            }
        }
        foreach (var cloth in new[] { "clay", "hay" })
        {
            Apply(
                new SetSheet
                {
                    ClothId = cloth,
                    Layout = SheetLayout.Packed,
                    Copies = 1 + random.Next(2),
                    Marks = CutMarks.All,
                }
            );
            Apply(new MirrorCloth { ClothId = cloth, Lies = (Lying)random.Next(4) });
        }
        var sheets = DemoWork.Context.Evaluator.Evaluate(project).Sheets;
        var first = sheets[0].Shapes[0];
        Apply(
            new PlaceShape
            {
                ClothId = sheets[0].Cloth.Id,
                Key = first.Shape.Key,
                Copy = first.Copy,
                X = -30,
                Y = 260,
            }
        );
        return [.. DemoWork.Context.Evaluator.Evaluate(project).Sheets];

        void Apply(Edit edit) => project = edit.Apply(project, DemoWork.Context).Value;
    }
}
