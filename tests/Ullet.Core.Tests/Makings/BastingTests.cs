using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Makings;

public sealed class BastingTests
{
    [Fact]
    public void RoundATrimmedPiece_ItIsSewnOnceTheClothLies_AndComesOutBeforeTheClothIsCutAway()
    {
        var project = SampleProject.Apply(SampleProject.With(new HeartShape()), new AddBasting { ElementId = "e1" });
        Assert.Equal(
            [
                "h1.hoop-up.0",
                "e1.placement.0",
                "e1.lay.0",
                "e2.basting.0",
                "e1.tack.0",
                "e2.take-out.0",
                "e1.trim.0",
                "e1.cover.0",
                "h1.finish.0",
            ],
            Keys(project)
        );
    }

    [Theory]
    [InlineData(StitchOrder.OneByOne)]
    [InlineData(StitchOrder.Together)]
    public void AcrossAPieceThatStays_ItHoldsUntilAllOnItIsSewn(StitchOrder order)
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 60, 60, Method.CutBeforehand),
            SampleProject.Add(new EllipseShape(), 20, 20, Method.CutBeforehand, "felt"),
            new DrawLine { Line = new DrawnLine(-25, 10, [new DrawnCurve(-25, 10, 25, 12, 25, 12)]) },
            new SetMaking { ElementId = "e3", Kind = "basting" },
            new SetBasting { ElementId = "e3", HoldsId = "e1" },
            new SetOrder { Order = order }
        );
        var keys = Keys(project);
        Assert.Equal(keys.IndexOf("e1.lay.0") + 1, keys.IndexOf("e3.basting.0"));
        Assert.True(keys.IndexOf("e3.basting.0") < keys.IndexOf("e1.tack.0"));
        Assert.Equal("e3.take-out.0", keys[^2]);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void RoundAPiece_ItLiesOnTheClothThatIsLaid(bool isRectangle)
    {
        var project = SampleProject.Apply(
            SampleProject.With(isRectangle ? new RectangleShape() : new StarShape(4, 0.5), 60, 60),
            new AddBasting { ElementId = "e1" }
        );
        Assert.Equal(isRectangle, project.Elements[1].Form is ShapeForm);
        var evaluated = SampleProject.Evaluate(project);
        var laid = evaluated
            .RunSheet.Steps.OfType<HandStep>()
            .SelectMany(step => step.Work.Changes)
            .OfType<LayerLaid>()
            .Single(layer => layer.LayerId == "e1");
        var cloth = new AreaIndex(laid.Area);
        var stitches = evaluated
            .Program.Steps.OfType<ProgramStitches>()
            .Single(step => step.Role == "basting")
            .Commands.Where(command => command.Kind == NeedleKind.Stitch);
        Assert.All(stitches, command => Assert.True(cloth.Holds(command.At), $"{command.At}"));
    }

    [Fact]
    public void RoundTheDesign_ItComesFirstOfAllThatIsSewn_AndOutLast()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape(), 40, 40),
            SampleProject.Add(new StarShape(), 30, 30),
            new AddBasting()
        );
        var keys = Keys(project);
        Assert.Equal("e3.basting.0", keys[1]);
        Assert.Equal("e3.take-out.0", keys[^2]);
    }

    [Fact]
    public void ItsThread_IsCutBeforeAndAfter_SoThatItHangsOnNothingThatStays()
    {
        var project = SampleProject.Apply(SampleProject.With(new HeartShape()), new AddBasting());
        var steps = SampleProject.Evaluate(project).Program.Steps.OfType<ProgramStitches>().ToList();
        var at = steps.FindIndex(step => step.Role == "basting");
        Assert.Equal(steps[at].Thread, steps[at + 1].Thread);
        Assert.Equal(NeedleKind.Trim, steps[at].Commands[^1].Kind);
        Assert.Equal(NeedleKind.Jump, steps[at + 1].Commands[0].Kind);
    }

    [Fact]
    public void Stitches_AreSixMillimetresLong_AndAsLongAsAsked()
    {
        var project = SampleProject.Apply(SampleProject.With(new HeartShape()), new AddBasting());
        Assert.InRange(Longest(project), 5.5, 6);
        var longer = SampleProject.Apply(project, new SetBasting { ElementId = "e2", StitchLength = 7 });
        Assert.InRange(Longest(longer), 6.2, 7);
        Assert.Equal(
            ("number-out-of-range", "stitchLength"),
            Refused(project, new SetBasting { ElementId = "e2", StitchLength = 2 })
        );
    }

    [Fact]
    public void AStepDraggedBeforeItsClothLies_BreaksTheRuleOfBasting()
    {
        var project = SampleProject.Apply(SampleProject.With(new HeartShape()), new AddBasting { ElementId = "e1" });
        var sequence = Keys(project).Where(key => key != "e2.basting.0").Select(key => StepKey.Parse(key)!.Value);
        var wrong = project with
        {
            RunSheet = project.RunSheet with
            {
                Sequence = [sequence.First(), new StepKey("e2", "basting", 0), .. sequence.Skip(1)],
            },
        };
        var broken = SampleProject.Evaluate(wrong).RunSheet.Order.Broken;
        Assert.Contains(broken, pair => pair.Rule == "basting" && pair.Before == new StepKey("e1", "lay", 0));
    }

    [Fact]
    public void APieceCutToSize_HasNoClothRoundIt_AndABoxOutOfTheFieldIsRefused()
    {
        var cut = SampleProject.With(new HeartShape(), 60, 60, Method.CutBeforehand);
        Assert.Equal(("basting-unfit", "elementId"), Refused(cut, new AddBasting { ElementId = "e1" }));
        var wide = SampleProject.With(new HeartShape(), 126, 60);
        Assert.Equal(("basting-outside-field", "elementId"), Refused(wide, new AddBasting { ElementId = "e1" }));
        Assert.Equal(("nothing-to-baste", "elementId"), Refused(SampleProject.Empty(), new AddBasting()));
    }

    private static (string, string) Refused(Project project, Edit edit)
    {
        var refusal = SampleProject.Refused(project, edit);
        return (refusal.Code, refusal.Place);
    }

    private static List<string> Keys(Project project)
    {
        var evaluated = SampleProject.Evaluate(project);
        Assert.Empty(evaluated.RunSheet.Order.Broken);
        return [.. evaluated.RunSheet.Steps.Select(step => step.Key.ToString())];
    }

    private static double Longest(Project project)
    {
        var step = SampleProject
            .Evaluate(project)
            .Program.Steps.OfType<ProgramStitches>()
            .Single(sewn => sewn.Role == "basting");
        var points = step
            .Commands.Where(command => command.Kind == NeedleKind.Stitch)
            .Select(command => command.At)
            .ToList();
        return points.Skip(1).Select((point, i) => point.DistanceTo(points[i])).Max();
    }
}
