using Ullet.Core.Cutting;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Cutting;

public sealed class SheetPlannerTests
{
    private const double Margin = 10;

    [Fact]
    public void Shape_CutBeforehand_IsExactlyTheOutline()
    {
        var evaluated = SampleProject.Evaluate(SampleProject.With(new HeartShape(), 61, 57, Method.CutBeforehand));
        var shape = evaluated.Sheets[0].Shapes[0].Shape;
        Assert.False(shape.IsTemplate);
        Assert.Equal(evaluated.Outlines["e1"], shape.Outline);
    }

    [Fact]
    public void Shape_TrimmedInTheHoop_IsATemplateTwelveLargerAllRound()
    {
        var shape = SampleProject.Evaluate(SampleProject.With(new HeartShape(), 60, 50)).Sheets[0].Shapes[0].Shape;
        Assert.True(shape.IsTemplate);
        Assert.Equal(84, shape.Bounds().Width, 0.03);
        Assert.Equal(74, shape.Bounds().Height, 0.03);
        Assert.InRange(shape.Outline.Parts[0].Shell.Curves.Length, 4, 80);
    }

    [Fact]
    public void Sheet_OfShapesApart_KeepsTheirPlaces()
    {
        var sheet = TwoOfOneCloth(50)[0];
        Assert.Equal(SheetLayout.InPlace, sheet.Layout);
        var (first, second) = (sheet.Shapes[0].Outline.Bounds().Centre, sheet.Shapes[1].Outline.Bounds().Centre);
        Assert.Equal(50, second.X - first.X, 0.001);
        Assert.Equal(Margin, sheet.Bounds().MinX, 0.001);
        Assert.Equal(Margin, sheet.Bounds().MinY, 0.001);
    }

    [Theory]
    [InlineData(10)]
    [InlineData(20.4)]
    public void Sheet_OfShapesThatWouldMeetOrNearlyTouch_PacksThem(double apart)
    {
        var sheet = TwoOfOneCloth(apart)[0];
        Assert.Equal(SheetLayout.Packed, sheet.Layout);
        Assert.True(
            RegionOverlay.Distance(sheet.Shapes[0].Outline.Flatten(0.05), sheet.Shapes[1].Outline.Flatten(0.05))
                >= SheetPlanner.LeastGap
        );
    }

    [Fact]
    public void Sheet_Mirrored_HasEveryShapeMirroredOnce()
    {
        var project = SampleProject.With(new DropShape(), 40, 40, Method.CutBeforehand);
        project = SampleProject.Apply(project, new PlaceElement { ElementId = "e1", Rotation = 40 });
        var plain = SampleProject.Evaluate(project).Sheets[0].Shapes[0].Outline.Flatten()[0];
        project = SampleProject.Apply(project, new MirrorCloth { ClothId = "beet", Lies = Lying.FaceDown });
        var mirrored = SampleProject.Evaluate(project).Sheets[0].Shapes[0].Outline.Flatten()[0];
        var width = plain.Bounds().Width + (2 * Margin);
        var index = new SegmentIndex([mirrored.Shell]);
        Assert.All(
            plain.Shell.Points,
            p =>
                Assert.InRange(
                    index.Nearest(new Point(width - p.X, p.Y), 1)?.DistanceTo(new Point(width - p.X, p.Y)) ?? 9,
                    0,
                    0.01
                )
        );
    }

    [Fact]
    public void Sheet_LargerThanTheMat_DoesNotFit()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 120, 100, Method.CutBeforehand),
            new SetMat { Width = 100, Height = 300 }
        );
        var evaluated = SampleProject.Evaluate(project);
        Assert.False(evaluated.Sheets[0].Fits);
        Assert.Contains(evaluated.Findings, finding => finding.Code == "mat-too-small");
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void Plan_OfManyPackedShapes_KeepsGapMarginAndEveryCopy(int seed)
    {
        var random = new Random(seed);
        var project = SampleProject.Empty();
        for (var i = 0; i < 14; i++)
        {
            var (width, height) = (8 + (random.NextDouble() * 90), 8 + (random.NextDouble() * 90));
            project = SampleProject.Apply(
                project,
                SampleProject.Add(
                    i % 2 == 0 ? new LeafShape() : new RectangleShape(),
                    width,
                    height,
                    Method.CutBeforehand
                )
            );
        }
        var gap = random.NextDouble() * 6;
        project = SampleProject.Apply(
            project,
            new SetSheet
            {
                ClothId = "beet",
                Layout = SheetLayout.Packed,
                Copies = 3,
                Gap = gap,
                UsableWidth = 200,
            }
        );
        var sheets = SampleProject.Evaluate(project).Sheets;
        var all = sheets.SelectMany(sheet => sheet.Shapes).ToList();
        Assert.Equal(14 * 3, all.Select(placed => (placed.Shape.Key, placed.Copy)).Distinct().Count());
        Assert.Equal(14 * 3, all.Count);
        Assert.True(sheets.Length > 1);
        Assert.Equal(Enumerable.Range(1, sheets.Length), sheets.Select(sheet => sheet.Number));
        Assert.All(sheets, sheet => Assert.Equal(sheets.Length, sheet.Count));
        foreach (var sheet in sheets)
        {
            Assert.True(sheet.Fits, $"seed {seed}");
            Assert.InRange(sheet.Bounds().MaxX, 0, Margin + 200 + 1e-6);
            var boxes = sheet.Shapes.Select(placed => placed.Outline.Bounds()).ToList();
            for (var i = 0; i < boxes.Count; i++)
            {
                Assert.All(boxes.Skip(i + 1), other => Assert.False(boxes[i].Grown(gap - 1e-6).Overlaps(other)));
            }
        }
    }

    [Fact]
    public void Plan_OfAShapeThatFitsOnlyTurned_TurnsItUnlessTheGrainMinds()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 120, 60, Method.CutBeforehand),
            new SetMat { Width = 100, Height = 200 }
        );
        var turned = SampleProject.Evaluate(project).Sheets[0];
        Assert.True(turned.Fits);
        Assert.Equal((90, 60.0), (turned.Shapes[0].Turn, Math.Round(turned.Bounds().Width, 6)));
        var oneWay = SampleProject.Evaluate(
            SampleProject.Apply(project, new SetSheet { ClothId = "beet", Grain = Grain.OneWay })
        );
        Assert.False(oneWay.Sheets[0].Fits);
        Assert.Equal(0, oneWay.Sheets[0].Shapes[0].Turn);
    }

    [Fact]
    public void Plan_OfShapesKeptTogether_KeepsTheirPlacesOnAPackedSheet()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            SampleProject.Add(new LeafShape(), 20, 40, Method.CutBeforehand),
            SampleProject.Add(new HeartShape(), 30, 30, Method.CutBeforehand) with
            {
                Box = new ElementBox(50, 12, 30, 30, 0),
            },
            SampleProject.Add(new StarShape(), 30, 30, Method.CutBeforehand) with
            {
                Box = new ElementBox(-50, -40, 30, 30, 0),
            },
            new SetSheet { ClothId = "beet", Layout = SheetLayout.Packed },
            new KeepTogether
            {
                ClothId = "beet",
                Keys = ["e1.0", "e2.0"],
                Together = true,
            }
        );
        var shapes = SampleProject
            .Evaluate(project)
            .Sheets[0]
            .Shapes.ToDictionary(placed => placed.Shape.Key, placed => placed, StringComparer.Ordinal);
        var apart = shapes["e2.0"].Outline.Bounds().Centre - shapes["e1.0"].Outline.Bounds().Centre;
        var wall = shapes["e2.0"].Shape.Bounds().Centre - shapes["e1.0"].Shape.Bounds().Centre;
        Assert.Equal(0, apart.DistanceTo(wall), 1e-6);
        Assert.Equal(shapes["e1.0"].Unit, shapes["e2.0"].Unit);
        Assert.NotEqual(shapes["e1.0"].Unit, shapes["e3.0"].Unit);
    }

    [Fact]
    public void Place_ByHand_StaysAndLeavesEverythingElseWhereItLay()
    {
        var project = SampleProject.Apply(
            TwoProject(50),
            new SetSheet { ClothId = "beet", Layout = SheetLayout.Packed }
        );
        var before = SampleProject.Evaluate(project).Sheets[0];
        var moved = SampleProject.Apply(
            project,
            new PlaceShape
            {
                ClothId = "beet",
                Key = "e2.0",
                X = 150,
                Y = 200,
            }
        );
        var after = SampleProject.Evaluate(moved).Sheets[0];
        Box At(CutSheet sheet, string key) => sheet.Shapes.First(placed => placed.Shape.Key == key).Outline.Bounds();
        Assert.Equal((150, 200), (Math.Round(At(after, "e2.0").MinX, 3), Math.Round(At(after, "e2.0").MinY, 3)));
        Assert.Equal(At(before, "e1.0").MinX, At(after, "e1.0").MinX, 0.001);
        // A new shape finds room below; what was placed stays.
        var more = SampleProject.Evaluate(
            SampleProject.Apply(moved, SampleProject.Add(new StarShape(), 30, 30, Method.CutBeforehand))
        );
        Assert.Equal(150, At(more.Sheets[0], "e2.0").MinX, 0.001);
        Assert.True(At(more.Sheets[0], "e3.0").MinY > At(more.Sheets[0], "e2.0").MaxY);
        var again = SampleProject.Evaluate(SampleProject.Apply(moved, new LayOutAgain { ClothId = "beet" }));
        Assert.Equal(At(before, "e2.0").MinX, At(again.Sheets[0], "e2.0").MinX, 1e-6);
    }

    [Fact]
    public void Place_OnTopOfAnother_IsAMeetingAndAFinding()
    {
        var project = SampleProject.Apply(
            TwoProject(50),
            new SetSheet { ClothId = "beet", Layout = SheetLayout.Packed },
            new PlaceShape
            {
                ClothId = "beet",
                Key = "e2.0",
                X = 14,
                Y = 12,
            }
        );
        var evaluated = SampleProject.Evaluate(project);
        Assert.Equal(new Meeting(0, 1), Assert.Single(evaluated.Sheets[0].Meetings));
        Assert.Contains(evaluated.Findings, finding => finding.Code == "cut-shapes-meet");
    }

    [Fact]
    public void Place_OnAnotherSheet_MakesIt_AndAnEmptiedSheetGoes()
    {
        var project = SampleProject.Apply(
            TwoProject(50),
            new SetSheet { ClothId = "beet", Layout = SheetLayout.Packed }
        );
        Project To(Project before, string key, int sheet) =>
            SampleProject.Apply(
                before,
                new PlaceShape
                {
                    ClothId = "beet",
                    Key = key,
                    Sheet = sheet,
                }
            );
        var two = To(project, "e2.0", 2);
        var sheets = SampleProject.Evaluate(two).Sheets;
        Assert.Equal([(1, 2), (2, 2)], sheets.Select(sheet => (sheet.Number, sheet.Count)));
        Assert.Equal("e2.0", Assert.Single(sheets[1].Shapes).Shape.Key);
        var one = SampleProject.Evaluate(To(two, "e1.0", 2)).Sheets;
        Assert.Equal((1, 1, 2), (one.Single().Number, one.Single().Count, one.Single().Shapes.Length));
    }

    [Fact]
    public void Turn_ByHand_TurnsAboutTheMiddleAndObeysTheGrain()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new LeafShape(), 20, 60, Method.CutBeforehand),
            new PlaceShape
            {
                ClothId = "beet",
                Key = "e1.0",
                X = 100,
                Y = 100,
            }
        );
        var turn = new PlaceShape
        {
            ClothId = "beet",
            Key = "e1.0",
            Turn = 90,
        };
        var placed = SampleProject.Evaluate(SampleProject.Apply(project, turn)).Sheets[0].Shapes[0];
        Assert.Equal((90, 60.0), (placed.Turn, Math.Round(placed.Outline.Bounds().Width, 3)));
        Assert.Equal(0, placed.Outline.Bounds().Centre.DistanceTo(new Point(110, 130)), 0.002);
        Assert.Equal(0, placed.Map.Apply(placed.Shape.Bounds().Centre).DistanceTo(new Point(110, 130)), 0.002);
        var grained = SampleProject.Apply(project, new SetSheet { ClothId = "beet", Grain = Grain.TwoWays });
        Assert.Equal("grain-against", SampleProject.Refused(grained, turn).Code);
        SampleProject.Apply(grained, turn with { Turn = 180 });
    }

    [Fact]
    public void Sheet_OfManyShapes_FindsEveryMeetingThatAPlainLookFinds()
    {
        var project = SampleProject.Empty();
        var random = new Random(5);
        for (var i = 0; i < 30; i++)
        {
            project = SampleProject.Apply(
                project,
                SampleProject.Add(new EllipseShape(), 14, 14, Method.CutBeforehand) with
                {
                    Box = new ElementBox(random.Next(-90, 90), random.Next(-90, 90), 14, 14, 0),
                }
            );
        }
        project = SampleProject.Apply(project, new SetSheet { ClothId = "beet", Layout = SheetLayout.InPlace });
        var sheet = SampleProject.Evaluate(project).Sheets[0];
        var plain =
            from i in Enumerable.Range(0, 30)
            from j in Enumerable.Range(i + 1, 29 - i)
            let apart = RegionOverlay.Distance(
                sheet.Shapes[i].Outline.Flatten(0.05),
                sheet.Shapes[j].Outline.Flatten(0.05)
            )
            where apart < SheetPlanner.LeastGap
            select new Meeting(i, j);
        Assert.NotEmpty(sheet.Meetings);
        Assert.Equal(plain.ToHashSet(), sheet.Meetings.ToHashSet());
    }

    [Fact]
    public void Mat_OfOneCloth_LeavesTheOthersTheirs()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new LeafShape(), 20, 40, Method.CutBeforehand),
            SampleProject.Add(new LeafShape(), 20, 40, Method.CutBeforehand, "felt"),
            new SetMat
            {
                ClothId = "felt",
                Width = 152,
                Height = 305,
                Margin = 4,
            }
        );
        var sheets = SampleProject.Evaluate(project).Sheets;
        Assert.Equal((305, 10), (sheets[0].MatWidth, sheets[0].Setup.Mat.Margin));
        Assert.Equal((152, 4), (sheets[1].MatWidth, sheets[1].Setup.Mat.Margin));
        Assert.Equal(4, sheets[1].Bounds().MinX, 0.001);
        var shared = SampleProject.Evaluate(SampleProject.Apply(project, new ShareMat { ClothId = "felt" })).Sheets;
        Assert.Equal((305, 10), (shared[1].MatWidth, shared[1].Setup.Mat.Margin));
    }

    private static Project TwoProject(double apart) =>
        SampleProject.Apply(
            SampleProject.Empty(),
            SampleProject.Add(new LeafShape(), 20, 40, Method.CutBeforehand),
            SampleProject.Add(new LeafShape(), 20, 40, Method.CutBeforehand) with
            {
                Box = new ElementBox(apart, 3, 20, 40, 0),
            }
        );

    private static System.Collections.Immutable.ImmutableArray<CutSheet> TwoOfOneCloth(double apart) =>
        SampleProject.Evaluate(TwoProject(apart)).Sheets;
}
