using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Stitches;

public sealed class StrokeSpreadTests
{
    [Theory]
    [InlineData(0.40, 10.0)]
    [InlineData(0.37, 9.3)]
    [InlineData(0.80, 2.1)]
    public void Pick_AlongAStraightEdge_IsEvenAndFittedToItsEnds(double spacing, double length)
    {
        var picked = StrokeSpread.Pick(Straight(length), spacing, even: false);
        Assert.Equal(0, picked[0].Outer.X, 1e-9);
        Assert.Equal(length, picked[^1].Outer.X, 1e-9);
        var step = length / (picked.Count - 1);
        Assert.InRange(step, spacing / 2 * 0.85, spacing / 2 * 1.15);
        Assert.All(
            Enumerable.Range(1, picked.Count - 1),
            i => Assert.Equal(step, picked[i].Outer.X - picked[i - 1].Outer.X, 1e-6)
        );
    }

    [Fact]
    public void Pick_Even_GivesAnEvenNumberOfHalfSpacings()
    {
        for (var i = 0; i < 20; i++)
        {
            Assert.Equal(1, StrokeSpread.Pick(Straight(5 + (i * 0.13)), 0.4, even: true).Count % 2);
        }
    }

    [Fact]
    public void Pick_RoundAFan_SpacesTheLongerSide()
    {
        var places = Enumerable
            .Range(0, 400)
            .Select(i => Math.SinCos(i * Math.PI / 800))
            .Select(a => new StrokePlace(new Point(a.Cos * 6, a.Sin * 6), new Point(a.Cos * 2, a.Sin * 2)))
            .ToList();
        var picked = StrokeSpread.Pick(places, 0.4, even: false);
        Assert.All(
            Enumerable.Range(1, picked.Count - 1),
            i => Assert.InRange(picked[i].Outer.DistanceTo(picked[i - 1].Outer), 0.19, 0.21)
        );
    }

    [Fact]
    public void Pick_OfNothing_IsNothing() => Assert.Empty(StrokeSpread.Pick([], 0.4, even: true));

    [Fact]
    public void ShortStrokes_KeepCrowdedEndsApart()
    {
        var shortStrokes = new ShortStrokes(0.4);
        var ends = Enumerable
            .Range(0, 9)
            .Select(i => Math.SinCos(i * Math.PI / 8))
            .Select(a => shortStrokes.End(Point.Zero, new Point(a.Cos * 4, a.Sin * 4)))
            .ToList();
        Assert.Equal(Point.Zero, ends[0]);
        foreach (var end in ends.Skip(1))
        {
            Assert.InRange(end.Length, 0.2, 4 * 0.5);
        }
        Assert.InRange(ends.Count(end => end.Length < 0.5), 1, 6);
    }

    [Fact]
    public void ShortStrokes_LeaveEndsAloneThatHaveRoom()
    {
        var shortStrokes = new ShortStrokes(0.4);
        for (var i = 0; i < 10; i++)
        {
            var end = new Point(i * 0.4, 0);
            Assert.Equal(end, shortStrokes.End(end, new Point(i * 0.4, 4)));
        }
    }

    private static List<StrokePlace> Straight(double length) =>
        [
            .. Enumerable
                .Range(0, 101)
                .Select(i => length * i / 100)
                .Select(x => new StrokePlace(new Point(x, -1.6), new Point(x, 2.3))),
        ];
}
