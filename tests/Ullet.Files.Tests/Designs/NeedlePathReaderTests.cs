using System.Text;
using Ullet.Core.Geometry;
using Ullet.Core.Opened;
using Ullet.Core.Projects;
using Ullet.Files.Designs;

namespace Ullet.Files.Tests.Designs;

public sealed class NeedlePathReaderTests
{
    [Fact]
    public void LinesLiftsToolsAndPauses_AreStitchesTrimsBlocksAndStops()
    {
        var design = Read(
            "G21\nG90\nG0 X0 Y0\nM3\nG1 X5 Y0\nG1 X10 Y5\nM5\nG0 X20 Y0\nM3\nG1 X25 Y0\nM5\nM0\nT2 M6\nG0 X0 Y0\nM3\nG1 X0 Y5\nM5\nM30\n"
        );
        Assert.Equal(2, design.Blocks.Length);
        Assert.Equal([true, false], design.Blocks.Select(block => block.StopAfter));
        Assert.Equal([0, 1], design.Blocks.Select(block => block.Thread));
        Assert.Equal(
            [new Point(0, 0), new Point(5, 0), new Point(10, -5), new Point(20, 0), new Point(25, 0)],
            design.Blocks[0].Points.Where(point => point.Move == OpenedMove.Stitch).Select(point => point.At)
        );
        Assert.Equal(2, design.Blocks[0].Points.Count(point => point.Move == OpenedMove.Trim));
        Assert.True(design.SaysUnit);
    }

    [Fact]
    public void HeightsOfAPen_AreDownAndUp()
    {
        var design = Read("G21\nG0 X0 Y0 Z5\nG1 Z-1\nG1 X4 Y0\nG0 Z5\nG0 X9 Y9\n");
        Assert.Equal(2, design.Blocks.Single().StitchCount);
    }

    [Fact]
    public void Inches_AndRelativeMoves_AreTaken()
    {
        var design = Read("G20 G91\nG1 X0.1 Y0\nG1 X0.1 Y0\n");
        Assert.Equal(new Point(5.08, 0), design.Blocks[0].Points[^1].At);
    }

    [Theory]
    [InlineData("G2 X10 Y10 I10 J0", 1)]
    [InlineData("G3 X10 Y10 I0 J10", 1)]
    [InlineData("G2 X10 Y10 R10", 1)]
    [InlineData("G2 X0 Y0 I10 J0", 4)]
    public void Arcs_LieOnTheirCircle(string arc, int quarters)
    {
        var points = Read($"G21\nG1 X0 Y0\n{arc}\n")
            .Blocks[0]
            .Points.Where(point => point.Move == OpenedMove.Stitch)
            .Select(point => point.At)
            .Distinct()
            .ToList();
        var length = points.Zip(points.Skip(1), (from, to) => from.DistanceTo(to)).Sum();
        // The last chord of a whole circle ends in its first hole.
        Assert.InRange(length, (quarters * 15.5) - 1.6, (quarters * 15.71) + 0.1);
        Assert.All(points.Zip(points.Skip(1)), pair => Assert.InRange(pair.First.DistanceTo(pair.Second), 0, 4));
    }

    [Theory]
    [InlineData("G18\nG2 X1 Y1 I1\n", "plane")]
    [InlineData("G1 X0 Y0\nG81 X1 Y1\n", "cycle")]
    [InlineData("M98 P100\n", "macro")]
    [InlineData("#1=5\nG1 X#1\n", "macro")]
    [InlineData("G1 X[1+2] Y0\n", "macro")]
    [InlineData("G1 X1 Y1 A90\n", "axis A")]
    [InlineData("G41\nG1 X1\n", "radius")]
    [InlineData("G1 X0 Y0\nG2 X10 Y0 I2 J2\n", "circle")]
    [InlineData("G1 X1000000 Y0\n", "10 m")]
    [InlineData("G1 X1 Y\n", "no line of G-code")]
    public void WhatANeedleDoesNotDo_IsRefusedWithItsLine(string text, string why)
    {
        var read = StitchDesignFiles.Read(Encoding.UTF8.GetBytes("G21\n" + text), "x", new OpenedReading());
        Assert.False(read.IsOk);
        Assert.Contains(why, read.Refusal!.Words, StringComparison.Ordinal);
        Assert.StartsWith("line ", read.Refusal.Place, StringComparison.Ordinal);
    }

    [Fact]
    public void AxesAndUnit_AreTakenAsAPersonSays()
    {
        var design = Read("G1 X10 Y10\nG1 X20 Y10\n", new OpenedReading { MmPerUnit = 0.1, IsYUp = false });
        Assert.Equal(new Point(2, 1), design.Blocks[0].Points[^1].At);
        Assert.False(design.SaysUnit);
    }

    private static StitchDesign Read(string text, OpenedReading? reading = null)
    {
        var read = StitchDesignFiles.Read(Encoding.UTF8.GetBytes(text), "path", reading ?? new OpenedReading());
        Assert.True(read.IsOk, read.Refusal?.Words);
        return read.Value;
    }
}
