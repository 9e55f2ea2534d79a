using System.Text;
using Ullet.Core.Drawings;
using Ullet.Core.Geometry;
using Ullet.Files.Drawings;

namespace Ullet.Files.Tests.Drawings;

/// <summary>DXF as programs write it: endless headers, splines by their points, no units.</summary>
public sealed class DxfDrawingTests
{
    [Fact]
    public void AHeaderThatMeasuresNothing_ConcernsNothingThatIsDrawn()
    {
        var read = Read(Square(40), header: "9\n$EXTMIN\n10\n1e+20\n20\n1e+20\n");
        Assert.Equal(40, read.Bounds().Width, 6);
    }

    [Fact]
    public void WhatIsDrawnEndlesslyFarAway_IsRefused_WithWhatCanBeDone()
    {
        var refused = DxfDrawingReader.Read(File("0\nLINE\n8\n0\n10\n0\n20\n0\n11\n1e+30\n21\n5\n", "")).Refusal!;
        Assert.Equal("drawing-number", refused.Code);
        Assert.Contains("Delete what lies far off", refused.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void ADamagedFile_SaysWhatAPersonCanDo()
    {
        var refused = DxfDrawingReader.Read(Encoding.UTF8.GetBytes("0\nSECTION\nnonsense\nHEADER\n0\nEOF\n")).Refusal!;
        Assert.DoesNotContain("group code", refused.Words, StringComparison.Ordinal);
        Assert.Contains("Save it again", refused.Words, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void ASpline_GivenByThePointsItGoesThrough_GoesThroughThem(bool isClosed)
    {
        (double X, double Y)[] points = [(0, 0), (40, 10), (60, 50), (20, 70), (-10, 30)];
        var read = Read(Spline(points, isClosed));
        var path = Assert.Single(read.Paths);
        var curves = isClosed ? path.Closed.Single().Curves : path.Open.Single().Curves;
        Assert.Equal(isClosed ? 5 : 4, curves.Length);
        foreach (var (x, y) in points)
        {
            var nearest = curves.Min(curve =>
                Math.Min(curve.Start.DistanceTo(new Point(x, -y)), curve.End.DistanceTo(new Point(x, -y)))
            );
            Assert.Equal(0, nearest, 6);
        }
    }

    [Fact]
    public void SplinesThroughRandomPoints_BendWithoutAJump()
    {
        var random = new Random(23);
        for (var round = 0; round < 40; round++)
        {
            var points = Enumerable.Range(0, 6).Select(i => (i * 20 + random.Next(9), (double)random.Next(-40, 40)));
            var curves = Read(Spline([.. points.Select(p => ((double)p.Item1, p.Item2))], false))
                .Paths[0]
                .Open[0]
                .Curves;
            for (var i = 1; i < curves.Length; i++)
            {
                var (before, after) = (curves[i - 1], curves[i]);
                var (into, onward) = (before.End - before.Control2, after.Control1 - after.Start);
                Assert.Equal(0, Turn(into, onward), 5);
            }
        }
    }

    [Theory]
    [InlineData(40, 1)]
    [InlineData(4, 25.4)]
    [InlineData(2000, 0.0254)]
    [InlineData(0.05, 1000)]
    [InlineData(1e-6, 60e6)]
    [InlineData(1e8, 60e-8)]
    public void WithoutUnits_ADrawingComesInAtASensibleSize(double width, double unit)
    {
        var drawing = Read(Square(width));
        Assert.Null(drawing.MmPerUnit);
        Assert.Equal(1, LikelyUnit.Of(drawing) / unit, 6);
        Assert.InRange(width * LikelyUnit.Of(drawing), 8, 400);
    }

    private static double Turn(Point one, Point other) =>
        ((one.X * other.Y) - (one.Y * other.X)) / Math.Max(one.Length * other.Length, 1e-12);

    private static string Square(double side) =>
        FormattableString.Invariant(
            $"0\nLWPOLYLINE\n8\n0\n90\n4\n70\n1\n10\n0\n20\n0\n10\n{side}\n20\n0\n10\n{side}\n20\n{side}\n10\n0\n20\n{side}\n"
        );

    private static string Spline((double X, double Y)[] points, bool isClosed) =>
        FormattableString.Invariant($"0\nSPLINE\n8\n0\n70\n{(isClosed ? 1 : 0)}\n71\n3\n74\n{points.Length}\n")
        + string.Concat(points.Select(p => FormattableString.Invariant($"11\n{p.X}\n21\n{p.Y}\n31\n0\n")));

    private static Drawing Read(string entities, string header = "")
    {
        var read = DxfDrawingReader.Read(File(entities, header));
        Assert.True(read.IsOk, read.Refusal?.Words);
        return read.Value;
    }

    private static byte[] File(string entities, string header) =>
        Encoding.UTF8.GetBytes(
            $"0\nSECTION\n2\nHEADER\n{header}0\nENDSEC\n0\nSECTION\n2\nENTITIES\n{entities}0\nENDSEC\n0\nEOF\n"
        );
}
