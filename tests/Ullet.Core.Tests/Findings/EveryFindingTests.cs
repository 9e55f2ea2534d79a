using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Maps;
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
    public void AnOutline_WithNicks_IsSewnSmoothly_AndTheEdgeMatchReckonsWithThat()
    {
        var (smooth, nicked) = (Of(NastyOutlines.Nicked(0)), Of(NastyOutlines.Nicked(0.15)));
        var found = Found(nicked, "outline-rough");
        Assert.Equal((FindingLevel.Tip, "e1"), (found.Level, found.ElementId));
        Assert.DoesNotContain(SampleProject.Evaluate(smooth).Findings, finding => finding.Code == "outline-rough");
        var (plain, rough) = (Match(smooth), Match(nicked));
        Assert.InRange(plain.Worst!.Bite - rough.Worst!.Bite, 0.1, SmoothedRing.Drift + 0.06);
    }

    private static Project Of(Region region)
    {
        var (points, box) = (region.Shell.Points, region.Shell.Bounds());
        var curves = points
            .Skip(1)
            .Append(points[0])
            .Zip(points, (to, from) => new DrawnCurve(from.X, from.Y, to.X, to.Y, to.X, to.Y));
        return SampleProject.With(
            new DrawnShape(points[0].X, points[0].Y, [.. curves]),
            box.Width,
            box.Height,
            Method.CutBeforehand
        );
    }

    private static EdgeMatch Match(Project project) => EdgeMatch.Of(SampleProject.Evaluate(project).Pieces.Single())!;

    [Fact]
    public void AnEdge_ThatNoLineComesNear_IsNamed_AndStopsWhereNothingIsSewn()
    {
        var project = SampleProject.With(new HeartShape());
        var evaluated = SampleProject.Evaluate(project);
        Assert.DoesNotContain(evaluated.Findings, finding => finding.Code == "edge-not-held");
        var tack = evaluated.Program.Steps.First(step => step.Key.Stage == "tack").Key;
        Assert.Equal(FindingLevel.Warn, Held(new HoldReport(tack, new MeasuredPlace(Point.Zero, 7), false)).Level);
        Assert.Equal(FindingLevel.Stop, Held(new HoldReport(tack, new MeasuredPlace(Point.Zero, 80), true)).Level);

        Finding Held(HoldReport report) =>
            new EdgeHeldCheck()
                .Run(
                    new FindingInput(
                        project,
                        evaluated.Outlines,
                        evaluated.Pieces,
                        evaluated.Hoopings[0].Stitches,
                        evaluated.Program,
                        evaluated.Sheets
                    )
                    {
                        Holds = [report],
                    }
                )
                .Single();
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
                new DrawnCurve(50, 30, -50, 30, -50, 30),
                new DrawnCurve(-50, 30, -50, -30, -50, -30),
            ]
        );
        var shut = rug with
        {
            Elements =
            [
                .. rug.Elements.Select(each =>
                    each.Id == seam.Id
                        // The box of a seam reaches out at its gap's ends.
                        ? each with
                        {
                            Form = new DrawingForm(ring),
                            Box = each.Box with { Y = 0, Height = 120 },
                        }
                        : each
                ),
            ],
        };
        Assert.Equal(FindingLevel.Stop, Found(shut, "no-turning-way").Level);
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
