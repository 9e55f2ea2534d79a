using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Applique;

public sealed class CoverChoiceTests
{
    [Fact]
    public void Presets_FollowKindToneAndPile()
    {
        var pale = new Cloth
        {
            Id = "x",
            Name = "x",
            Colour = "#eeeeee",
        };
        var usual = ClothPreset.Of(pale);
        Assert.Equal((0.2, 0.40, 3.5, 12), (usual.Compensation, usual.Spacing, usual.CoverWidth, usual.NeedleLimit));
        Assert.True(ClothPreset.Of(pale with { Colour = "#101010" }).Spacing < usual.Spacing);
        var deep = ClothPreset.Of(pale with { Kind = ClothKind.Fleece, IsDeepPile = true });
        Assert.True(deep.Compensation > ClothPreset.Of(pale with { Kind = ClothKind.Fleece }).Compensation);
        Assert.NotNull(deep.Topping);
        Assert.Equal(8, ClothPreset.Of(pale with { Kind = ClothKind.Vinyl }).NeedleLimit);
        Assert.All(
            Enum.GetValues<ClothKind>(),
            kind =>
            {
                var preset = ClothPreset.Of(pale with { Kind = kind });
                Assert.InRange(preset.Spacing, StitchRanges.CoverSpacing.Least, StitchRanges.CoverSpacing.Most);
                Assert.InRange(preset.CoverWidth, StitchRanges.CoverWidth.Least, StitchRanges.CoverWidth.Most);
                Assert.False(string.IsNullOrEmpty(preset.Needle + preset.Stabiliser));
            }
        );
    }

    [Fact]
    public void ANumberSetByHand_StaysWhenTheClothChanges()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Width = 4.4 },
            },
            new SetPieceCloth { ElementId = "e1", ClothId = "felt" }
        );
        var cover = CoverChoice.Of(project.Elements[0].Cloth(), project);
        Assert.Equal((4.4, 0.3), (cover.Band.Width, cover.Band.Compensation));
    }

    [Theory]
    [InlineData(CoverKind.Zigzag, 3.0, 1.0)]
    [InlineData(CoverKind.Blanket, 3.8, 3.0)]
    [InlineData(CoverKind.Motif, 4.0, 0.4)]
    public void AKind_BringsItsOwnNumbers(CoverKind kind, double width, double spacing)
    {
        var cover = CoverChoice.Of(new CoverSettings { Kind = kind }, ClothPreset.Of(null));
        Assert.Equal((width, spacing), (cover.Band.Width, cover.Band.Spacing));
        Assert.False(cover.HidesEdge);
    }

    [Fact]
    public void AnotherKind_BeginsWithItsPresets_AndKeepsThreadAndStretches()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings
                {
                    Width = 2.2,
                    Spacing = 0.5,
                    ThreadId = "line",
                },
            },
            new SetCoverKind { ElementId = "e1", Kind = CoverKind.Zigzag }
        );
        var piece = project.Elements[0].Cloth();
        var cover = CoverChoice.Of(piece, project);
        Assert.Equal((CoverKind.Zigzag, 3.0, 1.0), (cover.Kind, cover.Band.Width, cover.Band.Spacing));
        Assert.Equal(("line", CoverKind.Zigzag), (piece.Stages.Cover.ThreadId, project.Habits.CoverKind));
    }

    [Theory]
    [InlineData(Method.TrimInTheHoop, "placement,lay,tack-down,trim,cover")]
    [InlineData(Method.CutBeforehand, "placement,lay,tack-down,cover")]
    [InlineData(Method.MarkedOnCloth, "placement,lay,tack-down,cover")]
    [InlineData(Method.LaidFirst, "outline,trim,cover")]
    [InlineData(Method.RawEdge, "placement,lay,holding line,trim")]
    [InlineData(Method.SetBehind, "lay,outline,open,cover")]
    public void EveryMethod_HasItsOrder(Method method, string order)
    {
        var steps = SampleProject.Evaluate(SampleProject.With(new HeartShape(), method: method)).RunSheet.Steps;
        Assert.Equal(
            order.Split(','),
            steps[1..^1].Select(step => step is StitchStep sewn ? sewn.Stage.Words : ((HandStep)step).Work.Name)
        );
        Assert.All(steps.OfType<HandStep>(), step => Assert.EndsWith(".", step.Work.Text, StringComparison.Ordinal));
    }

    [Fact]
    public void LaidFirst_IsHoopedTogetherWithTheGround()
    {
        var steps = SampleProject
            .Evaluate(SampleProject.With(new HeartShape(), method: Method.LaidFirst))
            .RunSheet.Steps;
        var hoopUp = ((HandStep)steps[0]).Work;
        Assert.Contains("with beet cotton face up on top", hoopUp.Text, StringComparison.Ordinal);
        Assert.Equal(["stabiliser", "ground", "e1"], hoopUp.Changes.Select(change => change.LayerId));
    }

    [Fact]
    public void SetBehind_LaysBeneathAndOpensTheGround_WithItsCoverOnTheGround()
    {
        var project = SampleProject.With(new EllipseShape(), 40, 40, Method.SetBehind);
        var evaluated = SampleProject.Evaluate(project);
        var changes = evaluated.RunSheet.Steps.OfType<HandStep>().SelectMany(step => step.Work.Changes).ToList();
        Assert.True(Assert.Single(changes.OfType<LayerLaid>(), laid => laid.LayerId == "e1").IsBeneath);
        var window = Assert.Single(changes.OfType<LayerOpened>());
        // The outline run lies 0.8 outside the outline; the ground is left 0.9 inside it.
        Assert.Equal(39.8, window.Area.Single().Bounds().Width, 0.05);
        var cover = evaluated
            .RunSheet.Steps.OfType<StitchStep>()
            .Single(step => step.Stage.Id == StageId.Cover)
            .Stage.Cover!.Numbers;
        Assert.Equal((2.1, 1.4), (Math.Round(cover.Outside, 6), Math.Round(cover.Inside, 6)));
    }

    [Fact]
    public void WideTackDowns_StayInsideTheCover()
    {
        foreach (var kind in new[] { TackKind.Zigzag, TackKind.Blanket })
        {
            var project = SampleProject.Apply(
                SampleProject.With(new EllipseShape(), 60, 60),
                new SetRun
                {
                    ElementId = "e1",
                    Stage = StageId.TackDown,
                    Run = new RunSettings { Kind = kind },
                }
            );
            var stitches = SampleProject.Evaluate(project).Stitches[new StepKey("e1", "tack", 0)];
            Assert.All(
                stitches.Runs.SelectMany(run => run.Points),
                point => Assert.InRange(point.Length, 30 - 2.1, 30 - 0.75)
            );
        }
    }

    [Fact]
    public void Habits_GoOnToNewPieces_AndAsFirstSetTakesEverythingBack()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new SetMethod
            {
                ElementId = "e1",
                Method = Method.CutBeforehand,
                Holding = Holding.Fused,
            },
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings
                {
                    Kind = CoverKind.Motif,
                    MotifId = "fern",
                    Width = 5,
                },
            },
            new AddPiece { Shape = new EllipseShape() }
        );
        var added = project.Elements[1].Cloth();
        Assert.Equal((Method.CutBeforehand, Holding.Fused), (added.Method, added.Holding));
        Assert.Equal(
            (CoverKind.Motif, "fern", (double?)null),
            (added.Stages.Cover.Kind, added.Stages.Cover.MotifId, added.Stages.Cover.Width)
        );
        var reset = SampleProject.Apply(project, new ResetStages { ElementId = "e1" });
        Assert.True(reset.Elements[0].Cloth().Stages.IsAsFirstSet);
    }

    [Theory]
    [InlineData("spacing")]
    [InlineData("passes")]
    [InlineData("unitLength")]
    [InlineData("inset")]
    [InlineData("stretches")]
    public void NumbersOutOfRange_AreRefusedWithTheirPlace(string place)
    {
        var cover = place switch
        {
            "spacing" => new CoverSettings { Spacing = 0.01 },
            "passes" => new CoverSettings { Passes = 4 },
            "unitLength" => new CoverSettings { UnitLength = double.NaN },
            "inset" => new CoverSettings { Inset = 90 },
            _ => new CoverSettings { Stretches = [new CoverStretch(new Spot(0, 0)) { Width = 70 }] },
        };
        var project = SampleProject.With(new HeartShape());
        Assert.Equal(place, SampleProject.Refused(project, new SetCover { ElementId = "e1", Cover = cover }).Place);
    }
}
