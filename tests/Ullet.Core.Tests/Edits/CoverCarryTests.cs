using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Forms;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits;

/// <summary>What was set for a cover goes with its piece through freezing, copying and moving.</summary>
public sealed class CoverCarryTests
{
    [Fact]
    public void Freezing_KeepsHoldingAllowanceAndTheStretchWhereItIsOnTheWall()
    {
        var project = SampleProject.Apply(
            Set(),
            new AddOperation
            {
                ElementId = "e1",
                Operation = new MoveEdge { Distance = 6 },
            }
        );
        var before = Place(project);
        var frozen = SampleProject.Apply(project, new FreezeElement { ElementId = "e1" });
        var piece = frozen.Elements[0].Cloth();
        Assert.Equal((Holding.Fused, 0.4), (piece.Holding, piece.CutAllowance));
        Assert.NotEqual(project.Elements[0].Box.Width, piece.Box.Width);
        Assert.Equal(before.X, Place(frozen).X, 6);
        Assert.Equal(before.Y, Place(frozen).Y, 6);
    }

    [Fact]
    public void Pasting_BringsTheThreadsOfACutGuideAndOfAStretchAlong()
    {
        var project = SampleProject.Apply(
            Set(),
            new AddThread { Name = "marigold", Colour = "#d98a00" },
            new AddThread { Name = "fog", Colour = "#cccccc" }
        );
        var (own, guide) = (project.Threads[^2].Id, project.Threads[^1].Id);
        project = SampleProject.Apply(
            project,
            new SetCoverStretch
            {
                ElementId = "e1",
                X = 0,
                Y = -20,
                ThreadId = own,
            },
            new SetRun
            {
                ElementId = "e1",
                Stage = StageId.CutGuide,
                Run = new RunSettings { ThreadId = guide },
            }
        );
        var clip = Clip.Of(project, ["e1"], SampleProject.Context).Value;
        var pasted = SampleProject.Apply(SampleProject.Empty(), new PasteElements { Clip = clip });
        var stages = pasted.Elements[0].Cloth().Stages;
        Assert.Equal("marigold", pasted.FindThread(stages.Cover.Stretches.Single().ThreadId)?.Name);
        Assert.Equal("fog", pasted.FindThread(stages.CutGuide.ThreadId)?.Name);
    }

    [Fact]
    public void Pasting_NumbersOutOfRange_IsRefused()
    {
        var clip = Clip.Of(Set(), ["e1"], SampleProject.Context).Value;
        var piece = clip.Elements[0].Cloth();
        var broken = clip with
        {
            Elements =
            [
                piece
                    .With(
                        piece.Making with
                        {
                            Stages = new StageSettings { Cover = new CoverSettings { Spacing = 1e-6 } },
                        }
                    )
                    .Element,
            ],
        };
        var refusal = SampleProject.Refused(SampleProject.Empty(), new PasteElements { Clip = broken });
        Assert.Equal(("number-out-of-range", "spacing"), (refusal.Code, refusal.Place));
    }

    [Fact]
    public void Words_HeldOtherwise_KeepTheirOutlineFromTheCache()
    {
        var cache = new StationCache();
        var evaluator = new Evaluator(cache, new BlockFonts());
        var project = SampleProject.Apply(SampleProject.Empty(), new AddWords { Text = "Bean", FontId = "block" });
        evaluator.Evaluate(project);
        var before = cache.ComputedBy<OutlineStation>();
        evaluator.Evaluate(
            SampleProject.Apply(
                project,
                new SetMethod
                {
                    ElementId = "e1",
                    Method = Method.CutBeforehand,
                    Holding = Holding.Fused,
                },
                new SetCutAllowance { ElementId = "e1", Allowance = 0.5 }
            )
        );
        Assert.Equal(before, cache.ComputedBy<OutlineStation>());
    }

    private static Project Set() =>
        SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 60, 40, Method.CutBeforehand),
            new SetMethod
            {
                ElementId = "e1",
                Method = Method.CutBeforehand,
                Holding = Holding.Fused,
            },
            new SetCutAllowance { ElementId = "e1", Allowance = 0.4 },
            new SetCoverStretch
            {
                ElementId = "e1",
                X = 0,
                Y = -20,
                Width = 5,
            }
        );

    private static Ullet.Core.Geometry.Point Place(Project project)
    {
        var piece = project.Elements[0].Cloth();
        return BoxFit.OnWall(piece.Box, piece.Stages.Cover.Stretches.Single().At);
    }
}
