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

    private static System.Collections.Immutable.ImmutableArray<CutSheet> TwoOfOneCloth(double apart) =>
        SampleProject
            .Evaluate(
                SampleProject.Apply(
                    SampleProject.Empty(),
                    SampleProject.Add(new LeafShape(), 20, 40, Method.CutBeforehand),
                    SampleProject.Add(new LeafShape(), 20, 40, Method.CutBeforehand) with
                    {
                        Box = new ElementBox(apart, 3, 20, 40, 0),
                    }
                )
            )
            .Sheets;
}
