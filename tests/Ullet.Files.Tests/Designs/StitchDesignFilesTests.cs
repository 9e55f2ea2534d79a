using System.Text;
using Ullet.Core.Opened;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Files.Designs;
using Ullet.Files.StitchFiles;
using Ullet.Files.StitchLists;

namespace Ullet.Files.Tests.Designs;

public sealed class StitchDesignFilesTests
{
    [Fact]
    public void EveryListThatUlletWrites_IsReadBack_AndWrittenAgainByteForByte()
    {
        foreach (var program in DemoWork.Programs())
        {
            var file = StitchListWriter.Write(program);
            Assert.Equal(file, StitchListWriter.Write(StitchListReader.Read(file).Value));
        }
    }

    [Fact]
    public void EveryTableThatUlletWrites_HasTheSameNeedlePointsThreadsAndStops()
    {
        foreach (var program in DemoWork.Programs())
        {
            var design = Read(StitchFormats.Find("csv")!.Write(program));
            var sewn = program.Steps.OfType<ProgramStitches>().Where(step => step.StitchCount > 0).ToList();
            Assert.Equal(sewn.Sum(step => step.StitchCount), design.Blocks.Sum(block => block.StitchCount));
            Assert.Equal(sewn.Count, design.Blocks.Length);
            for (var i = 0; i < sewn.Count; i++)
            {
                Assert.Equal(
                    sewn[i].Commands.Where(command => command.Kind == NeedleKind.Stitch).Select(command => command.At),
                    design.Blocks[i].Points.Where(point => point.Move == OpenedMove.Stitch).Select(point => point.At)
                );
                Assert.True(sewn[i].StopAfter == design.Blocks[i].StopAfter || i == sewn.Count - 1);
            }
            Assert.True(design.SaysUnit && design.SaysAxes);
        }
    }

    [Fact]
    public void AForeignTable_IsReadByTheColumnsThatAPersonNames()
    {
        var file = Encoding.UTF8.GetBytes(
            "colour;across;down;what\nred;10;20;stitch\nred;15;20;stitch\nblue;15;25;jump\nblue;15;25;stitch\nblue;20;25;s\n"
        );
        var asked = StitchDesignFiles.Read(file, "x", new OpenedReading());
        Assert.Equal("stitch-columns", asked.Refusal!.Code);
        Assert.Contains("across", asked.Refusal.Words, StringComparison.Ordinal);
        var design = StitchDesignFiles
            .Read(file, "x", new OpenedReading { Columns = [-1, -1, 3, 1, 2, 0], MmPerUnit = 0.1 })
            .Value;
        Assert.Equal(2, design.Blocks.Length);
        Assert.Equal(["thread red", "thread blue"], design.Threads.Select(thread => thread.Name));
        Assert.Equal(1.5, design.Blocks[0].Points[^1].At.X);
    }

    [Fact]
    public void RowsThatCantBeRead_AreToldWithTheirNumbers_TheOthersAreOpened()
    {
        var design = Read(
            Encoding.UTF8.GetBytes(
                "step,block,command,x,y,thread\n1,1,stitch,0,0,1\n1,1,hop,1,1,1\n1,1,stitch,oak,1,1\n1,1,stitch,3,0,1\n"
            )
        );
        Assert.Equal(2, design.Blocks[0].StitchCount);
        Assert.Equal(2, design.LeftOut.Length);
        Assert.StartsWith("Row 3", design.LeftOut[0], StringComparison.Ordinal);
        Assert.Contains("oak", design.LeftOut[1], StringComparison.Ordinal);
    }

    [Fact]
    public void LinesOfADrawing_AreRuns()
    {
        var svg =
            "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm' viewBox='0 0 100 100'><path d='M10 10H60' fill='none' stroke='#000'/><circle cx='50' cy='50' r='20' fill='none' stroke='#000'/></svg>";
        var design = Read(Encoding.UTF8.GetBytes(svg));
        Assert.Equal(60, design.Bounds().Width, 1);
        Assert.All(
            design
                .Blocks.SelectMany(block => block.Points.Zip(block.Points.Skip(1)))
                .Where(pair => pair.Second.Move == OpenedMove.Stitch && pair.First.Move == OpenedMove.Stitch),
            pair => Assert.InRange(pair.First.At.DistanceTo(pair.Second.At), 0, 2.6)
        );
    }

    [Theory]
    [InlineData("")]
    [InlineData("hello")]
    [InlineData("ullet-stitch-list 9\n")]
    [InlineData("ullet-stitch-list 3\ntitle \"x\"\n")]
    [InlineData("step,block,command,x,y,thread\n")]
    [InlineData("x,y\n900000000,1\n1,1\n")]
    [InlineData("<svg xmlns='http://www.w3.org/2000/svg'></svg>")]
    public void WhatIsNoStitchFile_GetsASentence(string text)
    {
        var read = StitchDesignFiles.Read(Encoding.UTF8.GetBytes(text), "x", new OpenedReading());
        Assert.False(read.IsOk);
        Assert.EndsWith(".", read.Refusal!.Words.TrimEnd('?'), StringComparison.Ordinal);
    }

    [Fact]
    public void Binary_AndNumbersOutOfRange_AreRefused()
    {
        Assert.Equal(
            "stitches-foreign",
            StitchDesignFiles.Read(new byte[] { 1, 0, 2, 0, 3 }, "x", new OpenedReading()).Refusal!.Code
        );
        var file = Encoding.UTF8.GetBytes("x,y\n1,1\n2,2\n");
        Assert.Equal(
            "number-out-of-range",
            StitchDesignFiles.Read(file, "x", new OpenedReading { MmPerUnit = double.NaN }).Refusal!.Code
        );
        Assert.Equal(
            "columns-broken",
            StitchDesignFiles.Read(file, "x", new OpenedReading { Columns = [1, 2] }).Refusal!.Code
        );
        Assert.Equal(
            "stitch-columns",
            StitchDesignFiles.Read(file, "x", new OpenedReading { Columns = [-1, -1, -1, 0, 0, -1] }).Refusal!.Code
        );
    }

    private static StitchDesign Read(byte[] file)
    {
        var read = StitchDesignFiles.Read(file, "file", new OpenedReading());
        Assert.True(read.IsOk, read.Refusal?.Words);
        return read.Value;
    }
}
