using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Findings;

/// <summary>What hands and needle can't do, read off the layers: a case for each check in which it fires, and one beside it in which it
/// does not.</summary>
public sealed class SewableChecksTests
{
    [Fact]
    public void ABar_WhereTheSliderHasYetToPass_StopsTheZip()
    {
        var pouch = PatternSamples.Make("zip-pouch");
        Assert.DoesNotContain("slider-blocked", Codes(pouch));
        var steps = SampleProject.Evaluate(pouch).RunSheet.Steps.Select(step => step.Key.ToString()).ToList();
        var early = SampleProject.Apply(
            pouch,
            new MoveStep { StepKey = "p-zip-ends.line.0", To = steps.IndexOf("p.open-zip.0") }
        );
        var finding = Found(early, "slider-blocked");
        Assert.Equal(FindingLevel.Stop, finding.Level);
        Assert.Contains("bar at its open end", finding.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void HandsThatAlign_ToWhatIsSewnLater_OrCovered_AreStopped()
    {
        var piece = SampleProject.With(new EllipseShape());
        var aligned = Own(
            piece,
            "h1.hoop-up.0",
            new UserHandStep("", HandKind.Lay, "Lay a strip")
            {
                ClothId = "felt",
                AreaOf = "e1",
                AreaMore = 15,
                AlignedTo = new StepKey("e1", "placement", 0),
                AlignDistance = 5,
            }
        );
        Assert.Contains("which is sewn only later", Found(aligned, "align-unseen").Words, StringComparison.Ordinal);
        Assert.Contains(SampleProject.Evaluate(aligned).RunSheet.Order.Broken, pair => pair.Rule == "align");
        var hand = SampleProject
            .Evaluate(aligned)
            .RunSheet.Steps.OfType<Ullet.Core.RunSheets.HandStep>()
            .Single(step => step.IsOwn);
        Assert.Equal("Lay a strip. Its edge lies 5 mm from the placement of Ellipse.", hand.Work.Text);
        // As large as the ellipse of 60 mm and 15 mm more on every side.
        Assert.Equal(90, ((LayerLaid)hand.Work.Changes[0]).Area[0].Bounds().Width, 6);
        var covered = Own(
            piece,
            "e1.tack.0",
            new UserHandStep("", HandKind.Tape, "Tape along the line.")
            {
                AlignedTo = new StepKey("e1", "placement", 0),
            }
        );
        Assert.Contains("can't be seen any more", Found(covered, "align-unseen").Words, StringComparison.Ordinal);
    }

    [Fact]
    public void AnIron_AndTheHoopsBack_AreUsedOffTheMachine()
    {
        var piece = SampleProject.With(new EllipseShape());
        var press = new UserHandStep("", HandKind.Press, "Press it.");
        Assert.Contains("iron-at-machine", Codes(Own(piece, "e1.tack.0", press)));
        Assert.DoesNotContain("iron-at-machine", Codes(Own(piece, "e1.tack.0", press with { HoopOff = true })));
        var behind = new UserHandStep("", HandKind.LayBehind, "Lay it behind.") { ClothId = "felt", IsBeneath = true };
        Assert.Equal(FindingLevel.Stop, Found(Own(piece, "e1.placement.0", behind), "behind-hoop-on").Level);
        Assert.DoesNotContain("behind-hoop-on", Codes(Own(piece, "e1.placement.0", behind with { HoopOff = true })));
    }

    [Fact]
    public void ALayer_ThatIsToComeOut_MustBeReached()
    {
        var paper = new UserHandStep("", HandKind.Lay, "Lay paper.")
        {
            ClothId = "felt",
            Role = LayerRole.TakenOut,
            Area = new ElementBox(0, 0, 40, 40, 0),
        };
        var laid = Own(SampleProject.With(new EllipseShape(), 80, 80), "e1.placement.0", paper);
        Assert.Contains("layer-left-in", Codes(laid));
        var id = laid.RunSheet.Hands.Single().Id;
        var remove = new UserHandStep("", HandKind.Remove, "Take the paper out.") { LayerId = id };
        var shut = Own(laid, "e1.cover.0", remove);
        Assert.Contains("lies shut in between", Found(shut, "layer-shut-in").Words, StringComparison.Ordinal);
        Assert.DoesNotContain("layer-shut-in", Codes(Own(laid, $"{id}.hand.0", remove)));
        Assert.Contains("taken-out-missing", Codes(Own(laid, "h1.hoop-up.0", remove)));
    }

    [Fact]
    public void Cloths_HoopedOverOneAnother_AreSewnDownWhereScissorsMustCut()
    {
        var two = SampleProject.Apply(
            SampleProject.Empty(200, 200),
            At(-40, Method.LaidFirst, "beet"),
            At(40, Method.LaidFirst, "felt")
        );
        Assert.Equal(FindingLevel.Stop, Found(two, "sewn-into-waste").Level);
        var one = SampleProject.Apply(
            SampleProject.Empty(200, 200),
            At(-40, Method.LaidFirst, "beet"),
            At(40, Method.TrimInTheHoop, "felt")
        );
        // The hooped cloth is trimmed before the other piece begins.
        Assert.DoesNotContain("sewn-into-waste", Codes(one));
        var near = SampleProject.Apply(
            SampleProject.Empty(200, 200),
            At(-14, Method.TrimInTheHoop, "beet"),
            At(14, Method.TrimInTheHoop, "felt"),
            new SetOrder { Order = StitchOrder.Together }
        );
        Assert.DoesNotContain("sewn-into-waste", Codes(near));
        Assert.Empty(SampleProject.Evaluate(near).RunSheet.Order.Broken);
    }

    [Fact]
    public void Decoration_AfterTheBack_IsSewnFaceToFace_AndAcrossTheSeam_IsStopped()
    {
        var rug = PatternSamples.Make("mug-rug");
        Assert.DoesNotContain("sewn-face-to-face", Codes(rug));
        var steps = SampleProject.Evaluate(rug).RunSheet.Steps.Select(step => step.Key.ToString()).ToList();
        var late = SampleProject.Apply(
            rug,
            new MoveStep { StepKey = "p-words.line.0", To = steps.IndexOf("p-closing-seam.line.0") }
        );
        Assert.Equal(
            ("p-words", FindingLevel.Stop),
            (Found(late, "sewn-face-to-face").ElementId, Found(late, "sewn-face-to-face").Level)
        );
        var across = SampleProject.Apply(
            rug,
            new AddPiece { Shape = new EllipseShape(), Box = new ElementBox(78, 20, 20, 20, 0) }
        );
        Assert.DoesNotContain("across-seam", Codes(rug));
        Assert.Contains(Codes(across), code => code is "across-seam" or "near-seam");
    }

    private static AddPiece At(double x, Method method, string cloth) =>
        SampleProject.Add(new EllipseShape(), 24, 24, method, cloth) with
        {
            Box = new ElementBox(x, 0, 24, 24, 0),
        };

    private static Project Own(Project project, string after, UserHandStep hand) =>
        SampleProject.Apply(project, new SetHandStep { Hand = hand, After = after });

    private static List<string> Codes(Project project) =>
        [.. SampleProject.Evaluate(project).Findings.Select(finding => finding.Code)];

    private static Finding Found(Project project, string code)
    {
        var findings = SampleProject.Evaluate(project).Findings;
        return findings.FirstOrDefault(finding => finding.Code == code)
            ?? throw new InvalidOperationException(
                $"{code} is not among: {string.Join(", ", findings.Select(f => f.Code))}"
            );
    }
}
