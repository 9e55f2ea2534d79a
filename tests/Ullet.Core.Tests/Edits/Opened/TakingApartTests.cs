using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits.Opened;

public sealed class TakingApartTests
{
    private static readonly Project Opened = OpenedSample.Opened(SampleProject.With(new StarShape()), withHands: false);

    private static Element Cover => Opened.Elements[^1];

    [Fact]
    public void SplitAtAPoint_SewsTheSameStitches_AndJoinedAgainIsOneBlock()
    {
        var split = SampleProject.Apply(
            Opened,
            new SplitOpened
            {
                ElementId = Cover.Id,
                Where = SplitWhere.Point,
                At = 200,
            }
        );
        Assert.Equal(Opened.Elements.Length + 1, split.Elements.Length);
        Assert.Equal(Points(Opened), Points(split));
        Assert.Empty(SampleProject.Evaluate(split).RunSheet.Order.Broken);
        var joined = SampleProject.Apply(
            split,
            new JoinOpened { ElementIds = [split.Elements[^2].Id, split.Elements[^1].Id] }
        );
        Assert.Equal(Opened.Elements.Length, joined.Elements.Length);
        Assert.Equal(OpenedSample.Sewn(Opened), OpenedSample.Sewn(joined));
    }

    [Fact]
    public void SplitOffByLasso_KeepsEveryNeedlePoint_AndLocksBothSides()
    {
        var split = SampleProject.Apply(
            Opened,
            new SplitOpened
            {
                ElementId = Cover.Id,
                Where = SplitWhere.Lasso,
                Lasso = [0, -100, 100, -100, 100, 100, 0, 100],
            }
        );
        var (left, right) = (Wall(split, split.Elements[^2]), Wall(split, split.Elements[^1]));
        Assert.All(left, at => Assert.True(at.X <= 0.75));
        Assert.All(right, at => Assert.True(at.X >= -0.75));
        Assert.Superset(
            left.Concat(right).ToHashSet().Intersect(Wall(Opened, Cover)).ToHashSet(),
            Wall(Opened, Cover).ToHashSet()
        );
    }

    [Fact]
    public void SplitWhereNothingIs_SaysWhy()
    {
        var placement = Opened.Elements[0].Id;
        Assert.Equal(
            "split-nothing",
            SampleProject.Refused(Opened, new SplitOpened { ElementId = placement, Where = SplitWhere.Jumps }).Code
        );
        Assert.Equal(
            "split-point",
            SampleProject
                .Refused(
                    Opened,
                    new SplitOpened
                    {
                        ElementId = placement,
                        Where = SplitWhere.Point,
                        At = 99_999,
                    }
                )
                .Code
        );
        Assert.Equal(
            "lasso-empty",
            SampleProject
                .Refused(
                    Opened,
                    new SplitOpened
                    {
                        ElementId = placement,
                        Where = SplitWhere.Lasso,
                        Lasso = [1, 2],
                    }
                )
                .Code
        );
    }

    [Fact]
    public void Join_AcrossHandsOrThreads_IsRefused()
    {
        var withHands = OpenedSample.Opened(SampleProject.With(new HeartShape()));
        var ids = withHands.Elements.Select(element => element.Id).ToImmutableArray();
        var refused = SampleProject.Refused(withHands, new JoinOpened { ElementIds = ids[..2] });
        Assert.Equal("join-unfit", refused.Code);
        Assert.Contains("Hands work", refused.Words, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(0)]
    [InlineData(1)]
    [InlineData(2)]
    public void Erase_OnRandomBlocks_MovesNoPointOutside_LocksEveryCutEnd_LeavesNoTravelInSight(int part)
    {
        for (var seed = part * 100; seed < (part + 1) * 100; seed++)
        {
            var random = new Random(seed);
            var project = OpenedSample.Random(random);
            var block = project.Elements[0];
            var lasso = Circle(random);
            var erase = new EraseOpened { ElementIds = [block.Id], Lasso = lasso }.Apply(
                project,
                SampleProject.Context
            );
            var area = new AreaIndex([new Region(Ring.Of(Places(lasso)), [])]);
            var kept = Wall(project, block).Where(at => !area.Holds(at)).ToHashSet();
            if (!erase.IsOk)
            {
                Assert.Equal("lasso-empty", erase.Refusal!.Code);
                continue;
            }
            if (erase.Value.Find(block.Id) is not { } left)
            {
                continue;
            }
            var points = ((OpenedForm)left.Form).Points;
            var own = Wall(erase.Value, left);
            Assert.True(
                own.Except(kept).All(at => kept.Any(k => k.DistanceTo(at) <= 0.72)),
                $"seed {seed}: a point stands far from those kept"
            );
            Judge(points, ((OpenedForm)block.Form).Points, seed);
        }
    }

    [Fact]
    public void Reversed_SewsTheSameHolesTheOtherWayRound()
    {
        var turned = SampleProject.Apply(Opened, new SetOpened { ElementIds = [Cover.Id], Reverses = true });
        Assert.Equal(Wall(Opened, Cover), Enumerable.Reverse(Wall(turned, turned.Find(Cover.Id)!)));
    }

    [Fact]
    public void RoleSetByHand_IsSure_AndKeptUnsewn_IsNotSewn()
    {
        var set = SampleProject.Apply(Opened, new SetOpened { ElementIds = [Cover.Id], Role = OpenedRole.Quilting });
        Assert.Null(set.Find(Cover.Id)!.MadeAs<OpenedMaking>()!.Sureness);
        Assert.Equal(
            "quilting",
            SampleProject.Evaluate(set).Hoopings[0].Program.Steps.OfType<ProgramStitches>().Last().Role
        );
        var resting = SampleProject.Apply(Opened, new SetOpened { ElementIds = [Cover.Id], IsResting = true });
        Assert.Equal(OpenedSample.Sewn(Opened).Length - 1, OpenedSample.Sewn(resting).Length);
    }

    [Fact]
    public void CopiesOfBlocks_HaveAnOpeningOfTheirOwn()
    {
        var copied = SampleProject.Apply(
            Opened,
            new DuplicateElements { ElementIds = [.. Opened.Elements.Select(element => element.Id)] }
        );
        Assert.Equal(2, copied.OpenedFiles.Length);
        Assert.Empty(SampleProject.Evaluate(copied).RunSheet.Order.Broken);
    }

    /// <summary>Every thread that was cut is locked at both new ends, and no stitch bridges what went.</summary>
    private static void Judge(ImmutableArray<OpenedPoint> points, ImmutableArray<OpenedPoint> before, int seed)
    {
        var known = new HashSet<(Point, Point)>();
        for (var i = 1; i < before.Length; i++)
        {
            if (before[i].Move == OpenedMove.Stitch && before[i - 1].Move == OpenedMove.Stitch)
            {
                known.Add((before[i - 1].At, before[i].At));
            }
        }
        for (var i = 1; i < points.Length; i++)
        {
            if (points[i].Move != OpenedMove.Stitch || points[i - 1].Move != OpenedMove.Stitch)
            {
                continue;
            }
            var (from, to) = (points[i - 1].At, points[i].At);
            Assert.True(
                known.Contains((from, to))
                    || from.DistanceTo(to) <= 0.72
                    || (i > 2 && known.Contains((points[i - 2].At, to))),
                $"seed {seed}: a stitch of {from.DistanceTo(to):0.00} mm that was not there"
            );
        }
        foreach (var section in NeedleSections.Of(points))
        {
            Assert.True(
                section.Length >= 2 || NeedleSections.Of(before).Any(own => own.Length == 1 && own[0] == section[0]),
                $"seed {seed}: a single hole is left"
            );
        }
    }

    private static ImmutableArray<double> Circle(Random random)
    {
        var (x, y, r) = (random.Next(-20, 20), random.Next(-20, 20), 3 + random.Next(20));
        return
        [
            .. Enumerable
                .Range(0, 24)
                .SelectMany(i => new[] { x + (r * Math.Cos(i * Math.PI / 12)), y + (r * Math.Sin(i * Math.PI / 12)) }),
        ];
    }

    private static List<Point> Places(ImmutableArray<double> lasso) =>
        [.. Enumerable.Range(0, lasso.Length / 2).Select(i => new Point(lasso[2 * i], lasso[(2 * i) + 1]))];

    private static List<Point> Points(Project project) =>
        [
            .. OpenedSample
                .Sewn(project)
                .SelectMany(commands => commands)
                .Where(command => command.Kind == NeedleKind.Stitch)
                .Select(command => command.At),
        ];

    private static List<Point> Wall(Project project, Element element)
    {
        var form = (OpenedForm)element.Form;
        var map = OpenedFrame.Map(form, element.Box);
        return
        [
            .. form
                .Points.Where(point => point.Move == OpenedMove.Stitch)
                .Select(point => map.Apply(point.At).Rounded(0.01)),
        ];
    }
}
