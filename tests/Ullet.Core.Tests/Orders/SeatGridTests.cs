using Ullet.Core.Geometry;
using Ullet.Core.Orders;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Orders;

/// <summary>Seats in rows: as many as the field takes, none nearer than scissors need, all inside.</summary>
public sealed class SeatGridTests
{
    private static readonly Hoop Field = Hoop.Sized(200, 150);

    [Theory]
    [InlineData(200, 150, 1, 1)]
    [InlineData(95, 70, 2, 2)]
    [InlineData(95.1, 70, 1, 2)]
    [InlineData(60, 150, 3, 1)]
    [InlineData(201, 20, 0, 5)]
    public void Grids_TakeAsManyAsThereIsRoomFor(double width, double height, int across, int down)
    {
        var grid = SeatGrid.Of(width, height, Field);
        Assert.Equal((across, down), (grid.Across, grid.Down));
    }

    [Theory]
    [InlineData(1)]
    [InlineData(3)]
    [InlineData(5)]
    [InlineData(6)]
    public void Seats_LieInTheField_Apart_AboutItsMiddle(int count)
    {
        var grid = SeatGrid.Of(55, 60, Field).For(count);
        var middles = grid.Middles(count);
        Assert.Equal(count, middles.Length);
        var boxes = middles.Select(at => Box.Centred(55, 60).Moved(at.X, at.Y)).ToList();
        Assert.All(boxes, box => Assert.True(Field.Usable.Contains(box, 1e-6), $"{box}"));
        for (var i = 0; i < count; i++)
        {
            Assert.All(
                boxes.Skip(i + 1),
                other =>
                    Assert.False(
                        boxes[i].Grown((SeatGrid.Apart / 2) - 0.01).Overlaps(other.Grown((SeatGrid.Apart / 2) - 0.01))
                    )
            );
        }
        var all = boxes.Aggregate(Box.Empty, (one, other) => one.Union(other));
        Assert.Equal(0, all.Centre.X, 6);
        Assert.Equal(0, all.Centre.Y, 6);
    }

    [Fact]
    public void FewerOrders_TakeEvenRows()
    {
        var grid = new SeatGrid(4, 3, 20, 20);
        Assert.Equal((3, 2), (grid.For(6).Across, grid.For(6).Down));
        Assert.Equal((3, 2), (grid.For(5).Across, grid.For(5).Down));
        Assert.Equal((2, 1), (grid.For(2).Across, grid.For(2).Down));
    }

    [Fact]
    public void Margins_AreKeptFree()
    {
        var hoop = Field with { MarginAcross = 10, MarginDown = 10 };
        Assert.Equal((1, 1), (SeatGrid.Of(95, 70, hoop).Across, SeatGrid.Of(95, 70, hoop).Down));
    }
}
