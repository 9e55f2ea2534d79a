using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.RunSheets;

/// <summary>Hand steps that nobody would do, and folds of one's own.</summary>
public sealed class OddHandsTests
{
    [Fact]
    public void AProjectThatIsNothingButHands_IsHoopedUpAndFinished()
    {
        var project = SampleProject.Empty();
        foreach (var kind in Enum.GetValues<HandKind>())
        {
            project = SampleProject.Apply(
                project,
                new SetHandStep { Hand = new UserHandStep("", kind, $"Do {kind}.") }
            );
        }
        var work = SampleProject.Evaluate(SampleProject.Apply(project, new PlanOrder()));
        var kinds = work.RunSheet.Steps.Cast<HandStep>().Select(step => step.Work.Kind).ToList();
        Assert.Equal(Enum.GetValues<HandKind>().Length + 2, kinds.Count);
        Assert.Equal((HandKind.HoopUp, HandKind.Finish), (kinds[0], kinds[^1]));
        Assert.Empty(work.RunSheet.Order.Broken);
        Assert.Equal(0, work.Program.StitchCount);
    }

    [Fact]
    public void SixtyLayers_AreJudgedWithinTheirBudget()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            SampleProject.Add(new RectangleShape(), 60, 60),
            new SetHandStep { Hand = new UserHandStep("", HandKind.Turn, "Turn it.") }
        );
        for (var i = 0; i < 60; i++)
        {
            project = SampleProject.Apply(
                project,
                new SetHandStep
                {
                    Hand = new UserHandStep("", HandKind.Lay, $"Lay {i}.")
                    {
                        ClothId = i % 2 == 0 ? "beet" : "felt",
                        AreaOf = "e1",
                        AreaMore = i,
                        FaceDown = i % 3 == 0,
                    },
                    After = "h1.hoop-up.0",
                }
            );
        }
        var work = SampleProject.Evaluate(project);
        // With ground, stabiliser and the piece.
        Assert.Equal(63, work.Layers.Max(layers => layers.Length));
        Assert.NotNull(work.Turning);
        Assert.All(work.Findings, finding => Assert.EndsWith(".", finding.Words, StringComparison.Ordinal));
    }

    [Fact]
    public void AFoldOfOnesOwn_TurnsItsLayerOverTheSeam_AndOneAcrossNothingIsStopped()
    {
        const string id = "e1";
        var seam = SampleProject.Empty() with
        {
            NextNumber = 2,
            Elements =
            [
                new Element
                {
                    Id = id,
                    Name = "Seam",
                    Box = new ElementBox(0, 10, 50, 0, 0),
                    Form = new DrawingForm(new DrawnShape(-50, 0, [new DrawnCurve(-17, 0, 17, 0, 50, 0)])),
                    Making = new LineMaking { Purpose = "seam" },
                },
            ],
        };
        var laid = SampleProject.Apply(
            seam,
            new SetHandStep
            {
                Hand = new UserHandStep("", HandKind.Lay, "Lay the flap.")
                {
                    ClothId = "beet",
                    FaceDown = true,
                    Area = new ElementBox(0, -10, 50, 50, 0),
                },
                After = "h1.hoop-up.0",
            }
        );
        var flap = laid.RunSheet.Hands.Single().Id;
        Project Folded(string layer, string? along) =>
            SampleProject.Apply(
                laid,
                new SetHandStep
                {
                    Hand = new UserHandStep("", HandKind.Fold, "Fold the flap down.")
                    {
                        LayerId = layer,
                        AlignedTo = along is null ? null : StepKey.Parse(along),
                    },
                    After = $"{id}.line.0",
                }
            );
        var good = SampleProject.Evaluate(Folded(flap, $"{id}.line.0"));
        var layer = good.Layers[^2].Single(each => each.Id == flap);
        // From 35 above to 15 below becomes from 5 to 55 below, right side up.
        Assert.True(layer.FaceUp);
        var box = Box.Of(layer.Area[0].Shell.Points);
        Assert.Equal((5, 55), (box.MinY, box.MaxY));
        Assert.DoesNotContain(good.Findings, finding => finding.Code is "fold-nothing" or "fold-sewn-down");
        foreach (var (what, along) in new[] { (flap, null), ("nobody", $"{id}.line.0"), (flap, (string?)"e99.line.0") })
        {
            var finding = SampleProject
                .Evaluate(Folded(what, along))
                .Findings.First(each => each.Code == "fold-nothing");
            Assert.Equal(FindingLevel.Stop, finding.Level);
        }
    }

    [Fact]
    public void AClothThatEndsJustShortOfTheClosingSeam_IsToldOf_NotOneThatReachesItOrLiesWellInside()
    {
        Project With(double width, double height) =>
            SampleProject.Apply(
                PatternSamples.Make("mug-rug"),
                new SetHandStep
                {
                    Hand = new UserHandStep("", HandKind.Lay, "Lay an interlining.")
                    {
                        ClothId = "felt",
                        Role = LayerRole.Inner,
                        Area = new ElementBox(0, 0, width, height, 0),
                    },
                    After = "p-batting-place.line.0",
                }
            );
        // The rug is 180 × 130 mm.
        static List<string> Codes(Project project) =>
            [.. SampleProject.Evaluate(project).Findings.Select(finding => finding.Code)];
        Assert.Contains("edge-not-caught", Codes(With(174, 150)));
        Assert.Contains("edge-not-caught", Codes(With(200, 122)));
        Assert.DoesNotContain("edge-not-caught", Codes(With(200, 150)));
        Assert.DoesNotContain("edge-not-caught", Codes(With(140, 90)));
        Assert.DoesNotContain("edge-not-caught", Codes(PatternSamples.Make("mug-rug")));
    }

    [Fact]
    public void AnEdgeCountsByItsLength_HoweverFinelyItIsDrawn()
    {
        var seam = Ring.Of(new Box(-50, -50, 50, 50).Corners());
        (Point, double)? Missed(double radius) =>
            EdgeCaughtCheck.Missed(
                [
                    new Region(
                        Ring.Of([
                            .. Enumerable
                                .Range(0, 200)
                                .Select(i => i * Math.PI / 100)
                                .Select(turn => new Point(
                                    49 - radius + (radius * Math.Cos(turn)),
                                    radius * Math.Sin(turn)
                                )),
                        ]),
                        []
                    ),
                ],
                seam
            );
        // A disc 1 mm inside: within 6 mm of the seam lie 14 mm of its edge, and 29 mm.
        Assert.Null(Missed(4));
        Assert.NotNull(Missed(20));
    }

    [Fact]
    public void ARug_OfTheFirstMaking_StaysAndOffersToBeMadeAnew()
    {
        var early = SampleProject.Apply(
            SampleProject.Empty(260, 180) with
            {
                Pattern = new PatternUse("mug-rug"),
            },
            PatternSamples.Use("mug-rug", ("width", 190))
        );
        var tip = SampleProject.Evaluate(early).Findings.Single(finding => finding.Code == "earlier-making");
        Assert.Equal(FindingLevel.Tip, tip.Level);
        var anew = SampleProject.Apply(early, MendEdits.Of(tip.Mend!, early));
        Assert.Equal((2, 190.0), (anew.Pattern!.Making, anew.Pattern.NumberOf("width")));
        Assert.DoesNotContain(SampleProject.Evaluate(anew).Findings, finding => finding.Code == "earlier-making");
    }
}
