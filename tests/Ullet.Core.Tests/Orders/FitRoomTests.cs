using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Orders;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Orders;

/// <summary>How far a needle point lies outside a room, in boxes that are turned and in outlines.</summary>
public sealed class FitRoomTests
{
    [Theory]
    [InlineData(0, 0, 0)]
    [InlineData(10, 0, 0)]
    [InlineData(10.5, 0, 0.5)]
    [InlineData(0, -7, 2)]
    [InlineData(12, 6, 2)]
    public void ABox_TellsTheLargerOfBothWays(double x, double y, double outside) =>
        Assert.Equal(outside, new FitRoom(new ElementBox(0, 0, 20, 10, 0)).Outside(new Point(x, y)), 9);

    [Fact]
    public void ATurnedBox_IsAskedInItsOwnFrame()
    {
        var room = new FitRoom(new ElementBox(5, 5, 20, 10, 90));
        Assert.Equal(0, room.Outside(new Point(5, 14)), 9);
        Assert.Equal(4, room.Outside(new Point(14, 5)), 9);
    }

    [Fact]
    public void PlacesOfARoom_GoToTheWallAndBack()
    {
        var room = new FitRoom(new ElementBox(-3, 8, 40, 10, 33));
        var random = new Random(3);
        for (var i = 0; i < 50; i++)
        {
            var own = new Point((random.NextDouble() * 60) - 30, (random.NextDouble() * 60) - 30);
            Assert.True(room.Local(room.OnWall(own)).DistanceTo(own) < 1e-9);
        }
    }

    [Fact]
    public void AnOutline_IsMeasuredToItsEdge()
    {
        ImmutableArray<Region> corner =
        [
            new Region(Ring.Of([new(-10, -10), new(10, -10), new(10, 0), new(0, 0), new(0, 10), new(-10, 10)]), []),
        ];
        var room = new FitRoom(new ElementBox(0, 0, 20, 20, 0), corner);
        Assert.Equal(0, room.Outside(new Point(-5, 5)), 9);
        Assert.Equal(3, room.Outside(new Point(3, 5)), 6);
        Assert.True(room.Holds(new Point(-5, 5), 4.9));
        Assert.False(room.Holds(new Point(-5, 5), 5.1));
        Assert.False(room.Holds(new Point(5, 5), 0));
    }
}
