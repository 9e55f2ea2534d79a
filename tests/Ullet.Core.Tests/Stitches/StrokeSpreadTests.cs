using System.Collections.Immutable;
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
            .ToArray();
        var picked = StrokeSpread.Pick(places, 0.4, even: false);
        Assert.All(
            Enumerable.Range(1, picked.Count - 1),
            i => Assert.InRange(picked[i].Outer.DistanceTo(picked[i - 1].Outer), 0.19, 0.21)
        );
    }

    [Fact]
    public void Pick_OfNothing_IsNothing() => Assert.Empty(StrokeSpread.Pick([], 0.4, even: true));

    [Fact]
    public void Crowding_OnAFan_SaysHowNearTheInnerEndsStand()
    {
        var strokes = Crowding(Fan(outer: 6, inner: 2));
        Assert.All(strokes[5..^5], stroke => Assert.InRange(stroke.OuterShare, 0.95, 1.05));
        Assert.All(strokes[5..^5], stroke => Assert.InRange(stroke.InnerShare, 0.3, 0.36));
    }

    [Fact]
    public void ShortStrokes_ThinOutWhereStrokesCrowd()
    {
        var strokes = Crowding(Fan(outer: 4, inner: 0.4));
        var points = Sewn(strokes);
        var inner = points.Where((_, i) => i % 2 == 1).Select(point => point.Length).ToList();
        Assert.InRange(inner.Count(radius => radius < 0.6), 1, inner.Count / 4);
        Assert.All(points.Where((_, i) => i % 2 == 0), point => Assert.Equal(4, point.Length, 0.01));
    }

    [Fact]
    public void ShortStrokes_LeaveEndsAloneThatHaveRoom()
    {
        var strokes = Crowding(Straight(20));
        var points = Sewn(strokes);
        for (var i = 0; i < points.Length; i++)
        {
            Assert.Equal(i % 2 == 0 ? strokes[i].Place.Outer : strokes[i].Place.Inner, points[i]);
        }
    }

    private static Stroke[] Crowding(StrokePlace[] places)
    {
        var strokes = new List<Stroke>();
        StrokeSpread.Add(places, 0.4, isSmooth: false, strokes);
        return [.. strokes];
    }

    private static ImmutableArray<Point> Sewn(Stroke[] strokes)
    {
        var thread = new TopThread(0, null, strokes.Length);
        new ShortStrokes(0.4, StitchDefaults.CrowdedShare).Sew(strokes, thread);
        return [.. thread.Points];
    }

    private static StrokePlace[] Fan(double outer, double inner) =>
        [
            .. Enumerable
                .Range(0, 400)
                .Select(i => Math.SinCos(i * Math.PI / 400))
                .Select(a => new StrokePlace(
                    new Point(a.Cos * outer, a.Sin * outer),
                    new Point(a.Cos * inner, a.Sin * inner)
                )),
        ];

    private static StrokePlace[] Straight(double length) =>
        [
            .. Enumerable
                .Range(0, 101)
                .Select(i => length * i / 100)
                .Select(x => new StrokePlace(new Point(x, -1.6), new Point(x, 2.3))),
        ];
}
