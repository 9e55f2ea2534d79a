using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Patterns;
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

    [Fact]
    public void TheFile_SaysTheSameInTheSameOrder_WhoeverAThreadsEndBelongsTo()
    {
        var owned = SampleProject.Evaluate(PatternSamples.Make("zip-pouch")).Program.Steps;
        // As they were written before: where no hands come between, each end stands at the beginning of the step after it.
        var written = owned.ToBuilder();
        var sewn = Enumerable.Range(0, owned.Length).Where(i => owned[i] is ProgramStitches).ToList();
        var moved = 0;
        foreach (var (i, next) in sewn.Zip(sewn.Skip(1)).Where(pair => pair.Second == pair.First + 1).Reverse())
        {
            var (step, after) = ((ProgramStitches)written[i], (ProgramStitches)written[next]);
            var count = 0;
            while (count < step.Roles.Length && step.Roles[^(count + 1)] == NeedleRole.Lock)
            {
                count++;
            }
            if (step.Commands[^1].Kind != NeedleKind.Trim || count is 0 or > 4)
            {
                continue;
            }
            moved++;
            written[i] = step with { Commands = step.Commands[..^count], Roles = step.Roles[..^count] };
            written[next] = after with
            {
                Commands = [.. step.Commands[^count..], .. after.Commands],
                Roles = [.. step.Roles[^count..], .. after.Roles],
            };
        }
        Assert.InRange(moved, 1, sewn.Count);
        var again = TieOffs.Owned(written.ToImmutable());
        Assert.Equal(All(owned), All(written.ToImmutable()));
        Assert.Equal(All(owned), All(again));
        Assert.Equal(
            sewn.Select(i => ((ProgramStitches)owned[i]).Commands.Length),
            sewn.Select(i => ((ProgramStitches)again[i]).Commands.Length)
        );

        static List<NeedleCommand> All(ImmutableArray<ProgramStep> steps) =>
            [.. steps.OfType<ProgramStitches>().SelectMany(step => step.Commands)];
    }

    private static DrawLine Line(double x) =>
        new() { Line = new DrawnLine(x, 0, [new DrawnCurve(x, 0, x + 20, 0, x + 20, 0)]) };
}
