using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Program;

public sealed class HoopSightsTests
{
    private readonly StitchProgram _pouch = SampleProject.Evaluate(PatternSamples.Make("zip-pouch")).Program;

    [Fact]
    public void WhatIsSewn_StaysInSight_UntilALaterClothLiesOverIt()
    {
        var sights = HoopSights.Of(_pouch).Steps;
        for (var i = 0; i < _pouch.Steps.Length; i++)
        {
            if (_pouch.Steps[i] is not ProgramStitches)
            {
                continue;
            }
            Assert.Equal(-1 - i, sights[i].Things[^1]);
            // Later sights of the front draw it still, and only what was laid later over it.
            foreach (var later in sights.Skip(i + 1).Where(sight => sight is { IsBack: false, IsOut: false }))
            {
                Assert.Contains(-1 - i, later.Things);
            }
        }
        var name = At("p-name.line.0");
        var back = Shape("p-back", At("p.lay-back.0"));
        var things = sights[At("p-closing-seam.line.0")].Things;
        Assert.True(things.IndexOf(-1 - name) < things.IndexOf(back));
    }

    [Fact]
    public void AFold_HidesItsSeam_AndHandsBehindSeeTheBack()
    {
        var sights = HoopSights.Of(_pouch).Steps;
        var fold = At("p.fold-front.0");
        var things = sights[fold].Things;
        Assert.True(things.IndexOf(-1 - At("p-front-seam.line.0")) < things.IndexOf(Shape("p-front", fold)));
        foreach (var step in new[] { "p.lay-lining.0", "p.cut-slot.0", "p.lay-back-lining.0" })
        {
            Assert.True(sights[At(step)].IsBack, step);
        }
        Assert.False(sights[At("p.open-zip.0")].IsBack);
        // Linings are laid nearest to the eyes.
        Assert.Equal(Shape("p-lining-top", At("p.lay-lining.0")), sights[At("p.lay-lining.0")].Things[^1]);
    }

    [Fact]
    public void TheTurnedPouch_ShowsItsLiningFirst_ThenItsFront_WithinItsSeam()
    {
        var sights = HoopSights.Of(_pouch);
        var (inside, done) = (sights.Steps[At("p.turn.0")], sights.Steps[At("p.turn-zip.0")]);
        Assert.Equal((true, true), (inside.IsBack, inside.IsOut));
        Assert.Equal("p-lining-top", LayerOf(inside.Things.Last(thing => thing >= 0)));
        Assert.DoesNotContain(inside.Things, thing => thing >= 0 && LayerOf(thing) == "p-back-lining");
        Assert.Equal((false, true), (done.IsBack, done.IsOut));
        Assert.Contains(-1 - At("p-name.line.0"), done.Things);
        Assert.DoesNotContain(done.Things, thing => thing >= 0 && LayerOf(thing) == "p-back");
        Assert.Equal(180 * 120, done.Clip.Sum(region => region.Area), 180 * 120 * 0.01);

        string LayerOf(int thing) => sights.Shapes[thing].Layer.Id;
    }

    [Fact]
    public void TheTurnedRug_IsWholeAtItsGap()
    {
        var rug = SampleProject.Evaluate(PatternSamples.Make("mug-rug")).Program;
        var sight = HoopSights.Of(rug).Steps[^1];
        var edge = new AreaIndex(sight.Clip);
        // 180 × 130 mm about the middle, its gap in a side as straight as the others.
        Assert.True(edge.Holds(new Point(0, 64)) && edge.Holds(new Point(0, -64)) && edge.Holds(new Point(-89, 0)));
        Assert.False(edge.Holds(new Point(0, 67)) || edge.Holds(new Point(0, -67)) || edge.Holds(new Point(92, 0)));
        Assert.True(sight.IsOut);
    }

    [Fact]
    public void BastingThatIsTakenOut_IsSeenNoMore()
    {
        var basted = SampleProject
            .Evaluate(
                SampleProject.Apply(
                    SampleProject.With(new EllipseShape()),
                    new SetHooping { GroundHold = GroundHold.Basted }
                )
            )
            .Program;
        var sights = HoopSights.Of(basted).Steps;
        var sewn = basted.Steps.ToList().FindIndex(step => step is ProgramStitches { Role: "basting" });
        Assert.Contains(-1 - sewn, sights[sewn + 1].Things);
        Assert.DoesNotContain(-1 - sewn, sights[^1].Things);
    }

    [Fact]
    public void ARibbonLoop_StandsOutOfTheTurnedPouch()
    {
        var looped = SampleProject.Apply(
            SampleProject.Empty(),
            PatternSamples.Use("zip-pouch") with
            {
                Choices = [new PatternPick("loop", "left")],
            }
        );
        var sights = HoopSights.Of(SampleProject.Evaluate(looped).Program);
        var done = sights.Steps[^1];
        var loop = done
            .Things.Where(thing => thing >= 0)
            .Select(thing => sights.Shapes[thing].Layer)
            .Single(layer => layer.Id == "p-loop");
        // 25 of its 35 mm are seen, to the left of the seam at -90.
        var box = loop.Area.Single().Bounds();
        Assert.Equal((-115, -90), (Math.Round(box.MinX, 1), Math.Round(box.MaxX, 1)));
        Assert.DoesNotContain(
            SampleProject.Evaluate(looped).Findings,
            finding => finding.Level == Ullet.Core.Findings.FindingLevel.Stop
        );
    }

    private int At(string key) => _pouch.Steps.ToList().FindIndex(step => step.Key.ToString() == key);

    /// <summary>A layer as it lies after a step.</summary>
    private int Shape(string layer, int step)
    {
        var sights = HoopSights.Of(_pouch);
        return sights.Steps[step].Things.Last(thing => thing >= 0 && sights.Shapes[thing].Layer.Id == layer);
    }
}
