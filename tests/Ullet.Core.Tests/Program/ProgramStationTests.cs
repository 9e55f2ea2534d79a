using Ullet.Core.Edits;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Program;

public sealed class ProgramStationTests
{
    [Theory]
    [InlineData(Method.TrimInTheHoop)]
    [InlineData(Method.CutBeforehand)]
    public void Program_StopsBeforeEveryHandStep_AlsoWithOneThread(Method method)
    {
        var program = Compile(OneThread(TwoPieces(method)));
        Assert.Single(program.Threads);
        for (var i = 0; i + 1 < program.Steps.Length; i++)
        {
            if (program.Steps[i] is ProgramStitches sewn)
            {
                Assert.Equal(program.Steps[i + 1] is ProgramHands, sewn.StopAfter);
            }
        }
    }

    [Fact]
    public void Program_GivesBlocksAroundAStopDifferentNumbers_AlsoWithOneThread()
    {
        var sewn = Compile(OneThread(TwoPieces(Method.TrimInTheHoop))).Steps.OfType<ProgramStitches>().ToList();
        for (var i = 0; i + 1 < sewn.Count; i++)
        {
            Assert.Equal(sewn[i].StopAfter, sewn[i].Block != sewn[i + 1].Block);
        }
    }

    [Theory]
    [InlineData(Method.TrimInTheHoop, "placement,lay,tack,trim,cover")]
    [InlineData(Method.CutBeforehand, "placement,lay,tack,cover")]
    public void Program_KeepsTheMethodsOrder(Method method, string expected)
    {
        var own = Compile(SampleProject.With(new HeartShape(), method: method))
            .Steps.Where(step => step.Key.OwnerId == "e1");
        Assert.Equal(expected, string.Join(',', own.Select(step => step.Key.Stage)));
    }

    [Fact]
    public void Program_GoesFromTheBottomOfTheStackUp()
    {
        var owners = Compile(TwoPieces(Method.CutBeforehand)).Steps.Select(step => step.Key.OwnerId).Distinct();
        Assert.Equal(["h1", "e1", "e2"], owners);
    }

    [Fact]
    public void Program_LocksBothEndsOfEveryThreadSection()
    {
        foreach (var section in Sections(Compile(TwoPieces(Method.TrimInTheHoop))))
        {
            Assert.True(LockedAtStart(section), "no locks at a section's start");
            section.Reverse();
            Assert.True(LockedAtStart(section), "no locks at a section's end");
        }
    }

    [Fact]
    public void Program_NeverSewsOverTheLongestStitchNorTwiceInOnePlace()
    {
        foreach (var section in Sections(Compile(WideCover())))
        {
            for (var i = 1; i < section.Count; i++)
            {
                var length = section[i].DistanceTo(section[i - 1]);
                Assert.InRange(length, 0.005, StitchDefaults.LongestStitch + 0.02);
            }
        }
    }

    [Fact]
    public void Program_TrimsLongTravel()
    {
        var commands = Compile(TwoPieces(Method.CutBeforehand))
            .Steps.OfType<ProgramStitches>()
            .SelectMany(step => step.Commands)
            .ToList();
        for (var i = 1; i < commands.Count; i++)
        {
            if (commands[i].Kind == NeedleKind.Jump)
            {
                Assert.Equal(NeedleKind.Trim, commands[i - 1].Kind);
            }
        }
        Assert.Equal(NeedleKind.Trim, commands[^1].Kind);
    }

    [Fact]
    public void Program_OfASwitchedOffStage_LeavesItOutButKeepsTheHands()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape(), method: Method.CutBeforehand),
            new SetRun
            {
                ElementId = "e1",
                Stage = StageId.TackDown,
                Run = new RunSettings { Off = true },
            }
        );
        var own = Compile(project).Steps.Where(step => step.Key.OwnerId == "e1").Select(step => step.Key.Stage);
        Assert.Equal(["placement", "lay", "cover"], own);
    }

    [Fact]
    public void Program_OfAnEmptyProject_HasOneHandStepAndNoStitches()
    {
        var program = Compile(SampleProject.Empty());
        Assert.IsType<ProgramHands>(Assert.Single(program.Steps));
        Assert.Empty(program.Threads);
    }

    [Fact]
    public void Program_IsTheSameEachTime()
    {
        var (first, second) = (Compile(TwoPieces(Method.TrimInTheHoop)), Compile(TwoPieces(Method.TrimInTheHoop)));
        var commands = first.Steps.OfType<ProgramStitches>().Zip(second.Steps.OfType<ProgramStitches>());
        Assert.All(commands, pair => Assert.True(pair.First.Commands.SequenceEqual(pair.Second.Commands)));
    }

    private static StitchProgram Compile(Project project) => SampleProject.Evaluate(project).Program;

    private static Project TwoPieces(Method method) =>
        SampleProject.Apply(
            SampleProject.Empty(),
            SampleProject.Add(new ShieldShape(), 70, 80, method),
            SampleProject.Add(new HeartShape(), 30, 30, method, "felt"),
            new SetHole { ElementId = "e2", Hole = new PieceHole(new EllipseShape(), 0, 0, 10, 10) }
        );

    private static Project WideCover() =>
        SampleProject.Apply(
            SampleProject.With(new StarShape(), 90, 90),
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Width = 7, Compensation = 0.5 },
            }
        );

    private static Project OneThread(Project project) =>
        SampleProject.Apply(project, new SetHooping { LineThreadId = "line", CoverThreadId = "line" });

    /// <summary>Needle points between trims.</summary>
    private static List<List<Core.Geometry.Point>> Sections(StitchProgram program)
    {
        var sections = new List<List<Core.Geometry.Point>> { new() };
        foreach (var command in program.Steps.OfType<ProgramStitches>().SelectMany(step => step.Commands))
        {
            if (command.Kind == NeedleKind.Stitch)
            {
                sections[^1].Add(command.At);
            }
            else if (command.Kind == NeedleKind.Trim)
            {
                sections.Add([]);
            }
        }
        return [.. sections.Where(section => section.Count > 0)];
    }

    private static bool LockedAtStart(List<Core.Geometry.Point> section)
    {
        var locks = Enumerable.Range(1, StitchDefaults.LockCount).Select(i => section[i].DistanceTo(section[i - 1]));
        return section.Count > StitchDefaults.LockCount
            && locks.All(length => length is > 0.2 and <= StitchDefaults.LockLength + 0.02);
    }
}
