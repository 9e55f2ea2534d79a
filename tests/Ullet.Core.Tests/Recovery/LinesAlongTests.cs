using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;

namespace Ullet.Core.Tests.Recovery;

/// <summary>How closed lines lie to an outline: at which distance, along which of several, and round which shape they were sewn.</summary>
public sealed class LinesAlongTests
{
    [Theory]
    [InlineData(0.8)]
    [InlineData(1.5)]
    [InlineData(3)]
    public void ALineInside_LiesAtItsDistance_OneOutsideAtTheSameBelowNothing(double by)
    {
        var area = Disc(20);
        var (inner, _) = Rings.Offset(area, [Line(20 - by).Ring()]);
        var (outer, spread) = Rings.Offset(area, [Line(20 + by).Ring()]);
        Assert.Equal(by, inner, 0.02);
        Assert.Equal(-by, outer, 0.02);
        Assert.Equal(0, spread, 0.02);
        Assert.True(BlockLines.Follows(area, [Line(20 - by).Ring()]));
        Assert.True(BlockLines.GoesRound(area, Line(20 + by).Ring()));
        Assert.False(BlockLines.GoesRound(area, Line(20 - by).Ring()));
    }

    [Fact]
    public void ALineElsewhere_FollowsNothing()
    {
        var area = Disc(20);
        foreach (var line in new[] { Line(9), Line(31), Line(20, across: 9), Line(20, across: 60) })
        {
            Assert.False(BlockLines.Follows(area, [line.Ring()]));
            Assert.False(BlockLines.GoesRound(area, line.Ring()));
        }
        var (usual, spread) = Rings.Offset(area, [Line(20, across: 60).Ring()]);
        Assert.True(double.IsInfinity(usual) && double.IsInfinity(spread));
        Assert.True(double.IsInfinity(Rings.Offset(area, []).Usual));
    }

    [Fact]
    public void ALineRoundPartOfAnOutline_DoesNotGoRoundIt()
    {
        // Two lobes: a line round one of them keeps its distance, yet leaves the other out.
        var lobes = new Region(new Ring([.. Arc(-20, 12, 40, 320), .. Arc(20, 12, 220, 500)]), []);
        Assert.False(BlockLines.GoesRound(lobes, Line(14, across: 20).Ring()));
    }

    [Fact]
    public void LinesWithinOneAnother_AreAreasWithHoles()
    {
        var parts = Rings.Parts([Line(30), Line(20), Line(10), Line(5, across: 80)]);
        Assert.Equal(3, parts.Length);
        Assert.Single(parts[0].Holes);
        Assert.Equal(Math.PI * ((30 * 30) - (20 * 20)), parts[0].Flatten().Area, 0.5);
        Assert.Empty(parts[1].Holes);
        Assert.Empty(parts[2].Holes);
        // A speck is no area.
        Assert.Empty(Rings.Parts([Line(0.3)]));
    }

    [Fact]
    public void TheLinesOfABlock_AreThoseThatGoAlong_NotTheOthers()
    {
        var block = new BlockReading(OpenedLook.Run, [Line(18.5), Line(40), Line(6, across: 70)], null);
        var lines = new BlockLines([block]);
        Assert.Equal(18.5 * 2 * Math.PI, Assert.Single(lines.Followed(0, Disc(20))).Length, 0.3);
        Assert.Single(lines.Inside(0, Disc(20)));
        Assert.Equal(2, lines.Parts(0).Length);
    }

    [Theory]
    [InlineData(12)]
    [InlineData(18)]
    [InlineData(30)]
    [InlineData(60)]
    public void ACircleOfAnyStitch_IsRoundAgain(int stitches)
    {
        foreach (var radius in new double[] { 2, 8, 25, 70 })
        {
            var ring = Line(radius, stitches: stitches).Ring();
            var sagitta = radius * (1 - Math.Cos(Math.PI / stitches));
            Assert.All(ring.Points, at => Assert.Equal(radius, at.Length, Math.Max(0.012, 0.02 * sagitta)));
        }
    }

    [Fact]
    public void Corners_StaySharp_StraightStretchesStraight()
    {
        // A rectangle in stitches of 2.5 mm.
        var sides = new Point[] { new(0, 0), new(40, 0), new(40, 20), new(0, 20) };
        var points = new List<Point>();
        for (var i = 0; i < 4; i++)
        {
            var (from, to) = (sides[i], sides[(i + 1) % 4]);
            var count = (int)(from.DistanceTo(to) / 2.5);
            points.AddRange(Enumerable.Range(0, count).Select(k => Point.Lerp(from, to, k / (double)count)));
        }
        var ring = new RunLine([.. points], true, 1, 2.5).Ring();
        Assert.Equal(800, Math.Abs(ring.SignedArea), 0.01);
        Assert.Equal(120, ring.Length, 0.01);
        Assert.All(sides, corner => Assert.Contains(ring.Points, at => at.DistanceTo(corner) < 1e-6));
    }

    [Fact]
    public void ASlot_HasStraightSidesAndRoundEnds()
    {
        var points = new List<Point>();
        for (var x = -15.0; x < 15; x += 2.5)
        {
            points.Add(new Point(x, -10));
        }
        points.AddRange(Arc(15, 10, -90, 90));
        for (var x = 15.0; x > -15; x -= 2.5)
        {
            points.Add(new Point(x, 10));
        }
        points.AddRange(Arc(-15, 10, 90, 270));
        ImmutableArray<Point> holes = [.. points.Where((at, i) => i == 0 || points[i - 1].DistanceTo(at) > 0.1)];
        var ring = new RunLine(holes, true, 1, 2.5).Ring();
        Assert.All(
            ring.Points,
            at =>
            {
                var middle = new Point(Math.Clamp(at.X, -15, 15), 0);
                Assert.Equal(10, at.DistanceTo(middle), 0.03);
            }
        );
    }

    [Fact]
    public void AnOpenLine_EndsWhereItsHolesEnd()
    {
        var arc = Arc(0, 30, 0, 120).ToImmutableArray();
        var curves = new RunLine(arc, false, 1, 2.5).Curves();
        Assert.Equal(arc.Length - 1, curves.Length);
        Assert.Equal(arc[0], curves[0].Start);
        Assert.Equal(arc[^1], curves[^1].End);
    }

    [Fact]
    public void Strides_TellOnAcrossAndBack()
    {
        ImmutableArray<Point> points =
        [
            new(0, 0),
            new(2, 0),
            new(4, 0.4),
            new(4.2, 4),
            new(4.4, 0.4),
            new(4.6, 4),
            new(6, 4),
        ];
        Assert.Equal(
            [Stride.On, Stride.On, Stride.On, Stride.Across, Stride.Across, Stride.On, Stride.On],
            Strides.Of(points)
        );
        ImmutableArray<Point> teeth = [new(0, 0), new(2, 0), new(2, 4), new(2, 0), new(4, 0)];
        Assert.Equal([Stride.On, Stride.On, Stride.Return, Stride.On, Stride.On], Strides.Of(teeth));
        Assert.Equal(90, Strides.Turn(new Point(0, 0), new Point(1, 0), new Point(1, 1)), 1e-9);
        Assert.Equal(-90, Strides.Turn(new Point(0, 0), new Point(1, 0), new Point(1, -1)), 1e-9);
        Assert.Empty(Strides.Of([]));
    }

    [Theory]
    [InlineData(0.5, 0)]
    [InlineData(2, 0)]
    [InlineData(1, 33)]
    [InlineData(1.2, 121)]
    public void AReading_GrowsTurnsAndMoves_WithItsMap(double by, double degrees)
    {
        var turn = degrees * Math.PI / 180;
        var map = new Affine(
            by * Math.Cos(turn),
            by * Math.Sin(turn),
            -by * Math.Sin(turn),
            by * Math.Cos(turn),
            7,
            -3
        );
        var blanket = new BlockReading(
            OpenedLook.Blanket,
            [Line(12)],
            new StrokeBand([new Region(Disc(14).Shell, [new Ring([.. Disc(10).Shell.Points.Reverse()])])], 4, 0.8)
        )
        {
            Teeth = 4,
            Places = [new Point(1, 2)],
        };
        var seen = blanket.On(map);
        Assert.Equal(4 * by, seen.Teeth, 1e-9);
        Assert.Equal(4 * by, seen.Band!.Width, 1e-9);
        Assert.Equal(0.8 * by, seen.Band.Spacing, 1e-9);
        Assert.Equal(blanket.Lines[0].Length() * by, seen.Lines[0].Length(), 1e-6);
        Assert.Equal(2.5 * by, seen.StitchLength, 1e-9);
        Assert.Equal(map.Apply(new Point(1, 2)), seen.Places[0]);
        Assert.True(seen.IsRound);
        Assert.Equal(
            blanket.Band!.Area.Sum(region => region.Area) * by * by,
            seen.Band.Area.Sum(region => region.Area),
            1e-6
        );
        Assert.Same(blanket, blanket.On(Affine.Identity));
    }

    private static Region Disc(double radius) => new(new Ring([.. Arc(0, radius, 0, 360)]), []);

    private static RunLine Line(double radius, double across = 0, int stitches = 60) =>
        new(
            [
                .. Enumerable
                    .Range(0, stitches)
                    .Select(i => 2 * Math.PI * i / stitches)
                    .Select(angle => new Point(across + (radius * Math.Cos(angle)), radius * Math.Sin(angle))),
            ],
            true,
            1,
            2.5
        );

    /// <summary>Places a degree or a few apart, from one angle to another.</summary>
    private static IEnumerable<Point> Arc(double across, double radius, double from, double to)
    {
        var count = (int)Math.Ceiling((to - from) / (radius > 15 ? 2 : 12));
        for (var i = 0; i < count; i++)
        {
            var angle = (from + ((to - from) * i / count)) * Math.PI / 180;
            yield return new Point(across + (radius * Math.Cos(angle)), radius * Math.Sin(angle));
        }
    }
}
