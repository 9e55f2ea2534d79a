using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Maps;
using Ullet.Core.Pipeline;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Maps;

public sealed class MapsTests
{
    [Fact]
    public void Density_CountsEveryNeedlePointOnce()
    {
        var program = SampleProject.Evaluate(SampleProject.With(new HeartShape())).Program;
        var map = StitchMaps.Density(program, 12);
        Assert.Equal(4, map.Names.Length);
        Assert.All(map.Levels, level => Assert.InRange(level, 0, 4));
        var filled = map.Levels.Count(level => level > 0);
        // A cover of about 180 mm and 3.9 wide, and two lines beside it.
        Assert.InRange(filled, 300, 1200);
        Assert.Empty(StitchMaps.Density(program with { Steps = [] }, 12).Levels);
    }

    [Fact]
    public void Coverage_OfASatin_IsCovered_AndOfAZigzagIsBareBetween()
    {
        double Bare(CoverSettings cover)
        {
            var evaluated = SampleProject.Evaluate(
                SampleProject.Apply(
                    SampleProject.With(new EllipseShape(), 60, 60),
                    new SetCover { ElementId = "e1", Cover = cover }
                )
            );
            var map = StitchMaps.Coverage(Covers(evaluated));
            return map.Levels.Count(level => level == 1) / (double)map.Levels.Count(level => level > 0);
        }
        Assert.InRange(Bare(new CoverSettings()), 0, 0.01);
        Assert.InRange(Bare(new CoverSettings { Kind = CoverKind.Zigzag, Spacing = 2 }), 0.3, 0.9);
    }

    [Fact]
    public void Judge_OfAGoodCover_FindsNothing()
    {
        foreach (var shape in new ShapeSource[] { new HeartShape(), new StarShape(5, 0.45), new RectangleShape(3) })
        {
            Assert.DoesNotContain(
                SampleProject.Evaluate(SampleProject.With(shape)).Findings,
                found => found.Code is "piled-up" or "uncovered" or "spilled" or "cover-too-wide"
            );
        }
    }

    [Fact]
    public void Judge_NamesWhatIsWrongWithACover()
    {
        var evaluated = SampleProject.Evaluate(SampleProject.With(new EllipseShape(), 60, 60));
        var (stage, stitches) = Covers(evaluated).Single();
        CoverReport Report(Func<StitchRun, StitchRun> spoil) =>
            new CoverJudge().Compute(
                new SewnStage(
                    stage,
                    stitches with
                    {
                        Runs = [.. stitches.Runs.Select(run => run.Kind == RunKind.Top ? spoil(run) : run)],
                    },
                    ContentHash.Of(1, "")
                ),
                TestContext.Current.CancellationToken
            );
        var good = Report(run => run);
        Assert.Equal(good with { PiledUp = null, Bare = null, Spilled = null, TooWide = null }, good);
        var gap = Report(run => run with { Points = run.Points.RemoveRange(100, 12) });
        Assert.InRange(gap.Bare!.Value, 0.6, 2.5);
        var piled = Report(run =>
            run with
            {
                Points = run.Points.InsertRange(200, Enumerable.Repeat(run.Points[200], 20)),
            }
        );
        Assert.InRange(piled.PiledUp!.Value, 20, 30);
        var spilled = Report(run => run with { Points = run.Points.SetItem(50, new Point(0, 0)) });
        Assert.InRange(spilled.Spilled!.Value, 20, 30);
        Assert.InRange(spilled.TooWide!.Value, 20, 40);
    }

    [Fact]
    public void AWideSatin_AndAFrayingOpenCover_GetTheirFindings()
    {
        var wide = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 60, 60),
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Width = 7, Compensation = 0.5 },
            }
        );
        Assert.Contains(SampleProject.Evaluate(wide).Findings, found => found.Code == "cover-too-wide");
        var open = SampleProject.Apply(
            wide,
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Kind = CoverKind.Motif },
            }
        );
        Assert.Contains(
            SampleProject.Evaluate(open).Findings,
            found => found is { Code: "edge-may-fray", Level: FindingLevel.Tip }
        );
        var fused = SampleProject.Apply(
            open,
            new SetMethod
            {
                ElementId = "e1",
                Method = Method.CutBeforehand,
                Holding = Holding.Fused,
            }
        );
        Assert.DoesNotContain(SampleProject.Evaluate(fused).Findings, found => found.Code == "edge-may-fray");
    }

    [Fact]
    public void Raster_DrawsAThreadAsWideAsItIs()
    {
        var raster = new ThreadRaster(new Box(-5, -5, 5, 5), 0.05);
        raster.Draw(new Point(-3, -2), new Point(3, 2));
        var area = raster.Layers.ToArray().Sum(layer => layer) * 0.05 * 0.05;
        Assert.Equal(Math.Sqrt(52) * StitchDefaults.ThreadWidth, area, 0.05);
    }

    private static List<(Stage Stage, StepStitches Stitches)> Covers(Evaluated evaluated) =>
        [
            .. evaluated
                .RunSheet.Steps.OfType<StitchStep>()
                .Where(step => step.Stage.Id == StageId.Cover)
                .Select(step => (step.Stage, evaluated.Stitches[step.Key])),
        ];
}
