using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Opened;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits.Opened;

public sealed class OpenStitchesTests
{
    private static readonly Project Source = SampleProject.With(new HeartShape(), method: Method.TrimInTheHoop);

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void Opened_SewsEveryNeedlePointWhereTheFileHasIt(bool withHands)
    {
        var opened = OpenedSample.Opened(Source, withHands);
        Assert.Equal(OpenedSample.Sewn(Source), OpenedSample.Sewn(opened));
    }

    [Fact]
    public void Opened_KeepsStopsHandsAndLayersOfTheFile()
    {
        var (before, after) = (Program(Source), Program(OpenedSample.Opened(Source)));
        Assert.Equal(Stops(before), Stops(after));
        Assert.Equal(
            before.Steps.OfType<ProgramHands>().Select(hands => (hands.Kind, hands.Text, hands.HoopOff)),
            after.Steps.OfType<ProgramHands>().Select(hands => (hands.Kind, hands.Text, hands.HoopOff))
        );
        var laid = after.Steps.OfType<ProgramHands>().SelectMany(hands => hands.Changes).OfType<LayerLaid>().ToList();
        Assert.Contains(
            laid,
            layer => layer.Cloth.Name == "beet cotton" && layer.Area.Sum(region => region.Area) > 3000
        );
    }

    [Fact]
    public void Opened_WithoutHands_StopsWhereTheFileStops()
    {
        var opened = OpenedSample.Opened(Source, withHands: false);
        Assert.Equal(Stops(Program(Source)), Stops(Program(opened)));
    }

    [Fact]
    public void Opened_RolesAreToldByTheFile_OrGuessed()
    {
        OpenedRole[] meant = [OpenedRole.Placement, OpenedRole.TackDown, OpenedRole.Cover];
        var told = OpenedSample.Opened(Source).Elements.Select(element => element.MadeAs<OpenedMaking>()!).ToList();
        var guessed = OpenedSample
            .Opened(Source, withHands: false)
            .Elements.Select(element => element.MadeAs<OpenedMaking>()!)
            .ToList();
        Assert.Equal(meant, told.Select(making => making.Role));
        Assert.Equal(meant, guessed.Select(making => making.Role));
        Assert.All(told, making => Assert.Null(making.Sureness));
        Assert.All(guessed, making => Assert.InRange(making.Sureness!.Value, 0.5, 1));
    }

    [Fact]
    public void OpenedTwice_NeitherOrdersNorLayersMix()
    {
        var twice = OpenedSample.OpenedIn(OpenedSample.Opened(Source), Source);
        var layers = Program(twice)
            .Steps.OfType<ProgramHands>()
            .SelectMany(hands => hands.Changes)
            .OfType<LayerLaid>()
            .Select(laid => laid.LayerId)
            .ToList();
        Assert.Equal(layers.Count, layers.Distinct().Count());
        Assert.Empty(SampleProject.Evaluate(twice).RunSheet.Order.Broken);
    }

    [Fact]
    public void BlocksOfAFile_KeepItsOrder_UntilTheyAreFreed()
    {
        var opened = OpenedSample.Opened(Source, withHands: false);
        var evaluated = SampleProject.Evaluate(opened);
        var cover = evaluated.RunSheet.Steps.OfType<StitchStep>().Last();
        var moved = SampleProject.Apply(opened, new MoveStep { StepKey = cover.Key.ToString(), To = 1 });
        var broken = SampleProject.Evaluate(moved).RunSheet.Order.Broken;
        Assert.Contains(broken, pair => pair.Rule == "opened" && pair.After == cover.Key);
        var right = SampleProject.Apply(moved, new PutRight());
        Assert.Equal(OpenedSample.Sewn(opened), OpenedSample.Sewn(right));
    }

    [Fact]
    public void Finding_PlacementAndTackDownWithoutHands_IsMendedByLayingACloth()
    {
        var design = OpenedSample.Design(Source, withHands: false);
        design = design with { Blocks = [.. design.Blocks.Select(block => block with { StopAfter = false })] };
        var opened = new OpenStitches { Token = OpenedSample.Token, Name = "stranger" }
            .Apply(SampleProject.Empty(), OpenedSample.Knowing(design))
            .Value;
        var finding = Assert.Single(
            SampleProject.Evaluate(opened).Findings,
            found => found.Code == "opened-hands-missing"
        );
        var mended = SampleProject.Apply(opened, MendEdits.Of(finding.Mend!, opened));
        Assert.DoesNotContain(SampleProject.Evaluate(mended).Findings, found => found.Code == "opened-hands-missing");
        Assert.True(Program(mended).Steps.OfType<ProgramStitches>().First().StopAfter);
    }

    [Theory]
    [InlineData(1.08, null)]
    [InlineData(1.15, FindingLevel.Warn)]
    [InlineData(1.3, FindingLevel.Stop)]
    public void ScaledSatin_IsFreeWithinTenPercent_WarnedToTwenty_StoppedBeyond(double factor, FindingLevel? level)
    {
        var opened = OpenedSample.Opened(Source);
        var cover = opened.Elements[^1];
        var scaled = opened.With(
            cover with
            {
                Box = cover.Box with { Width = cover.Box.Width * factor, Height = cover.Box.Height * factor },
            }
        );
        var found = SampleProject.Evaluate(scaled).Findings.FirstOrDefault(finding => finding.Code == "opened-scaled");
        Assert.Equal(level, found?.Level);
    }

    [Fact]
    public void ScaledRun_IsSteppedAnew_ItsStitchesKeepTheirLength()
    {
        var opened = OpenedSample.Opened(Source);
        var placement = opened.Elements[0];
        var scaled = opened.With(
            placement with
            {
                Box = placement.Box with { Width = placement.Box.Width * 1.5, Height = placement.Box.Height * 1.5 },
            }
        );
        var (before, after) = (OpenedSample.Sewn(opened)[0], OpenedSample.Sewn(scaled)[0]);
        Assert.InRange(after.Length / (double)before.Length, 1.3, 1.6);
        Assert.All(Lengths(after), length => Assert.InRange(length, 0, 3.2));
        Assert.DoesNotContain(SampleProject.Evaluate(scaled).Findings, finding => finding.Code == "opened-scaled");
    }

    [Fact]
    public void NoDesign_IsRefusedAndChangesNothing()
    {
        Assert.Equal(
            "import-unknown",
            SampleProject.Refused(Source, new OpenStitches { Token = "other", Name = "x" }).Code
        );
        Refused(
            new StitchDesign("one", [Block(new OpenedPoint(OpenedMove.Stitch, Point.Zero))], Threads),
            "stitches-none"
        );
        Refused(
            new StitchDesign(
                "far",
                [
                    Block(
                        new OpenedPoint(OpenedMove.Stitch, Point.Zero),
                        new OpenedPoint(OpenedMove.Stitch, new Point(5000, 0))
                    ),
                ],
                Threads
            ),
            "stitches-too-large"
        );
        var many = Block(
            new OpenedPoint(OpenedMove.Stitch, Point.Zero),
            new OpenedPoint(OpenedMove.Stitch, new Point(5, 0))
        );
        Refused(
            new StitchDesign("many", [.. Enumerable.Repeat(many, StitchDesign.MostBlocks + 1)], Threads),
            "blocks-too-many"
        );
        Refused(
            new StitchDesign("colours", [many], [.. Enumerable.Repeat(Threads[0], StitchDesign.MostThreads + 1)]),
            "threads-too-many"
        );
    }

    private static readonly System.Collections.Immutable.ImmutableArray<MachineThread> Threads =
    [
        new()
        {
            Id = "t1",
            Name = "red",
            Colour = "#aa2233",
        },
    ];

    private static DesignBlock Block(params OpenedPoint[] points) => new([.. points], 0);

    private static void Refused(StitchDesign design, string code)
    {
        var refused = new OpenStitches { Token = OpenedSample.Token, Name = "x" }.Apply(
            SampleProject.Empty(),
            OpenedSample.Knowing(design)
        );
        Assert.False(refused.IsOk);
        Assert.Equal(code, refused.Refusal!.Code);
    }

    private static StitchProgram Program(Project project) => SampleProject.Evaluate(project).Hoopings[0].Program;

    private static List<bool> Stops(StitchProgram program) =>
        [
            .. program
                .Steps.OfType<ProgramStitches>()
                .Where(step => step.Commands.Length > 0)
                .Select(step => step.StopAfter),
        ];

    private static IEnumerable<double> Lengths(IReadOnlyList<NeedleCommand> commands) =>
        commands
            .Zip(commands.Skip(1))
            .Where(pair => pair.First.Kind == NeedleKind.Stitch && pair.Second.Kind == NeedleKind.Stitch)
            .Select(pair => pair.First.At.DistanceTo(pair.Second.At));
}
