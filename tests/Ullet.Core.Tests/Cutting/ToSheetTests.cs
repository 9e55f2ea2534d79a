using System.Collections.Immutable;
using Ullet.Core.Cutting;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Cutting;

/// <summary>Chosen shapes, and only those, go to another sheet and lie free there.</summary>
public sealed class ToSheetTests
{
    [Theory]
    [InlineData(SheetLayout.InPlace)]
    [InlineData(SheetLayout.Packed)]
    public void OnlyTheChosenShape_Goes_AndTheOthersStay(SheetLayout layout)
    {
        var project = Three(layout, copies: 2);
        var before = Sheets(project);
        var moved = SampleProject.Apply(project, To(new MatShape("e2.0", 1)));
        var after = Sheets(moved);
        Assert.Equal(before.Length + 1, after.Length);
        Assert.Equal(("e2.0", 1), (after[^1].Shapes.Single().Shape.Key, after[^1].Shapes.Single().Copy));
        foreach (var stayed in after[..^1].SelectMany(sheet => sheet.Shapes))
        {
            var was = before
                .SelectMany(sheet => sheet.Shapes)
                .Single(each => (each.Shape.Key, each.Copy) == (stayed.Shape.Key, stayed.Copy));
            Assert.Equal(was.Outline.Bounds().MinX, stayed.Outline.Bounds().MinX, 0.01);
            Assert.Equal(was.Outline.Bounds().MinY, stayed.Outline.Bounds().MinY, 0.01);
        }
    }

    [Fact]
    public void BroughtBack_ItLiesFreeOfAllOthers()
    {
        var project = SampleProject.Apply(
            Three(SheetLayout.InPlace, copies: 1),
            To(new MatShape("e1.0", 0)),
            new ToSheet
            {
                ClothId = "beet",
                Shapes = [new MatShape("e1.0", 0)],
                Sheet = 1,
            }
        );
        var sheet = Assert.Single(Sheets(project));
        Assert.Empty(sheet.Meetings);
        Assert.True(sheet.Fits);
        Assert.Equal(3, sheet.Shapes.Length);
    }

    [Fact]
    public void WhereThereIsNoRoom_ItSaysSo()
    {
        var project = SampleProject.Apply(
            Three(SheetLayout.Packed, copies: 1),
            new SetMat
            {
                ClothId = "beet",
                Width = 130,
                Height = 80,
                Margin = 5,
            }
        );
        var (first, second) = (Sheets(project)[0], Sheets(project)[1]);
        var shape = second.Shapes[0];
        var refused = new ToSheet
        {
            ClothId = "beet",
            Shapes = [new MatShape(shape.Shape.Key, shape.Copy)],
            Sheet = first.Number,
        }.Apply(project, SampleProject.Context);
        Assert.Equal("sheet-full", refused.Refusal?.Code);
    }

    [Theory]
    [InlineData("e9.0", 2, "shape-unknown")]
    [InlineData("e1.0", 7, "sheet-unknown")]
    public void WhatIsNotThere_IsRefused(string key, int sheet, string code) =>
        Assert.Equal(
            code,
            new ToSheet
            {
                ClothId = "beet",
                Shapes = [new MatShape(key, 0)],
                Sheet = sheet,
            }
                .Apply(Three(SheetLayout.InPlace, copies: 1), SampleProject.Context)
                .Refusal!.Code
        );

    [Fact]
    public void CutOnly_GivesShapesWithoutAStitch_LettersWithTheirCounters()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new AddWords
            {
                Text = "Ho",
                FontId = BlockFonts.Id,
                CapHeight = 40,
                ClothId = "felt",
            },
            new SetMaking { ElementId = "e1", Kind = "cutOnly" }
        );
        var evaluated = SampleProject.Evaluate(project);
        Assert.Equal(0, evaluated.Program.StitchCount);
        var sheet = Assert.Single(evaluated.Sheets);
        Assert.Equal("felt", sheet.Cloth.Id);
        Assert.Equal(["Ho, H", "Ho, o"], sheet.Shapes.Select(placed => placed.Shape.Name));
        Assert.All(
            sheet.Shapes,
            placed => Assert.Equal(("counter", CutKind.Only), (placed.Shape.HoleName, placed.Shape.Kind))
        );
        Assert.Equal(40, sheet.Shapes[0].Outline.Bounds().Height, 0.01);
        Assert.DoesNotContain(evaluated.Findings, finding => finding.Code is "layer-not-sewn" or "hole-too-small");
        var back = SampleProject.Apply(project, new SetMaking { ElementId = "e1", Kind = "cloth" });
        Assert.Equal("felt", back.Find("e1")!.MadeAs<ClothMaking>()!.ClothId);
    }

    [Fact]
    public void ATinyRing_HasItsCrossWhereMostIsCutRoundIt()
    {
        var shapes = SampleProject.Evaluate(SampleProject.With(new CrescentShape(), 60, 60, Method.CutBeforehand)).Cuts;
        var cross = PieceMarks.Cross(shapes[0]).First().Curves[0];
        var middle = (cross.Start + cross.End) * 0.5;
        var region = shapes[0].Outline.Flatten();
        Assert.True(RegionOverlay.DistanceToRings(region, middle) > 8);
    }

    private static ToSheet To(params ImmutableArray<MatShape> shapes) => new() { ClothId = "beet", Shapes = shapes };

    private static ImmutableArray<CutSheet> Sheets(Project project) =>
        [.. SampleProject.Evaluate(project).Sheets.Where(sheet => sheet.Cloth.Id == "beet")];

    private static Project Three(SheetLayout layout, int copies) =>
        SampleProject.Apply(
            SampleProject.Empty(),
            Piece(new HeartShape(), -30, -40),
            Piece(new LeafShape(), 30, -40),
            Piece(new StarShape(), 0, 40),
            new SetSheet
            {
                ClothId = "beet",
                Layout = layout,
                Copies = copies,
            }
        );

    private static AddPiece Piece(ShapeSource shape, double x, double y) =>
        new()
        {
            Shape = shape,
            Box = new ElementBox(x, y, 50, 50, 0),
            ClothId = "beet",
            Method = Method.CutBeforehand,
        };
}
