using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Patterns;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Patterns;

public sealed class PatternTests
{
    [Fact]
    public void Patterns_AtSmallestUsualAndLargestSize_HaveNoStop()
    {
        foreach (var (name, project) in PatternSamples.Sizes())
        {
            AssertSewable(name, project);
        }
    }

    [Theory]
    [InlineData("zip-pouch", "name")]
    [InlineData("mug-rug", "words")]
    [InlineData("harvest-patch", "words")]
    public void Patterns_WithTheLongestAndAnEmptyFillIn_HaveNoStop(string pattern, string fillIn)
    {
        var made = PatternSamples.Make(pattern);
        AssertSewable(pattern, PatternSamples.Filled(made, fillIn, new string('M', PatternFillIn.LongestText)));
        var empty = PatternSamples.Filled(made, fillIn, "");
        AssertSewable(pattern, empty);
        var place = PatternShelf.PlanOf(made)!.Places.First(place => place.FillInId == fillIn);
        Assert.NotNull(made.Find(place.ElementId));
        Assert.Null(empty.Find(place.ElementId));
        Assert.DoesNotContain(SampleProject.Evaluate(empty).RunSheet.Steps, step => step.OwnerId == place.ElementId);
    }

    [Fact]
    public void Pouch_Grown_KeepsSeamsAllowancesAndZip()
    {
        var (small, large) = (
            PatternShelf.PlanOf(PatternSamples.Make("zip-pouch"))!,
            PatternShelf.PlanOf(PatternSamples.Make("zip-pouch", ("width", 240), ("height", 180)))!
        );
        static Element Line(PatternPlan plan, string id) => plan.Elements.First(e => e.Id == id);
        foreach (var (plan, width, height) in new[] { (small, 180, 120), (large, 240, 180) })
        {
            var seam = Line(plan, "p-closing-seam").Box;
            Assert.Equal((width, height), (seam.Width, seam.Height));
            // The panels' raw edges lie on the tape, 13 mm to either side of the teeth.
            Assert.Equal(26, Line(plan, "p-zip-tack").Box.Height);
            Assert.Equal(24, Line(plan, "p-top-stitch").Box.Height);
            Assert.Equal(width + 26, plan.Cloths.First(need => need.Use == "back").Width);
            Assert.Equal(1, Line(plan, "p-closing-seam").Line().Stitching.Passes);
            Assert.Equal(width + 60, plan.Cloths.First(need => need.Use == "zip").Width);
        }
    }

    [Fact]
    public void Pouch_OpensItsZipBeforeTheBackGoesOn_AndTheSliderZoneMoves()
    {
        var steps = Keys(PatternSamples.Make("zip-pouch"));
        // Where the slider has yet to pass nothing is sewn across.
        Assert.True(steps.IndexOf("p-zip-stop.line.0") < steps.IndexOf("p.open-zip.0"));
        Assert.True(steps.IndexOf("p.open-zip.0") < steps.IndexOf("p-zip-ends.line.0"));
        Assert.True(steps.IndexOf("p-zip-ends.line.0") < steps.IndexOf("p.lay-back.0"));
        Assert.True(steps.IndexOf("p.open-zip.0") < steps.IndexOf("p.lay-back.0"));
        var zones = PatternSamples.Make("zip-pouch").Elements.Where(element => element.Making is ZoneMaking).ToList();
        Assert.Equal("p.open-zip.0", zones.First(zone => zone.Id == "p-slider-shut").Zone().Until.ToString());
        var open = zones.First(zone => zone.Id == "p-slider-open");
        Assert.Equal("p.open-zip.0", open.Zone().From.ToString());
        // Half to two thirds of the opening, and inside the seam.
        Assert.InRange((90 - open.Box.X) / 180, 0.5, 2 / 3.0);
    }

    [Fact]
    public void Pouch_IsTurnedThroughTheGapAndTheZip_AndAClosedGapShutsItIn()
    {
        foreach (var width in new[] { 90.0, 140, 310 })
        {
            var pouch = SampleProject.Evaluate(PatternSamples.Make("zip-pouch", ("width", width)));
            Assert.Equal("through the gap in the lining, then through the zip", pouch.Turning!.WayWords);
            // The gap ends 8 mm short of the corners, which are 6 mm round.
            Assert.InRange(pouch.Turning.Width, Math.Min(70, width - 28) - 8, Math.Min(70, width - 28));
        }
        var closed = PatternSamples.Make("zip-pouch", ("gap", 0));
        var finding = SampleProject.Evaluate(closed).Findings.First(found => found.Code == "no-turning-way");
        Assert.Equal(FindingLevel.Stop, finding.Level);
        Assert.Contains("closing seam 1 and closing seam 2", finding.Words, StringComparison.Ordinal);
        var narrow = PatternSamples.Make("zip-pouch", ("gap", 25));
        Assert.Contains(SampleProject.Evaluate(narrow).Findings, found => found.Code == "turning-narrow");
    }

    [Fact]
    public void Pouch_OfAnEarlierMaking_KeepsIt_AndIsMadeAnewWithWhatWasAdded()
    {
        var heart = new AddPiece { Shape = new HeartShape(), Box = new ElementBox(40, 30, 20, 20, 0) };
        var early = SampleProject.Apply(
            SampleProject.Empty(260, 180) with
            {
                Pattern = new PatternUse("zip-pouch"),
            },
            PatternSamples.Use("zip-pouch", ("width", 170)),
            heart
        );
        var stop = SampleProject.Evaluate(early).Findings.First(found => found.Code == "no-turning-way");
        Assert.Contains("An earlier Ullet made the pattern so", stop.Words, StringComparison.Ordinal);
        Assert.Null(early.Pattern!.Making);
        var anew = SampleProject.Apply(early, MendEdits.Of(stop.Mend!, early));
        Assert.Equal((2, 170.0), (anew.Pattern!.Making, anew.Pattern.NumberOf("width")));
        Assert.DoesNotContain(anew.Elements, element => element.Id == "p-top-stitch-lower");
        Assert.Contains(anew.Elements, element => element.Form is ShapeForm { Shape: HeartShape });
        AssertSewable("made anew", anew);
    }

    [Fact]
    public void Decoration_DroppedOnThePouch_LandsAfterItsPanelAndBeforeTheLining()
    {
        var project = SampleProject.Apply(
            PatternSamples.Make("zip-pouch"),
            new AddPiece
            {
                Shape = new HeartShape(),
                Box = new ElementBox(40, 20, 24, 24, 0),
                Method = Method.TrimInTheHoop,
            }
        );
        var steps = Keys(project);
        var own = steps
            .Where(step => step.StartsWith("e1.", StringComparison.Ordinal))
            .Select(step => steps.IndexOf(step))
            .ToList();
        Assert.Equal(5, own.Count);
        Assert.All(
            own,
            at => Assert.InRange(at, steps.IndexOf("p.fold-front.0") + 1, steps.IndexOf("p.lay-lining.0") - 1)
        );
    }

    [Fact]
    public void Resize_KeepsTheUsersAdditionsAndWhatWasSetByHand()
    {
        var project = SampleProject.Apply(
            PatternSamples.Make("zip-pouch"),
            new AddPiece { Shape = new HeartShape(), Box = new ElementBox(40, 30, 20, 20, 0) },
            new SetLine
            {
                ElementId = "p-front-seam",
                Line = new LineSettings { ThreadId = "cover", StitchLength = 3 },
            },
            PatternSamples.Use("zip-pouch", ("height", 160))
        );
        Assert.Equal(
            ("cover", 3.0),
            (Seam(project).Line().Stitching.ThreadId, Seam(project).Line().Stitching.StitchLength)
        );
        // The panel's middle moved with the zip: the heart stays where it is on its panel.
        var before = PatternShelf.PlanOf(PatternSamples.Make("zip-pouch"))!.Panels[0];
        var after = PatternShelf.PlanOf(project)!.Panels[0];
        var moved = Middle(after) - Middle(before);
        var heart = project.Find("e1")!.Box;
        Assert.Equal((40, 30 + moved.Y), (heart.X, Math.Round(heart.Y, 6)));
        Assert.Equal(160, project.Find("p-closing-seam")!.Box.Height);
        Assert.Equal("p-zip-place.line.0", Keys(project)[1]);

        static Element Seam(Project project) => project.Find("p-front-seam")!;
        static Point Middle(PatternPanel panel) => Box.Of(panel.Area[0].Shell.Points).Centre;
    }

    [Theory]
    [InlineData(AdditionsFate.WithMiddle, 40, 20, 20)]
    [InlineData(AdditionsFate.WithEdge, 70, 45, 20)]
    [InlineData(AdditionsFate.Grow, 40 * 240 / 180.0, 20 * 180 / 130.0, 20 * 240 / 180.0)]
    [InlineData(AdditionsFate.Stay, 40, 20, 20)]
    public void Resize_DoesWithAdditionsWhatWasChosen(AdditionsFate fate, double x, double y, double width)
    {
        var rug = SampleProject.Apply(
            PatternSamples.Make("mug-rug"),
            new AddPiece { Shape = new HeartShape(), Box = new ElementBox(40, 20, 20, 20, 0) },
            PatternSamples.Use("mug-rug", ("width", 240), ("height", 180)) with
            {
                Additions = fate,
            }
        );
        var box = rug.Find("e1")!.Box;
        Assert.Equal(x, box.X, 0.01);
        Assert.Equal(y, box.Y, 0.01);
        Assert.Equal(width, box.Width, 0.01);
        Assert.Contains(PatternShelf.AdditionsOf(rug), element => element.Id == "e1");
    }

    [Fact]
    public void CopiesAndFrozenFillIns_AreTheUsersOwn_AndSurviveASize()
    {
        var project = SampleProject.Apply(
            PatternSamples.Make("zip-pouch"),
            new DuplicateElements { ElementIds = ["p-motif"] },
            new FreezeElement { ElementId = "p-name" },
            PatternSamples.Use("zip-pouch", ("width", 220))
        );
        var ids = project.Elements.Select(element => element.Id).ToList();
        Assert.Equal(ids.Count, ids.Distinct().Count());
        Assert.Contains(
            project.Elements,
            element => element is { Making: ClothMaking, Name: "Leaf copy", PatternPart: null }
        );
        Assert.DoesNotContain(project.Elements, element => element.Form is TextForm);
        Assert.NotNull(project.Find("p-name"));
        AssertSewable("frozen", project);
    }

    [Fact]
    public void EveryStepThatSpeaksOfACloth_NamesTheProjectsOwn()
    {
        var patch = PatternSamples.Make("harvest-patch");
        var renamed = patch with
        {
            Cloths = [.. patch.Cloths.Select(cloth => cloth with { Name = $"own {cloth.Id}" })],
        };
        var texts = SampleProject.Evaluate(renamed).RunSheet.Steps.OfType<HandStep>().Select(step => step.Work.Text);
        var trim = texts.Single(text => text.Contains("close to its tack-down", StringComparison.Ordinal));
        Assert.Contains("own p-ground", trim, StringComparison.Ordinal);
        Assert.Contains("own p-backing", trim, StringComparison.Ordinal);
        Assert.Contains(
            texts,
            text => text.Contains("wound with the thread of the edge (plum)", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void AMotif_ThatWasReshaped_StaysSo_UntilAnotherIsChosen()
    {
        var reshaped = SampleProject.Apply(
            PatternSamples.Make("mug-rug"),
            new ReshapePiece { ElementId = "p-motif", Shape = new PolygonShape(5) },
            PatternSamples.Use("mug-rug", ("width", 200))
        );
        Assert.IsType<PolygonShape>(reshaped.Find("p-motif")!.Form.ShapeOf());
        var other = PatternSamples.Filled(reshaped, "motif", "Star").Find("p-motif")!.Cloth();
        Assert.Equal(("Star", "p-straw"), (other.Name, other.ClothId));
    }

    [Fact]
    public void Words_RetypedOnTheWall_AreWhatTheFillInSays()
    {
        var project = SampleProject.Apply(
            PatternSamples.Make("zip-pouch"),
            new SetText { ElementId = "p-name", Text = "Bo" },
            PatternSamples.Use("zip-pouch", ("width", 200))
        );
        Assert.Equal(("Bo", "Bo"), (project.Find("p-name")!.Words().Text, project.Pattern!.TextOf("name")));
    }

    [Fact]
    public void WordsThatDifferFromPatchToPatch_AndWordsOfTwoLines_StayWhenItIsMadeAnew()
    {
        var patches = SampleProject.Apply(
            PatternSamples.Make("harvest-patch", ("width", 60), ("across", 2)),
            new SetText { ElementId = "p-words-2", Text = "Bo\nB" },
            PatternSamples.Use("harvest-patch", ("height", 100))
        );
        Assert.Equal("Plot 14", patches.Find("p-words")!.Words().Text);
        Assert.Equal("Bo\nB", patches.Find("p-words-2")!.Words().Text);
        Assert.Equal(StitchOrder.Together, patches.RunSheet.Order);
        // Asked for by itself, all say the same again.
        var all = PatternSamples.Filled(patches, "words", "Al");
        Assert.Equal(("Al", "Al"), (all.Find("p-words")!.Words().Text, all.Find("p-words-2")!.Words().Text));
    }

    [Fact]
    public void AnOwnForm_IsThePatternsOutline_UnlessItIsNoOutline()
    {
        var pouch = SampleProject.Apply(
            PatternSamples.Make("mug-rug"),
            new AddPiece { Shape = new LeafShape(), Box = new ElementBox(300, 0, 40, 60, 0) },
            PatternSamples.Use("mug-rug") with
            {
                OutlineOf = "e1",
            }
        );
        Assert.Equal("own", pouch.Pattern!.ChoiceOf("outline"));
        Assert.IsType<LeafShape>(pouch.Pattern.Outline);
        Assert.Equal("through the gap in the seam", SampleProject.Evaluate(pouch).Turning!.WayWords);
        Assert.Equal(
            "outline-missing",
            SampleProject
                .Refused(
                    PatternSamples.Make("mug-rug"),
                    PatternSamples.Use("mug-rug") with
                    {
                        Choices = [new PatternPick("outline", "own")],
                    }
                )
                .Code
        );
        Assert.Equal(
            "outline-no-shape",
            SampleProject.Refused(pouch, PatternSamples.Use("mug-rug") with { OutlineOf = "p-words" }).Code
        );
        // A zip can't be sewn straight into a leaf.
        var zip = SampleProject.Apply(
            PatternSamples.Make("zip-pouch"),
            new AddPiece { Shape = new LeafShape(), Box = new ElementBox(300, 0, 40, 60, 0) }
        );
        Assert.Equal(
            "zip-askew",
            SampleProject.Refused(zip, PatternSamples.Use("zip-pouch") with { OutlineOf = "e1" }).Code
        );
    }

    [Theory]
    [InlineData("variant", "quilted", "pattern-option-unknown")]
    [InlineData("colour", "red", "pattern-choice-unknown")]
    public void Choices_ThatAreNone_AreRefused(string choice, string option, string code) =>
        Assert.Equal(
            code,
            SampleProject
                .Refused(
                    SampleProject.Empty(),
                    PatternSamples.Use("zip-pouch") with
                    {
                        Choices = [new PatternPick(choice, option)],
                    }
                )
                .Code
        );

    [Fact]
    public void Parts_CannotBeDeleted_FillInsAreEmptied()
    {
        var project = PatternSamples.Make("mug-rug");
        var unlocked = SampleProject.Apply(project, new LockElements { ElementIds = ["p-quilting"], Locked = false });
        Assert.Equal(
            "pattern-part",
            SampleProject.Refused(unlocked, new RemoveElements { ElementIds = ["p-quilting"] }).Code
        );
        var without = SampleProject.Apply(project, new RemoveElements { ElementIds = ["p-motif"] });
        Assert.Equal("None", without.Pattern!.TextOf("motif"));
        Assert.Null(SampleProject.Apply(without, PatternSamples.Use("mug-rug", ("width", 200))).Find("p-motif"));
    }

    [Theory]
    [InlineData("zip-pouch", "width", 40, "number-out-of-range")]
    [InlineData("zip-pouch", "drop", 75, "zip-too-low")]
    [InlineData("zip-pouch", "colour", 1, "pattern-number-unknown")]
    [InlineData("harvest-patch", "across", 1.5, "number-not-whole")]
    [InlineData("harvest-patch", "width", double.NaN, "number-out-of-range")]
    [InlineData("boot", "width", 100, "pattern-unknown")]
    public void Sizes_ThatCannotBe_AreRefusedWithASentence(string pattern, string number, double value, string code)
    {
        var refusal = SampleProject.Refused(SampleProject.Empty(), PatternSamples.Use(pattern, (number, value)));
        Assert.Equal(code, refusal.Code);
        Assert.EndsWith(".", refusal.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void Patches_ThatNoHoopTakes_AreRefused() =>
        Assert.Equal(
            "patches-too-many",
            SampleProject
                .Refused(SampleProject.Empty(), PatternSamples.Use("harvest-patch", ("width", 150), ("across", 3)))
                .Code
        );

    [Fact]
    public void SeveralPatches_ShareTheirSteps()
    {
        var (one, six) = (
            PatternSamples.Make("harvest-patch"),
            PatternSamples.Make("harvest-patch", ("width", 60), ("height", 70), ("across", 3), ("down", 2))
        );
        static int Own(Project project) =>
            SampleProject
                .Evaluate(project)
                .RunSheet.Steps.Count(step => step.OwnerId is "p" or "p-patch" or "p-backing-tack");
        Assert.Equal(Own(one), Own(six));
        Assert.Equal(6, six.Elements.Count(element => element.Form is TextForm));
        AssertSewable("six patches", six);
    }

    [Fact]
    public void Hardware_GivesSizesThatThePatternTakes()
    {
        foreach (var pattern in PatternShelf.All)
        {
            foreach (var start in pattern.Hardware)
            {
                foreach (var size in new[] { start.Least, start.Usual, start.Most })
                {
                    var usual = PatternShelf.Begun(pattern.Id);
                    var asked = PatternNumbers.ToBegin(pattern, usual).Value;
                    var use = usual with { Numbers = pattern.FromHardware(start.Id, size, asked) };
                    Assert.True(
                        PatternShelf.Plan(use).IsOk,
                        $"{pattern.Id} {start.Id} {size}: {PatternShelf.Plan(use).Refusal?.Words}"
                    );
                }
            }
        }
    }

    [Fact]
    public void Hoop_IsTheSmallestThatTakesTheStitching()
    {
        foreach (var (name, project) in PatternSamples.Sizes())
        {
            var bounds = SampleProject.Evaluate(project).DesignBounds();
            var hoop = project.Hooping.Hoop;
            Assert.True(Box.Centred(hoop.FieldWidth, hoop.FieldHeight).Contains(bounds), name);
        }
    }

    private static List<string> Keys(Project project) =>
        [.. SampleProject.Evaluate(project).RunSheet.Steps.Select(step => step.Key.ToString())];

    /// <summary>No finding stops it, the order is legal, and the machine stops once for each row of hand steps.</summary>
    private static void AssertSewable(string name, Project project)
    {
        var evaluated = SampleProject.Evaluate(project);
        Assert.True(
            evaluated.Findings.All(finding => finding.Level != FindingLevel.Stop),
            $"{name}: {evaluated.Findings.FirstOrDefault(f => f.Level == FindingLevel.Stop)?.Words}"
        );
        Assert.Empty(evaluated.RunSheet.Order.Broken);
        Assert.Equal(evaluated.RunSheet.StopCount, evaluated.Program.StopCount);
        var steps = evaluated.Program.Steps;
        for (var i = 1; i < steps.Length; i++)
        {
            if (steps[i - 1] is ProgramStitches before)
            {
                Assert.Equal(steps[i] is ProgramHands, before.StopAfter);
            }
        }
    }
}
