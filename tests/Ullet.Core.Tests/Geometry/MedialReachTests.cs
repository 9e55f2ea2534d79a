using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Geometry;

public sealed class MedialReachTests
{
    [Fact]
    public void Reach_AcrossABar_EndsAtItsMiddleLine()
    {
        var reach = On(new RectangleShape(), 60, 4);
        var (length, stop) = reach.Of(new Point(0, -2), new Point(0, 1), 10);
        Assert.Equal(2, length, 0.1);
        Assert.Equal(2, stop!.Value.Y, 0.01);
    }

    [Fact]
    public void Reach_InTheOpen_IsAllThatWasAsked()
    {
        var (length, stop) = On(new RectangleShape(), 60, 40).Of(new Point(0, -20), new Point(0, 1), 5);
        Assert.Equal(5, length);
        Assert.Null(stop);
    }

    [Theory]
    [InlineData(1.0)]
    [InlineData(2.0)]
    [InlineData(3.0)]
    public void Reach_NearARightAngle_EndsAtItsBisector(double fromCorner)
    {
        var (length, _) = On(new RectangleShape(), 40, 40).Of(new Point(-20 + fromCorner, -20), new Point(0, 1), 10);
        Assert.InRange(length, fromCorner, fromCorner * 1.06);
    }

    [Fact]
    public void Reach_InACircle_IsItsRadiusAndNotCutByItsFlattening()
    {
        var (length, _) = On(new EllipseShape(), 10, 10).Of(new Point(0, -5), new Point(0, 1), 8);
        Assert.Equal(5, length, 0.15);
        var (all, _) = On(new EllipseShape(), 60, 60).Of(new Point(0, -30), new Point(0, 1), 4);
        Assert.Equal(4, all);
    }

    private static MedialReach On(ShapeSource shape, double width, double height) =>
        new(new SegmentIndex([SampleOutlines.Shape(shape, width, height).Shell]));
}
