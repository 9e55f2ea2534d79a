using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Designs;

namespace Ullet.Files.Tests.Designs;

/// <summary>Tables of stitches as converters of one's own and spreadsheets write them.</summary>
public sealed class TableDesignReaderTests
{
    private static readonly Point[] Square = [new(0, 0), new(2.5, 0), new(2.5, 2.5), new(0, 2.5)];

    [Theory]
    [InlineData("x,y\n0,0\n2.5,0\n2.5,2.5\n0,2.5\n")]
    [InlineData("x;y\n0;0\n2.5;0\n2.5;2.5\n0;2.5\n")]
    [InlineData("x;y\r\n0;0\r\n2,5;0\r\n2,5;2,5\r\n0;2,5\r\n")]
    [InlineData("X\tY\n0\t0\n2,5\t0\n2.5\t2,5\n0\t2.5")]
    [InlineData("\uFEFF\"x\",\"y\"\n\"0\",\"0\"\n\"2.5\",\"0\"\n\"2.5\",\"2.5\"\n\"0\",\"2.5\"\n")]
    [InlineData("y,note,x\n0,a,0\n0,b,2.5\n2.5,\"c, d\",2.5\n2.5,,0\n")]
    public void SeparatorsQuotesAndDecimalCommas_AreTakenAsTheyCome(string table)
    {
        var design = Read(table).Value;
        Assert.Equal(Square, Stitches(design));
        Assert.Empty(design.LeftOut);
    }

    [Fact]
    public void WithoutAFirstRowOfNames_ColumnsAreTakenAsAPersonSays_AndNoRowIsLost()
    {
        var design = Read("0,0\n2.5,0\n2.5,2.5\n0,2.5\n", [-1, -1, -1, 0, 1, -1]).Value;
        Assert.Equal(Square, Stitches(design));
    }

    [Fact]
    public void OtherUnitsAndAxes_AreTakenAsAPersonSays()
    {
        var table = "x,y\n0,0\n25,0\n25,25\n0,25\n";
        var design = TableDesign(table, new OpenedReading { MmPerUnit = 0.1, IsYUp = true }).Value;
        Assert.Equal(Square.Select(at => at with { Y = -at.Y }), Stitches(design));
        Assert.False(design.SaysUnit);
        Assert.False(design.SaysAxes);
    }

    [Fact]
    public void AnotherStepBlockOrThread_IsAnotherBlock_AndThreadsComeBack()
    {
        var design = Read(
            "step,block,command,x,y,thread\n"
                + string.Concat(
                    new[] { "1,1,{0},oak", "1,2,{0},oak", "2,2,{0},oak", "2,2,{0},ash", "3,2,{0},oak" }.SelectMany(
                        row => new[] { "stitch,0,0", "stitch,3,0" }.Select(place => row.Replace("{0}", place) + "\n")
                    )
                )
        ).Value;
        Assert.Equal([0, 0, 0, 1, 0], design.Blocks.Select(block => block.Thread));
        Assert.Equal(["thread oak", "thread ash"], design.Threads.Select(thread => thread.Name));
    }

    [Fact]
    public void StopsAndTrims_StandWhereTheyStood_NoneAfterTheLastBlock()
    {
        var design = Read(
            "command,x,y\nstitch,0,0\nstitch,3,0\ntrim,,\njump,9,0\nstitch,9,0\nstitch,9,3\nstop,,\nstitch,9,3\nstitch,0,3\npause,,\n"
        ).Value;
        Assert.Equal([true, false], design.Blocks.Select(block => block.StopAfter));
        Assert.Equal(
            [
                OpenedMove.Stitch,
                OpenedMove.Stitch,
                OpenedMove.Trim,
                OpenedMove.Jump,
                OpenedMove.Stitch,
                OpenedMove.Stitch,
            ],
            design.Blocks[0].Points.Select(point => point.Move)
        );
    }

    [Theory]
    [InlineData("a,b\n1,2\n", "stitch-columns", "Its first row says: a, b.")]
    [InlineData("x,y\n1,1\n20000,1\n", "stitch-table-broken", "row 3")]
    [InlineData("x,y\n", "stitches-none", "no stitch")]
    public void WhatIsMissing_IsSaid(string table, string code, string words)
    {
        var refusal = Read(table).Refusal;
        Assert.Equal(code, refusal!.Code);
        Assert.Contains(words, refusal.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void OneColumnCantBeTwoThings()
    {
        var refusal = Read("a,b\n1,2\n", [-1, -1, -1, 1, 1, -1]).Refusal;
        Assert.Equal("stitch-columns", refusal!.Code);
        Assert.Contains("Column 2", refusal.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void AHundredRowsThatAreNone_AreCounted_TwentyAreShown()
    {
        var table = new StringBuilder("x,y\n0,0\n3,0\n");
        for (var i = 0; i < 100; i++)
        {
            table.Append("here,there\n");
        }
        var design = Read(table.ToString()).Value;
        Assert.Equal(2, design.Blocks.Single().StitchCount);
        Assert.Equal(21, design.LeftOut.Length);
        Assert.Equal("80 more rows could not be read.", design.LeftOut[^1]);
    }

    [Fact]
    public void ALongTable_EndsWhenItsBudgetDoes()
    {
        var table = new StringBuilder("x,y\n");
        for (var i = 0; i < 30_000; i++)
        {
            table.Append(i % 100).Append(",1\n");
        }
        Assert.Throws<TooMuchException>(() => new Budget("Reading this file", 5_000).Run(() => Read(table.ToString())));
    }

    [Fact]
    public void TheHeadOfATable_ShowsItsFirstRowsShortly()
    {
        var (names, rows) = TableDesignReader.Head($"x,y,{new string('w', 90)}\n1,2,3\n4,5,6\n");
        Assert.Equal(["x", "y", new string('w', 24) + "…"], names);
        Assert.Equal(2, rows.Length);
        Assert.Equal([-1, -1, -1, 0, 1, -1], TableDesignReader.Guessed(names));
        Assert.Equal(([], []), TableDesignReader.Head(""));
    }

    private static IEnumerable<Point> Stitches(StitchDesign design) =>
        design
            .Blocks.SelectMany(block => block.Points)
            .Where(point => point.Move == OpenedMove.Stitch)
            .Select(point => point.At);

    private static Result<StitchDesign> Read(string table, int[]? columns = null) =>
        TableDesign(table, new OpenedReading { Columns = columns is null ? null : [.. columns] });

    private static Result<StitchDesign> TableDesign(string table, OpenedReading reading) =>
        StitchDesignFiles.Read(Encoding.UTF8.GetBytes(table), "table", reading);
}
