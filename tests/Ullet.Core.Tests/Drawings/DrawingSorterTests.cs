using System.Collections.Immutable;
using Ullet.Core.Drawings;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Drawings;

public sealed class DrawingSorterTests
{
    private static readonly Contour Bow = Contour.Polygon([new(0, 0), new(20, 20), new(20, 0), new(0, 20)]);

    [Fact]
    public void Sort_OfOutlinesWithoutFilling_MakesInnerOnesHoles_UnlessAskedNotTo()
    {
        var drawing = Drawing(Path(false, Square(0, 40)), Path(false, Square(10, 20)), Path(false, Square(14, 8)));
        var sorted = DrawingSorter.Sort(drawing, new DrawingWish(1));
        Assert.Equal([1, 0], sorted.Pieces.Select(piece => piece.Outline.Holes.Length));
        var apart = DrawingSorter.Sort(drawing, new DrawingWish(1, InnerAreHoles: false));
        Assert.Equal(3, apart.Pieces.Length);
    }

    [Fact]
    public void Sort_OfFilledForms_TellsHolesFromWhatIsLaidOnTop()
    {
        var (outer, inner) = (Path(true, Square(0, 40)), Path(true, Square(10, 20)));
        // Red in red can't be seen: it is a hole. Straw on red is a piece of its own.
        var same = DrawingSorter.Sort(Drawing(outer, inner), new DrawingWish(1));
        Assert.Equal([1], same.Pieces.Select(piece => piece.Outline.Holes.Length));
        var other = DrawingSorter.Sort(Drawing(outer, inner with { Fill = "straw" }), new DrawingWish(1));
        Assert.Equal([0, 0], other.Pieces.Select(piece => piece.Outline.Holes.Length));
    }

    [Fact]
    public void Sort_OfALineThatCrossesItself_CountsIt_AndFollowsTheWish()
    {
        var star = Contour.Polygon([
            .. Enumerable
                .Range(0, 5)
                .Select(i => new Point(30 * Math.Sin(0.8 * Math.PI * i), -30 * Math.Cos(0.8 * Math.PI * i))),
        ]);
        var drawing = Drawing(Path(true, star));
        Assert.Equal(1, DrawingSorter.Sort(drawing, new DrawingWish(1)).Crossing);
        Assert.Single(DrawingSorter.Sort(drawing, new DrawingWish(1, FillRule.NonZero)).Pieces);
        Assert.Equal(5, DrawingSorter.Sort(drawing, new DrawingWish(1, FillRule.EvenOdd)).Pieces.Length);
    }

    [Fact]
    public void Sort_LeavesOutDust_AndCountsIt()
    {
        var sorted = DrawingSorter.Sort(
            Drawing(Path(true, Square(0, 40)), Path(true, Square(0, 0.5))),
            new DrawingWish(1)
        );
        Assert.Equal(1, sorted.TooSmall);
        Assert.Single(sorted.Pieces);
    }

    [Fact]
    public void AddDrawing_KeepsPlacesAndSizes_AsOneGroup()
    {
        var line = new OpenPath([Curve.Line(new(0, 60), new(40, 60))]);
        var drawing = Drawing(
            Path(true, Square(0, 40)),
            Path(true, Bow),
            new DrawnPath("stem", [], [line], FillRule.NonZero, null)
        );
        var project = Add(
            drawing,
            new AddDrawing
            {
                Token = "t",
                MmPerUnit = 1.5,
                Name = "leafy",
            }
        );
        Assert.Equal(["leafy 1", "leafy 2", "leafy 3", "stem"], project.Elements.Select(element => element.Name));
        Assert.NotNull(Assert.Single(project.Elements.Select(element => element.GroupId).Distinct()));
        var all = project.Elements.Select(element => SampleProject.Context.Evaluator.OutlineOf(element).Bounds());
        var box = all.Aggregate(Box.Empty, (sum, each) => sum.Union(each));
        Assert.Equal(60, box.Width, 1e-9);
        Assert.Equal(90, box.Height, 1e-9);
        Assert.Equal(0, box.Centre.X, 1e-9);
        var stem = project.Elements[3];
        Assert.IsType<LineMaking>(stem.Making);
        Assert.Equal((60, 0), (Math.Round(stem.Box.Width, 6), Math.Round(stem.Box.Height, 6)));
        Assert.Single(SampleProject.Evaluate(project).Program.Steps, step => step.Key.OwnerId == stem.Id);
    }

    [Fact]
    public void AddDrawing_ByAWidth_CorrectsEverything()
    {
        var project = Add(Drawing(Path(true, Square(0, 40))), new AddDrawing { Token = "t", Width = 98.4 });
        Assert.Equal(98.4, project.Elements[0].Box.Width, 1e-9);
        Assert.Equal(98.4, project.Elements[0].Box.Height, 1e-9);
    }

    [Fact]
    public void AddDrawing_WithoutASize_Asks()
    {
        string? Code(Drawing drawing, AddDrawing edit) =>
            edit.Apply(SampleProject.Empty(), Context(drawing)).Refusal?.Code;
        var drawing = Drawing(Path(true, Square(0, 40)));
        Assert.Equal("units-missing", Code(drawing, new AddDrawing { Token = "t" }));
        Assert.Equal("import-unknown", Code(drawing, new AddDrawing { Token = "other", Width = 9 }));
        Assert.Equal("number-out-of-range", Code(drawing, new AddDrawing { Token = "t", Width = 0 }));
        Assert.Equal("drawing-empty", Code(drawing, new AddDrawing { Token = "t", MmPerUnit = 0.001 }));
        Assert.Equal("number-out-of-range", Code(drawing, new AddDrawing { Token = "t", MmPerUnit = 100 }));
    }

    private static Project Add(Drawing drawing, AddDrawing edit) =>
        edit.Apply(SampleProject.Empty(), Context(drawing)).Value;

    private static EditContext Context(Drawing drawing) => SampleProject.Context with { Imports = new One(drawing) };

    private static Drawing Drawing(params ImmutableArray<DrawnPath> paths) => new(paths, null, []);

    private static DrawnPath Path(bool isFilled, params ImmutableArray<Contour> closed) =>
        new(null, closed, [], FillRule.NonZero, isFilled ? "red" : null);

    private static Contour Square(double at, double side) =>
        Contour.Polygon([new(at, at), new(at + side, at), new(at + side, at + side), new(at, at + side)]);

    private sealed class One(Drawing drawing) : IImportedDrawings
    {
        public Drawing? Find(string token) => token == "t" ? drawing : null;
    }
}
