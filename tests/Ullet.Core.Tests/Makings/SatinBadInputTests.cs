using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Maps;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Makings;

public sealed class SatinBadInputTests
{
    private static readonly ColumnNumbers Usual = new(0.4, 0.2);

    [Theory]
    [InlineData(0.3)]
    [InlineData(0.05)]
    public void AnOutlineThinnerThanThread_IsARunOrNothing(double width)
    {
        var sewn = Sewn([new Point(0, 0), new Point(20, 0), new Point(20, width), new Point(0, width)]);
        Assert.All(sewn.Runs.SelectMany(run => run.Points), point => Assert.InRange(point.Y, -0.3, width + 0.3));
        Assert.All(
            sewn.Runs.Where(run => run.Kind == RunKind.Top),
            run =>
                Assert.True(run.Points.Zip(run.Points.Skip(1)).All(pair => pair.First.DistanceTo(pair.Second) <= 7.001))
        );
    }

    [Fact]
    public void DirectionLinesThatCrossOrMiss_ChangeNoBound()
    {
        Point[] bar = [new(0, 0), new(40, 0), new(40, 4), new(0, 4)];
        StrokeDirection[] lines =
        [
            new(new Point(10, -5), new Point(30, 9)),
            new(new Point(30, -5), new Point(10, 9)),
            new(new Point(100, 100), new Point(120, 100)),
            new(new Point(5, 2), new Point(5, 2)),
        ];
        var sewn = Sewn(bar, lines);
        Assert.NotEmpty(sewn.Runs);
        Assert.All(
            sewn.Runs.Where(run => run.Kind == RunKind.Top).SelectMany(run => run.Points),
            point =>
            {
                Assert.InRange(point.X, -0.31, 40.31);
                Assert.InRange(point.Y, -0.31, 4.31);
            }
        );
    }

    [Fact]
    public void TwoHundredCharacters_FourMillimetresHigh_AreSewnOrRefusedInASentence()
    {
        var text = string.Join('\n', Enumerable.Repeat("HATHATHATHATHATHATH", 10));
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new AddWords
            {
                Text = text,
                FontId = BlockFonts.Id,
                CapHeight = 4,
                Use = WordsUse.Satin,
            }
        );
        var evaluated = SampleProject.Evaluate(project);
        Assert.Contains(evaluated.Findings, finding => finding.Code == "text-small");
        Assert.NotEmpty(evaluated.Hoopings[0].Stitches.Values.SelectMany(stitches => stitches.Runs));
    }

    [Fact]
    public void TwoMetresOfASatinLine_KeepTheBounds()
    {
        var line = Enumerable.Range(0, 400).Select(i => new Point(5 * (i % 20), 7 * (i / 20.0))).ToList();
        var region = RegionOffset.Around(
            [
                [.. line],
            ],
            1.25
        );
        var sewn = SatinColumns.Make(region, Usual, ColumnWork.Plain, TestContext.Current.CancellationToken);
        Assert.All(
            sewn.Runs.SelectMany(run => run.Points.Zip(run.Points.Skip(1))),
            pair => Assert.True(pair.First.DistanceTo(pair.Second) <= 7.001)
        );
    }

    [Fact]
    public void SatinIsJudged_WhereThreadLiesOnCloth()
    {
        Point[] bar = [new(0, 0), new(20, 0), new(20, 3), new(0, 3)];
        var stage = new Stage(
            new StepKey("e1", StageTable.Of(StageId.Satin).Key, 0),
            StageId.Satin,
            "t1",
            new SatinPlan(Usual, null, [], LetterOrder.LeftToRight, 1),
            new Outline([new OutlinePart(Contour.Polygon(bar), [])]),
            default
        );
        var good = Sewn(bar);
        Assert.Equal((null, null, null, null, null), Judged(good));
        var astray = new StitchRun(RunKind.Underlay, 0, [new Point(5, 5), new Point(9, 5)]);
        Assert.NotNull(Judged(good with { Runs = good.Runs.Insert(0, astray) }).InSight);
        var spilled = new StitchRun(RunKind.Top, 0, [new Point(5, 2), new Point(5, 6)]);
        Assert.NotNull(Judged(good with { Runs = good.Runs.Add(spilled) }).Spilled);
        var half = good with
        {
            Runs = [.. good.Runs.Select(run => run with { Points = [.. run.Points.Where(point => point.X < 10)] })],
        };
        Assert.NotNull(Judged(half).Bare);
        // Sewn twice, each place lies under four threads.
        var twice = Judged(good with { Runs = good.Runs.AddRange(good.Runs) }).Thick;
        Assert.InRange(twice!.Value, 0.5, 1);

        (
            MeasuredPlace? PiledUp,
            MeasuredPlace? Bare,
            MeasuredPlace? Spilled,
            MeasuredPlace? InSight,
            MeasuredPlace? Thick
        ) Judged(StepStitches stitches)
        {
            var report = new SatinJudge().Compute(
                new SewnStage(stage, stitches, default),
                TestContext.Current.CancellationToken
            );
            return (report.PiledUp, report.Bare, report.Spilled, report.InSight, report.Thick);
        }
    }

    private static StepStitches Sewn(Point[] outline, params StrokeDirection[] lines) =>
        SatinColumns.Make(
            [new Region(Ring.Of([.. outline]), [])],
            Usual,
            ColumnWork.Plain with
            {
                Directions = [.. lines],
            },
            TestContext.Current.CancellationToken
        );
}
