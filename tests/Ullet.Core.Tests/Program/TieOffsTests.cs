using Ullet.Core.Edits;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Program;

public sealed class TieOffsTests
{
    [Fact]
    public void EveryStep_BeginsWithItsOwnThread_AndEndsIt()
    {
        // Two pieces far apart, sewn with one thread: the needle can't travel from one to the other.
        var project = SampleProject.Apply(SampleProject.Empty(200, 200), Line(-60), Line(60));
        var steps = SampleProject.Evaluate(project).Program.Steps.OfType<ProgramStitches>().ToList();
        Assert.Equal(2, steps.Count);
        Assert.All(
            steps,
            step =>
            {
                Assert.Equal(NeedleKind.Jump, step.Commands[0].Kind);
                Assert.Equal(NeedleKind.Trim, step.Commands[^1].Kind);
                Assert.Equal(step.Commands.Length, step.Roles.Length);
                Assert.Equal(1, step.TrimCount);
            }
        );
        // A short line is as short with its stitching.
        Assert.InRange(SampleProject.Evaluate(project).StitchedBounds("e2").Width, 19, 21);
    }

    private static DrawLine Line(double x) =>
        new() { Line = new DrawnLine(x, 0, [new DrawnCurve(x, 0, x + 20, 0, x + 20, 0)]) };
}
