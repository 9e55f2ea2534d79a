using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits.Opened;

/// <summary>Opened blocks stand as they are wherever they are put, and come apart only where they are taken apart.</summary>
public sealed class OpenedPlacedTests
{
    /// <summary>Needle points are kept to a hundredth; two of them may be off by that each.</summary>
    private const double Kept = 0.03;

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void MovedTurnedOrFlipped_EveryNeedlePointGoesAlong(int part)
    {
        for (var seed = part * 20; seed < (part + 1) * 20; seed++)
        {
            var random = new Random(seed);
            var project = OpenedSample.Random(random);
            var block = project.Elements[0];
            var (to, turn) = (new Point(random.Next(-30, 30), random.Next(-30, 30)), (double)random.Next(0, 360));
            var placed = SampleProject.Apply(
                project,
                new PlaceElement
                {
                    ElementId = block.Id,
                    X = to.X,
                    Y = to.Y,
                    Rotation = turn,
                }
            );
            var angle = turn * Math.PI / 180;
            AssertWent(
                project,
                placed,
                at =>
                {
                    var own = at - Middle(block);
                    return to
                        + new Point(
                            (own.X * Math.Cos(angle)) - (own.Y * Math.Sin(angle)),
                            (own.X * Math.Sin(angle)) + (own.Y * Math.Cos(angle))
                        );
                },
                seed
            );
            var flipped = SampleProject.Apply(
                placed,
                new FlipElements { ElementIds = [block.Id], Direction = Direction.Across }
            );
            // About one line down, near the middle of what is sewn: it covers about the same place as before.
            var (holes, line) = (Holes(placed), (Holes(placed)[0].X + Holes(flipped)[0].X) / 2);
            Assert.Equal((holes.Min(at => at.X) + holes.Max(at => at.X)) / 2, line, 1.5);
            AssertWent(placed, flipped, at => new Point((2 * line) - at.X, at.Y), seed);
        }
    }

    [Fact]
    public void ThereAndBack_IsWhereItWas()
    {
        var project = OpenedSample.Random(new Random(7));
        var block = project.Elements[0];
        var (flips, away) = (
            new FlipElements { ElementIds = [block.Id], Direction = Direction.Across },
            Middle(block) + new Point(11.3, -4.2)
        );
        var back = SampleProject.Apply(
            project,
            new PlaceElement
            {
                ElementId = block.Id,
                X = away.X,
                Y = away.Y,
                Rotation = 77,
            },
            flips,
            flips,
            new PlaceElement
            {
                ElementId = block.Id,
                X = block.Box.X,
                Y = block.Box.Y,
                Rotation = 0,
            }
        );
        Assert.Equal(OpenedSample.Sewn(project), OpenedSample.Sewn(back));
    }

    [Theory]
    [InlineData(SplitWhere.Trims)]
    [InlineData(SplitWhere.Jumps)]
    public void SplitWhereTheThreadIsCut_SewsTheSameHolesInTheSameOrder_AndJoinedIsOneAgain(SplitWhere where)
    {
        var tried = 0;
        for (var seed = 0; seed < 30; seed++)
        {
            var project = OpenedSample.Random(new Random(900 + seed));
            var split = new SplitOpened { ElementId = project.Elements[0].Id, Where = where }.Apply(
                project,
                SampleProject.Context
            );
            if (!split.IsOk)
            {
                Assert.Equal("split-nothing", split.Refusal!.Code);
                continue;
            }
            tried++;
            Assert.Equal(Holes(project), Holes(split.Value));
            Assert.Empty(SampleProject.Evaluate(split.Value).RunSheet.Order.Broken);
            var sections = NeedleSections.Of(((OpenedForm)project.Elements[0].Form).Points).Length;
            Assert.Equal(sections, split.Value.Elements.Length);
            var joined = SampleProject.Apply(
                split.Value,
                new JoinOpened { ElementIds = [.. split.Value.Elements.Select(element => element.Id)] }
            );
            Assert.Single(joined.Elements);
            Assert.Equal(Holes(project), Holes(joined));
        }
        Assert.True(tried > 15);
    }

    [Fact]
    public void SplitAtAnyPoint_LosesNoStitch()
    {
        var project = OpenedSample.Random(new Random(41));
        var id = project.Elements[0].Id;
        var count = Holes(project).Count;
        var made = 0;
        for (var at = 1; at < count; at += 3)
        {
            var split = new SplitOpened
            {
                ElementId = id,
                Where = SplitWhere.Point,
                At = at,
            }.Apply(project, SampleProject.Context);
            if (!split.IsOk)
            {
                Assert.Equal("split-nothing", split.Refusal!.Code);
                continue;
            }
            made++;
            var (whole, parts) = (Holes(project), Holes(split.Value));
            // The parts are locked where the thread was cut: what was sewn is all there, in its order.
            Assert.True(InOrder(whole, parts), $"split at {at} loses a hole or its order");
            Assert.All(parts, hole => Assert.Contains(whole, own => own.DistanceTo(hole) <= 0.72));
        }
        Assert.True(made > count / 6);
    }

    [Fact]
    public void ANameBetweenTwoBlocks_IsSewnBetweenThem_NotAfterTheFile()
    {
        var opened = OpenedSample.Opened(SampleProject.With(new HeartShape()), withHands: false);
        var copy = SampleProject.Apply(opened, new DuplicateElements { ElementIds = [opened.Elements[1].Id] });
        var own = copy.Elements[^1];
        var freed = SampleProject.Apply(copy, new SetOpened { ElementIds = [own.Id], Role = OpenedRole.Lettering });
        var keys = SampleProject
            .Evaluate(freed)
            .RunSheet.Steps.OfType<Core.RunSheets.StitchStep>()
            .Select(step => step.Key.OwnerId)
            .ToList();
        Assert.Equal(4, keys.Count);
        Assert.Equal(keys.Order(StringComparer.Ordinal), keys.Distinct().Order(StringComparer.Ordinal));
        Assert.DoesNotContain(
            SampleProject.Evaluate(freed).Findings,
            finding => finding.Level == FindingLevel.Stop && finding.Code != "outside-field"
        );
    }

    private static void AssertWent(Project from, Project to, Func<Point, Point> way, int seed)
    {
        var (before, after) = (Holes(from), Holes(to));
        Assert.Equal(before.Count, after.Count);
        for (var i = 0; i < before.Count; i++)
        {
            var off = after[i].DistanceTo(way(before[i]));
            Assert.True(off <= Kept, $"seed {seed}: hole {i} stands {off:0.000} mm off");
        }
    }

    private static Point Middle(Element element) => new(element.Box.X, element.Box.Y);

    private static bool InOrder(List<Point> meant, List<Point> found)
    {
        var at = 0;
        foreach (var hole in found)
        {
            at += at < meant.Count && meant[at].DistanceTo(hole) < 1e-6 ? 1 : 0;
        }
        return at == meant.Count;
    }

    private static List<Point> Holes(Project project) =>
        [
            .. project.Elements.SelectMany(element =>
            {
                var form = (OpenedForm)element.Form;
                var map = OpenedFrame.Map(form, element.Box);
                return form
                    .Points.Where(point => point.Move == OpenedMove.Stitch)
                    .Select(point => map.Apply(point.At).Rounded(0.01));
            }),
        ];
}
