using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches.Columns;

public sealed class SatinColumnsTests
{
    private static readonly ColumnNumbers Usual = new(0.40, 0.2);

    public static TheoryData<string> Names => [.. StrokeShapes.All.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void Columns_OnEachShape_KeepTheBoundsOfGoodSatin(string name)
    {
        ImmutableArray<Region> shape = [StrokeShapes.All[name]()];
        var raster = new ColumnRaster(RegionOffset.By(shape, Usual.Compensation), Sewn(shape));
        // Where columns meet in X that is much of it; a dot is hardly larger than one turn of the thread.
        var breaches = raster
            .Breaches(0.98)
            .Where(line => name is not ("X" or "dot") || !line.StartsWith("over three", StringComparison.Ordinal));
        Assert.Empty(breaches);
    }

    [Fact]
    public void Raster_SeesWhatIsWrong()
    {
        ImmutableArray<Region> bar = [StrokeShapes.All["bar"]()];
        var wide = RegionOffset.By(bar, Usual.Compensation);
        Assert.Contains(
            new ColumnRaster(wide, Sewn(bar, Usual with { Spacing = 0.8 })).Breaches(0.98),
            Says("covered")
        );
        Assert.Contains(
            new ColumnRaster(bar, Sewn(bar, Usual with { Compensation = 0.6 })).Breaches(0.98),
            Says("outside")
        );
        var twice = Sewn(bar);
        var doubled = twice with { Runs = [.. twice.Runs, .. twice.Runs, .. twice.Runs] };
        Assert.Contains(new ColumnRaster(wide, doubled).Breaches(0.98), Says("layers"));
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Runs_OfOneShape_FollowOneAnother(string name)
    {
        var runs = Sewn([StrokeShapes.All[name]()]).Runs;
        for (var i = 1; i < runs.Length; i++)
        {
            Assert.InRange(
                runs[i].Points[0].DistanceTo(runs[i - 1].Points[^1]),
                0,
                StitchDefaults.ShortestStitch + 1e-9
            );
        }
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Underlay_LiesUnderTheTop(string name)
    {
        var sewn = Sewn([StrokeShapes.All[name]()]);
        var tops = sewn.Runs.Where(run => run.Kind == RunKind.Top).Select(run => new RunThread(run.Points)).ToList();
        var (all, hidden) = (0, 0);
        foreach (var run in sewn.Runs.Where(run => run.Kind == RunKind.Underlay))
        {
            for (var i = 1; i < run.Points.Length; i++)
            {
                var middle = Point.Lerp(run.Points[i - 1], run.Points[i], 0.5);
                all++;
                hidden += tops.Exists(top => top.LiesAt(middle, ThreadInSight.Hides)) ? 1 : 0;
            }
        }
        Assert.True(hidden >= 0.95 * all, $"{hidden} of {all}");
    }

    [Fact]
    public void RingsInARow_AreSewnOnwards_WithEveryWayUnderWhatComesLater()
    {
        // Like four letters o that are joined.
        var rings = RegionOffset.By(
            [.. Enumerable.Range(0, 4).Select(i => Moved(StrokeShapes.All["ring"](), 14.0 * i))],
            0.01
        );
        Assert.Single(rings);
        var runs = Sewn(rings).Runs;
        Assert.True(runs[^1].Points[^1].X > runs[0].Points[0].X + 20, $"ends at {runs[^1].Points[^1]}");
        var (all, hidden) = (0, 0);
        for (var r = 0; r < runs.Length; r++)
        {
            Assert.True(
                r == 0 || runs[r].Points[0].DistanceTo(runs[r - 1].Points[^1]) <= StitchDefaults.ShortestStitch + 1e-9
            );
            if (runs[r].Kind == RunKind.Top)
            {
                continue;
            }
            var later = runs.Skip(r)
                .Where(run => run.Kind == RunKind.Top)
                .Select(run => new RunThread(run.Points))
                .ToList();
            for (var i = 1; i < runs[r].Points.Length; i++)
            {
                var middle = Point.Lerp(runs[r].Points[i - 1], runs[r].Points[i], 0.5);
                all++;
                hidden += later.Exists(top => top.LiesAt(middle, ThreadInSight.Hides)) ? 1 : 0;
            }
        }
        Assert.True(hidden >= 0.95 * all, $"{hidden} of {all}");
    }

    private static Region Moved(Region region, double x) =>
        new(Moved(region.Shell, x), [.. region.Holes.Select(hole => Moved(hole, x))]);

    private static Ring Moved(Ring ring, double x) =>
        Ring.Of([.. ring.Points.Select(point => point with { X = point.X + x })]);

    [Fact]
    public void Strokes_OfABar_LieAcrossIt()
    {
        var top = Sewn([StrokeShapes.All["bar"]()]).Runs.Single(run => run.Kind == RunKind.Top).Points;
        for (var i = 1; i < top.Length; i++)
        {
            var stroke = top[i] - top[i - 1];
            Assert.True(Math.Abs(stroke.X) < Math.Abs(stroke.Y) / 2, $"{stroke}");
        }
    }

    [Fact]
    public void T_HasABarThatGoesThroughAndAStemThatEndsUnderIt()
    {
        var columns = ColumnFinder.Of(StrokeShapes.All["T"](), [], TestContext.Current.CancellationToken);
        Assert.Equal(2, columns.Length);
        var bar = columns.Single(column => column.Source.Start is null && column.Source.End is null);
        Assert.Equal(16, Math.Abs(bar.Middle(0).X - bar.Middle(bar.Places.Length - 1).X), 0.6);
        Assert.Single(bar.Source.Passed);
    }

    [Fact]
    public void Parts_TooWideOrTooNarrow_AreToldAndSewnOtherwise()
    {
        var wide = Sewn([StrokeShapes.Of((0, 0), (40, 0), (40, 14), (0, 14))]);
        var rows = Assert.Single(wide.Fallen);
        Assert.True(rows.IsTooWide);
        Assert.Equal(14.4, rows.Width, 0.1);
        var narrow = Assert.Single(Sewn([StrokeShapes.Of((0, 0), (20, 0), (20, 0.3), (0, 0.3))]).Fallen);
        Assert.False(narrow.IsTooWide);
        Assert.Equal(0.7, narrow.Width, 0.1);
    }

    [Fact]
    public void LongStrokes_AreSplitWithoutALineOfHoles()
    {
        var top = Sewn([StrokeShapes.Of((0, 0), (30, 0), (30, 8.6), (0, 8.6))])
            .Runs.Single(run => run.Kind == RunKind.Top);
        var between = top.Points.Where(point => point.Y is > 1 and < 7.6).ToList();
        Assert.True(between.Count > 60);
        var levels = between.Select(point => Math.Round(point.Y)).Distinct().Count();
        Assert.True(levels >= 3, $"{levels} levels");
    }

    [Fact]
    public void DirectionLine_TurnsTheStrokesOfItsColumn()
    {
        ImmutableArray<Region> bar = [StrokeShapes.All["bar"]()];
        var line = new StrokeDirection(new Point(9, -1), new Point(11, 4));
        var turned = SatinColumns.Make(
            bar,
            Usual,
            ColumnWork.Plain with
            {
                Directions = [line],
            },
            CancellationToken.None
        );
        var top = turned.Runs.Single(run => run.Kind == RunKind.Top).Points;
        var leans = Enumerable
            .Range(1, top.Length - 1)
            .Select(i => top[i] - top[i - 1])
            .Where(stroke => stroke.Length > 3)
            .Select(stroke => stroke.Y > 0 ? stroke : stroke * -1)
            .Select(stroke => Point.Turn(new Point(0, 1), stroke))
            .ToList();
        Assert.InRange(leans.Average(), -26, -18);
    }

    [Fact]
    public void DirectionLines_ThatMiss_ChangeNothing()
    {
        ImmutableArray<Region> bar = [StrokeShapes.All["bar"]()];
        var line = new StrokeDirection(new Point(9, -10), new Point(11, -6));
        var missed = SatinColumns.Make(
            bar,
            Usual,
            ColumnWork.Plain with
            {
                Directions = [line],
            },
            CancellationToken.None
        );
        Assert.Equal(Sewn(bar).Runs.SelectMany(run => run.Points), missed.Runs.SelectMany(run => run.Points));
    }

    [Fact]
    public void Parts_NearEachOther_AreSewnOnWithoutATrim()
    {
        ImmutableArray<Region> two =
        [
            StrokeShapes.Of((0, 0), (3, 0), (3, 12), (0, 12)),
            StrokeShapes.Of((4, 0), (7, 0), (7, 12), (4, 12)),
        ];
        int Gaps(double nearer)
        {
            var runs = SatinColumns
                .Make(two, Usual, ColumnWork.Plain with { JoinNearer = nearer }, CancellationToken.None)
                .Runs;
            return Enumerable
                .Range(1, runs.Length - 1)
                .Count(i => runs[i].Points[0].DistanceTo(runs[i - 1].Points[^1]) > 0.5);
        }
        Assert.Equal(1, Gaps(0));
        Assert.Equal(0, Gaps(1));
    }

    [Fact]
    public void Letters_FromTheMiddle_BeginThere()
    {
        ImmutableArray<Region> bars =
        [
            .. Enumerable
                .Range(0, 5)
                .Select(i => StrokeShapes.Of((8 * i, 0), ((8 * i) + 3, 0), ((8 * i) + 3, 12), (8 * i, 12))),
        ];
        var runs = SatinColumns
            .Make(bars, Usual, ColumnWork.Plain with { FromMiddle = true }, CancellationToken.None)
            .Runs;
        var order = runs.Select(run => (int)Math.Round((run.Points[0].X - 1.5) / 8)).Distinct();
        Assert.Equal([2, 3, 4, 1, 0], order);
    }

    [Theory]
    [InlineData(0.3, 0.3)]
    [InlineData(0.05, 4)]
    public void Specks_GiveFiniteNumbersOrNothing(double width, double height)
    {
        var sewn = Sewn([StrokeShapes.Of((0, 0), (width, 0), (width, height), (0, height))]);
        Assert.All(sewn.Runs.SelectMany(run => run.Points), point => Assert.True(double.IsFinite(point.X + point.Y)));
    }

    [Fact]
    public void RandomOutlines_KeepTheirNeedlePointsInside()
    {
        for (var seed = 0; seed < 30; seed++)
        {
            var shape = RandomOutlines.One(new Random(seed)).Flatten();
            var sewn = Sewn(shape);
            var raster = new ColumnRaster(RegionOffset.By(shape, Usual.Compensation), sewn);
            Assert.True(raster.FarthestOut <= 0.15 + 1e-9, $"seed {seed}: {raster.FarthestOut:0.00} mm outside");
            Assert.True(
                raster.LongestStitch <= StitchDefaults.LongestStitch + 1e-6,
                $"seed {seed}: {raster.LongestStitch:0.00} mm long"
            );
        }
    }

    private static Predicate<string> Says(string word) => line => line.Contains(word, StringComparison.Ordinal);

    private static StepStitches Sewn(ImmutableArray<Region> shape, ColumnNumbers? numbers = null) =>
        SatinColumns.Make(shape, numbers ?? Usual, ColumnWork.Plain, TestContext.Current.CancellationToken);

    [Fact]
    public void AShapeElsewhereIsSewnTheSame()
    {
        var shape = StrokeShapes.All["T"]();
        var by = new Point(123.456, -7.89);
        Region moved = new(
            Ring.Of([.. shape.Shell.Points.Select(point => point + by)]),
            [.. shape.Holes.Select(hole => Ring.Of([.. hole.Points.Select(point => point + by)]))]
        );
        var (here, there) = (Sewn(shape), Sewn(moved));
        Assert.Equal(here.Runs.Length, there.Runs.Length);
        foreach (var (one, two) in here.Runs.Zip(there.Runs))
        {
            Assert.Equal(one.Points.Length, two.Points.Length);
            Assert.All(
                one.Points.Zip(two.Points),
                pair => Assert.True((pair.First + by).DistanceTo(pair.Second) < 1e-5)
            );
        }

        static StepStitches Sewn(Region region) =>
            SatinColumns.Make(
                [region],
                new ColumnNumbers(0.4, 0.2),
                ColumnWork.Plain,
                TestContext.Current.CancellationToken
            );
    }
}
