using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;
using Xunit;

namespace Ullet.Core.Tests.Stitches.Columns;

/// <summary>Most of the shape is too wide for strokes from side to side.</summary>
public sealed class WideShapeTests
{
    private static readonly ColumnNumbers Usual = new(0.4, 0.2);

    [Theory]
    [InlineData(11, true)]
    [InlineData(30, true)]
    [InlineData(8, false)]
    public void ADrop_IsFilledWhereItIsWide_AndThatIsSaid(double across, bool isFilled)
    {
        var drop = Drop(across);
        var sewn = SatinColumns.Make(drop, Usual, ColumnWork.Plain, TestContext.Current.CancellationToken);
        Assert.Equal(isFilled, sewn.Fallen.Any(part => part.IsTooWide));
        var wide = RegionOffset.By(drop, Usual.Compensation);
        Assert.Empty(new ColumnRaster(wide, sewn).Breaches(0.98).Concat(new ColumnDirections(wide, sewn).Breaches()));
        Assert.True(!isFilled || Parallel(sewn) > 0.9, "rows lie over the whole in one direction");
    }

    [Fact]
    public void Rows_LieAlongTheUsersLine()
    {
        var line = new StrokeDirection(new Point(8, 15), new Point(22, 15));
        var sewn = SatinColumns.Make(
            Drop(30),
            Usual,
            ColumnWork.Plain with
            {
                Directions = [line],
            },
            TestContext.Current.CancellationToken
        );
        var level = Stitches(sewn)
            .Where(stitch => Math.Abs(stitch.Y) < 0.05 * Math.Abs(stitch.X))
            .Sum(each => each.Length);
        Assert.True(level > 0.8 * Stitches(sewn).Sum(stitch => stitch.Length));
    }

    /// <summary>The share of thread that lies within 10° of the direction of most of it.</summary>
    private static double Parallel(StepStitches sewn)
    {
        var stitches = Stitches(sewn).Where(stitch => stitch.Length > 1.5).ToList();
        return Enumerable
                .Range(0, 18)
                .Max(i => stitches.Where(stitch => Math.Abs(Turned(stitch, 10 * i)) < 10).Sum(stitch => stitch.Length))
            / stitches.Sum(stitch => stitch.Length);
    }

    private static double Turned(Point stitch, double from)
    {
        var turn = double.RadiansToDegrees(Math.Atan2(stitch.Y, stitch.X)) - from;
        return turn - (180 * Math.Round(turn / 180));
    }

    private static IEnumerable<Point> Stitches(StepStitches sewn) =>
        sewn
            .Runs.Where(run => run.Kind == RunKind.Top)
            .SelectMany(run => run.Points.Zip(run.Points.Skip(1), (from, to) => to - from));

    private static ImmutableArray<Region> Drop(double across)
    {
        var half = across / 2;
        var round = Enumerable
            .Range(0, 61)
            .Select(i => double.DegreesToRadians(-225 + (270.0 * i / 60)))
            .Select(angle => new Point(half + (half * Math.Cos(angle)), half + (half * Math.Sin(angle))));
        return [new Region(Ring.Of([.. round, new Point(half, half * 2.414)]), [])];
    }
}
