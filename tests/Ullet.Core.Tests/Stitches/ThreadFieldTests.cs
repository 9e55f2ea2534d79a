using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Stitches;

public sealed class ThreadFieldTests
{
    [Fact]
    public void BareUnder_IsWhatLayingWouldCover()
    {
        var random = new Random(9);
        var raster = new ThreadRaster(new Box(-10, -10, 10, 10), 0.1);
        for (var i = 0; i < 200; i++)
        {
            var (from, to) = (Somewhere(random, 14), Somewhere(random, 14));
            var (before, bare) = (raster.Bare, raster.BareUnder(from, to));
            raster.Draw(from, to);
            Assert.Equal(bare, before - raster.Bare);
            Assert.Equal(0, raster.BareUnder(from, to));
        }
    }

    [Fact]
    public void Begin_Again_ForgetsWhatLayThere()
    {
        var raster = new ThreadRaster(new Box(0, 0, 20, 20), 0.1);
        raster.Draw(new Point(1, 1), new Point(19, 19));
        raster.Begin(new Box(-3, -3, 3, 3));
        Assert.Equal((61, 61, 0), (raster.Columns, raster.Rows, raster.Bare));
        Assert.DoesNotContain(raster.Layers.ToArray(), layers => layers > 0);
    }

    /// <summary>Against every cell counted by itself, with and without a place that may be sewn over; what is taken away again leaves
    /// no trace.</summary>
    [Theory]
    [InlineData(1, false)]
    [InlineData(2, true)]
    public void Over_IsWhatLiesBeyondTheMostOnEveryCell(int seed, bool withOverlap)
    {
        var random = new Random(seed);
        var box = new Box(-4, -4, 4, 4);
        var overlap = new Point(1, -1);
        var (field, raster) = (new ThreadField(), new ThreadRaster(box, 0.1, ThreadField.CountedWidth));
        field.Begin(box, 2, 4, withOverlap ? [overlap] : [], 1.5);
        for (var i = 0; i < 60; i++)
        {
            var (from, to) = (Somewhere(random, 3.5), Somewhere(random, 3.5));
            field.Lay(from, to);
            raster.Draw(from, to);
        }
        Point[] other = [Somewhere(random, 3), Somewhere(random, 3)];
        field.Change([], other);
        field.Change(other, []);
        var plain = 0;
        for (var at = 0; at < raster.Layers.Length; at++)
        {
            var middle = raster.At(at % raster.Columns, at / raster.Columns);
            plain += Math.Max(0, raster.Layers[at] - (withOverlap && middle.DistanceTo(overlap) <= 1.5 ? 4 : 2));
        }
        Assert.True(plain > 1);
        Assert.Equal(plain, field.Over, plain * 0.02);
    }

    [Fact]
    public void TooThick_NamesPlacesUntilTheyAreGivenUp()
    {
        var field = new ThreadField();
        field.Begin(new Box(-2, -2, 2, 2), 2, 4, [], 1);
        for (var i = 0; i < 5; i++)
        {
            field.Lay(new Point(-1, 0), new Point(1, 0));
        }
        var named = new List<Point>();
        foreach (var place in field.TooThick(2))
        {
            named.Add(place);
            field.GiveUp(place);
        }
        Assert.All(named, place => Assert.True(Math.Abs(place.Y) <= 0.2 && Math.Abs(place.X) <= 1.01));
        Assert.Equal(named.Count, named.Distinct().Count());
        Assert.InRange(named.Count, 3, 20);
        Assert.Empty(field.TooThick(2));
        field.TryAgain();
        Assert.NotEmpty(field.TooThick(2));
    }

    private static Point Somewhere(Random random, double within) =>
        new((random.NextDouble() * 2 * within) - within, (random.NextDouble() * 2 * within) - within);
}
