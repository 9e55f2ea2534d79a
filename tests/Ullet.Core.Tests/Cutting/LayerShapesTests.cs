using Ullet.Core.Cutting;
using Ullet.Core.Edits;
using Ullet.Core.Patterns;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Cutting;

public sealed class LayerShapesTests
{
    public static TheoryData<string> Ids => [.. PatternShelf.All.Select(pattern => pattern.Id)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void EveryNeed_OfAPattern_IsACutShapeOfItsSize(string id)
    {
        var project = PatternSamples.Make(id);
        var plan = PatternShelf.PlanOf(project)!;
        var layers = SampleProject.Evaluate(project).Cuts.Where(shape => shape.Kind == CutKind.Layer).ToList();
        var needs = plan.Cloths.Where(need => need.Width > 0).ToList();
        Assert.NotEmpty(needs);
        Assert.Equal(needs.Select(need => need.ShapeId), layers.Select(shape => shape.ElementId));
        Assert.All(
            needs.Zip(layers),
            pair =>
            {
                Assert.Equal(pair.First.Width, pair.Second.Bounds().Width, 1e-6);
                Assert.Equal(pair.First.Height, pair.Second.Bounds().Height, 1e-6);
                Assert.Equal(pair.First.Cloth.Id, pair.Second.ClothId);
            }
        );
        Assert.Equal(layers.Count, layers.Select(shape => shape.Key).Distinct().Count());
    }

    [Fact]
    public void Panel_OfAPouch_HasItsFoldAtTheZipAndItsSeamInside()
    {
        var project = PatternSamples.Make("zip-pouch");
        var cloth = project.Cloths.First(each => each.Id == "p-front");
        project = SampleProject.Apply(project, new SetSheet { ClothId = cloth.Id, Marks = new CutMarks(Seams: true) });
        var front = SampleProject.Evaluate(project).Sheets.First(sheet => sheet.Cloth.Id == cloth.Id).Shapes[0];
        var box = front.Outline.Bounds();
        var fold = Assert.Single(front.Lines, line => line.Role == CutRole.Score);
        Assert.Equal(6, Math.Abs(fold.Curves[0].Start.Y - box.MinY), 1e-6);
        Assert.Equal(box.Width, Math.Abs(fold.Curves[0].End.X - fold.Curves[0].Start.X), 1e-6);
        var seam = Assert.Single(front.Lines, line => line.Name == "closing seam");
        Assert.All(seam.Curves, curve => Assert.InRange(curve.End.X, box.MinX + 12.9, box.MaxX - 12.9));
        Assert.Equal(13, box.MaxY - seam.Curves.Max(curve => curve.End.Y), 1e-6);
    }

    [Fact]
    public void Patch_OfAPattern_HasNoTemplateBesideItsLayer()
    {
        var evaluated = SampleProject.Evaluate(PatternSamples.Make("harvest-patch"));
        Assert.DoesNotContain(evaluated.Cuts, shape => shape.ElementId == "p-patch");
        Assert.Contains(evaluated.Cuts, shape => shape.Name == "patch");
    }

    [Fact]
    public void Scissors_PutEverythingOnPaperWithEveryMark()
    {
        var project = PatternSamples.Make("zip-pouch");
        var evaluated = SampleProject.Evaluate(project);
        var sheets = ScissorsPlan.Of(project, evaluated.Cuts, 182, 269);
        var shapes = sheets.SelectMany(sheet => sheet.Shapes).ToList();
        Assert.Equal(
            evaluated.Cuts.Select(shape => shape.Key).Order(StringComparer.Ordinal),
            shapes.Select(placed => placed.Shape.Key).Order(StringComparer.Ordinal)
        );
        Assert.All(shapes, placed => Assert.Contains(placed.Lines, line => line.Name == "label"));
        Assert.Contains(shapes, placed => placed.Lines.Any(line => line.Role == CutRole.Score));
    }
}
