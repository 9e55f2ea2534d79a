using Ullet.Core.Cutting;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Cutting;

public sealed class CutMarksTests
{
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    public void Marks_OfRandomShapes_LieInsideThem(int seed)
    {
        var random = new Random(seed);
        ShapeSource[] forms =
        [
            new LeafShape(),
            new CrescentShape(0.3),
            new StarShape(),
            new HeartShape(),
            new DropShape(),
        ];
        var project = SampleProject.Empty();
        for (var i = 0; i < 10; i++)
        {
            var size = 15 + (random.NextDouble() * 60);
            project = SampleProject.Apply(
                project,
                SampleProject.Add(forms[i % forms.Length], size, size, Method.CutBeforehand) with
                {
                    Box = new ElementBox(random.Next(-50, 50), random.Next(-50, 50), size, size, random.Next(360)),
                }
            );
        }
        project = SampleProject.Apply(
            project,
            new SetSheet
            {
                ClothId = "beet",
                Layout = SheetLayout.Packed,
                Marks = CutMarks.All,
            }
        );
        var marked = SampleProject.Evaluate(project).Sheets.SelectMany(sheet => sheet.Shapes).ToList();
        Assert.Contains(marked, placed => placed.Lines.Any(line => line.Name == "label"));
        foreach (var placed in marked)
        {
            var area = new AreaIndex(OutlineOffset.By(placed.Outline, 0.05));
            Assert.All(
                placed.Lines.SelectMany(line => line.Curves),
                curve => Assert.True(area.Holds(curve.Start) && area.Holds(curve.End), $"seed {seed}")
            );
        }
    }

    [Fact]
    public void Label_OnAMirroredSheet_ReadsTheSameWay()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 80, 40, Method.CutBeforehand),
            new RenameElement { ElementId = "e1", Name = "Fern" },
            new SetSheet { ClothId = "beet", Marks = new CutMarks(Labels: true) }
        );
        var plain = Label(project);
        var mirrored = Label(SampleProject.Apply(project, new MirrorCloth { ClothId = "beet", Lies = Lying.PaperUp }));
        Assert.Equal(plain.Count, mirrored.Count);
        // The stroke down of F stands left of its arms in both.
        Assert.All(new[] { plain, mirrored }, label => Assert.True(label[0].Start.X > label[0].End.X));
    }

    [Fact]
    public void Matches_OfTwoPiecesThatCross_LieOnBothEdges()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            SampleProject.Add(new EllipseShape(), 50, 50, Method.CutBeforehand),
            SampleProject.Add(new EllipseShape(), 50, 50, Method.CutBeforehand, "felt") with
            {
                Box = new ElementBox(30, 0, 50, 50, 0),
            },
            new SetSheet { ClothId = "beet", Marks = new CutMarks(Matches: true) },
            new SetSheet { ClothId = "felt", Marks = new CutMarks(Matches: true) }
        );
        foreach (var sheet in SampleProject.Evaluate(project).Sheets)
        {
            var placed = sheet.Shapes[0];
            var ticks = placed.Lines.Where(line => line.Name == "match").ToList();
            Assert.Equal(2, ticks.Count);
            Assert.All(
                ticks,
                tick =>
                {
                    Assert.Equal(0, placed.Outline.DistanceToEdge(tick.Curves[0].Start), 0.03);
                    Assert.Equal(3, placed.Outline.DistanceToEdge(tick.Curves[0].End), 0.3);
                }
            );
        }
    }

    [Fact]
    public void Strokes_OfText_AreAsWideAndHighAsSaid()
    {
        const string Text = "Kürbis 4, left";
        var box = StrokeLetters
            .Strokes(Text, 10, 20, 5)
            .SelectMany(stroke => stroke)
            .Aggregate(Box.Empty, (all, curve) => all.Union(curve.Bounds()));
        Assert.Equal(StrokeLetters.WidthOf(Text, 5), box.Width, 1e-6);
        Assert.Equal((10, 20, 5), (Math.Round(box.MinX, 6), Math.Round(box.MinY, 6), Math.Round(box.Height, 6)));
        Assert.Equal(StrokeLetters.WidthOf("KURBIS", 5), StrokeLetters.WidthOf("kürbis", 5), 1e-9);
        Assert.Equal(0, StrokeLetters.WidthOf("", 5));
    }

    private static List<Curve> Label(Project project) =>
        [
            .. SampleProject
                .Evaluate(project)
                .Sheets[0]
                .Shapes[0]
                .Lines.Where(line => line.Name == "label")
                .SelectMany(line => line.Curves),
        ];
}
