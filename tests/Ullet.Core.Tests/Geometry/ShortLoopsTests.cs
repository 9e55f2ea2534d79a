using Ullet.Core.Geometry;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Geometry;

public sealed class ShortLoopsTests
{
    [Fact]
    public void SidesThatPassEachOtherAtATip_EndWhereTheyCross()
    {
        // The tip's sides cross half a millimetre before they end.
        Point[] tip = [new(0, 0), new(20, 0), new(10.1, 10.2), new(9.9, 10.2), new(0, 0.1)];
        Point[] crossed = [tip[0], tip[1], tip[3], tip[2], tip[4]];
        var cut = ShortLoops.Removed(crossed);
        Assert.Null(Crossings.First([new Ring([.. cut])]));
        Assert.All(cut, point => Assert.True(point.Y < 10.21));
        Assert.Equal(tip, ShortLoops.Removed(tip));
    }

    [Theory]
    [InlineData(0.1)]
    [InlineData(0.25)]
    public void NoisyOutlines_ThatCrossThemselves_DoSoNoLonger(double noise)
    {
        var ring = SmoothedRing.Of(NastyOutlines.Noisy(400, noise).Shell, noise);
        Assert.Null(Crossings.First([ring]));
    }
}
