using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Findings;

public sealed class PatternChecksTests
{
    [Fact]
    public void AName_ThroughTheZip_IsStopped()
    {
        var project = SampleProject.Apply(
            PatternSamples.Make("zip-pouch"),
            new MoveElements
            {
                ElementIds = ["p-name"],
                X = 0,
                Y = -50,
            }
        );
        var finding = Found(project, "zone-entered");
        Assert.Equal((FindingLevel.Stop, "p-name"), (finding.Level, finding.ElementId));
        Assert.Contains("Zip teeth", finding.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void AName_OverTheTopstitching_IsFound_WhereItLiesOnIt()
    {
        var pouch = PatternSamples.Make("zip-pouch");
        var outline = SampleProject.Context.Evaluator.OutlineOf(pouch.Find("p-top-stitch")!).Bounds();
        var name = SampleProject.Context.Evaluator.OutlineOf(pouch.Find("p-name")!).Bounds();
        Assert.DoesNotContain(SampleProject.Evaluate(pouch).Findings, finding => finding.Code == "over-topstitching");
        var moved = SampleProject.Apply(
            pouch,
            new MoveElements
            {
                ElementIds = ["p-name"],
                X = 0,
                Y = outline.MaxY - name.MinY - 0.5,
            }
        );
        Assert.Equal("p-name", Found(moved, "over-topstitching").ElementId);
    }

    [Fact]
    public void AZone_OfTheUsersOwn_IsHeldAgainstNeedlePoints()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 60, 60),
            new AddZone { Shape = new RectangleShape(), Box = new ElementBox(0, 0, 20, 20, 0) }
        );
        // The zone lies inside the ring of stitches: nothing enters it.
        Assert.DoesNotContain(SampleProject.Evaluate(project).Findings, finding => finding.Code == "zone-entered");
        var wide = SampleProject.Apply(
            project,
            new PlaceElement
            {
                ElementId = "e2",
                Width = 80,
                Height = 80,
            }
        );
        Assert.Equal("e1", Found(wide, "zone-entered").ElementId);
        var within = SampleProject.Apply(wide, new SetZone { ElementId = "e2", Role = ZoneRole.StayWithin });
        Assert.DoesNotContain(
            SampleProject.Evaluate(within).Findings,
            f => f.Code.StartsWith("zone", StringComparison.Ordinal)
        );
        var tight = SampleProject.Apply(
            within,
            new PlaceElement
            {
                ElementId = "e2",
                Width = 40,
                Height = 40,
            }
        );
        Assert.Equal(FindingLevel.Stop, Found(tight, "zone-left").Level);
        var guide = SampleProject.Apply(tight, new SetZone { ElementId = "e2", Role = ZoneRole.Guide });
        Assert.DoesNotContain(
            SampleProject.Evaluate(guide).Findings,
            f => f.Code.StartsWith("zone", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void Zones_CoveringEverything_AreFoundOnceForEachElement()
    {
        var project = SampleProject.Apply(
            PatternSamples.Make("mug-rug"),
            new AddZone { Shape = new RectangleShape(), Box = new ElementBox(0, 0, 900, 900, 0) }
        );
        var found = SampleProject.Evaluate(project).Findings.Where(finding => finding.Code == "zone-entered").ToList();
        Assert.Equal(found.Count, found.Select(finding => finding.ElementId).Distinct().Count());
        Assert.True(found.Count >= 7);
    }

    [Fact]
    public void Decoration_NearTheSeamOrOffItsPanel_IsWarnedOf()
    {
        var rug = PatternSamples.Make("mug-rug");
        var near = SampleProject.Apply(
            rug,
            new AddPiece { Shape = new EllipseShape(), Box = new ElementBox(76, 0, 20, 20, 0) }
        );
        Assert.Equal("e1", Found(near, "near-seam").ElementId);
        var off = SampleProject.Apply(
            rug,
            new AddPiece { Shape = new EllipseShape(), Box = new ElementBox(86, 0, 20, 20, 0) }
        );
        Assert.Equal("e1", Found(off, "off-its-cloth").ElementId);
    }

    [Fact]
    public void AFelt_BackedCoverWithoutABobbinStep_IsATip()
    {
        var patch = PatternSamples.Make("harvest-patch");
        Assert.DoesNotContain(SampleProject.Evaluate(patch).Findings, finding => finding.Code == "bobbin-shows");
        var off = SampleProject.Apply(patch, new SwitchStep { StepKey = "p.bobbin.0", IsOn = false });
        Assert.Equal(FindingLevel.Tip, Found(off, "bobbin-shows").Level);
    }

    [Fact]
    public void PouchesOfAnEarlierMaking_FoldLiningsThatAreSewnDown()
    {
        var early = SampleProject.Apply(
            SampleProject.Empty(260, 180) with
            {
                Pattern = new PatternUse("zip-pouch"),
            },
            PatternSamples.Use("zip-pouch")
        );
        Assert.Contains("lining can't be folded over", Found(early, "fold-sewn-down").Words, StringComparison.Ordinal);
        Assert.DoesNotContain(
            SampleProject.Evaluate(PatternSamples.Make("zip-pouch")).Findings,
            found => found.Code is "fold-sewn-down" or "layer-not-sewn"
        );
    }

    [Fact]
    public void AClothThatNothingSews_IsNamed()
    {
        Project With(double x, double y) =>
            SampleProject.Apply(
                PatternSamples.Make("mug-rug"),
                new SetHandStep
                {
                    Hand = new UserHandStep("", HandKind.Lay, "Lay a label.")
                    {
                        ClothId = "felt",
                        Area = new ElementBox(x, y, 10, 10, 0),
                    },
                    After = "p.lay-back.0",
                }
            );
        // In the seam it is caught; in the middle of the rug nothing goes through it.
        Assert.DoesNotContain(SampleProject.Evaluate(With(90, 0)).Findings, found => found.Code == "layer-not-sewn");
        Assert.Contains("moss felt", Found(With(-30, 57), "layer-not-sewn").Words, StringComparison.Ordinal);
    }

    [Fact]
    public void SmallText_DarkGround_AndDoubledElements_AreFound()
    {
        var small = PatternSamples.Filled(PatternSamples.Make("zip-pouch", ("width", 90)), "name", new string('M', 24));
        Assert.Equal("p-name", Found(small, "text-small").ElementId);
        var twice = SampleProject.Apply(SampleProject.With(new HeartShape()), SampleProject.Add(new HeartShape()));
        Assert.Equal("e2", Found(twice, "element-doubled").ElementId);
        var dark = SampleProject.Apply(
            SampleProject.With(new HeartShape(), cloth: "beet"),
            new ChangeCloth { Cloth = SampleProject.Empty().FindCloth("ground")! with { Colour = "#101418" } },
            new ChangeCloth { Cloth = SampleProject.Empty().FindCloth("beet")! with { Colour = "#fbf7ee" } }
        );
        Assert.Equal("e1", Found(dark, "shadow-through").ElementId);
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
