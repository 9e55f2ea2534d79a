using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Geometry;

public sealed class InnerWidthTests
{
    [Theory]
    [InlineData(5, 60)]
    [InlineData(2.4, 30)]
    [InlineData(12, 80)]
    public void Of_ABar_IsItsWidth(double width, double length)
    {
        var measured = Of(new RectangleShape(), width, length)!;
        Assert.Equal(width, measured.Usual, 0.05 * width);
        Assert.Equal(width, measured.Thin, 0.1 * width);
    }

    [Fact]
    public void Of_ARing_IsTheWidthOfItsBand()
    {
        var (outer, inner) = (Ellipse(40), Ellipse(28));
        var measured = InnerWidth.Of([new Region(outer, [inner.Reversed()])])!;
        Assert.Equal(6, measured.Usual, 0.3);
    }

    [Fact]
    public void Of_AThickBarWithAThinNeck_TellsTheTwoApart()
    {
        // Two blocks of 20, joined by a neck 3 wide and 20 long.
        var ring = Ring.Of([
            new(0, 0),
            new(20, 0),
            new(20, 8.5),
            new(40, 8.5),
            new(40, 0),
            new(60, 0),
            new(60, 20),
            new(40, 20),
            new(40, 11.5),
            new(20, 11.5),
            new(20, 20),
            new(0, 20),
        ]);
        var measured = InnerWidth.Of([new Region(ring, [])])!;
        Assert.Equal(3, measured.Thin, 0.3);
        Assert.True(measured.Usual > 10, $"usual {measured.Usual}");
    }

    [Fact]
    public void Of_Nothing_IsNothing() => Assert.Null(InnerWidth.Of([]));

    [Theory]
    [InlineData(0.5)]
    [InlineData(2)]
    public void Of_AScaledForm_ScalesWithIt(double by)
    {
        var (plain, scaled) = (Of(new HeartShape(), 20, 20)!, Of(new HeartShape(), 20 * by, 20 * by)!);
        Assert.Equal(plain.Usual * by, scaled.Usual, 0.1 * plain.Usual * by);
    }

    private static InnerWidth? Of(ShapeSource shape, double width, double height) =>
        InnerWidth.Of([new Region(ShapeContours.Make(shape, width, height).Flatten(), [])]);

    private static Ring Ellipse(double across) => ShapeContours.Make(new EllipseShape(), across, across).Flatten();
}
