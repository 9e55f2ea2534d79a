using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Maps;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Makings;

public sealed class SatinTests
{
    [Fact]
    public void Words_InSatin_AreOneStepWithTheirThread()
    {
        var project = Words("HAT", 20);
        var step = SampleProject.Evaluate(project).RunSheet.Steps.OfType<StitchStep>().Single();
        Assert.Equal((StageId.Satin, "HAT"), (step.Stage.Id, step.OwnerName));
        Assert.Equal(0.40, ((SatinPlan)step.Stage.Plan).Numbers.Spacing, 0.021);
    }

    [Fact]
    public void MadeClothLineAndSatinAgain_NothingIsLost()
    {
        var project = Words("HAT", 20);
        project = SampleProject.Apply(
            project,
            new SetSatin
            {
                ElementId = "e1",
                Satin = new SatinMaking { Spacing = 0.5, Compensation = 0.35 },
            }
        );
        var before = project.Find("e1")!.Making;
        foreach (var kind in new[] { "cloth", "line", "satin" })
        {
            project = SampleProject.Apply(project, new SetMaking { ElementId = "e1", Kind = kind });
        }
        Assert.Equal(((SatinMaking)before).Spacing, ((SatinMaking)project.Find("e1")!.Making).Spacing);
        Assert.Equal(((SatinMaking)before).Compensation, ((SatinMaking)project.Find("e1")!.Making).Compensation);
    }

    [Fact]
    public void EveryLetterAStep_BeginsInTheMiddleWhereAsked()
    {
        var satin = new SatinMaking { IsStepPerLetter = true, Order = LetterOrder.FromMiddle };
        var project = SampleProject.Apply(Words("HAT", 20), new SetSatin { ElementId = "e1", Satin = satin });
        var steps = SampleProject.Evaluate(project).RunSheet.Steps.OfType<StitchStep>();
        Assert.Equal(["HAT, A", "HAT, T", "HAT, H"], steps.Select(step => step.OwnerName));
    }

    [Fact]
    public void AnEdge_IsAStepOfItsOwn_AfterTheSatinOrBefore()
    {
        StageId[] Order(bool before)
        {
            var satin = new SatinMaking
            {
                Edge = new SatinEdge { Stitch = EdgeStitch.Bean, IsBefore = before },
            };
            var project = SampleProject.Apply(Words("HAT", 20), new SetSatin { ElementId = "e1", Satin = satin });
            return
            [
                .. SampleProject.Evaluate(project).RunSheet.Steps.OfType<StitchStep>().Select(step => step.Stage.Id),
            ];
        }
        Assert.Equal([StageId.Satin, StageId.SatinEdge], Order(before: false));
        Assert.Equal([StageId.SatinEdge, StageId.Satin], Order(before: true));
    }

    [Fact]
    public void WordsThatKeepTheirWidth_ChangeTheirHeight()
    {
        var project = SampleProject.Apply(
            Words("HAT", 20),
            new SetLettering { ElementId = "e1", Sizing = LetterSizing.Width }
        );
        var before = project.Find("e1")!.Box;
        var after = SampleProject.Apply(project, new SetText { ElementId = "e1", Text = "HATHAT" }).Find("e1")!.Box;
        Assert.Equal(before.Width, after.Width, 0.001);
        Assert.True(after.Height < 0.6 * before.Height);
    }

    [Fact]
    public void WordsInABox_AreNotSquashed_UnlessTheyMayBe()
    {
        var project = SampleProject.Apply(
            Words("HAT", 20),
            new SetLettering { ElementId = "e1", Sizing = LetterSizing.Box }
        );
        project = SampleProject.Apply(project, new SetText { ElementId = "e1", Text = "HATHAT" });
        var box = project.Find("e1")!.Box;
        var outline = SampleProject.Evaluate(project).Outlines["e1"].Bounds();
        Assert.Equal(box.Width, outline.Width, 0.01);
        Assert.True(outline.Height < 0.6 * box.Height);
        var narrowed = SampleProject.Apply(project, new SetLettering { ElementId = "e1", NarrowedTo = 0.8 });
        var tall = SampleProject.Evaluate(narrowed).Outlines["e1"].Bounds();
        Assert.Equal(outline.Height / 0.8, tall.Height, 0.01);
        Assert.Equal(box.Width, tall.Width, 0.01);
    }

    [Fact]
    public void SmallSatin_IsFound_AndCompensationThatClosesACounter_WithItsMend()
    {
        Assert.Contains(SampleProject.Evaluate(Words("HAT", 5)).Findings, finding => finding.Code == "text-small");
        Assert.DoesNotContain(
            SampleProject.Evaluate(Words("HAT", 8)).Findings,
            finding => finding.Code == "text-small"
        );
        var wide = SampleProject.Apply(
            Words("o", 3),
            new SetSatin
            {
                ElementId = "e1",
                Satin = new SatinMaking { Compensation = 0.6 },
            }
        );
        var found = SampleProject.Evaluate(wide).Findings.Single(finding => finding.Code == "satin-closes");
        var mend = Assert.IsType<LessCompensationMend>(found.Mend);
        var mended = SampleProject.Apply(wide, MendEdits.Of(mend, wide));
        Assert.DoesNotContain(SampleProject.Evaluate(mended).Findings, finding => finding.Code == "satin-closes");
    }

    [Fact]
    public void CoverageMap_ShowsSatinAsCovered()
    {
        var evaluated = SampleProject.Evaluate(Words("HAT", 8));
        var step = evaluated.RunSheet.Steps.OfType<StitchStep>().Single();
        var map = StitchMaps.Coverage([(step.Stage, evaluated.Stitches[step.Key])]);
        var counts = map.Levels.CountBy(level => level).ToDictionary(pair => pair.Key, pair => pair.Value);
        Assert.True(counts[3] > 10 * counts.GetValueOrDefault((byte)1), string.Join(", ", counts));
    }

    [Fact]
    public void MetallicThread_IsSetLooser_AndSaysWhatItAsksFor()
    {
        var thread = new MachineThread
        {
            Id = "gold",
            Name = "gold",
            Colour = "#c9a227",
            Kind = ThreadKind.Metallic,
        };
        Assert.Equal(0.50, SatinChoice.Numbers(new SatinMaking(), null, thread).Spacing, 0.001);
        Assert.Contains("needle", SatinChoice.Said(thread), StringComparison.Ordinal);
        Assert.Equal("", SatinChoice.Said(null));
    }

    [Theory]
    [InlineData(0.2, null, "spacing")]
    [InlineData(null, 1.5, "compensation")]
    public void NumbersOutOfRange_AreRefused(double? spacing, double? compensation, string place)
    {
        var edit = new SetSatin
        {
            ElementId = "e1",
            Satin = new SatinMaking { Spacing = spacing, Compensation = compensation },
        };
        Assert.Equal(place, SampleProject.Refused(Words("HAT", 20), edit).Place);
    }

    private static Project Words(string text, double capHeight) =>
        SampleProject.Apply(
            SampleProject.Empty(),
            new AddWords
            {
                Text = text,
                FontId = BlockFonts.Id,
                CapHeight = capHeight,
                Use = WordsUse.Satin,
            }
        );
}
