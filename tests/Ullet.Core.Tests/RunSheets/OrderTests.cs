using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.RunSheets;

public sealed class OrderTests
{
    [Fact]
    public void Together_OfPiecesApart_StopsOnceForAllOfThem()
    {
        var evaluated = SampleProject.Evaluate(Apart(StitchOrder.Together));
        Assert.Equal((5, 3), (evaluated.StopsOf[StitchOrder.OneByOne], evaluated.StopsOf[StitchOrder.Together]));
        Assert.Equal(3, evaluated.Program.StopCount);
        // Where nothing is to be done by hand the thread goes on from piece to piece.
        Assert.Equal([1, 1, 2, 2, 3, 3], evaluated.Program.Steps.OfType<ProgramStitches>().Select(step => step.Block));
        Assert.Equal(
            ["placement", "placement", "tack-down", "tack-down", "cover", "cover"],
            evaluated.RunSheet.Steps.OfType<StitchStep>().Select(step => step.Stage.Words)
        );
        Assert.Equal(
            StepsOf(SampleProject.Evaluate(Apart(StitchOrder.OneByOne))).Order(StringComparer.Ordinal),
            StepsOf(evaluated).Order(StringComparer.Ordinal)
        );
    }

    [Fact]
    public void Together_APieceOnAnother_IsLaidAfterTheLowerOneIsTackedDown_AndCoversComeLast()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 60, 60),
            SampleProject.Add(new EllipseShape(), 40, 40),
            new MoveElements
            {
                ElementIds = ["e2"],
                X = 30,
                Y = 0,
            },
            new SetOrder { Order = StitchOrder.Together }
        );
        var steps = StepsOf(SampleProject.Evaluate(project));
        Assert.True(steps.IndexOf("e1.tack.0") < steps.IndexOf("e2.placement.0"));
        Assert.True(steps.IndexOf("e2.tack.0") < steps.IndexOf("e1.cover.0"));
        Assert.True(steps.IndexOf("e1.cover.0") < steps.IndexOf("e2.cover.0"));
    }

    [Fact]
    public void Together_UnderAPieceWhoseCoverHidesNothing_TheLowerCoverComesFirst()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 60, 60),
            SampleProject.Add(new EllipseShape(), 40, 40, cloth: "felt"),
            new MoveElements
            {
                ElementIds = ["e2"],
                X = 30,
                Y = 0,
            },
            new SetCover
            {
                ElementId = "e2",
                Cover = new CoverSettings { Kind = CoverKind.Bean },
            },
            new SetOrder { Order = StitchOrder.Together }
        );
        var steps = StepsOf(SampleProject.Evaluate(project));
        Assert.True(steps.IndexOf("e1.cover.0") < steps.IndexOf("e2.lay.0"));
    }

    [Fact]
    public void Together_OnSeededStacks_LaysNothingBeforeWhatItCoversIsTackedDown()
    {
        for (var seed = 0; seed < 40; seed++)
        {
            var random = new Random(seed);
            var project = SampleProject.Empty(240, 360);
            for (var i = 0; i < 6; i++)
            {
                var add = SampleProject.Add(new EllipseShape(), 40, 40, (Method)random.Next(6));
                project = SampleProject.Apply(
                    project,
                    add with
                    {
                        Box = new ElementBox(random.Next(-60, 60), random.Next(-60, 60), 40, 40, 0),
                    }
                );
            }
            project = SampleProject.Apply(project, new SetOrder { Order = StitchOrder.Together });
            var evaluated = SampleProject.Evaluate(project);
            var steps = StepsOf(evaluated);
            foreach (var low in project.Elements)
            {
                var own = steps.Where(step => step.StartsWith(low.Id + ".", StringComparison.Ordinal)).ToList();
                Assert.Equal(
                    own,
                    StepsOf(
                            SampleProject.Evaluate(
                                SampleProject.Apply(project, new SetOrder { Order = StitchOrder.OneByOne })
                            )
                        )
                        .Where(own.Contains)
                );
                var above = project.Elements.SkipWhile(element => element != low).Skip(1);
                foreach (
                    var high in above.Where(high =>
                        Math.Sqrt(Math.Pow(high.Box.X - low.Box.X, 2) + Math.Pow(high.Box.Y - low.Box.Y, 2)) < 39
                    )
                )
                {
                    var (fixing, laying) = (
                        LastOf(steps, low.Id, "tack", "placement"),
                        steps.FindIndex(step => step == $"{high.Id}.lay.0")
                    );
                    Assert.True(
                        laying < 0 || fixing < laying,
                        $"seed {seed}: {high.Id} is laid before {low.Id} is fixed"
                    );
                }
            }
        }
    }

    [Fact]
    public void MarkedOnCloth_HasAHoopingOfItsOwn_WithItsOwnFile()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape(), method: Method.MarkedOnCloth),
            SampleProject.Add(new EllipseShape(), 30, 30, Method.MarkedOnCloth),
            SampleProject.Add(new EllipseShape(), 30, 30, Method.MarkedOnCloth, "felt")
        );
        var evaluated = SampleProject.Evaluate(project);
        Assert.Equal(["guide-beet", "guide-felt"], evaluated.Hoopings.Skip(1).Select(output => output.Id));
        var beet = evaluated.Hoopings[1].Program;
        Assert.Equal(["cut guide", "cut guide"], beet.Steps.OfType<ProgramStitches>().Select(step => step.Role));
        Assert.Equal(1, beet.StopCount);
        Assert.Equal(HandKind.CutOut, ((ProgramHands)beet.Steps[^1]).Kind);
        Assert.DoesNotContain(evaluated.Program.Steps.OfType<ProgramStitches>(), step => step.Role == "cut guide");
        Assert.Same(beet, evaluated.HoopingOf("guide-beet")?.Program);
        Assert.Null(evaluated.HoopingOf("guide-linen"));
        Assert.Empty(evaluated.Sheets);
        var off = new SetRun
        {
            ElementId = "e3",
            Stage = StageId.CutGuide,
            Run = new RunSettings { Off = true },
        };
        Assert.Equal(2, SampleProject.Evaluate(SampleProject.Apply(project, off)).Hoopings.Length);
    }

    [Fact]
    public void AStretchWithAThreadOfItsOwn_IsABlockOfTheSameStep()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 60, 40),
            new SetCoverStretch
            {
                ElementId = "e1",
                X = 0,
                Y = -20,
                ThreadId = "line",
                Width = 4.5,
            }
        );
        var program = SampleProject.Evaluate(project).Program;
        var blocks = program.Steps.OfType<ProgramStitches>().Where(step => step.Key.Stage == "cover").ToList();
        Assert.Equal(2, blocks.Count);
        Assert.Equal(["plum", "slate"], blocks.Select(block => program.Threads[block.Thread - 1].Name));
        Assert.Equal([false, true], blocks.Select(block => block.StopAfter));
        Assert.NotEqual(blocks[0].Block, blocks[1].Block);
        Assert.All(blocks, block => Assert.Equal(NeedleKind.Trim, block.Commands[^1].Kind));
    }

    private static Project Apart(StitchOrder order)
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            SampleProject.Add(new EllipseShape(), 30, 30),
            SampleProject.Add(new HeartShape(), 30, 30)
        );
        return SampleProject.Apply(
            project,
            new MoveElements
            {
                ElementIds = ["e2"],
                X = 0,
                Y = 60,
            },
            new SetOrder { Order = order }
        );
    }

    private static List<string> StepsOf(Evaluated evaluated) =>
        [.. evaluated.RunSheet.Steps.Select(step => step.Key.ToString())];

    private static int LastOf(List<string> steps, string id, params string[] stages) =>
        stages.Select(stage => steps.IndexOf($"{id}.{stage}.0")).First(at => at >= 0 || stages[^1] == "placement");
}
