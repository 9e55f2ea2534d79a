using Ullet.Core.Geometry;

namespace Ullet.Core.Tests.Geometry;

public sealed class FilledOutlineTests
{
    [Fact]
    public void Of_LinesThatDoNotMeet_KeepsTheirOwnCurves()
    {
        var (outer, inner) = (Circle(0, 0, 20), Circle(3, 0, 8).Reversed());
        var outline = FilledOutline.Of([inner, outer], FillRule.NonZero);
        var part = Assert.Single(outline.Parts);
        Assert.Equal(outer.Curves.Length, part.Shell.Curves.Length);
        Assert.Equal(inner.Bounds(), Assert.Single(part.Holes).Bounds());
    }

    [Theory]
    [InlineData(FillRule.NonZero, false, 1, 0)]
    [InlineData(FillRule.NonZero, true, 1, 1)]
    [InlineData(FillRule.EvenOdd, false, 1, 1)]
    [InlineData(FillRule.EvenOdd, true, 1, 1)]
    public void Of_OneLineInAnother_FollowsTheRule(FillRule rule, bool against, int parts, int holes)
    {
        var inner = against ? Circle(0, 0, 8).Reversed() : Circle(0, 0, 8);
        var outline = FilledOutline.Of([Circle(0, 0, 20), inner], rule);
        Assert.Equal(parts, outline.Parts.Length);
        Assert.Equal(holes, outline.Parts.Sum(part => part.Holes.Length));
    }

    [Fact]
    public void Of_LinesThreeDeep_BeginsAPieceAnewInAHole()
    {
        var outline = FilledOutline.Of([Circle(0, 0, 8), Circle(0, 0, 30), Circle(0, 0, 20)], FillRule.EvenOdd);
        Assert.Equal(2, outline.Parts.Length);
        Assert.Equal(1, outline.Parts.Sum(part => part.Holes.Length));
        Assert.Equal(Math.PI * (900 - 400 + 64), Area(outline), 1.0);
    }

    [Fact]
    public void Of_AStarThatCrossesItself_IsWholeOrHollow()
    {
        var star = Contour.Polygon([
            .. Enumerable
                .Range(0, 5)
                .Select(i => Math.PI * ((0.8 * i) - 0.5))
                .Select(turn => new Point(30 * Math.Cos(turn), 30 * Math.Sin(turn))),
        ]);
        var whole = FilledOutline.Of([star], FillRule.NonZero);
        var hollow = FilledOutline.Of([star], FillRule.EvenOdd);
        // A pentagram of radius r covers 1.1226 r², its inner pentagon 0.3469 r².
        Assert.Equal(1.1226 * 900, Area(whole), 1.0);
        Assert.Equal((1.1226 - 0.3469) * 900, Area(hollow), 1.0);
        Assert.Single(whole.Parts);
        Assert.Equal(5, hollow.Parts.Length);
    }

    [Fact]
    public void Joined_TakesAwayInnerEdges_AndLeavesWhatStandsAloneAsItIs()
    {
        var (a, b, alone) = (Of(Circle(0, 0, 10)), Of(Circle(12, 0, 10)), Of(Circle(50, 0, 10)));
        var joined = FilledOutline.Joined([a, b, alone]);
        Assert.Equal(2, joined.Parts.Length);
        Assert.Contains(alone.Parts[0].Shell, joined.Parts.Select(part => part.Shell));
        var overlap = 2 * ((100 * Math.Acos(0.6)) - (6 * 8));
        Assert.Equal((3 * 100 * Math.PI) - overlap, Area(joined), 0.5);
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void Of_RandomLines_HasNoCrossings_AndHolesInsideTheirShells(int seed)
    {
        var random = new Random(seed);
        var lines = Enumerable
            .Range(0, random.Next(1, 4))
            .Select(_ =>
                Contour.Polygon([
                    .. Enumerable
                        .Range(0, random.Next(3, 12))
                        .Select(_ => new Point(random.NextDouble() * 60, random.NextDouble() * 60)),
                ])
            )
            .ToList();
        var (nonZero, evenOdd) = (FilledOutline.Of(lines, FillRule.NonZero), FilledOutline.Of(lines, FillRule.EvenOdd));
        Assert.True(Area(nonZero) >= Area(evenOdd) - 0.5, $"seed {seed}");
        foreach (var region in nonZero.Flatten().Concat(evenOdd.Flatten()))
        {
            Assert.True(region.Shell.SignedArea > 0, $"seed {seed}");
            Assert.All(region.Holes, hole => Assert.True(hole.SignedArea < 0, $"seed {seed}"));
            Assert.All(
                region.Holes,
                hole => Assert.True(region.Bounds().Grown(0.02).Contains(hole.Bounds()), $"seed {seed}")
            );
        }
        // The areas agree with a count of places, judged by the crossing rule directly.
        Assert.Equal(Counted(lines), Area(evenOdd), 60 * 60 * 0.02);
    }

    public static TheoryData<int> Seeds => [.. Enumerable.Range(1, 30)];

    [Fact]
    public void Of_LinesWithoutArea_IsEmpty() =>
        Assert.True(FilledOutline.Of([Contour.Polygon([new(0, 0), new(5, 5), new(0, 0)])], FillRule.NonZero).IsEmpty);

    [Fact]
    public void Of_ATangle_IsEmptyInBoundedTime()
    {
        var random = new Random(11);
        var scribble = Contour.Polygon([
            .. Enumerable.Range(0, 4000).Select(_ => new Point(random.NextDouble() * 90, random.NextDouble() * 90)),
        ]);
        Assert.True(FilledOutline.IsTangle([scribble]));
        Assert.True(FilledOutline.Of([scribble], FillRule.NonZero).IsEmpty);
        Assert.False(FilledOutline.IsTangle([Circle(0, 0, 10), Circle(5, 0, 10)]));
    }

    /// <summary>Area by a grid of places, each judged by how many edges lie to its right.</summary>
    private static double Counted(List<Contour> lines)
    {
        const double Step = 0.25;
        var edges = lines
            .Select(line => line.Flatten().Points)
            .SelectMany(points => points.Select((point, i) => (A: point, B: points[(i + 1) % points.Length])))
            .ToList();
        var inside = 0;
        for (var x = Step / 2; x < 60; x += Step)
        {
            for (var y = Step / 2; y < 60; y += Step)
            {
                inside +=
                    edges.Count(edge =>
                        edge.A.Y > y != edge.B.Y > y
                        && x < edge.A.X + ((y - edge.A.Y) / (edge.B.Y - edge.A.Y) * (edge.B.X - edge.A.X))
                    ) % 2;
            }
        }
        return inside * Step * Step;
    }

    private static Outline Of(Contour contour) => FilledOutline.Of([contour], FillRule.NonZero);

    private static double Area(Outline outline) => outline.Flatten().Sum(region => region.Area);

    private static Contour Circle(double x, double y, double radius)
    {
        const double Control = 0.5522847498;
        Point At(double across, double down) => new(x + (across * radius), y + (down * radius));
        Point[] corners = [At(1, 0), At(0, 1), At(-1, 0), At(0, -1)];
        Point[] ways =
        [
            At(1, Control),
            At(Control, 1),
            At(-Control, 1),
            At(-1, Control),
            At(-1, -Control),
            At(-Control, -1),
            At(Control, -1),
            At(1, -Control),
        ];
        return new Contour([
            .. Enumerable
                .Range(0, 4)
                .Select(i => Curve.Cubic(corners[i], ways[2 * i], ways[(2 * i) + 1], corners[(i + 1) % 4])),
        ]);
    }
}
