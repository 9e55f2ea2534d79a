using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Recovery;

namespace Ullet.Core.Tests.Recovery;

/// <summary>Whether what is cut is really covered by a border that was opened.</summary>
public sealed class BorderMatchTests
{
    /// <summary>Circles are drawn with so many corners that they are round to a hundredth.</summary>
    private const double Round = 0.02;

    [Theory]
    [InlineData(30, 1.5, 1.5)]
    [InlineData(30, 2.4, 0.9)]
    [InlineData(8, 0.3, 3)]
    [InlineData(55, 3, 0.1)]
    public void ACutEdgeInTheMiddleOfABorder_HasItsTwoSides(double radius, double inside, double outside)
    {
        var match = BorderMatch.Of([Disc(radius)], Band(radius - inside, radius + outside))!;
        Assert.Equal(inside, match.Bite, Round);
        Assert.Equal(outside, match.Outside, Round);
        Assert.Equal(1, match.Covered);
        Assert.Equal(Math.Min(inside, outside) >= BorderMatch.LaidOff, match.Holds);
        Assert.Equal(radius, match.At.Length, Round);
    }

    [Theory]
    [InlineData(0.5)]
    [InlineData(1.2)]
    [InlineData(1.9)]
    public void ACutThatLiesBeside_IsMeasuredAtItsWorstPlace(double off)
    {
        var match = BorderMatch.Of([Disc(20, off)], Band(18, 22))!;
        Assert.Equal(2 - off, match.Bite, Round);
        Assert.Equal(2 - off, match.Outside, Round);
        // Where it was pushed to it nears one side, and the other side across from there.
        Assert.InRange(Math.Abs(match.At.X), 18, 22);
        Assert.Equal(0, match.At.Y, 2.5);
    }

    [Fact]
    public void AnEdgeThatPeepsOut_IsBelowNothing_AndSoFarAsItPeeps()
    {
        var large = BorderMatch.Of([Disc(23)], Band(18, 22))!;
        Assert.Equal(-1, large.Outside, Round);
        Assert.Equal(0, large.Covered);
        Assert.False(large.Holds);
        var small = BorderMatch.Of([Disc(16.5)], Band(18, 22))!;
        Assert.Equal(-1.5, small.Bite, Round);
        Assert.False(small.Holds);
        var partly = BorderMatch.Of([Disc(20, 3)], Band(18, 22))!;
        Assert.InRange(partly.Covered, 0.4, 0.6);
        Assert.Equal(-1, Math.Min(partly.Bite, partly.Outside), 0.1);
    }

    [Fact]
    public void AHole_HasItsOwnBorder()
    {
        var cut = new Region(Ring(40), [Ring(12)]);
        ImmutableArray<Region> bands = [.. Band(38, 42), .. Band(10.5, 13.5)];
        var match = BorderMatch.Of([cut], bands)!;
        Assert.Equal(1.5, match.Bite, Round);
        Assert.Equal(1.5, match.Outside, Round);
        Assert.Equal(1, match.Covered);
        var bare = BorderMatch.Of([cut], Band(38, 42))!;
        Assert.InRange(bare.Covered, 0.7, 0.8);
        Assert.False(bare.Holds);
    }

    [Fact]
    public void ABorderThatFillsItsPiece_CannotMissItsInside()
    {
        var match = BorderMatch.Of([Disc(4)], [Disc(5)])!;
        Assert.Equal(1, match.Outside, Round);
        Assert.True(match.Bite >= 4);
        Assert.True(match.Holds);
    }

    [Fact]
    public void WithoutAnEdgeOrABorder_ThereIsNothingToSay()
    {
        Assert.Null(BorderMatch.Of([], Band(1, 2)));
        Assert.Null(BorderMatch.Of([Disc(3)], []));
    }

    [Fact]
    public void WhereTheWorkLies_DoesNotMatter()
    {
        var here = BorderMatch.Of([Disc(20, 0.6)], Band(18, 22))!;
        foreach (var by in new Point[] { new(140, 0), new(-90, 90), new(0.5, -300) })
        {
            var there = BorderMatch.Of(
                [Moved(Disc(20, 0.6), by)],
                [.. Band(18, 22).Select(region => Moved(region, by))]
            )!;
            Assert.Equal(here.Bite, there.Bite, 1e-6);
            Assert.Equal(here.Outside, there.Outside, 1e-6);
            Assert.Equal(here.Covered, there.Covered);
        }
    }

    private static Region Moved(Region region, Point by) =>
        new(
            new Ring([.. region.Shell.Points.Select(at => at + by)]),
            [.. region.Holes.Select(hole => new Ring([.. hole.Points.Select(at => at + by)]))]
        );

    private static ImmutableArray<Region> Band(double from, double to) => [new Region(Ring(to), [Ring(from)])];

    private static Region Disc(double radius, double across = 0) => new(Ring(radius, across), []);

    private static Ring Ring(double radius, double across = 0) =>
        new([
            .. Enumerable
                .Range(0, 360)
                .Select(i => i * Math.PI / 180)
                .Select(angle => new Point(across + (radius * Math.Cos(angle)), radius * Math.Sin(angle))),
        ]);
}
