using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Applique;

public sealed class MethodTests
{
    [Fact]
    public void TrimInTheHoop_TellsHandsTheClothTheFaceAndTheLeastSize()
    {
        var lay = HandOf(SampleProject.With(new RectangleShape(), 61.2, 40), "lay");
        Assert.Equal(
            "Lay beet cotton face up over the placement line of Rectangle; it must be at least 86 × 64 mm "
                + "(3 3/8 in × 2 9/16 in). Tape its corners away from the needle.",
            lay.Text
        );
        Assert.False(lay.HoopOff);
    }

    [Fact]
    public void TrimInTheHoop_TakesTheHoopOffToTrimAndWarns()
    {
        var trim = HandOf(SampleProject.With(new HeartShape()), "trim");
        Assert.True(trim.HoopOff);
        Assert.Equal("Do not cut the tack-down stitches.", trim.Warning);
        Assert.DoesNotContain("hole", trim.Text, StringComparison.Ordinal);
    }

    [Fact]
    public void TrimInTheHoop_OfAPieceWithAHole_SaysToCutItOut()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 50, 50),
            new SetHole { ElementId = "e1", Hole = new PieceHole(new EllipseShape(), 0, 0, 14, 14) }
        );
        Assert.EndsWith(
            "and cut out the hole inside its own line.",
            HandOf(project, "trim").Text,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void TrimInTheHoop_LaysALargerClothAndCutsItBackNearTheOutline()
    {
        var project = SampleProject.With(new EllipseShape(), 50, 50);
        var laid = Assert.IsType<LayerLaid>(HandOf(project, "lay").Changes.Single());
        Assert.Equal(74, laid.Area[0].Bounds().Width, 0.03);
        var cut = Assert.IsType<LayerTrimmed>(HandOf(project, "trim").Changes.Single());
        // Scissors leave 0.3 to 1.5 outside the tack-down, which runs 0.8 inside: 0.1 outside in the middle.
        Assert.Equal(50.2, cut.Area[0].Bounds().Width, 0.03);
        Assert.Equal(laid.LayerId, cut.LayerId);
    }

    [Fact]
    public void CutBeforehand_LaysTheExactPieceWithItsHole()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 50, 50, Method.CutBeforehand),
            new SetHole { ElementId = "e1", Hole = new PieceHole(new EllipseShape(), 0, 0, 14, 14) }
        );
        var laid = Assert.IsType<LayerLaid>(HandOf(project, "lay").Changes.Single());
        Assert.Equal(50, laid.Area[0].Bounds().Width, 0.01);
        Assert.Equal(14, laid.Area[0].Holes[0].Bounds().Width, 0.01);
    }

    [Theory]
    [InlineData(Method.TrimInTheHoop, 12.0, false)]
    [InlineData(Method.CutBeforehand, 0.0, true)]
    [InlineData(Method.MarkedOnCloth, null, true)]
    [InlineData(Method.LaidFirst, null, false)]
    [InlineData(Method.RawEdge, 12.0, false)]
    [InlineData(Method.SetBehind, 12.0, false)]
    public void Method_SaysWhatItWantsCut(Method method, double? allowance, bool toSize)
    {
        var known = AppliqueMethods.Of(method);
        Assert.Equal((allowance, toSize), (known.CutAllowance, known.CutsToSize));
        Assert.EndsWith(".", known.Summary, StringComparison.Ordinal);
    }

    [Fact]
    public void Shift_OfTrimming_IsOneSidedFromTheTackDown()
    {
        var shift = AppliqueMethods
            .Of(Method.TrimInTheHoop)
            .Shift(0.8, SampleProject.With(new HeartShape()).Elements.Single().Cloth(), new EdgeTolerances());
        Assert.Equal(0.5, shift.Inwards, 9);
        Assert.Equal(0.7, shift.Outwards, 9);
    }

    [Fact]
    public void RunSheet_BeginsWithHoopingUpAndEndsWithFinishing()
    {
        var steps = SampleProject.Evaluate(SampleProject.With(new HeartShape())).RunSheet.Steps;
        var (first, last) = (Assert.IsType<HandStep>(steps[0]), Assert.IsType<HandStep>(steps[^1]));
        Assert.Equal((HandKind.HoopUp, HandKind.Finish), (first.Work.Kind, last.Work.Kind));
        Assert.Contains("oat linen over tear-away in the 130 × 180 mm hoop", first.Work.Text, StringComparison.Ordinal);
        Assert.Equal(["stabiliser", "ground"], first.Work.Changes.Select(change => change.LayerId));
    }

    [Fact]
    public void Threads_OfStages_AreTheirOwnOrTheProjects()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new SetRun
            {
                ElementId = "e1",
                Stage = StageId.TackDown,
                Run = new RunSettings { ThreadId = "cover" },
            }
        );
        var threads = SampleProject
            .Evaluate(project)
            .RunSheet.Steps.OfType<StitchStep>()
            .ToImmutableDictionary(step => step.Stage.Id, step => step.Stage.ThreadId);
        Assert.Equal("line", threads[StageId.Placement]);
        Assert.Equal("cover", threads[StageId.TackDown]);
        Assert.Equal("cover", threads[StageId.Cover]);
    }

    private static HandWork HandOf(Project project, string name) =>
        SampleProject
            .Evaluate(project)
            .RunSheet.Steps.OfType<HandStep>()
            .Single(step => step.Key == new StepKey("e1", name, 0))
            .Work;
}
