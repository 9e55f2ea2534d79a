using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Timing;

namespace Ullet.Core.Tests.Timing;

public sealed class StepTimesTests
{
    [Fact]
    public void Seconds_CountStitchesTrimsAndThreadChanges()
    {
        var program = Program(Sewn(1, 600, 0), Sewn(1, 300, 2), Sewn(2, 600, 1));
        Assert.Equal([60, 30 + (2 * 6), 60 + 6 + 40], StepTimes.Of(program));
    }

    [Fact]
    public void Seconds_OfAThreadKeptThroughAHandStep_HaveNoChange()
    {
        var hands = new ProgramHands(new StepKey("e1", "trim", 0), "", HandKind.Trim, "", null, null, true, []);
        Assert.Equal([60, 150, 60], StepTimes.Of(Program(Sewn(1, 600, 0), hands, Sewn(1, 600, 0))));
    }

    private static StitchProgram Program(params ImmutableArray<ProgramStep> steps) => new("", "", 100, 100, [], steps);

    private static ProgramStitches Sewn(int thread, int stitches, int trims) =>
        new(
            new StepKey("e1", "cover", 0),
            "",
            "cover",
            thread,
            1,
            false,
            [
                .. Enumerable.Repeat(new NeedleCommand(NeedleKind.Stitch, Point.Zero), stitches),
                .. Enumerable.Repeat(new NeedleCommand(NeedleKind.Trim, Point.Zero), trims),
            ]
        );
}
