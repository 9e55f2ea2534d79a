using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Forms;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Evaluation;

public sealed class OperationsTests
{
    [Fact]
    public void Carve_CountsTheCoversIn_AndTakesThemOutWhenThereAreNone()
    {
        var project = Carved();
        // 3.5 mm covers reach 1.4 outside both edges; 2 mm are left between them.
        Assert.Equal(4 + 2 + 1.4 + 1.4, HalfGap(project), 0.03);
        var bare = SampleProject.Apply(
            project,
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Off = true },
            },
            new MakeConstruction { ElementIds = ["e2"], IsConstruction = true }
        );
        Assert.Equal(4 + 2, HalfGap(bare), 0.03);
        var wider = SampleProject.Apply(
            project,
            new SetCover
            {
                ElementId = "e2",
                Cover = new CoverSettings { Width = 5 },
            }
        );
        Assert.Equal(4 + 2 + 1.4 + 2, HalfGap(wider), 0.03);
    }

    [Fact]
    public void Carve_FollowsItsSource_InStitchesAndCutShapes()
    {
        var before = SampleProject.Evaluate(Carved());
        var moved = SampleProject.Evaluate(SampleProject.Apply(Carved(), Move("e2", 0, 12)));
        Assert.Equal(2, before.Outlines["e1"].Parts.Length);
        var (above, below) = Halves(moved);
        Assert.Equal((3.2, 20.8), (Math.Round(above, 1), Math.Round(below, 1)));
        Assert.Equal(2, moved.Sheets.SelectMany(sheet => sheet.Shapes).Count());
        // Nothing of the ellipse is sewn within the reveal of the bar's finished edge.
        var sewn = moved
            .Program.Steps.OfType<Core.Program.ProgramStitches>()
            .Where(step => step.Key.OwnerId == "e1" && step.Role == "cover")
            .SelectMany(step => step.Commands)
            .Select(command => Math.Abs(command.At.Y - 12));
        Assert.True(sewn.Min() > 4 + 1.4 + 2 - 0.35);
    }

    [Fact]
    public void MovingACarver_ComputesOnlyWhatDependsOnIt()
    {
        var cache = new StationCache();
        var evaluator = new Evaluator(cache);
        var project = Carved();
        for (var i = 0; i < 10; i++)
        {
            project = SampleProject.Apply(
                project,
                SampleProject.Add(new HeartShape(), 20, 20),
                Move($"e{i + 4}", 200 + (25 * i), 0)
            );
        }
        evaluator.Evaluate(project);
        var (outlines, operations, edges, all) = Counts();
        evaluator.Evaluate(SampleProject.Apply(project, Move("e2", 0, 3)));
        var after = Counts();
        // The bar's outline, the bar with its gap, one carving.
        Assert.Equal((1, 1, 1), (after.Outlines - outlines, after.Operations - operations, after.Edges - edges));
        // And of bar and ellipse: cut shape, two areas, three stages each; leftovers, and the program.
        Assert.InRange(after.All - all, 1, 20);
        evaluator.Evaluate(SampleProject.Apply(project, Move("e2", 0, 3)));
        Assert.Equal(after, Counts());

        (long Outlines, long Operations, long Edges, long All) Counts() =>
            (
                cache.ComputedBy<OutlineStation>(),
                cache.ComputedBy<OperationStation>(),
                cache.ComputedBy<MovedEdgeStation>(),
                cache.Computed
            );
    }

    [Fact]
    public void Operations_GoOneAfterAnother_AndAreMovedMutedRemoved()
    {
        var project = SampleProject.Apply(
            Carved(),
            new AddOperation
            {
                ElementId = "e1",
                Operation = new MoveEdge { Distance = 3 },
            }
        );
        var grown = HalfGap(project);
        Assert.Equal(4 + 2 + 2.8 - 3, grown, 0.05);
        var first = SampleProject.Apply(
            project,
            new MoveOperation
            {
                ElementId = "e1",
                OperationId = project.Elements[0].Operations[1].Id,
                Place = 0,
            }
        );
        Assert.Equal(4 + 2 + 2.8, HalfGap(first), 0.05);
        var muted = SampleProject.Apply(
            project,
            new ChangeOperation
            {
                ElementId = "e1",
                Operation = project.Elements[0].Operations[1] with { IsMuted = true },
            }
        );
        Assert.Equal(4 + 2 + 2.8, HalfGap(muted), 0.05);
        var none = SampleProject.Apply(
            muted,
            new RemoveOperation { ElementId = "e1", OperationId = muted.Elements[0].Operations[0].Id }
        );
        Assert.Single(SampleProject.Evaluate(none).Outlines["e1"].Parts);
    }

    [Fact]
    public void Join_TakesTheSourceIntoTheElement_AndGivesItBack()
    {
        var joined = SampleProject.Apply(
            Both(),
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Join { SourceIds = ["e2"] },
            }
        );
        var evaluated = SampleProject.Evaluate(joined);
        Assert.True(joined.Find("e2")!.IsConstruction);
        Assert.Equal(100, evaluated.Outlines["e1"].Bounds().Width, 0.001);
        Assert.DoesNotContain(evaluated.RunSheet.Steps, step => step.OwnerId == "e2");
        var apart = SampleProject.Apply(
            joined,
            new RemoveOperation { ElementId = "e1", OperationId = joined.Elements[0].Operations[0].Id }
        );
        Assert.False(apart.Find("e2")!.IsConstruction);
        Assert.Contains(SampleProject.Evaluate(apart).RunSheet.Steps, step => step.OwnerId == "e2");
    }

    [Fact]
    public void Operations_ThatCannotBe_AreRefused()
    {
        var project = Carved();
        string Code(Edit edit, Project? on = null) => SampleProject.Refused(on ?? project, edit).Code;
        AddOperation Add(string element, Operation operation) => new() { ElementId = element, Operation = operation };
        Assert.Equal("source-itself", Code(Add("e1", new Carve { SourceIds = ["e1"] })));
        Assert.Equal("element-unknown", Code(Add("e1", new Carve { SourceIds = ["e7"] })));
        Assert.Equal("sources-missing", Code(Add("e1", new Carve { SourceIds = [] })));
        Assert.Equal("operations-in-a-circle", Code(Add("e2", new Carve { SourceIds = ["e1"] })));
        Assert.Equal("number-out-of-range", Code(Add("e1", new RoundCorners { Radius = double.NaN })));
        Assert.Equal("number-out-of-range", Code(Add("e1", new RepeatRound { Count = 101 })));
        Assert.Equal("cloth-unknown", Code(Add("e1", new Split { RightClothId = "gone" })));
        Assert.Equal("operation-unknown", Code(new RemoveOperation { ElementId = "e1", OperationId = "o77" }));
        var locked = SampleProject.Apply(project, new LockElements { ElementIds = ["e2"], Locked = true });
        Assert.Equal("element-locked", Code(Add("e1", new Join { SourceIds = ["e2"] }), locked));
        Assert.True(Add("e1", new Carve { SourceIds = ["e2"] }).Apply(locked, SampleProject.Context).IsOk);
        var own = SampleProject.Apply(project, new LockElements { ElementIds = ["e1"], Locked = true });
        Assert.Equal("element-locked", Code(Add("e1", new RoundCorners()), own));
    }

    [Fact]
    public void CirclesOverThree_AreNamed()
    {
        var project = SampleProject.Apply(
            Carved(),
            SampleProject.Add(new StarShape()),
            new AddOperation
            {
                ElementId = "e2",
                Operation = new Carve { SourceIds = ["e4"] },
            }
        );
        var refused = SampleProject.Refused(
            project,
            new AddOperation
            {
                ElementId = "e4",
                Operation = new Join { SourceIds = ["e1"] },
            }
        );
        Assert.Contains("Ellipse is itself made with Star", refused.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void Remove_OfASource_NamesWhoNeedsIt_AndFreezesOrReleases()
    {
        var project = Carved();
        var refused = SampleProject.Refused(project, new RemoveElements { ElementIds = ["e2"] });
        Assert.Equal("element-needed", refused.Code);
        Assert.Contains("Ellipse is made with Rectangle (carve)", refused.Words, StringComparison.Ordinal);
        var frozen = SampleProject.Apply(
            project,
            new RemoveElements { ElementIds = ["e2"], Dependents = DependentsFate.Freeze }
        );
        Assert.Equal(2, SampleProject.Evaluate(frozen).Outlines["e1"].Parts.Length);
        Assert.Empty(Assert.Single(frozen.Elements).Operations);
        var released = SampleProject.Apply(
            project,
            new RemoveElements { ElementIds = ["e2"], Dependents = DependentsFate.Release }
        );
        Assert.Single(SampleProject.Evaluate(released).Outlines["e1"].Parts);
        Assert.Empty(SampleProject.Apply(project, new RemoveElements { ElementIds = ["e1", "e2"] }).Elements);
    }

    [Fact]
    public void Freeze_GivesTheSameOutlineAsNodes()
    {
        var project = SampleProject.Apply(
            Carved(),
            new AddOperation
            {
                ElementId = "e1",
                Operation = new RoundCorners { Radius = 2 },
            }
        );
        var before = SampleProject.Evaluate(project);
        var frozen = SampleProject.Apply(project, new FreezeElement { ElementId = "e1" });
        var after = SampleProject.Evaluate(frozen);
        Assert.Empty(frozen.Elements[0].Operations);
        Assert.Equal(Plane.Area(before.Outlines["e1"]), Plane.Area(after.Outlines["e1"]), 0.01);
        Assert.Equal(Plane.Nodes(before.Outlines["e1"]), Plane.Nodes(after.Outlines["e1"]));
        Assert.Equal(before.Program.StitchCount, after.Program.StitchCount, 4.0);
        // Moving the bar no longer matters.
        var moved = SampleProject.Evaluate(SampleProject.Apply(frozen, Move("e2", 0, 10)));
        Assert.Equal(Plane.Area(after.Outlines["e1"]), Plane.Area(moved.Outlines["e1"]), 1e-6);
    }

    [Fact]
    public void Freeze_OfLettersOneByOne_GivesAPieceForEach_AndWhoUsedThemUsesAll()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 120, 60),
            new AddWords
            {
                Text = "Bed",
                FontId = "block",
                CapHeight = 30,
            },
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Carve { SourceIds = ["e2"], Reveal = 1 },
            }
        );
        var frozen = SampleProject.Apply(project, new FreezeElement { ElementId = "e2" });
        Assert.Equal(4, frozen.Elements.Length);
        Assert.Equal(3, frozen.Elements[0].SourceIds().Count());
        Assert.Equal(
            Plane.Area(SampleProject.Evaluate(project).Outlines["e1"]),
            Plane.Area(SampleProject.Evaluate(frozen).Outlines["e1"]),
            0.05
        );
        Assert.Single(frozen.Elements.Skip(1).Select(element => element.GroupId).Distinct());
    }

    [Fact]
    public void Findings_NameWhatOperationsLeave_AndTheMendIsAnOperation()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 60, 30),
            SampleProject.Add(new RectangleShape(), 10, 60),
            Move("e2", 20.5, 0),
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Carve { SourceIds = ["e2"], Reveal = 0.5 },
            }
        );
        var crumbs = Assert.Single(SampleProject.Evaluate(project).Findings, finding => finding.Code == "crumbs");
        Assert.Equal("e1", crumbs.ElementId);
        Assert.InRange(crumbs.At!.Value.X, 27, 30);
        var mended = SampleProject.Apply(project, MendEdits.Of(crumbs.Mend!, project));
        Assert.IsType<ClearCrumbs>(mended.Elements[0].Operations[1]);
        var after = SampleProject.Evaluate(mended);
        Assert.DoesNotContain(after.Findings, finding => finding.Code == "crumbs");
        Assert.Single(after.Outlines["e1"].Parts);
        var gone = SampleProject.Apply(
            project,
            new AddOperation
            {
                ElementId = "e1",
                Operation = new MoveEdge { Distance = -40 },
            }
        );
        var evaluated = SampleProject.Evaluate(gone);
        Assert.Contains(evaluated.Findings, finding => finding is { Code: "operation-empty", ElementId: "e1" });
        Assert.DoesNotContain(evaluated.RunSheet.Steps, step => step.OwnerId == "e1");
    }

    [Fact]
    public void Findings_NameAnEdgeThatCrossesItself()
    {
        var bow = new DrawnShape(
            0,
            0,
            [new(0, 0, 40, 30, 40, 30), new(40, 30, 40, 0, 40, 0), new(40, 0, 0, 30, 0, 30), new(0, 30, 0, 0, 0, 0)]
        );
        var evaluated = SampleProject.Evaluate(SampleProject.With(bow, 40, 30));
        var crossing = Assert.Single(evaluated.Findings, finding => finding.Code == "edge-crosses-itself");
        Assert.Equal(Point.Zero, crossing.At!.Value.Rounded(0.01));
        Assert.Equal(2, evaluated.Outlines["e1"].Parts.Length);
    }

    [Fact]
    public void ConstructionShapes_AreSaidToBeOnes_AndNotJudgedAsIfTheyWereSewn()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape()),
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Width = 2, InsideShare = 0.9 },
            },
            new HideElements { ElementIds = ["e1"], Hidden = true }
        );
        Assert.Equal(
            2,
            SampleProject.Evaluate(project).Findings.Count(finding => finding.Code is "hidden" or "edge-peeps-out")
        );
        var construction = SampleProject.Apply(
            project,
            new MakeConstruction { ElementIds = ["e1"], IsConstruction = true }
        );
        var evaluated = SampleProject.Evaluate(construction);
        Assert.Equal("construction-unused", Assert.Single(evaluated.Findings).Code);
        Assert.Contains(
            "a construction shape, neither sewn nor cut",
            DrawingSummary.Of(evaluated),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void ADrawnPieceCarvedAway_IsNotSaidToCrossItself()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape(), 20, 20),
            new FreezeElement { ElementId = "e1" },
            SampleProject.Add(new EllipseShape(), 90, 90),
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Carve { SourceIds = ["e2"] },
            }
        );
        Assert.DoesNotContain(
            SampleProject.Evaluate(project).Findings,
            finding => finding.Code.StartsWith("edge-", StringComparison.Ordinal)
        );
    }

    [Fact]
    public void LettersCarvedOneByOne_StayLetters()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new AddWords
            {
                Text = "Bed",
                FontId = "block",
                CapHeight = 30,
            },
            SampleProject.Add(new RectangleShape(), 120, 4),
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Carve { SourceIds = ["e2"], Reveal = 1 },
            }
        );
        var evaluated = SampleProject.Evaluate(project);
        Assert.Equal(3, evaluated.PiecesOf("e1").Count());
        Assert.Equal(6, evaluated.Outlines["e1"].Parts.Length);
        var joined = SampleProject.Apply(
            project,
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Join { SourceIds = ["e2"] },
            }
        );
        Assert.Single(SampleProject.Evaluate(joined).PiecesOf("e1"));
    }

    /// <summary>An ellipse 60 × 60 and a bar 100 × 8 across its middle.</summary>
    private static Project Both() =>
        SampleProject.Apply(
            SampleProject.With(new EllipseShape(), method: Method.CutBeforehand),
            SampleProject.Add(new RectangleShape(), 100, 8, Method.CutBeforehand)
        );

    private static Project Carved() =>
        SampleProject.Apply(
            Both(),
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Carve { SourceIds = ["e2"] },
            }
        );

    private static MoveElements Move(string id, double x, double y) =>
        new()
        {
            ElementIds = [id],
            X = x,
            Y = y,
        };

    /// <summary>How far below the middle the lower half of the ellipse begins.</summary>
    private static double HalfGap(Project project) => Halves(SampleProject.Evaluate(project)).Below;

    private static (double Above, double Below) Halves(Evaluated evaluated)
    {
        var boxes = evaluated
            .Outlines["e1"]
            .Parts.Select(part => part.Shell.Bounds())
            .OrderBy(box => box.MinY)
            .ToList();
        return (boxes[0].MaxY, boxes[^1].MinY);
    }
}
