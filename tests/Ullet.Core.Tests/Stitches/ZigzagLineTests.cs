using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Stitches;

public sealed class ZigzagLineTests
{
    [Theory]
    [InlineData(0, 0, 60, 0)]
    [InlineData(-20, 10, 30, 45)]
    public void Of_AStraightLine_GoesToAndFroAsWideAsAsked(double x1, double y1, double x2, double y2)
    {
        var (from, to) = (new Point(x1, y1), new Point(x2, y2));
        var points = ZigzagLine.Of([from, to], 3);
        Assert.Equal((from, to), (points[0], points[^1]));
        var side = points[1..^1].Select(at => Point.Cross((to - from).Unit(), at - from)).ToList();
        Assert.All(side, off => Assert.Equal(1.5, Math.Abs(off), 6));
        for (var i = 1; i < side.Count; i++)
        {
            Assert.True(side[i] * side[i - 1] < 0);
            Assert.InRange(points[i + 1].DistanceTo(points[i]), 3, 3.3);
        }
    }
}
