using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Outlines;

public sealed class OperationStationTests
{
    private static readonly ElementBox Box = new(0, 0, 60, 60, 0);

    [Fact]
    public void Carve_OnSeededCases_KeepsTheGapBetweenEdges()
    {
        var near = Enumerable
            .Range(0, 1000)
            .AsParallel()
            .Where(seed =>
            {
                var (a, b) = RandomOutlines.Pair(seed);
                var (reveal, corners) = (0.5 + (seed % 5), seed % 2 == 0 ? CornerStyle.Round : CornerStyle.Sharp);
                var carved = Do(a, new Carve { SourceIds = ["b"] }, OutlineOffset.By(b, reveal, corners)).Outline.Whole;
                return !carved.IsEmpty && Plane.Of(carved).Distance(Plane.Of(b)) < reveal - 0.02;
            })
            .Order();
        Assert.Empty(near);
    }

    [Fact]
    public void Operations_ThatAreIdempotent_ChangeNothingTheSecondTime()
    {
        Operation[] all =
        [
            new Carve { SourceIds = ["b"] },
            new Join { SourceIds = ["b"] },
            new KeepOverlap { SourceIds = ["b"] },
            new RoundCorners { Radius = 3 },
            new ClearCrumbs(),
            new BridgeNecks(),
        ];
        for (var seed = 0; seed < 60; seed++)
        {
            var (a, b) = RandomOutlines.Pair(seed);
            foreach (var operation in all)
            {
                var once = Do(a, operation, b);
                if (once.State is OperationState.Done)
                {
                    var twice = Do(once.Outline.Whole, operation, b);
                    Assert.True(twice.State == OperationState.Idle, $"Seed {seed}: {operation.GetType().Name}");
                    Assert.Same(once.Outline.Whole, twice.Outline.Whole);
                }
            }
        }
    }

    [Fact]
    public void RepeatRound_OfAPetal_JoinsCopiesThatOverlap_AndKeepsThoseThatStandApart()
    {
        var petal = Generated(new LeafShape(), 14, 24);
        var flower = Do(petal, new RepeatRound { Count = 6, CentreY = 10 }).Outline.Whole;
        Assert.Single(flower.Parts);
        var apart = Do(petal, new RepeatRound { Count = 6, CentreY = 40 }).Outline.Whole;
        Assert.Equal(6, apart.Parts.Length);
        Assert.Equal(6 * Plane.Area(petal), Plane.Area(apart), 0.1);
        Assert.Equal(6 * petal.NodeCount, apart.NodeCount);
        var upright = Do(
            petal,
            new RepeatRound
            {
                Count = 4,
                CentreY = 60,
                Sweep = 90,
                Turns = false,
            }
        ).Outline.Whole;
        Assert.All(upright.Parts, part => Assert.Equal(24, part.Shell.Bounds().Height, 0.01));
        Assert.Equal(
            new Point(60, 60),
            upright.Parts.Select(part => part.Shell.Bounds().Centre).MaxBy(p => p.X).Rounded(0.01)
        );
    }

    [Fact]
    public void RepeatInLine_GoesByTheStep_OrAlongALineFromEndToEnd()
    {
        var dot = Generated(new EllipseShape(), 6, 6);
        var row = Do(
            dot,
            new RepeatInLine
            {
                Count = 5,
                StepX = 10,
                StepY = 2,
            }
        ).Outline.Whole;
        Assert.Equal(5, row.Parts.Length);
        Assert.Equal((46, 14), (Math.Round(row.Bounds().Width, 3), Math.Round(row.Bounds().Height, 3)));
        var line = new Outline([]) { Lines = [new OpenPath([Curve.Line(new(-50, 20), new(50, 20))])] };
        var along = Do(dot, new RepeatInLine { Count = 3, LineId = "l" }, line).Outline.Whole;
        Assert.Equal([-50, 0, 50], along.Parts.Select(part => Math.Round(part.Shell.Bounds().Centre.X, 3)).Order());
        Assert.All(along.Parts, part => Assert.Equal(20, part.Shell.Bounds().Centre.Y, 1e-6));
    }

    [Fact]
    public void Mirror_PutsTheImageBeyondTheAxis()
    {
        var drop = Generated(new DropShape(), 20, 30).Transform(Affine.Rotate(40));
        var pair = Do(drop, new Mirror { Distance = 30 }).Outline.Whole;
        Assert.Equal(2, pair.Parts.Length);
        Assert.Equal(60, pair.Bounds().MinX + pair.Bounds().MaxX, 1e-6);
        Assert.Equal(2 * Plane.Area(drop), Plane.Area(pair), 0.05);
    }

    [Theory]
    [InlineData(true)]
    [InlineData(false)]
    public void Split_GivesTwoPieces_TheCoveredOneReachingUnderTheOther(bool leftCovers)
    {
        var split = Do(
            Rectangle(60, 40),
            new Split
            {
                LeftCovers = leftCovers,
                Distance = 10,
                RightClothId = "moss",
            }
        ).Outline;
        Assert.Equal(2, split.Parts.Length);
        var (below, above) = (split.Parts[0], split.Parts[1]);
        Assert.Equal(leftCovers ? "right" : "left", below.Side);
        Assert.Equal(leftCovers ? "left" : "right", above.Side);
        Assert.Equal(["moss"], split.Parts.Where(part => part.Side == "right").Select(part => part.ClothId));
        Assert.Equal((leftCovers ? 40 : 20) * 40, Plane.Area(above.Outline), 0.5);
        Assert.Equal(((leftCovers ? 20 : 40) + 5) * 40, Plane.Area(below.Outline), 2.0);
        Assert.NotEqual(below.Ordinal, above.Ordinal);
    }

    [Fact]
    public void Split_ByALineThatMissesTheElement_ChangesNothing()
    {
        Assert.Equal(OperationState.Idle, Do(Rectangle(60, 40), new Split { Distance = 80 }).State);
    }

    [Fact]
    public void ClearCrumbs_DropsSmallParts_AllOrTheNamedOne()
    {
        var parts = new Outline([
            .. Rectangle(30, 30).Parts,
            .. Rectangle(3, 3).Transform(Affine.Translate(25, 0)).Parts,
            .. Rectangle(40, 1.5).Transform(Affine.Translate(0, 25)).Parts,
        ]);
        Assert.Single(Do(parts, new ClearCrumbs()).Outline.Whole.Parts);
        var one = Do(parts, new ClearCrumbs { Only = [new Spot(25 / 60.0, 0)] }).Outline.Whole;
        Assert.Equal(2, one.Parts.Length);
        Assert.Contains(one.Parts, part => part.Shell.Bounds().Width > 39);
    }

    [Fact]
    public void BridgeNecks_WidensThemUntilNoneIsFound_AndCutNecksParts()
    {
        var bone = Bone(1.2);
        var neck = Assert.Single(ThinPlace.Of(bone, 2), place => place.Ends > 1);
        Assert.Equal(1.2, neck.Width, 0.05);
        Assert.InRange(Math.Abs(neck.At.X), 0, 7);
        var wide = Do(bone, new BridgeNecks { Width = 2.5 }).Outline.Whole;
        Assert.DoesNotContain(ThinPlace.Of(wide, 2), place => place.Ends > 1);
        Assert.Single(wide.Parts);
        Assert.Equal(2, Do(bone, new CutNecks()).Outline.Whole.Parts.Length);
        Assert.Equal(OperationState.Idle, Do(Bone(4), new BridgeNecks()).State);
    }

    [Fact]
    public void Leftovers_NameCrumbsNecksTailsAndCoversThatMeet()
    {
        var tail = Contour.Polygon([
            new(-10, -10),
            new(10, -10),
            new(10, -0.5),
            new(40, -0.5),
            new(40, 0.5),
            new(10, 0.5),
            new(10, 10),
            new(-10, 10),
        ]);
        var found = new LeftoverStation().Compute(
            new LeftoverInput(
                [
                    Rectangle(4, 4).Transform(Affine.Translate(-60, 0)),
                    Bone(1.2).Transform(Affine.Translate(0, 60)),
                    Bone(3).Transform(Affine.Translate(0, -60)),
                    new Outline([new OutlinePart(tail, [])]),
                    Generated(new StarShape(5, 0.4), 60, 60).Transform(Affine.Translate(100, 0)),
                ],
                new ContentHash("x"),
                4.2
            ),
            TestContext.Current.CancellationToken
        );
        var kinds = found.All.GroupBy(left => left.Kind).ToDictionary(group => group.Key, group => group.Count());
        Assert.Equal(1, kinds[LeftoverKind.Crumb]);
        Assert.Equal(1, kinds[LeftoverKind.Neck]);
        Assert.Equal(1, kinds[LeftoverKind.Tail]);
        Assert.Equal(3, found.All.Single(left => left.Kind == LeftoverKind.CoversMeet).Width, 0.1);
        Assert.Equal(4, found.All[0].Width, 0.1);
    }

    [Fact]
    public void Operations_ThatWouldGiveThousandsOfParts_ArePassedOver()
    {
        var dots = Do(Generated(new EllipseShape(), 2, 2), new RepeatInLine { Count = 100, StepX = 5 }).Outline;
        var many = Do(
            dots.Whole,
            new RepeatInLine
            {
                Count = 100,
                StepX = 0,
                StepY = 5,
            }
        );
        Assert.Equal(OperationState.TooMany, many.State);
        Assert.Same(dots.Whole, many.Outline.Whole);
    }

    [Fact]
    public void Carve_OfEverything_SaysThatNothingIsLeft()
    {
        var gone = Do(Rectangle(10, 10), new Carve { SourceIds = ["b"] }, Rectangle(30, 30));
        Assert.Equal(OperationState.Empty, gone.State);
        Assert.Empty(gone.Outline.Parts);
    }

    private static Operated Do(Outline outline, Operation operation, params ImmutableArray<Outline> sources) =>
        new OperationStation().Compute(
            new OperationInput(
                new ElementOutline(outline, [new PartOutline(0, null, outline)]),
                new ContentHash("a"),
                operation,
                [.. sources.Select((source, i) => new OperationSource(source, new ContentHash($"s{i}")))],
                Box
            ),
            TestContext.Current.CancellationToken
        );

    private static Outline Generated(ShapeSource shape, double width, double height) =>
        ShapeContours.Outline(shape, width, height);

    private static Outline Rectangle(double width, double height) => Generated(new RectangleShape(), width, height);

    /// <summary>Two squares 20 wide, 14 apart, with a bar between.</summary>
    private static Outline Bone(double bar) =>
        OutlineOverlay.Union(
            OutlineOverlay.Union(
                Rectangle(20, 20).Transform(Affine.Translate(-17, 0)),
                Rectangle(20, 20).Transform(Affine.Translate(17, 0))
            ),
            Rectangle(16, bar)
        );
}
