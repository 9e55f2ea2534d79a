using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Program;

public sealed class NeedleWriterTests
{
    private static readonly TravelJudge Anywhere = (_, _, _, _) => true;
    private static readonly TravelJudge Nowhere = (_, _, _, _) => false;

    [Fact]
    public void Travel_BetweenEdgesOfALine_IsSewnWhenShortAndTrimmedWhenLong()
    {
        var near = Write(Anywhere, Run(0, 0, 0), Run(1, 12, 0));
        Assert.Equal(1, Count(near, NeedleKind.Trim));
        var far = Write(Anywhere, Run(0, 0, 0), Run(1, 18, 0));
        Assert.Equal(2, Count(far, NeedleKind.Trim));
    }

    [Fact]
    public void Travel_BetweenEdgesOfACover_IsAlwaysTrimmed() =>
        Assert.Equal(2, Count(Write(Nowhere, Run(0, 0, 0), Run(1, 12, 0)), NeedleKind.Trim));

    [Fact]
    public void Travel_OfATackDown_IsSewnOnlyWhereTheCoverHidesIt()
    {
        Assert.Equal(1, Count(Write(UpTo(4.2), Run(0, 0, 0), Run(1, 12, 0)), NeedleKind.Trim));
        Assert.Equal(2, Count(Write(UpTo(3.8), Run(0, 0, 0), Run(1, 12, 0)), NeedleKind.Trim));
        // A ring whose counter lies 3 mm inside it, or 6: satin hides 0.9 mm from either line, a zigzag nothing.
        Assert.Equal(1, TrimsOfTackDown(CoverKind.Satin, 14));
        Assert.Equal(2, TrimsOfTackDown(CoverKind.Satin, 8));
        Assert.Equal(2, TrimsOfTackDown(CoverKind.Zigzag, 11));
    }

    private static TravelJudge UpTo(double length) => (from, to, _, _) => from.DistanceTo(to) <= length;

    private static int TrimsOfTackDown(CoverKind cover, double hole)
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 20, 20, Method.CutBeforehand),
            new SetHole { ElementId = "e1", Hole = new PieceHole(new EllipseShape(), 0, 0, hole, hole) },
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Kind = cover },
            }
        );
        return SampleProject
            .Evaluate(project)
            .Program.Steps.OfType<ProgramStitches>()
            .Where(step => step.Key.Stage == "tack")
            .Sum(step => step.Commands.Count(command => command.Kind == NeedleKind.Trim));
    }

    [Fact]
    public void Edges_AreSewnNearestFirst()
    {
        var commands = Write(Nowhere, Run(0, 80, 0), Run(1, 5, 0), Run(2, 40, 0));
        var jumps = commands.Where(command => command.Kind == NeedleKind.Jump).Select(command => command.At.X);
        Assert.Equal([5, 40, 80], jumps);
    }

    [Fact]
    public void Travel_IsNearTheBestOfAllOrders_OnSmallCases()
    {
        var random = new Random(9);
        var (sum, best) = (0.0, 0.0);
        for (var i = 0; i < 60; i++)
        {
            var runs = Enumerable.Range(0, 4).Select(edge => Run(edge, random.Next(100), random.Next(100))).ToArray();
            sum += Way(Write(Nowhere, runs).Where(c => c.Kind == NeedleKind.Jump).Select(c => c.At));
            best += Orders(runs).Min(order => Way(order.Select(run => run.Points[0])));
        }
        Assert.InRange(sum / best, 1, 1.15);
    }

    [Fact]
    public void Stitches_ShorterThanTheShortest_AreMerged()
    {
        var points = Enumerable.Range(0, 40).Select(i => new Point(i * 0.15, 0)).ToImmutableArray();
        var commands = Write(Anywhere, new StitchRun(RunKind.Line, 0, points));
        var sewn = commands.Where(c => c.Kind == NeedleKind.Stitch).Skip(4).SkipLast(4).Select(c => c.At).ToList();
        for (var i = 1; i < sewn.Count; i++)
        {
            Assert.True(sewn[i].DistanceTo(sewn[i - 1]) >= StitchDefaults.ShortestStitch - 0.011);
        }
    }

    [Fact]
    public void Strokes_OverTheLongest_AreSplitEvenly()
    {
        var commands = Write(Nowhere, new StitchRun(RunKind.Top, 0, [new(0, 0), new(20, 0), new(0, 1), new(20, 1)]));
        var sewn = commands.Where(c => c.Kind == NeedleKind.Stitch).Select(c => c.At).ToList();
        Assert.All(Enumerable.Range(1, sewn.Count - 1), i => Assert.True(sewn[i].DistanceTo(sewn[i - 1]) <= 7.01));
        Assert.Contains(new Point(20, 0), sewn);
    }

    [Fact]
    public void Section_ThatGoesOn_IsNotCut()
    {
        var writer = new NeedleWriter();
        var first = writer.Write(new StepStitches([Run(0, 0, 0)], []), Anywhere, sectionEnds: false).Single().Commands;
        var second = writer.Write(new StepStitches([Run(0, 10, 0)], []), Anywhere, sectionEnds: true).Single().Commands;
        Assert.DoesNotContain(first, command => command.Kind == NeedleKind.Trim);
        Assert.DoesNotContain(second, command => command.Kind == NeedleKind.Jump);
        Assert.Equal(NeedleKind.Trim, second[^1].Kind);
    }

    [Fact]
    public void Points_LieOnTheGrid()
    {
        var run = new StitchRun(RunKind.Line, 0, [new(0.1234, 0.9876), new(3.3333, 1.0001), new(7.7777, 2.5555)]);
        Assert.All(
            Write(Anywhere, run),
            command => Assert.True(command.At.DistanceTo(command.At.Rounded(NeedleWriter.Grid)) < 1e-9)
        );
    }

    private static ImmutableArray<NeedleCommand> Write(TravelJudge mayTravel, params StitchRun[] runs) =>
        new NeedleWriter().Write(new StepStitches([.. runs], []), mayTravel, sectionEnds: true).Single().Commands;

    /// <summary>A run of 8 mm to the right from a place.</summary>
    private static StitchRun Run(int edge, double x, double y) =>
        new(RunKind.Top, edge, [.. Enumerable.Range(0, 5).Select(i => new Point(x + (i * 2), y))]);

    private static int Count(ImmutableArray<NeedleCommand> commands, NeedleKind kind) =>
        commands.Count(c => c.Kind == kind);

    private static double Way(IEnumerable<Point> starts)
    {
        var (at, way) = (Point.Zero, 0.0);
        foreach (var start in starts)
        {
            way += start.DistanceTo(at);
            at = start + new Point(8, 0);
        }
        return way;
    }

    private static IEnumerable<StitchRun[]> Orders(StitchRun[] runs) =>
        runs.Length == 1
            ? [runs]
            : runs.SelectMany(first =>
                Orders([.. runs.Where(run => run != first)]).Select(rest => (StitchRun[])[first, .. rest])
            );
}
