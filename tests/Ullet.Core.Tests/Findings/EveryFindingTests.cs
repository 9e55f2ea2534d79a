using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Findings;

/// <summary>Findings that no other test makes.</summary>
public sealed class EveryFindingTests
{
    [Fact]
    public void StitchedText_OnDeepPile_Sinks()
    {
        var words = SampleProject.Apply(
            SampleProject.Empty(),
            new AddWords
            {
                Text = "A",
                FontId = BlockFonts.Id,
                CapHeight = 20,
                Use = WordsUse.StitchedOutline,
            }
        );
        var plush = words.FindCloth(words.Hooping.TopClothId)! with { IsDeepPile = true };
        var found = Found(SampleProject.Apply(words, new ChangeCloth { Cloth = plush }), "text-sinks");
        Assert.Equal((FindingLevel.Warn, "e1"), (found.Level, found.ElementId));
        Assert.DoesNotContain(SampleProject.Evaluate(words).Findings, finding => finding.Code == "text-sinks");
    }

    [Fact]
    public void AnAddedThread_ThatNothingIsSewnWith_IsATip()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new AddThread { Name = "heather 402", Colour = "#8a6f9e" }
        );
        Assert.Equal(FindingLevel.Tip, Found(project, "thread-unused").Level);
        var id = project.Threads[^1].Id;
        var used = SampleProject.Apply(project, new SetHooping { CoverThreadId = id });
        Assert.DoesNotContain(SampleProject.Evaluate(used).Findings, finding => finding.Code == "thread-unused");
    }

    [Fact]
    public void ACloth_LargerThanTheHoopInside_RidesOnTheFrame()
    {
        var hoop = SampleProject.Empty().Hooping.Hoop;
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new SetHandStep
            {
                Hand = new UserHandStep("", HandKind.Lay, "Lay the backing")
                {
                    ClothId = "beet",
                    Area = new ElementBox(0, 0, hoop.FieldWidth + 60, hoop.FieldHeight + 60, 0),
                },
            }
        );
        Assert.Equal(FindingLevel.Tip, Found(project, "layer-rides").Level);
    }

    [Fact]
    public void AnEdge_ThatEnclosesNothing_IsTangled()
    {
        var flat = new DrawnShape(0, 0, [new DrawnCurve(10, 0, 20, 0, 30, 0), new DrawnCurve(20, 0, 10, 0, 0, 0)]);
        var project = SampleProject.With(new HeartShape());
        var tangled = project with { Elements = [project.Elements[0] with { Form = new DrawingForm(flat) }] };
        Assert.Equal(FindingLevel.Stop, Found(tangled, "edge-tangled").Level);
    }

    [Fact]
    public void ThinPlaces_ThatAJoinLeaves_AreFound()
    {
        // Two squares with a bar of 1.2 between them; a square with a bar that ends in the open.
        var bone = Joined(new ElementBox(17, 0, 20, 20, 0), new ElementBox(0, 0, 16, 1.2, 0));
        Assert.Equal("e1", Found(bone, "necks").ElementId);
        Assert.Equal("e1", Found(Joined(new ElementBox(6, 0, 30, 1.2, 0)), "thin-ends").ElementId);
    }

    [Fact]
    public void Copies_ByTheThousand_ArePassedOver_AndStopTheExport()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new StarShape(24), 10, 10),
            new MakeConstruction { ElementIds = ["e1"], IsConstruction = true },
            new AddOperation
            {
                ElementId = "e1",
                Operation = new RepeatInLine { Count = 100, StepX = 12 },
            },
            new AddOperation
            {
                ElementId = "e1",
                Operation = new RepeatInLine { Count = 100, StepX = 12 },
            }
        );
        Assert.Equal(FindingLevel.Stop, Found(project, "operation-too-many").Level);
    }

    [Fact]
    public void AClosingSeam_ThatIsClosed_LeavesNoGapToTurnThrough()
    {
        var rug = PatternSamples.Make("mug-rug");
        var seam = rug.Find(PatternShelf.PlanOf(rug)!.ClosingSeamId!)!;
        var ring = new DrawnShape(
            -50,
            -30,
            [
                new DrawnCurve(-50, -30, 50, -30, 50, -30),
                new DrawnCurve(50, -30, 50, 30, 50, 30),
                new DrawnCurve(50, 30, -50, -30, -50, -30),
            ]
        );
        var shut = rug with
        {
            Elements =
            [
                .. rug.Elements.Select(each => each.Id == seam.Id ? each with { Form = new DrawingForm(ring) } : each),
            ],
        };
        Assert.Equal(FindingLevel.Stop, Found(shut, "no-turning-gap").Level);
    }

    private static Project Joined(params ElementBox[] others)
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new AddPiece { Shape = new RectangleShape(), Box = new ElementBox(-17, 0, 20, 20, 0) }
        );
        foreach (var box in others)
        {
            project = SampleProject.Apply(project, new AddPiece { Shape = new RectangleShape(), Box = box });
        }
        var ids = project.Elements.Skip(1).Select(element => element.Id);
        return SampleProject.Apply(
            project,
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Join { SourceIds = [.. ids] },
            }
        );
    }

    private static Finding Found(Project project, string code)
    {
        var findings = SampleProject.Evaluate(project).Findings;
        return findings.FirstOrDefault(finding => finding.Code == code)
            ?? throw new InvalidOperationException(
                $"{code} is not among: {string.Join(", ", findings.Select(f => f.Code))}"
            );
    }
}
