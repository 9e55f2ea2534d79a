using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Applique;

public sealed class OpenEdgeTests
{
    [Fact]
    public void ALowerPiece_GetsNoCoverUnderAnUpperOne_ButForTheTuck()
    {
        var evaluated = SampleProject.Evaluate(Overlapping());
        var cover = Needles(evaluated, "e1", "cover");
        // The upper piece begins at x = 10; the lower cover goes on under it by 1.5 and not further.
        Assert.InRange(cover.Max(place => place.X), 11, 10 + 1.5 + 0.5);
        Assert.InRange(cover.Min(place => place.X), -32, -31);
        // The upper one is covered all round.
        Assert.InRange(Needles(evaluated, "e2", "cover").Min(place => place.X), 8, 9);
    }

    [Fact]
    public void ALowerPiece_GoesOnUnderAnUpperOne_ByTheUnderlapAlone()
    {
        var evaluated = SampleProject.Evaluate(Overlapping());
        var work = evaluated.PiecesOf("e1").Single();
        Assert.Equal(15, work.Outline.Bounds().MaxX, 0.02);
        Assert.Equal(30, work.Edge.Bounds().MaxX, 0.001);
        var cut = evaluated.Sheets.SelectMany(sheet => sheet.Shapes).Single(placed => placed.Shape.ElementId == "e1");
        Assert.Equal(45, cut.Shape.Bounds().Width, 0.02);
        // Placement and tack-down keep to the cloth as it is laid.
        Assert.InRange(Needles(evaluated, "e1", "placement").Max(place => place.X), 14.9, 15.1);
    }

    [Fact]
    public void TheStack_DecidesWhichEdgeIsCovered()
    {
        var turned = SampleProject.Apply(Overlapping(), new RestackElement { ElementId = "e1", Place = 1 });
        var evaluated = SampleProject.Evaluate(turned);
        Assert.Null(evaluated.PiecesOf("e1").Single().Visible);
        Assert.Contains(evaluated.PiecesOf("e2").Single().Stretches, stretch => stretch.IsCovered);
        Assert.True(Needles(evaluated, "e1", "cover").Max(place => place.X) > 30);
    }

    [Fact]
    public void APieceInTheMiddleOfAnother_LeavesItWhole()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 100, 100),
            SampleProject.Add(new HeartShape(), 30, 30)
        );
        var lower = SampleProject.Evaluate(project).PiecesOf("e1").Single();
        Assert.Same(lower.Edge, lower.Outline);
        Assert.Null(lower.Visible);
    }

    [Fact]
    public void APieceWhollyUnderAnother_IsNamed()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape(), 30, 30),
            SampleProject.Add(new EllipseShape(), 100, 100)
        );
        var evaluated = SampleProject.Evaluate(project);
        Assert.Contains(evaluated.Findings, finding => finding is { Code: "piece-buried", ElementId: "e1" });
        Assert.DoesNotContain(evaluated.RunSheet.Steps, step => step.Key.ToString() == "e1.cover.0");
    }

    [Fact]
    public void AStretch_IsFlippedByHand_AndBack()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 60, 40),
            new TouchEdge
            {
                ElementId = "e1",
                X = 0,
                Y = -20,
                IsCovered = true,
            }
        );
        var evaluated = SampleProject.Evaluate(project);
        var stretches = evaluated.PiecesOf("e1").Single().Stretches;
        Assert.Equal(4, stretches.Length);
        Assert.Equal(-20, Assert.Single(stretches, stretch => stretch.IsCovered).Middle.Y, 0.01);
        Assert.True(Needles(evaluated, "e1", "cover").Where(place => Math.Abs(place.X) < 20).Min(place => place.Y) > 0);
        // The touch goes with the piece when it is moved and made larger.
        var moved = project.With(project.Elements[0] with { Box = new ElementBox(50, 10, 120, 30, 90) });
        var right = SampleProject
            .Evaluate(moved)
            .PiecesOf("e1")
            .Single()
            .Stretches.Single(stretch => stretch.IsCovered);
        Assert.Equal(65, right.Middle.X, 0.01);
        var back = SampleProject.Apply(
            project,
            new TouchEdge
            {
                ElementId = "e1",
                X = 0,
                Y = -20,
            }
        );
        Assert.Null(SampleProject.Evaluate(back).PiecesOf("e1").Single().Visible);
    }

    [Fact]
    public void AnUpperStretchLaidOpen_IsCoveredAgain()
    {
        var covered = SampleProject
            .Evaluate(Overlapping())
            .PiecesOf("e1")
            .Single()
            .Stretches.First(each => each.IsCovered);
        var opened = SampleProject.Apply(
            Overlapping(),
            new TouchEdge
            {
                ElementId = "e1",
                X = covered.Middle.X,
                Y = covered.Middle.Y,
                IsCovered = false,
            }
        );
        var before = Needles(SampleProject.Evaluate(Overlapping()), "e1", "cover").Count;
        Assert.True(Needles(SampleProject.Evaluate(opened), "e1", "cover").Count > before);
    }

    [Fact]
    public void OpenCovers_OnSeededPairs_StayInTheirBandAndOutOfTheUpperPiece()
    {
        for (var seed = 0; seed < 25; seed++)
        {
            var random = new Random(seed);
            var project = SampleProject.Apply(
                SampleProject.With(new EllipseShape(), 50 + random.Next(30), 40 + random.Next(30)),
                SampleProject.Add(new StarShape(5, 0.5), 40 + random.Next(20), 40 + random.Next(20)),
                new MoveElements
                {
                    ElementIds = ["e2"],
                    X = random.Next(-30, 30),
                    Y = random.Next(-30, 30),
                }
            );
            var evaluated = SampleProject.Evaluate(project);
            var (edge, upper) = (Plane.DistanceFrom(Plane.EdgeOf(evaluated.Outlines["e1"])), evaluated.Outlines["e2"]);
            var deep = Plane.Of(OutlineOffset.By(upper, -1.5 - 2.4));
            var inDeep = deep.IsEmpty ? _ => double.MaxValue : Plane.DistanceFrom(deep);
            var key = new StepKey("e1", "cover", 0);
            if (!evaluated.Stitches.TryGetValue(key, out var stitches))
            {
                continue;
            }
            foreach (var place in stitches.Runs.SelectMany(run => run.Points))
            {
                Assert.True(edge(place) <= 2.3 + 0.1, $"Seed {seed}: {place} is {edge(place)} from the edge");
                Assert.True(inDeep(place) > 0, $"Seed {seed}: {place} lies deep under the upper piece");
            }
        }
    }

    [Fact]
    public void Split_SewsTheSharedEdgeOnce_InTwoCloths()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 60, 40, Method.CutBeforehand),
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Split { RightClothId = "felt" },
            }
        );
        var evaluated = SampleProject.Evaluate(project);
        Assert.Equal(["felt", "beet"], evaluated.PiecesOf("e1").Select(work => work.Cloth.Id));
        Assert.Equal([5 + 30, 30], evaluated.PiecesOf("e1").Select(work => Math.Round(work.Outline.Bounds().Width, 1)));
        var (right, left) = (Needles(evaluated, "e1", "cover", 1000), Needles(evaluated, "e1", "cover"));
        Assert.Contains(left, place => Math.Abs(place.X) < 1 && Math.Abs(place.Y) < 5);
        Assert.DoesNotContain(right, place => Math.Abs(place.X) < 3 && Math.Abs(place.Y) < 15);
        Assert.Equal(["beet", "felt"], evaluated.Sheets.Select(sheet => sheet.Cloth.Id));
    }

    /// <summary>A rectangle from -30 to 30, and one on top of it from 10 to 70, both 40 high but for the upper one's 60.</summary>
    private static Project Overlapping() =>
        SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 60, 40, Method.CutBeforehand),
            SampleProject.Add(new RectangleShape(), 60, 60, Method.CutBeforehand),
            new MoveElements
            {
                ElementIds = ["e2"],
                X = 40,
                Y = 0,
            }
        );

    private static List<Point> Needles(Evaluated evaluated, string element, string role, int ordinal = 0) =>
        [
            .. evaluated
                .Program.Steps.OfType<ProgramStitches>()
                .Where(step => step.Key.OwnerId == element && step.Role == role && step.Key.Ordinal == ordinal)
                .SelectMany(step => step.Commands)
                .Select(command => command.At),
        ];
}
