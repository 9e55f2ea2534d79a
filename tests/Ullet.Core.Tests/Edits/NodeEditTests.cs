using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits;

public sealed class NodeEditTests
{
    [Fact]
    public void Freeze_OfAGenerator_GivesItsNodes_AndKeepsTheFormWhateverItsFrame()
    {
        var project = InBox(
            SampleProject.With(new HeartShape()),
            new ElementBox(12, -7, 60, 44, 30) { IsFlipped = true, Skew = 15 }
        );
        Assert.Equal("not-drawn", SampleProject.Refused(project, new ReverseLine { ElementId = "e1", Line = 0 }).Code);
        var nodes = SampleProject.Apply(project, new FreezeElement { ElementId = "e1", KeepsOperations = true });
        var line = Assert.Single(Lines(nodes));
        Assert.True(line.IsClosed);
        Assert.Equal(6, line.Nodes.Length);
        Assert.Equal(2, line.Nodes.Count(node => node.Kind == NodeKind.Corner));
        Assert.Equal(4, line.Nodes.Count(node => node.Kind == NodeKind.Smooth));
        Assert.Equal(AreaOf(project), AreaOf(nodes), 1e-3);
    }

    [Fact]
    public void MoveNodes_MovesThem_AndNothingElse_InATurnedFlippedFrame()
    {
        var project = InBox(
            SampleProject.With(new DrawnShape(0, 0, Square)),
            new ElementBox(10, 5, 60, 30, 75) { IsFlipped = true, Skew = 10 }
        );
        var before = Assert.Single(Lines(project)).Nodes;
        var after = Assert.Single(Lines(SampleProject.Apply(project, Move(1, 20, -9)))).Nodes;
        for (var i = 0; i < before.Length; i++)
        {
            var wanted = i == 1 ? before[i].At + new Point(20, -9) : before[i].At;
            Assert.Equal(0, wanted.DistanceTo(after[i].At), 1e-6);
        }
    }

    [Fact]
    public void NodesAndFreezing_LeaveOperationsAndTouchedStretchesWhereTheyAre()
    {
        Operation[] placed =
        [
            new RepeatRound
            {
                Count = 3,
                CentreX = 10,
                CentreY = 60,
            },
            new Mirror { Distance = 70, Angle = 20 },
            new Split { Distance = 4, Angle = -15 },
        ];
        foreach (var operation in placed)
        {
            var project = InBox(
                SampleProject.Apply(
                    SampleProject.With(new HeartShape(), 40, 30),
                    new AddOperation { ElementId = "e1", Operation = operation },
                    new TouchEdge
                    {
                        ElementId = "e1",
                        X = 20,
                        Y = 0,
                        IsCovered = true,
                    }
                ),
                new ElementBox(5, -4, 40, 30, 35) { IsFlipped = true }
            );
            var nodes = SampleProject.Apply(project, new FreezeElement { ElementId = "e1", KeepsOperations = true });
            AssertSameEdges(project, nodes);
            Assert.Equal(35, nodes.Elements[0].Box.Rotation);
            // One more node far out gives the frame another middle; all but what hangs on it stays.
            var away = SampleProject.Apply(
                nodes,
                new AddNode
                {
                    ElementId = "e1",
                    Line = 0,
                    Stretch = 0,
                },
                Move(1, 6, -25)
            );
            var back = SampleProject.Apply(away, Move(1, -6, 25));
            AssertSameEdges(nodes, back);
        }
    }

    [Fact]
    public void Freeze_KeepsAStretchThatWasTouched_OnThePartThatHasIt()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 60, 40),
            new AddOperation { ElementId = "e1", Operation = new Split() },
            new TouchEdge
            {
                ElementId = "e1",
                X = 30,
                Y = 0,
                IsCovered = true,
            }
        );
        var frozen = SampleProject.Apply(project, new FreezeElement { ElementId = "e1" });
        Assert.Equal([1, 0], frozen.Elements.Select(each => each.Cloth()).Select(piece => piece.EdgeTouches.Length));
        var right = SampleProject.Evaluate(frozen).PiecesOf(frozen.Elements[0].Id).Single();
        Assert.Contains(right.Stretches, stretch => stretch.IsByHand && stretch.Middle.X > 29);
    }

    [Fact]
    public void SetNodeKind_MakesHandlesAgree_AndBendingKeepsThemSo()
    {
        var smooth = SampleProject.Apply(
            SampleProject.With(new DrawnShape(0, 0, Square)),
            new SetNodeKind
            {
                ElementId = "e1",
                Nodes = [new(0, 1)],
                Kind = NodeKind.Symmetric,
            },
            new BendNode
            {
                ElementId = "e1",
                Node = new(0, 1),
                IsOut = true,
                X = 40,
                Y = -10,
            }
        );
        var node = Lines(smooth)[0].Nodes[1];
        Assert.Equal(NodeKind.Symmetric, node.Kind);
        Assert.Equal(new Point(40, -10), node.Out.Rounded(1e-6));
        Assert.Equal((node.At - (node.Out - node.At)).Rounded(1e-6), node.In.Rounded(1e-6));
        var corner = SampleProject.Apply(
            smooth,
            new SetNodeKind
            {
                ElementId = "e1",
                Nodes = [new(0, 1)],
                Kind = NodeKind.Corner,
            },
            new BendNode
            {
                ElementId = "e1",
                Node = new(0, 1),
                IsOut = true,
                X = 50,
                Y = 0,
            }
        );
        Assert.Equal(node.In.Rounded(1e-6), Lines(corner)[0].Nodes[1].In.Rounded(1e-6));
    }

    [Fact]
    public void AddNode_LeavesTheForm_AndRemoveNodesTakesItBack()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 50, 40),
            new FreezeElement { ElementId = "e1" }
        );
        var count = Lines(project)[0].Nodes.Length;
        var more = SampleProject.Apply(
            project,
            new AddNode
            {
                ElementId = "e1",
                Line = 0,
                Stretch = 1,
                At = 0.3,
            }
        );
        Assert.Equal(count + 1, Lines(more)[0].Nodes.Length);
        Assert.Equal(AreaOf(project), AreaOf(more), 0.01);
        var fewer = SampleProject.Apply(more, new RemoveNodes { ElementId = "e1", Nodes = [new(0, 2)] });
        Assert.Equal(count, Lines(fewer)[0].Nodes.Length);
        var all = Enumerable.Range(0, count).Select(i => new NodeRef(0, i)).ToImmutableArray();
        Assert.Equal(
            "nodes-too-few",
            SampleProject.Refused(project, new RemoveNodes { ElementId = "e1", Nodes = all }).Code
        );
        Assert.Equal("node-unknown", SampleProject.Refused(project, Move(count, 1, 1)).Code);
    }

    [Fact]
    public void OpenLines_AreSplitJoinedReversedAndClosed()
    {
        var project = SampleProject.Apply(
            SampleProject.Empty(),
            new DrawLine { Line = new DrawnLine(-30, 0, [new(-30, 0, 0, 20, 0, 20), new(0, 20, 30, 0, 30, 0)]) }
        );
        project.Elements[0].Line();
        var split = SampleProject.Apply(project, new SplitLine { ElementId = "e1", Node = new(0, 1) });
        Assert.Equal([2, 2], Lines(split).Select(line => line.Nodes.Length));
        var joined = SampleProject.Apply(
            split,
            new JoinLines
            {
                ElementId = "e1",
                First = new(0, 1),
                Second = new(1, 0),
            }
        );
        Assert.Equal(3, Assert.Single(Lines(joined)).Nodes.Length);
        var reversed = SampleProject.Apply(joined, new ReverseLine { ElementId = "e1", Line = 0 });
        Assert.Equal(30, Lines(reversed)[0].Nodes[0].At.X, 1e-6);
        var closed = SampleProject.Apply(
            joined,
            new JoinLines
            {
                ElementId = "e1",
                First = new(0, 0),
                Second = new(0, 2),
            }
        );
        Assert.True(Assert.Single(Lines(closed)).IsClosed);
        Assert.Equal(
            "ends-needed",
            SampleProject
                .Refused(
                    closed,
                    new JoinLines
                    {
                        ElementId = "e1",
                        First = new(0, 0),
                        Second = new(0, 1),
                    }
                )
                .Code
        );
    }

    [Fact]
    public void Straighten_MakesAStretchALine_AndPiecesOfClothStayClosed()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape()),
            new FreezeElement { ElementId = "e1" }
        );
        var straight = SampleProject.Apply(
            project,
            new StraightenStretch
            {
                ElementId = "e1",
                Line = 0,
                Stretch = 0,
            }
        );
        Assert.True(Lines(straight)[0].Stretch(0).IsLine);
        Assert.Equal(
            "cloth-closed",
            SampleProject.Refused(straight, new SplitLine { ElementId = "e1", Node = new(0, 1) }).Code
        );
        var loose = SampleProject.Apply(
            straight,
            new StraightenStretch
            {
                ElementId = "e1",
                Line = 0,
                Stretch = 0,
                Straight = false,
            }
        );
        Assert.False(Lines(loose)[0].Stretch(0).IsLine);
        Assert.Equal(AreaOf(straight), AreaOf(loose), 1e-3);
    }

    [Fact]
    public void ALineCarved_StaysOpenAndIsCutInTwo()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 30, 30),
            new DrawLine { Line = new DrawnLine(-60, 0, [new(-20, -10, 20, 10, 60, 0)]) },
            new AddOperation
            {
                ElementId = "e2",
                Operation = new Carve { SourceIds = ["e1"], Reveal = 1 },
            }
        );
        var lines = SampleProject.Evaluate(project).Outlines["e2"].Lines;
        Assert.Equal(2, lines.Length);
        // 15 of the ellipse, 1.4 of its cover, 1 of reveal, half a thread of the line.
        Assert.Equal(
            17.6,
            lines.SelectMany(line => new[] { line.Curves[0].Start, line.Curves[^1].End }).Min(place => place.Length),
            0.03
        );
        var refused = SampleProject.Refused(
            project,
            new AddOperation { ElementId = "e2", Operation = new RoundCorners() }
        );
        Assert.Equal("operation-unfit", refused.Code);
        refused = SampleProject.Refused(
            project,
            new AddOperation
            {
                ElementId = "e1",
                Operation = new Join { SourceIds = ["e2"] },
            }
        );
        Assert.Equal("operations-in-a-circle", refused.Code);
    }

    [Fact]
    public void Freehand_SmoothsToFewNodes_KeepsCorners_AndClosesWhatIsMeantClosed()
    {
        var random = new Random(4);
        double Tremor() => (random.NextDouble() - 0.5) * 0.6;
        var circle = Enumerable
            .Range(0, 200)
            .SelectMany(i =>
                new[] { (30 * Math.Cos(i * Math.PI / 100)) + Tremor(), (30 * Math.Sin(i * Math.PI / 100)) + Tremor() }
            );
        var drawn = SampleProject.Apply(SampleProject.Empty(), new DrawFreehand { Points = [.. circle] });
        drawn.Elements[0].Cloth();
        Assert.InRange(Lines(drawn)[0].Nodes.Length, 2, 14);
        Assert.Equal(Math.PI * 900, AreaOf(drawn), 60.0);
        var angle = Enumerable.Range(0, 61).SelectMany(i => i <= 30 ? new double[] { -30 + i, i } : [i - 30, 60 - i]);
        var bent = SampleProject.Apply(SampleProject.Empty(), new DrawFreehand { Points = [.. angle] });
        bent.Elements[0].Line();
        Assert.Contains(Lines(bent)[0].Nodes, node => node.At.DistanceTo(new Point(0, 30)) < 1);
        Assert.Equal(
            "drawing-broken",
            SampleProject.Refused(drawn, new DrawFreehand { Points = [0, 0, double.NaN, 1] }).Code
        );
        Assert.Equal("drawing-flat", SampleProject.Refused(drawn, new DrawFreehand { Points = [0, 0, 0.1, 0.1] }).Code);
    }

    private static readonly ImmutableArray<DrawnCurve> Square =
    [
        new(0, 0, 40, 0, 40, 0),
        new(40, 0, 40, 40, 40, 40),
        new(40, 40, 0, 40, 0, 40),
        new(0, 40, 0, 0, 0, 0),
    ];

    /// <summary>The same outline, and the same stretches set by hand.</summary>
    private static void AssertSameEdges(Project before, Project after)
    {
        var (a, b) = (SampleProject.Evaluate(before), SampleProject.Evaluate(after));
        var edge = Plane.DistanceFrom(Plane.EdgeOf(a.Outlines["e1"]));
        Assert.All(Plane.Along(b.Outlines["e1"]), place => Assert.InRange(edge(place), 0, 0.01));
        Assert.Equal(Plane.Area(a.Outlines["e1"]), Plane.Area(b.Outlines["e1"]), 0.1);
        Assert.Equal(
            a.PiecesOf("e1").Sum(piece => piece.Stretches.Count(stretch => stretch.IsByHand)),
            b.PiecesOf("e1").Sum(piece => piece.Stretches.Count(stretch => stretch.IsByHand))
        );
    }

    private static Project InBox(Project project, ElementBox box) =>
        project.With(project.Elements[0] with { Box = box });

    private static MoveNodes Move(int node, double x, double y) =>
        new()
        {
            ElementId = "e1",
            Nodes = [new NodeRef(0, node)],
            X = x,
            Y = y,
        };

    private static ImmutableArray<NodeLine> Lines(Project project) => NodeLines.Of(project.Elements[0])!.Value;

    private static double AreaOf(Project project) =>
        Plane.Area(SampleProject.Context.Evaluator.OutlineOf(project.Elements[0]));
}
