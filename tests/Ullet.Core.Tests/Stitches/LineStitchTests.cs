using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches;

public sealed class LineStitchTests
{
    [Fact]
    public void Along_KeepsBothEnds_TheCorner_AndEqualSteps()
    {
        ImmutableArray<Point> line = [new(0, 0), new(10, 0), new(10, 7)];
        var points = RunStitch.Along(line, 2.5);
        Assert.Equal(line[0], points[0]);
        Assert.Equal(line[2], points[^1]);
        Assert.Contains(line[1], points);
        var steps = points.Skip(1).Select((point, i) => point.DistanceTo(points[i])).ToList();
        Assert.All(steps, step => Assert.InRange(step, 1, 2.5 + 1e-9));
        Assert.Equal(17, steps.Sum(), 1e-9);
    }

    [Fact]
    public void Along_OfAPoint_IsNothing()
    {
        Assert.Empty(RunStitch.Along([new(1, 1)], 2.5));
        Assert.Empty(RunStitch.Along([], 2.5));
    }

    [Fact]
    public void Bean_SewsEveryStitchThreeTimes_BetweenTheSameHoles()
    {
        ImmutableArray<Point> run = [new(0, 0), new(2, 0), new(4, 0)];
        var bean = BeanStitch.Of(run);
        Assert.Equal([run[0], run[1], run[0], run[1], run[2], run[1], run[2]], bean);
        Assert.Equal(run.ToHashSet(), bean.ToHashSet());
        Assert.Equal([run[0]], BeanStitch.Of([run[0]]));
    }

    [Theory]
    [InlineData(LineKind.Run)]
    [InlineData(LineKind.Bean)]
    public void WordsAlongTheirEdges_AreSewnWithinTheirOutline(LineKind kind)
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new AddWords
            {
                Text = "Go",
                FontId = "block",
                CapHeight = 30,
                Use = WordsUse.StitchedOutline,
            },
            new SetLettering
            {
                ElementId = "e1",
                Line = new LineSettings
                {
                    Kind = kind,
                    ThreadId = "line",
                    StitchLength = 2,
                },
            }
        );
        var evaluated = SampleProject.Evaluate(project);
        var step = Assert.Single(evaluated.Program.Steps.OfType<ProgramStitches>());
        Assert.Equal("line", step.Role);
        Assert.Equal("slate", evaluated.Program.Threads[step.Thread - 1].Name);
        var outline = evaluated.Outlines["e1"].Bounds();
        Assert.True(outline.Contains(evaluated.StitchedBounds("e1"), 0.75));
        Assert.Empty(evaluated.Sheets);
    }

    [Fact]
    public void SetLine_OfWhatCantBeSewn_Refuses()
    {
        var project = SampleProject.With(new HeartShape());
        Assert.Equal(
            "element-unfit",
            SampleProject.Refused(project, new SetLine { ElementId = "e1", Line = new LineSettings() }).Code
        );
    }
}
