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

    /// <summary>The sliding sums against every square counted by itself, with and without a place that may be sewn over.</summary>
    [Theory]
    [InlineData(1, false)]
    [InlineData(2, true)]
    public void Surplus_IsThatOfEverySquareCountedByItself(int seed, bool withOverlap)
    {
        var random = new Random(seed);
        var box = new Box(-4, -4, 4, 4);
        var overlap = new Point(1, -1);
        var (field, raster) = (new ThreadField(), new ThreadRaster(box, 0.1, ThreadField.CountedWidth));
        field.Begin(box, 1.4, 3, withOverlap ? [overlap] : [], 1.5);
        for (var i = 0; i < 60; i++)
        {
            var (from, to) = (Somewhere(random, 3.5), Somewhere(random, 3.5));
            field.Lay(from, to);
            raster.Draw(from, to);
        }
        var plain = 0.0;
        for (var row = 0; row < raster.Rows; row++)
        {
            for (var column = 0; column < raster.Columns; column++)
            {
                var middle = raster.At(column - 4, row - 4);
                var limit = withOverlap && middle.DistanceTo(overlap) <= 1.5 ? 3 : 1.4;
                plain += Math.Max(0, Sum(raster, column, row) - (limit * 0.9 * 81)) / 81;
            }
        }
        Assert.True(plain > 1);
        Assert.Equal(plain, field.Surplus().Sum, plain * 0.02);
    }

    private static int Sum(ThreadRaster raster, int column, int row)
    {
        var sum = 0;
        for (var y = Math.Max(0, row - 8); y <= row; y++)
        {
            for (var x = Math.Max(0, column - 8); x <= column; x++)
            {
                sum += raster.Layers[(y * raster.Columns) + x];
            }
        }
        return sum;
    }

    private static Point Somewhere(Random random, double within) =>
        new((random.NextDouble() * 2 * within) - within, (random.NextDouble() * 2 * within) - within);
}
