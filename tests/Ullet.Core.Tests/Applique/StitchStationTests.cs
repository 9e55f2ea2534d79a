using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Applique;

public sealed class StitchStationTests
{
    [Theory]
    [InlineData(Method.TrimInTheHoop, 0.8)]
    [InlineData(Method.CutBeforehand, 1.4)]
    public void TackDown_RunsInsideByTheMethodsInset(Method method, double inset)
    {
        var evaluated = SampleProject.Evaluate(SampleProject.With(new EllipseShape(), 50, 50, method));
        var points = evaluated.Stitches[new StepKey("e1", "tack", 0)].Runs[0].Points;
        Assert.All(points, p => Assert.Equal(25 - inset, p.Length, 0.05));
    }

    [Fact]
    public void TackDown_UnderANarrowCover_StaysInsideIt()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 50, 50, Method.CutBeforehand),
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Width = 2 },
            }
        );
        var points = SampleProject.Evaluate(project).Stitches[new StepKey("e1", "tack", 0)].Runs[0].Points;
        Assert.All(points, p => Assert.Equal(25 - ((2 * 0.6) - 0.4), p.Length, 0.05));
    }

    [Fact]
    public void Placement_LiesOnTheOutlineAndOnItsHole()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 50, 50),
            new SetHole { ElementId = "e1", Hole = new PieceHole(new EllipseShape(), 0, 0, 14, 14) }
        );
        var runs = SampleProject.Evaluate(project).Stitches[new StepKey("e1", "placement", 0)].Runs;
        Assert.Equal(2, runs.Length);
        Assert.All(runs[0].Points, p => Assert.Equal(25, p.Length, 0.11));
        Assert.All(runs[1].Points, p => Assert.Equal(7, p.Length, 0.11));
    }

    [Fact]
    public void Key_IsTheSameForAnotherThread_AndAnotherForAnotherWidth()
    {
        var project = SampleProject.With(new HeartShape());
        var before = SampleProject.Evaluate(project).Stitches[new StepKey("e1", "cover", 0)];
        var recoloured = SampleProject.Apply(
            project,
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { ThreadId = "line" },
            }
        );
        var wider = SampleProject.Apply(
            project,
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Width = 5 },
            }
        );
        Assert.Equal(
            before.PointCount,
            SampleProject.Evaluate(recoloured).Stitches[new StepKey("e1", "cover", 0)].PointCount
        );
        var grown = SampleProject.Evaluate(wider).Stitches[new StepKey("e1", "cover", 0)];
        Assert.True(Reach(grown) > Reach(before) + 0.5);
    }

    private static double Reach(StepStitches stitches) => Box.Of(stitches.Runs.SelectMany(run => run.Points)).Width / 2;
}
