using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits;

public sealed class ArrangeTests
{
    /// <summary>Three rectangles: 10 × 20 at -30, 20 × 10 at 0, 30 × 30 at 40, each a little lower than the one before.</summary>
    private static readonly Project Three = SampleProject.Apply(
        SampleProject.Empty(),
        Rectangle(-30, -10, 10, 20),
        Rectangle(0, 0, 20, 10),
        Rectangle(40, 10, 30, 30)
    );

    [Theory]
    [InlineData(AlignLine.Left, -35)]
    [InlineData(AlignLine.Right, 55)]
    [InlineData(AlignLine.Top, -20)]
    [InlineData(AlignLine.Bottom, 25)]
    [InlineData(AlignLine.Centre, 10)]
    [InlineData(AlignLine.Middle, 2.5)]
    public void Align_ToTheSelection_BringsTheLinesTogether(AlignLine line, double at)
    {
        var aligned = Apply(new AlignElements { ElementIds = ["e1", "e2", "e3"], Line = line });
        Assert.All(Boxes(aligned), box => Assert.Equal(at, LineOf(box, line), 1e-6));
    }

    [Theory]
    [InlineData(AlignLine.Left)]
    [InlineData(AlignLine.Bottom)]
    public void Align_ToTheHoop_CountsTheCoverIn(AlignLine line)
    {
        var aligned = Apply(
            new AlignElements
            {
                ElementIds = ["e2"],
                Line = line,
                To = AlignTo.Hoop,
            }
        );
        var stitched = SampleProject.Evaluate(aligned).StitchedBounds("e2");
        Assert.Equal(line == AlignLine.Left ? -65 : 90, LineOf(stitched, line), 0.1);
        Assert.True(Box.Centred(130, 180).Contains(stitched, 1e-6));
    }

    [Fact]
    public void Align_ToAKeyElement_LeavesItWhereItIs()
    {
        var aligned = Apply(
            new AlignElements
            {
                ElementIds = ["e1", "e2", "e3"],
                Line = AlignLine.Centre,
                To = AlignTo.Key,
                KeyElementId = "e1",
            }
        );
        Assert.All(Boxes(aligned), box => Assert.Equal(-30, box.Centre.X, 1e-6));
    }

    [Fact]
    public void Align_MovesAGroupAsOne()
    {
        var aligned = SampleProject.Apply(
            Three,
            new GroupElements { ElementIds = ["e1", "e2"] },
            new AlignElements { ElementIds = ["e1", "e2", "e3"], Line = AlignLine.Right }
        );
        var boxes = Boxes(aligned);
        Assert.Equal(55, boxes[1].MaxX, 1e-6);
        Assert.Equal(Boxes(Three)[1].MinX - Boxes(Three)[0].MinX, boxes[1].MinX - boxes[0].MinX, 1e-6);
    }

    [Fact]
    public void Distribute_SharesOutTheRoom_OrKeepsTheGapThatIsAsked()
    {
        var even = Boxes(
            Apply(new DistributeElements { ElementIds = ["e1", "e2", "e3"], Direction = Direction.Across })
        );
        Assert.Equal(even[1].MinX - even[0].MaxX, even[2].MinX - even[1].MaxX, 1e-6);
        Assert.Equal(-35, even[0].MinX, 1e-6);
        Assert.Equal(55, even[2].MaxX, 1e-6);
        var asked = Boxes(
            Apply(
                new DistributeElements
                {
                    ElementIds = ["e1", "e2", "e3"],
                    Direction = Direction.Down,
                    Gap = 4,
                }
            )
        );
        Assert.Equal(4, asked[1].MinY - asked[0].MaxY, 1e-6);
        Assert.Equal(4, asked[2].MinY - asked[1].MaxY, 1e-6);
    }

    [Fact]
    public void Distribute_OverTheHoop_EndsWithTheCoversAtItsEdges()
    {
        var wish = new DistributeElements
        {
            ElementIds = ["e1", "e2", "e3"],
            Direction = Direction.Across,
            To = AlignTo.Hoop,
        };
        var evaluated = SampleProject.Evaluate(Apply(wish));
        var boxes = evaluated.Project.Elements.Select(element => evaluated.StitchedBounds(element.Id)).ToList();
        Assert.Equal(-65, boxes[0].MinX, 0.1);
        Assert.Equal(65, boxes[2].MaxX, 0.1);
        Assert.Equal(boxes[1].MinX - boxes[0].MaxX, boxes[2].MinX - boxes[1].MaxX, 0.2);
    }

    [Fact]
    public void Distribute_RoundAKeyElement_LeavesItWhereItIs()
    {
        var wish = new DistributeElements
        {
            ElementIds = ["e1", "e2", "e3"],
            Direction = Direction.Across,
            Gap = 7,
            To = AlignTo.Key,
            KeyElementId = "e2",
        };
        var boxes = Boxes(Apply(wish));
        Assert.Equal(0, boxes[1].Centre.X, 1e-6);
        Assert.Equal(7, boxes[1].MinX - boxes[0].MaxX, 1e-6);
        Assert.Equal(7, boxes[2].MinX - boxes[1].MaxX, 1e-6);
    }

    [Fact]
    public void Centre_AsOne_KeepsPlaces_EachOnItsOwn_DoesNot()
    {
        var asOne = Boxes(Apply(new CentreElements { ElementIds = ["e1", "e2", "e3"] }));
        Assert.Equal(0, asOne.Aggregate(Box.Empty, (sum, box) => sum.Union(box)).Centre.X, 1e-6);
        Assert.Equal(30, asOne[1].Centre.X - asOne[0].Centre.X, 1e-6);
        var each = Boxes(
            Apply(
                new CentreElements
                {
                    ElementIds = ["e1", "e2"],
                    AsOne = false,
                    KeyElementId = "e3",
                }
            )
        );
        Assert.Equal(40, each[0].Centre.X, 1e-6);
        Assert.Equal(10, each[1].Centre.Y, 1e-6);
    }

    [Fact]
    public void StayCentred_HoldsWhileResizing_AndEndsWithAMove()
    {
        var project = Apply(new StayCentred { ElementId = "e3", On = true });
        Assert.Equal(0, Boxes(project)[2].Centre.X, 1e-6);
        project = SampleProject.Apply(
            project,
            new PlaceElement
            {
                ElementId = "e3",
                X = 9,
                Width = 50,
                Height = 20,
            },
            new ReshapePiece { ElementId = "e3", Shape = new HeartShape() }
        );
        Assert.Equal(0, Boxes(project)[2].Centre.X, 1e-6);
        project = SampleProject.Apply(
            project,
            new MoveElements
            {
                ElementIds = ["e3"],
                X = 5,
                Y = 0,
            }
        );
        Assert.Equal(5, Boxes(project)[2].Centre.X, 1e-6);
        Assert.False(project.Find("e3")!.StaysCentred);
    }

    [Theory]
    [InlineData(true, false, false, 30, 10)]
    [InlineData(true, false, true, 30, 15)]
    [InlineData(false, true, true, 60, 30)]
    [InlineData(true, true, false, 30, 30)]
    public void MatchSize_TakesTheKeysSize(bool width, bool height, bool keep, double across, double down)
    {
        var wish = new MatchSize
        {
            ElementIds = ["e2"],
            KeyElementId = "e3",
            Width = width,
            Height = height,
            KeepProportions = keep,
        };
        var box = Boxes(Apply(wish))[1];
        Assert.Equal(across, box.Width, 1e-6);
        Assert.Equal(down, box.Height, 1e-6);
    }

    [Fact]
    public void MatchSize_OfAQuarterTurn_StretchesTheSideThatIsSeen()
    {
        var project = SampleProject.Apply(
            Three,
            new PlaceElement { ElementId = "e1", Rotation = 90 },
            new MatchSize
            {
                ElementIds = ["e1"],
                KeyElementId = "e3",
                Width = true,
            }
        );
        Assert.Equal(30, Boxes(project)[0].Width, 1e-6);
        Assert.Equal(10, Boxes(project)[0].Height, 1e-6);
    }

    [Fact]
    public void FitInto_ATurnedElement_TurnsWithIt_AndStaysInside()
    {
        var project = SampleProject.Apply(
            Three,
            new PlaceElement
            {
                ElementId = "e3",
                Width = 60,
                Height = 40,
                Rotation = 30,
            },
            new FitInto
            {
                ElementIds = ["e1"],
                TargetId = "e3",
                Margin = 2,
            }
        );
        var fitted = project.Find("e1")!;
        Assert.Equal(30, fitted.Box.Rotation, 1e-6);
        Assert.Equal(2, fitted.Box.Height / fitted.Box.Width, 1e-6);
        var (inner, outer) = (Outline(project, 0), Outline(project, 2));
        Assert.True(RegionOverlay.Difference(RegionOffset.By(inner, 3.4), outer).Sum(region => region.Area) < 0.5);
        Assert.Equal(
            "no-room",
            SampleProject
                .Refused(
                    Three,
                    new FitInto
                    {
                        ElementIds = ["e1"],
                        TargetId = "e2",
                        Margin = 60,
                    }
                )
                .Code
        );
    }

    [Theory]
    [InlineData(Direction.Across)]
    [InlineData(Direction.Down)]
    public void Flip_Twice_IsAsBefore_AndOnceIsItsMirror(Direction direction)
    {
        var project = SampleProject.Apply(
            Three,
            new ReshapePiece { ElementId = "e1", Shape = new CrescentShape() },
            new PlaceElement { ElementId = "e1", Rotation = 25 },
            new SkewElements { ElementIds = ["e1"], Degrees = 15 },
            new SetHole { ElementId = "e2", Hole = new PieceHole(new EllipseShape(), 4, 1, 3, 3) }
        );
        var flip = new FlipElements { ElementIds = ["e1", "e2"], Direction = direction };
        var once = SampleProject.Apply(project, flip);
        var all = Boxes(project).Take(2).Aggregate(Box.Empty, (sum, box) => sum.Union(box));
        var mirror =
            direction == Direction.Across
                ? Affine.Scale(-1, 1).Then(Affine.Translate(2 * all.Centre.X, 0))
                : Affine.Scale(1, -1).Then(Affine.Translate(0, 2 * all.Centre.Y));
        for (var i = 0; i < 2; i++)
        {
            var wanted = SampleProject.Context.Evaluator.OutlineOf(project.Elements[i]).Transform(mirror).Flatten();
            Assert.True(Differ(wanted, Outline(once, i)) < 1e-3, $"element {i + 1}");
        }
        var twice = SampleProject.Apply(once, flip);
        Assert.True(Differ(Outline(project, 0), Outline(twice, 0)) < 1e-3);
    }

    [Theory]
    [InlineData(30)]
    [InlineData(-45)]
    public void Skew_LeansWithoutSqueezing_AndBackAgain(double degrees)
    {
        var leaned = Apply(new SkewElements { ElementIds = ["e2"], Degrees = degrees });
        Assert.Equal(20 + (10 * Math.Tan(Math.Abs(degrees) * Math.PI / 180)), Boxes(leaned)[1].Width, 1e-6);
        Assert.Equal(10, Boxes(leaned)[1].Height, 1e-6);
        Assert.Equal(200, Outline(leaned, 1).Sum(region => region.Area), 1e-3);
        var back = SampleProject.Apply(leaned, new SkewElements { ElementIds = ["e2"], Degrees = 0 });
        Assert.Equal(20, Boxes(back)[1].Width, 1e-6);
    }

    [Fact]
    public void Locked_IsNeitherMovedNorResizedNorDeleted()
    {
        var locked = Apply(new LockElements { ElementIds = ["e1"], Locked = true });
        Edit[] wishes =
        [
            new MoveElements
            {
                ElementIds = ["e2", "e1"],
                X = 1,
                Y = 1,
            },
            new PlaceElement { ElementId = "e1", Width = 5 },
            new RemoveElements { ElementIds = ["e1"] },
            new RestackElement { ElementId = "e1", Place = 2 },
            new FlipElements { ElementIds = ["e1"], Direction = Direction.Down },
            new AlignElements { ElementIds = ["e1"], Line = AlignLine.Left },
        ];
        Assert.All(wishes, wish => Assert.Equal("element-locked", SampleProject.Refused(locked, wish).Code));
        var free = SampleProject.Apply(locked, new LockElements { ElementIds = ["e1"], Locked = false });
        SampleProject.Apply(free, wishes[0]);
    }

    [Fact]
    public void Hidden_IsStillSewn_AndSaidSo()
    {
        var hidden = SampleProject.Evaluate(Apply(new HideElements { ElementIds = ["e2"], Hidden = true }));
        Assert.Equal(SampleProject.Evaluate(Three).Program.StitchCount, hidden.Program.StitchCount);
        Assert.Equal("e2", Assert.Single(hidden.Findings, finding => finding.Code == "hidden").ElementId);
    }

    [Fact]
    public void Duplicate_OfAGroup_MakesAGroupOfItsOwn()
    {
        var project = SampleProject.Apply(
            Three,
            new GroupElements { ElementIds = ["e1", "e2"] },
            new DuplicateElements { ElementIds = ["e1", "e2"] }
        );
        var groups = project.Elements.Select(element => element.GroupId).ToList();
        Assert.Equal(groups[3], groups[4]);
        Assert.NotNull(groups[3]);
        Assert.NotEqual(groups[0], groups[3]);
        var apart = SampleProject.Apply(project, new GroupElements { ElementIds = ["e1"], Together = false });
        Assert.Null(apart.Find("e2")!.GroupId);
        Assert.Equal(groups[3], apart.Elements[3].GroupId);
    }

    [Fact]
    public void Arranging_OfTooFew_Refuses()
    {
        Assert.Equal("too-few", SampleProject.Refused(Three, new GroupElements { ElementIds = ["e1"] }).Code);
        var two = new DistributeElements { ElementIds = ["e1", "e2"], Direction = Direction.Across };
        Assert.Equal("too-few", SampleProject.Refused(Three, two).Code);
        Assert.Equal(
            "nothing-selected",
            SampleProject.Refused(Three, new AlignElements { ElementIds = [], Line = AlignLine.Left }).Code
        );
    }

    private static double LineOf(Box box, AlignLine line) =>
        line switch
        {
            AlignLine.Left => box.MinX,
            AlignLine.Centre => box.Centre.X,
            AlignLine.Right => box.MaxX,
            AlignLine.Top => box.MinY,
            AlignLine.Middle => box.Centre.Y,
            _ => box.MaxY,
        };

    private static AddPiece Rectangle(double x, double y, double width, double height) =>
        SampleProject.Add(new RectangleShape()) with
        {
            Box = new ElementBox(x, y, width, height, 0),
        };

    private static Project Apply(Edit edit) => SampleProject.Apply(Three, edit);

    private static List<Box> Boxes(Project project) =>
        [.. project.Elements.Select(element => SampleProject.Context.Evaluator.OutlineOf(element).Bounds())];

    private static System.Collections.Immutable.ImmutableArray<Region> Outline(Project project, int index) =>
        SampleProject.Context.Evaluator.OutlineOf(project.Elements[index]).Flatten();

    private static double Differ(IEnumerable<Region> a, IEnumerable<Region> b) =>
        RegionOverlay.Difference(a, b).Concat(RegionOverlay.Difference(b, a)).Sum(region => region.Area);
}
