using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.RunSheets;

/// <summary>What keeps grounds and cloths still.</summary>
public sealed class GroundHoldTests
{
    [Theory]
    [InlineData(GroundHold.Taped, "tape its edges")]
    [InlineData(GroundHold.Sprayed, "Spray the underside of oat linen lightly, away from hoop and machine. Lay")]
    [InlineData(GroundHold.Sticky, "do not pull it")]
    [InlineData(GroundHold.Basted, "the basting holds it")]
    public void AGroundThatIsNotHooped_IsLaidOnItsStabiliser_OffTheMachine(GroundHold hold, string words)
    {
        var project = SampleProject.Apply(SampleProject.With(new EllipseShape()), new SetHooping { GroundHold = hold });
        var work = SampleProject.Evaluate(project);
        var (hoop, lay) = ((HandStep)work.RunSheet.Steps[0], (HandStep)work.RunSheet.Steps[1]);
        Assert.StartsWith("Hoop tear-away alone", hoop.Work.Text, StringComparison.Ordinal);
        Assert.Equal(hold == GroundHold.Sticky, hoop.Work.Text.Contains("peel it off", StringComparison.Ordinal));
        Assert.Contains("Lay oat linen face up on tear-away", lay.Work.Text, StringComparison.Ordinal);
        Assert.Contains(words, lay.Work.Text, StringComparison.Ordinal);
        Assert.True(lay.Work.HoopOff);
        Assert.Equal(["stabiliser"], work.Layers[0].Select(layer => layer.Id));
        Assert.Equal(["stabiliser", "ground"], work.Layers[1].Select(layer => layer.Id));
        Assert.Empty(work.RunSheet.Order.Broken);
        Assert.DoesNotContain(work.Findings, finding => finding.Level == FindingLevel.Stop);
    }

    [Fact]
    public void ABastedGround_GetsItsBoxOnce_WhichComesOutAtTheEnd()
    {
        var basted = SampleProject.Apply(
            SampleProject.With(new EllipseShape()),
            new SetHooping { GroundHold = GroundHold.Basted },
            new SetHooping { GroundHold = GroundHold.Hooped },
            new SetHooping { GroundHold = GroundHold.Basted }
        );
        var box = Assert.Single(basted.Elements, element => element.Making is BastingMaking);
        var keys = SampleProject.Evaluate(basted).RunSheet.Steps.Select(step => step.Key).ToList();
        var sewn = keys.FindIndex(key => key == new StepKey(box.Id, "basting", 0));
        var out_ = keys.FindIndex(key => key == new StepKey(box.Id, HandWork.TakeOutBasting, 0));
        Assert.Equal(2, sewn);
        Assert.Equal(keys.Count - 2, out_);
    }

    [Fact]
    public void ThePressersFoot_ComesOntoASlider_ByItsRadius()
    {
        var pouch = PatternSamples.Make("zip-pouch");
        var input = SampleProject.Evaluate(pouch).CheckedOn;
        var right = input.PointsOf(new StepKey("p-zip-tack", "line", 0)).MaxBy(at => at.X);
        // A slider reaches 7 mm to the left of its middle.
        bool Strikes(double away, double radius) =>
            Checks
                .Run(
                    input with
                    {
                        Project = SampleProject.Apply(pouch, new SetHooping { FootRadius = radius }),
                        Layers =
                        [
                            .. input.Layers.Select(layers =>
                                layers
                                    .Select(layer =>
                                        layer with
                                        {
                                            SliderShut = layer.SliderShut is null
                                                ? null
                                                : right + new Point(7 + away, 0),
                                        }
                                    )
                                    .ToImmutableArray()
                            ),
                        ],
                    }
                )
                .Any(finding => finding.Code == "slider-under-foot");
        Assert.DoesNotContain(Checks.Run(input), finding => finding.Code == "slider-under-foot");
        Assert.True(Strikes(4, 6));
        Assert.False(Strikes(9, 6));
        Assert.True(Strikes(9, 11));
        Assert.Equal("number-out-of-range", SampleProject.Refused(pouch, new SetHooping { FootRadius = 40 }).Code);
    }

    [Fact]
    public void Patches_HeldByBasting_LetItGoOnceTheyAreTackedDown_AndStickyOnesNameTheirStabiliser()
    {
        Project Held(string by) =>
            SampleProject.Apply(
                PatternSamples.Make("harvest-patch"),
                new UsePattern
                {
                    PatternId = "harvest-patch",
                    FontId = BlockFonts.Id,
                    Choices = [new PatternPick("held", by)],
                }
            );
        var keys = SampleProject.Evaluate(Held("baste")).RunSheet.Steps.Select(step => step.Key.ToString()).ToList();
        string[] order =
        [
            "p.lay-patch.0",
            "p-basting.basting.0",
            "p-patch.tack.0",
            "p-basting.take-out.0",
            "p.lay-backing.0",
        ];
        Assert.Equal(order, keys.Where(order.Contains));
        var sticky = SampleProject.Evaluate(Held("sticky")).RunSheet.Steps.OfType<HandStep>().ToList();
        Assert.Contains("sticky wash-away stabiliser alone", sticky[0].Work.Text, StringComparison.Ordinal);
        Assert.Contains("peel it off", sticky[0].Work.Text, StringComparison.Ordinal);
        Assert.Contains(sticky, step => step.Work.Text.Contains("onto the sticky", StringComparison.Ordinal));
        Assert.DoesNotContain(
            keys.Skip(keys.IndexOf("p-patch.cover.0")),
            key => key.StartsWith("p-basting", StringComparison.Ordinal)
        );
    }
}
