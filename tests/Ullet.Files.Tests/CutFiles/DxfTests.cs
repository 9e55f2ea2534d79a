using System.Globalization;
using System.Text;
using Ullet.Core.Drawings;
using Ullet.Core.Geometry;
using Ullet.Files.CutFiles;
using Ullet.Files.Drawings;

namespace Ullet.Files.Tests.CutFiles;

/// <summary>DXF as others write it: every entity that is taken, units, chains, and what is refused.</summary>
public sealed class DxfTests
{
    [Theory]
    [InlineData("LINE|10|0|20|0|11|30|21|40", 30, 40, false)]
    [InlineData("CIRCLE|10|5|20|5|40|12", 24, 24, true)]
    [InlineData("ARC|10|0|20|0|40|10|50|0|51|180", 20, 10, false)]
    [InlineData("ARC|10|0|20|0|40|10|50|270|51|90", 10, 20, false)]
    [InlineData("ELLIPSE|10|0|20|0|11|20|21|0|40|0.5|41|0|42|6.283185307179586", 40, 20, true)]
    [InlineData("LWPOLYLINE|70|1|10|0|20|0|10|30|20|0|10|30|20|20|10|0|20|20", 30, 20, true)]
    [InlineData("LWPOLYLINE|70|1|10|0|20|0|42|1|10|20|20|0|42|1", 20, 20, true)]
    [InlineData(
        "SPLINE|70|8|71|3|40|0|40|0|40|0|40|0|40|1|40|1|40|1|40|1|10|0|20|0|10|0|20|10|10|30|20|10|10|30|20|0",
        30,
        7.5,
        false
    )]
    [InlineData(
        "SPLINE|70|4|71|2|40|0|40|0|40|0|40|1|40|1|40|1|41|1|41|0.70710678|41|1|10|10|20|0|10|10|20|10|10|0|20|10",
        10,
        10,
        false
    )]
    [InlineData("POLYLINE|66|1|70|1~VERTEX|10|0|20|0~VERTEX|10|9|20|0~VERTEX|10|9|20|7~SEQEND", 9, 7, true)]
    public void Entity_OfEachKind_IsReadAtItsSize(string entity, double width, double height, bool closed)
    {
        var line = Assert.Single(DxfCutReader.Read(File(entity)).Value.Lines);
        var box = line.Contour.Bounds();
        Assert.Equal((width, height), (Math.Round(box.Width, 3), Math.Round(box.Height, 3)));
        Assert.Equal(closed, line.IsClosed);
    }

    [Fact]
    public void Spline_WithWeights_IsTheCircleThatItStandsFor()
    {
        var line = Assert.Single(
            DxfCutReader
                .Read(
                    File(
                        "SPLINE|70|4|71|2|40|0|40|0|40|0|40|1|40|1|40|1|41|1|41|0.70710678118|41|1|10|10|20|0|10|10|20|10|10|0|20|10"
                    )
                )
                .Value.Lines
        );
        // The quarter of a circle of radius 10 about the page's lower left.
        var points = new List<Point>();
        foreach (var curve in line.Contour.Curves)
        {
            curve.Flatten(0.001, points);
        }
        Assert.All(points, p => Assert.Equal(10, new Point(p.X, p.Y - 10).Length, 0.01));
    }

    [Fact]
    public void Lines_ThatMeet_AreOneClosedOutline()
    {
        var read = DxfCutReader.Read(
            File(
                "LINE|10|0|20|0|11|30|21|0",
                "LINE|10|30|20|20|11|30|21|0",
                "ARC|10|15|20|20|40|15|50|0|51|180",
                "LINE|10|0.0005|20|20|11|0|21|0",
                "LINE|10|80|20|0|11|90|21|0"
            )
        );
        var lines = read.Value.Lines;
        Assert.Equal(2, lines.Length);
        var outline = Assert.Single(lines, line => line.IsClosed);
        Assert.Equal(
            (30, 35.0),
            (Math.Round(outline.Contour.Bounds().Width, 3), Math.Round(outline.Contour.Bounds().Height, 3))
        );
        for (var i = 0; i < outline.Contour.Curves.Length; i++)
        {
            var next = outline.Contour.Curves[(i + 1) % outline.Contour.Curves.Length];
            Assert.Equal(0, outline.Contour.Curves[i].End.DistanceTo(next.Start), 1e-9);
        }
    }

    [Fact]
    public void Insert_OfABlock_IsPlacedScaledTurnedAndRepeated()
    {
        var blocks = "BLOCK|2|leaf|10|1|20|1~LINE|10|1|20|1|11|11|21|1~CIRCLE|10|1|20|1|40|2~ENDBLK";
        var read = DxfCutReader.Read(
            File(4, blocks, "INSERT|2|leaf|10|50|20|50|41|2|42|2|50|90|70|3|44|100", "INSERT|2|leaf|10|0|20|0")
        );
        var lines = read.Value.Lines;
        Assert.Equal(8, lines.Length);
        Assert.Equal(4, lines.Count(line => line.IsClosed && Math.Abs(line.Contour.Bounds().Width - 8) < 1e-3) + 1);
        // Turned by a quarter, the line of 20 stands upright, and columns go upwards.
        var upright = lines.Where(line => !line.IsClosed && line.Contour.Bounds().Width < 0.001).ToList();
        Assert.Equal(3, upright.Count);
        Assert.All(upright, line => Assert.Equal(20, line.Contour.Bounds().Height, 1e-6));
    }

    [Theory]
    [InlineData(1, 25.4)]
    [InlineData(4, 1)]
    [InlineData(5, 10)]
    [InlineData(6, 1000)]
    public void Units_AreThoseOfTheHeader(int units, double mm)
    {
        var line = Assert.Single(DxfCutReader.Read(File(units, "", "LINE|10|0|20|0|11|0.5|21|0.25")).Value.Lines);
        Assert.Equal(0.5 * mm, line.Contour.Bounds().Width, 1e-6);
    }

    [Theory]
    [InlineData("TEXT|10|0|20|0|1|Bean", "cut-file-text")]
    [InlineData("MTEXT|10|0|20|0|1|Bean", "cut-file-text")]
    [InlineData("HELIX|10|0|20|0", "cut-file-part-unknown")]
    [InlineData("SPLINE|71|3|10|0|20|0", "cut-file-part-unknown")]
    [InlineData("POINT|10|0|20|0", "cut-file-empty")]
    [InlineData("INSERT|2|nowhere", "cut-file-block-missing")]
    public void CutFile_WithWhatNoBladeFollows_IsRefusedWithItsLine(string entity, string code)
    {
        var refusal = DxfCutReader.Read(File(entity)).Refusal!;
        Assert.Equal(code, refusal.Code);
        Assert.EndsWith(".", refusal.Words, StringComparison.Ordinal);
        Assert.True(code == "cut-file-empty" || refusal.Place.StartsWith("line ", StringComparison.Ordinal));
    }

    [Fact]
    public void CutFile_WithoutUnits_Truncated_OrForeign_IsRefused()
    {
        var whole = Encoding.ASCII.GetString(File("LINE|10|0|20|0|11|3|21|0"));
        string Code(string text) => DxfCutReader.Read(Encoding.UTF8.GetBytes(text)).Refusal!.Code;
        Assert.Equal("cut-file-without-units", Code(whole.Replace("$INSUNITS", "$LIMMIN", StringComparison.Ordinal)));
        Assert.Equal("cut-file-truncated", Code(whole[..(whole.Length / 2)]));
        Assert.Equal("cut-file-foreign", Code("G21\nG90\nM3\n"));
        Assert.Equal("cut-file-broken", Code(whole.Replace("ENTITIES", "ENTITIES\nbanana", StringComparison.Ordinal)));
        Assert.Equal("cut-file-binary", DxfCutReader.Read("binary\0\u001a\0"u8.ToArray()).Refusal!.Code);
    }

    [Fact]
    public void CutFile_OfAMillionPoints_IsRefusedBeforeItTiresAnybody()
    {
        var text = new StringBuilder("LWPOLYLINE|70|1");
        for (var i = 0; i < 1_000_000; i++)
        {
            text.Append(CultureInfo.InvariantCulture, $"|10|{i % 997}|20|{i % 991}");
        }
        var refusal = DxfCutReader.Read(File(text.ToString())).Refusal!;
        Assert.Contains(refusal.Code, new[] { "cut-file-too-many-curves", "cut-file-too-large" });
    }

    [Fact]
    public void Blocks_ThatInsertThemselves_AreRefused()
    {
        var read = DxfCutReader.Read(File(4, "BLOCK|2|a|10|0|20|0~INSERT|2|a~ENDBLK", "INSERT|2|a"));
        Assert.Equal("cut-file-too-deep", read.Refusal!.Code);
    }

    [Fact]
    public void Drawing_LeavesOutWhatItCantTake_AndSaysSo()
    {
        var drawing = DxfDrawingReader
            .Read(File(1, "", "CIRCLE|8|beans|10|0|20|0|40|1", "TEXT|10|0|20|0|1|Bean", "LINE|10|9|20|9|11|12|21|9"))
            .Value;
        Assert.Equal(25.4, drawing.MmPerUnit);
        Assert.Equal("beans", drawing.Paths[0].Name);
        Assert.Contains("1 TEXT is not imported", Assert.Single(drawing.LeftOut), StringComparison.Ordinal);
        var sorted = DrawingSorter.Sort(drawing, new DrawingWish(25.4));
        Assert.Equal(50.8, Assert.Single(sorted.Pieces).Outline.Shell.Bounds().Width, 0.001);
        Assert.Equal(76.2, Assert.Single(sorted.Lines).Path.Bounds().Width, 0.001);
    }

    [Fact]
    public void OwnCutFile_ReadAsADrawing_HasThePiecesWithTheirHoles()
    {
        foreach (var title in DemoWork.All.Keys)
        {
            foreach (var sheet in DemoWork.All[title].Sheets)
            {
                var drawing = DrawingFiles.Read(Made.File(CutFormat.Dxf, sheet)).Value;
                var sorted = DrawingSorter.Sort(drawing, new DrawingWish(drawing.MmPerUnit!.Value));
                var wanted = sheet.Shapes.SelectMany(placed => placed.Outline.Parts).ToList();
                Assert.Equal(wanted.Count, sorted.Pieces.Length);
                Assert.Equal(
                    wanted.Sum(part => part.Holes.Length),
                    sorted.Pieces.Sum(piece => piece.Outline.Holes.Length)
                );
                var size = sheet.Bounds();
                Assert.Equal(size.Width, sorted.Bounds().Width, 0.05);
                Assert.Equal(size.Height, sorted.Bounds().Height, 0.05);
            }
        }
    }

    private static byte[] File(params string[] entities) => File(4, "", entities);

    /// <summary>A DXF: pairs are parted by |, entities by ~.</summary>
    private static byte[] File(int units, string blocks, params string[] entities)
    {
        var text = new StringBuilder();
        Pairs(text, $"SECTION|2|HEADER|9|$INSUNITS|70|{units}~ENDSEC");
        if (blocks.Length > 0)
        {
            Pairs(text, "SECTION|2|BLOCKS~" + blocks + "~ENDSEC");
        }
        Pairs(text, "SECTION|2|ENTITIES~" + string.Join('~', entities) + "~ENDSEC~EOF");
        return Encoding.ASCII.GetBytes(text.ToString());
    }

    private static void Pairs(StringBuilder text, string entities)
    {
        foreach (var entity in entities.Split('~'))
        {
            var parts = entity.Split('|');
            text.Append("0\n").Append(parts[0]).Append('\n');
            for (var i = 1; i + 1 < parts.Length; i += 2)
            {
                text.Append(parts[i]).Append('\n').Append(parts[i + 1]).Append('\n');
            }
        }
    }
}
