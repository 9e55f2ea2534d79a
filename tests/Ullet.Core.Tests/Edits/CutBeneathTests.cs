using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;
using Xunit;

namespace Ullet.Core.Tests.Edits;

/// <summary>What lies under other thread is left out of filled areas, when that is asked for.</summary>
public sealed class CutBeneathTests
{
    /// <summary>A filled square of 60 mm with a filled one of 20 mm on it.</summary>
    private static Project Two(string upper = "filled")
    {
        var both = SampleProject.Apply(SampleProject.Empty(), Square(60), Square(20));
        both = SampleProject.Apply(both, new SetMaking { ElementId = "e1", Kind = "filled" });
        return upper == "cloth" ? both : SampleProject.Apply(both, new SetMaking { ElementId = "e2", Kind = upper });
    }

    [Theory]
    [InlineData("filled")]
    [InlineData("satin")]
    [InlineData("cloth")]
    public void UnderAnother_AnAreaEndsAMarginIn_AndComesBackWhenMuted(string upper)
    {
        var cut = SampleProject.Apply(Two(upper), new CutAwayBeneath { ElementId = "e2", Margin = 1.5 });
        // Twenty mm less a margin on either side are left out.
        Assert.Equal((60 * 60) - (17 * 17), AreaOf(cut, "e1"), 0.5);
        var operation = Assert.IsType<CutBeneath>(Assert.Single(cut.Find("e1")!.Operations));
        var muted = SampleProject.Apply(
            cut,
            new ChangeOperation { ElementId = "e1", Operation = operation with { IsMuted = true } }
        );
        Assert.Equal(60 * 60, AreaOf(muted, "e1"), 0.5);
        // It is live: the hole goes with what lies on it.
        var moved = SampleProject.Apply(
            cut,
            new MoveElements
            {
                ElementIds = ["e2"],
                X = 30,
                Y = 0,
            }
        );
        Assert.Equal((60 * 60) - (8.5 * 17), AreaOf(moved, "e1"), 0.5);
    }

    [Fact]
    public void ItIsPassedOver_InCloth_AndWhereTheOtherLiesBeneath()
    {
        var cut = SampleProject.Apply(Two(), new CutAwayBeneath { ElementId = "e2" });
        var cloth = SampleProject.Apply(cut, new SetMaking { ElementId = "e1", Kind = "cloth" });
        Assert.Equal(60 * 60, AreaOf(cloth, "e1"), 0.5);
        var turned = SampleProject.Apply(cut, new RestackElement { ElementId = "e2", Place = 0 });
        Assert.Equal(60 * 60, AreaOf(turned, "e1"), 0.5);
    }

    [Fact]
    public void LettersLinesAndWhatIsNotBeneath_AreLeftAlone()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            Square(20),
            new SetMaking { ElementId = "e1", Kind = "line" },
            Square(60),
            new SetMaking { ElementId = "e2", Kind = "filled" }
        );
        Assert.Equal("nothing-beneath", SampleProject.Refused(project, new CutAwayBeneath { ElementId = "e2" }).Code);
        var direct = new AddOperation
        {
            ElementId = "e1",
            Operation = new CutBeneath { SourceIds = ["e2"] },
        };
        Assert.Equal("cut-unfit", SampleProject.Refused(project, direct).Code);
        var again = SampleProject.Apply(Two(), new CutAwayBeneath { ElementId = "e2" });
        Assert.Equal("nothing-beneath", SampleProject.Refused(again, new CutAwayBeneath { ElementId = "e2" }).Code);
        SampleProject.Refused(Two(), new CutAwayBeneath { ElementId = "e2", Margin = -1 });
    }

    [Fact]
    public void AVeryLargeFill_IsCountedBeforeItIsMade()
    {
        var large = SampleProject.Apply(SampleProject.Empty(360, 360), Square(350));
        var refusal = SampleProject.Refused(large, new SetMaking { ElementId = "e1", Kind = "filled" });
        Assert.Equal("fill-large", refusal.Code);
        Assert.Contains("thousand stitches", refusal.Words, StringComparison.Ordinal);
        var meant = SampleProject.Apply(
            large,
            new SetMaking
            {
                ElementId = "e1",
                Kind = "filled",
                IsLargeMeant = true,
            }
        );
        var filled = meant.Find("e1")!.MadeAs<FilledMaking>()!;
        // Looser is taken without a word, denser is asked about.
        SampleProject.Apply(meant, new SetFilled { ElementId = "e1", Filled = filled with { Spacing = 0.5 } });
        var denser = new SetFilled { ElementId = "e1", Filled = filled with { Spacing = 0.25 } };
        Assert.Equal("fill-large", SampleProject.Refused(meant, denser).Code);
    }

    private static AddPiece Square(double side) =>
        new() { Shape = new RectangleShape(), Box = new ElementBox(0, 0, side, side, 0) };

    private static double AreaOf(Project project, string id) =>
        SampleProject.Evaluate(project).Outlines[id].Flatten().Sum(region => region.Area);
}
