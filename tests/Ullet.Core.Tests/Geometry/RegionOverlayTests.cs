using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Geometry;

public sealed class RegionOverlayTests
{
    private static readonly Region Square = new(Ring.Of(new Box(0, 0, 10, 10).Corners()), []);

    [Fact]
    public void Measures_OfAFrame_AreItsArea_ItsEdges_AndItsMiddle()
    {
        var frame = new Region(Square.Shell, [Ring.Of(new Box(2, 4, 4, 6).Corners()).Reversed()]);
        var (area, length, middle) = RegionOverlay.Measures([frame]);
        Assert.Equal((96, 48), (Math.Round(area, 6), Math.Round(length, 6)));
        // The hole takes weight from the left.
        Assert.Equal(((10 * 10 * 5) - (4 * 3)) / 96.0, middle.X, Tolerance.Quantum);
        Assert.Equal(5, middle.Y, Tolerance.Quantum);
    }

    [Fact]
    public void Measures_OfNothing_AreNothing() => Assert.Equal((0, 0, Point.Zero), RegionOverlay.Measures([]));

    [Theory]
    [InlineData(0.9, false)]
    [InlineData(1.1, true)]
    public void Nearness_IsOfTheEdges(double within, bool near)
    {
        var other = new Region(Ring.Of(new Box(11, 3, 15, 6).Corners()), []);
        Assert.Equal(near, RegionOverlay.AreNearer([Square], [other], within));
    }

    [Fact]
    public void Nearness_InAHole_IsToTheHolesEdge()
    {
        var frame = new Region(Square.Shell, [Ring.Of(new Box(1, 1, 9, 9).Corners()).Reversed()]);
        var inside = new Region(Ring.Of(new Box(4, 4, 6, 6).Corners()), []);
        Assert.False(RegionOverlay.AreNearer([frame], [inside], 2.9));
        Assert.True(RegionOverlay.AreNearer([frame], [inside], 3.1));
    }

    [Fact]
    public void DistanceToRings_CountsHoles()
    {
        var frame = new Region(Square.Shell, [Ring.Of(new Box(6, 4, 8, 6).Corners()).Reversed()]);
        Assert.Equal(1, RegionOverlay.DistanceToRings([frame], new Point(5, 5)), 1e-6);
        Assert.Equal(2, RegionOverlay.DistanceToRings([frame], new Point(2, 5)), 1e-6);
    }

    [Fact]
    public void Corners_OfABox_RunClockwiseOnScreenFromTheTopLeft()
    {
        var corners = new Box(1, 2, 5, 9).Corners();
        Assert.Equal([new(1, 2), new(5, 2), new(5, 9), new(1, 9)], corners);
        Assert.Equal(28, Ring.Of(corners).SignedArea, 1e-9);
    }
}
