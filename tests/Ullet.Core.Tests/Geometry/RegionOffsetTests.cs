using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Geometry;

public sealed class RegionOffsetTests
{
    [Fact]
    public void By_Outwards_GrowsTheBoxByTheDistance()
    {
        var region = SampleOutlines.Shape(new HeartShape(), 60, 50);
        var grown = RegionOffset.By([region], 12)[0].Bounds();
        Assert.Equal(84, grown.Width, 0.02);
        Assert.Equal(74, grown.Height, 0.02);
    }

    [Fact]
    public void By_InwardsMoreThanThereIs_LeavesNothing() =>
        Assert.Empty(RegionOffset.By([SampleOutlines.Shape(new EllipseShape(), 10, 10)], -6));

    [Fact]
    public void By_Inwards_WidensHoles()
    {
        var hole = ShapeContours.Make(new EllipseShape(), 10, 10).Oriented(clockwise: false).Flatten();
        ImmutableArray<Region> ring = [SampleOutlines.Shape(new EllipseShape(), 40, 40) with { Holes = [hole] }];
        var smaller = Assert.Single(RegionOffset.By(ring, -2));
        Assert.Equal(36, smaller.Bounds().Width, 0.02);
        Assert.Equal(14, smaller.Holes[0].Bounds().Width, 0.02);
        Assert.True(smaller.Holes[0].SignedArea < 0);
    }
}
