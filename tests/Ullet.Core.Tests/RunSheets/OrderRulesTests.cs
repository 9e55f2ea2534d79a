using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.RunSheets;

public sealed class OrderRulesTests
{
    [Fact]
    public void Planner_OnSeededProjects_BreaksNoRule_AndStopsWhereverHandsAreNeeded()
    {
        for (var seed = 0; seed < 500; seed++)
        {
            var project = RandomProject(new Random(seed));
            var work = SampleProject.Evaluate(project);
            Assert.True(
                work.RunSheet.Order.Broken.IsEmpty,
                $"seed {seed}: {work.RunSheet.Order.Broken.FirstOrDefault()?.Reason}"
            );
            Assert.Equal(work.RunSheet.StopCount, work.Program.StopCount);
            Assert.DoesNotContain(
                work.Findings,
                finding => finding.Code is "order-broken" or "stop-missing" or "zip-not-opened"
            );
            AssertNothingSewnIntoWaste(work, seed);
            var keys = work.RunSheet.Steps.Select(step => step.Key).ToList();
            Assert.Equal(keys.Count, keys.Distinct().Count());
            foreach (var piece in work.Pieces)
            {
                AssertMethodKept(keys, piece, seed);
            }
        }
    }

    [Fact]
    public void MovedBehindTheLining_TheNameSaysWhyNot_AndIsPutRight()
    {
        var project = PatternSamples.Make("zip-pouch");
        var moved = SampleProject.Apply(project, new MoveStep { StepKey = "p-name.line.0", To = 23 });
        var broken = SampleProject.Evaluate(moved);
        Assert.Contains(broken.RunSheet.Order.Broken, pair => pair.Before.OwnerId == "p-name" && pair.Rule == "panel");
        var finding = broken.Findings.First(finding => finding.Code == "order-broken");
        Assert.Equal(FindingLevel.Stop, finding.Level);
        Assert.Contains("lining", finding.Words, StringComparison.Ordinal);
        var mended = SampleProject.Apply(moved, MendEdits.Of(finding.Mend!, moved));
        var sheet = SampleProject.Evaluate(mended).RunSheet;
        Assert.Empty(sheet.Order.Broken);
        Assert.True(sheet.Order.IsUsersOwn);
        Assert.True(At(sheet, "p-name.line.0") < At(sheet, "p.lay-lining.0"));
        // What stood right stays where it was.
        Assert.Equal(
            SampleProject.Evaluate(moved).RunSheet.Steps.Select(step => step.Key).Where(key => key.OwnerId != "p-name"),
            sheet.Steps.Select(step => step.Key).Where(key => key.OwnerId != "p-name")
        );
    }

    [Fact]
    public void Rooms_AreExactlyThePlacesThatBreakNoRule()
    {
        var project = PatternSamples.Make("zip-pouch");
        var sheet = SampleProject.Evaluate(project).RunSheet;
        foreach (var key in new[] { "p-name.line.0", "p-motif.cover.0", "p-top-seam.line.0" })
        {
            var (first, last) = sheet.Order.Rooms[StepKey.Parse(key)!.Value];
            for (var to = 0; to < sheet.Steps.Length; to++)
            {
                var moved = SampleProject.Apply(project, new MoveStep { StepKey = key, To = to });
                var isLegal = SampleProject.Evaluate(moved).RunSheet.Order.Broken.IsEmpty;
                Assert.True(isLegal == (to >= first && to <= last), $"{key} at {to}: room {first} to {last}");
            }
        }
    }

    [Fact]
    public void AnElementAddedLater_GoesIntoItsSlot_WhileTheUsersOrderStays()
    {
        var project = SampleProject.Apply(
            PatternSamples.Make("zip-pouch"),
            new MoveStep { StepKey = "p-name.line.0", To = 13 },
            new AddPiece { Shape = new HeartShape(), Box = new ElementBox(40, 20, 20, 20, 0) }
        );
        var sheet = SampleProject.Evaluate(project).RunSheet;
        Assert.True(sheet.Order.IsUsersOwn);
        Assert.Empty(sheet.Order.Broken);
        Assert.Equal(13, At(sheet, "p-name.line.0"));
        Assert.True(At(sheet, "e1.cover.0") < At(sheet, "p.lay-lining.0"));
    }

    [Fact]
    public void HeldSteps_InACircleWithTheRules_AreNamed_AndLetGo()
    {
        var project = SampleProject.Apply(
            PatternSamples.Make("zip-pouch"),
            new MoveStep { StepKey = "p-name.line.0", To = 23 },
            new HoldStep { StepKey = "p-name.line.0", IsHeld = true },
            new HoldStep { StepKey = "p.lay-lining.0", IsHeld = true }
        );
        var report = SampleProject.Evaluate(project).RunSheet.Order;
        Assert.Single(report.Release);
        var refusal = SampleProject.Refused(project, new PutRight());
        Assert.Equal("order-impossible", refusal.Code);
        var released = SampleProject.Apply(
            project,
            new HoldStep { StepKey = report.Release[0].ToString(), IsHeld = false },
            new PutRight()
        );
        Assert.Empty(SampleProject.Evaluate(released).RunSheet.Order.Broken);
    }

    [Fact]
    public void SwitchedOff_AStepIsListedAndNotSewn_ANeededOneIsRefused()
    {
        var project = PatternSamples.Make("mug-rug");
        var off = SampleProject.Apply(project, new SwitchStep { StepKey = "p-quilting.line.0", IsOn = false });
        var sheet = SampleProject.Evaluate(off).RunSheet;
        Assert.Equal(["p-quilting.line.0"], sheet.Off.Select(step => step.Key.ToString()));
        Assert.Equal(-1, At(sheet, "p-quilting.line.0"));
        Assert.Equal(
            "step-needed",
            SampleProject.Refused(project, new SwitchStep { StepKey = "p-closing-seam.line.0", IsOn = false }).Code
        );
        var on = SampleProject.Apply(off, new SwitchStep { StepKey = "p-quilting.line.0", IsOn = true });
        Assert.Empty(SampleProject.Evaluate(on).RunSheet.Off);
    }

    [Fact]
    public void AClothOfOnesOwn_OverThePanelBeforeItsName_SaysWhyNot_AndIsPutRight()
    {
        var project = SampleProject.Apply(
            PatternSamples.Make("zip-pouch"),
            new SetHandStep
            {
                Hand = new UserHandStep("", HandKind.Lay, "Lay the overlay.")
                {
                    ClothId = "felt",
                    Area = new ElementBox(0, 20, 150, 60, 0),
                },
                After = "p-top-baste.line.0",
            }
        );
        var own = project.RunSheet.Hands.Single().Key.ToString();
        var broken = SampleProject.Evaluate(project);
        Assert.True(At(broken.RunSheet, own) < At(broken.RunSheet, "p-name.line.0"));
        var finding = broken.Findings.First(found => found.Code == "order-broken");
        Assert.Contains("through it instead of only on the front panel", finding.Words, StringComparison.Ordinal);
        var right = SampleProject.Evaluate(SampleProject.Apply(project, MendEdits.Of(finding.Mend!, project))).RunSheet;
        Assert.Empty(right.Order.Broken);
        Assert.True(At(right, "p-name.line.0") < At(right, own));
    }

    [Fact]
    public void AClothOfOnesOwn_OverAPartOfAPiece_ComesAfterIt_OverAllOfIt_MayBeWhatItLiesOn()
    {
        Project With(double width) =>
            SampleProject.Apply(
                SampleProject.With(new EllipseShape()),
                new SetHandStep
                {
                    Hand = new UserHandStep("", HandKind.Lay, "Lay a strip.")
                    {
                        ClothId = "felt",
                        Area = new ElementBox(20, 0, width, 70, 0),
                    },
                    After = SampleProject
                        .Evaluate(SampleProject.With(new EllipseShape()))
                        .RunSheet.Steps[0]
                        .Key.ToString(),
                }
            );
        Assert.Contains(SampleProject.Evaluate(With(30)).RunSheet.Order.Broken, pair => pair.Rule == "own-layer");
        Assert.Empty(SampleProject.Evaluate(With(110)).RunSheet.Order.Broken);
    }

    [Fact]
    public void HandStepsOfTheUsersOwn_AreAddedMovedChangedAndDeleted()
    {
        var project = SampleProject.Apply(
            PatternSamples.Make("mug-rug"),
            new SetHandStep
            {
                Hand = new UserHandStep("", HandKind.Lay, "Lay a label in the seam.")
                {
                    ClothId = "felt",
                    Area = new ElementBox(0, 60, 20, 10, 0),
                },
                After = "p-quilting.line.0",
            }
        );
        var sheet = SampleProject.Evaluate(project).RunSheet;
        var own = Assert.Single(project.RunSheet.Hands);
        Assert.Equal(At(sheet, "p-quilting.line.0") + 1, At(sheet, own.Key.ToString()));
        Assert.Contains(SampleProject.Evaluate(project).Layers[^1], layer => layer.Id == own.Id);
        var changed = SampleProject.Apply(
            project,
            new SetHandStep { Hand = new UserHandStep(own.Id, HandKind.Press, "Press it.") }
        );
        Assert.Equal("Press it.", Assert.Single(changed.RunSheet.Hands).Text);
        var gone = SampleProject.Apply(changed, new RemoveHandStep { Id = own.Id });
        Assert.Equal(-1, At(SampleProject.Evaluate(gone).RunSheet, own.Key.ToString()));
        Assert.Equal(
            "text-empty",
            SampleProject.Refused(project, new SetHandStep { Hand = new UserHandStep("", HandKind.Tape, " ") }).Code
        );
    }

    [Fact]
    public void LetUlletOrder_TakesTheUsersOrderAway()
    {
        var project = PatternSamples.Make("mug-rug");
        var planned = SampleProject.Evaluate(project).RunSheet.Steps.Select(step => step.Key);
        var moved = SampleProject.Apply(project, new MoveStep { StepKey = "p-words.line.0", To = 2 }, new PlanOrder());
        Assert.Equal(planned, SampleProject.Evaluate(moved).RunSheet.Steps.Select(step => step.Key));
        Assert.False(SampleProject.Evaluate(moved).RunSheet.Order.IsUsersOwn);
    }

    [Fact]
    public void FourHundredSteps_HaveALegalOrder()
    {
        var project = SampleProject.Empty(240, 360);
        for (var i = 0; i < 134; i++)
        {
            var add = SampleProject.Add(new RectangleShape(), 10, 10, Method.CutBeforehand);
            project = SampleProject.Apply(
                project,
                add with
                {
                    Box = new ElementBox((i % 12 * 16) - 90, (i / 12 * 20) - 110, 10, 10, 0),
                }
            );
        }
        var together = SampleProject.Apply(project, new SetOrder { Order = StitchOrder.Together });
        var sheet = SampleProject.Evaluate(together).RunSheet;
        Assert.True(sheet.Steps.Length > 400);
        Assert.Empty(sheet.Order.Broken);
    }

    private static int At(RunSheet sheet, string key) =>
        sheet.Steps.Select(step => step.Key.ToString()).ToList().IndexOf(key);

    private static void AssertMethodKept(List<StepKey> keys, PieceAtWork piece, int seed)
    {
        var (id, ordinal) = (piece.Part.Element.Id, piece.Part.Ordinal);
        var method = AppliqueMethods
            .Of(piece.Part.Element.Method)
            .Acts(piece)
            .Select(act => act is StageAct stage ? StageTable.Of(stage.Id).Key : ((HandAct)act).Work.Name)
            .Select(stage => new StepKey(id, stage, ordinal))
            .Where(keys.Contains)
            .ToList();
        Assert.True(method.SequenceEqual(keys.Where(method.Contains)), $"seed {seed}: {string.Join(" ", method)}");
    }

    /// <summary>Pieces and lines on an open ground, or on one of the patterns: panels, zips, linings, backs.</summary>
    /// <summary>By plain winding numbers over the program: no needle point of another cloth's piece lies where a layer is cut away later.
    /// Two cloths hooped over the whole field can't be had without, nor what lies beside a patch on its cloth; a finding says so.</summary>
    private static void AssertNothingSewnIntoWaste(Ullet.Core.Evaluation.Evaluated work, int seed)
    {
        if (work.Findings.Any(finding => finding.Code == "sewn-into-waste"))
        {
            Assert.True(
                work.Pieces.Any(piece => piece.Part.Element.Method == Method.LaidFirst)
                    || work.Project.Pattern?.PatternId == "harvest-patch",
                $"seed {seed}: {work.Findings.First(finding => finding.Code == "sewn-into-waste").Words} of "
                    + string.Join(", ", work.RunSheet.Steps.Select(step => step.Key))
            );
            return;
        }
        var steps = work.Program.Steps;
        for (var trim = 0; trim < steps.Length; trim++)
        {
            foreach (var cut in ((steps[trim] as ProgramHands)?.Changes ?? []).OfType<LayerTrimmed>())
            {
                var cloth = work.Pieces.FirstOrDefault(piece => piece.Part.LayerId == cut.LayerId)?.Cloth.Id;
                for (var i = 0; i < trim && cloth is not null; i++)
                {
                    var layer = work.Layers[i].FirstOrDefault(known => known.Id == cut.LayerId);
                    var own = work
                        .Pieces.FirstOrDefault(piece => piece.Part.Element.Id == steps[i].Key.OwnerId)
                        ?.Cloth.Id;
                    if (layer is null || own == cloth || steps[i] is not ProgramStitches sewn)
                    {
                        continue;
                    }
                    Assert.True(
                        !sewn.OwnPoints().Any(at => Deep(layer.Area, at) && !Holds(cut.Area, at) && Far(cut.Area, at)),
                        $"seed {seed}: {steps[i].Key} in the waste of {cut.LayerId}"
                    );
                }
            }
        }
    }

    private static bool Holds(ImmutableArray<Region> area, Point at) =>
        area.Any(region => region.Shell.Winding(at) != 0 && region.Holes.All(hole => hole.Winding(at) == 0));

    private static bool Far(ImmutableArray<Region> area, Point at) => RegionOverlay.DistanceToRings(area, at) > 1.2;

    private static bool Deep(ImmutableArray<Region> area, Point at) => Holds(area, at) && Far(area, at);

    private static Project RandomProject(Random random)
    {
        string[] patterns = ["zip-pouch", "mug-rug", "harvest-patch"];
        var project =
            random.Next(2) == 0 ? SampleProject.Empty(200, 200) : PatternSamples.Make(patterns[random.Next(3)]);
        var order = (StitchOrder)random.Next(2);
        for (var i = random.Next(1, 5); i > 0; i--)
        {
            var size = random.Next(8, 26);
            var add = SampleProject.Add(
                new RectangleShape(2),
                size,
                size,
                (Method)random.Next(6),
                random.Next(2) == 0 ? "beet" : "felt"
            );
            project = SampleProject.Apply(
                project,
                add with
                {
                    Box = new ElementBox(random.Next(-60, 60), random.Next(-30, 50), size, size, 0),
                }
            );
        }
        return SampleProject.Apply(project, new SetOrder { Order = order });
    }
}
