using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Stitches;

public sealed class FanEndsTests
{
    private const double Outer = 10;

    /// <summary>Strokes round a centre, a fan whose inner ends lie a share of the outer ones' distance apart.</summary>
    private static Stroke[] Fan(double share, int count = 60) =>
        [
            .. Enumerable
                .Range(0, count)
                .Select(i =>
                {
                    var away = new Point(Math.Cos(i * 0.02), Math.Sin(i * 0.02));
                    return new Stroke(new StrokePlace(away * Outer, away * (Outer * share)), 1, share);
                }),
        ];

    [Theory]
    [InlineData(0.5)]
    [InlineData(0.65)]
    [InlineData(0.8)]
    public void InnerEnds_OfFullLength_StandEvenlyAndNotNearerThanWanted(double share)
    {
        var points = FanEnds.Of(Fan(share), 0, true, new Thinning(1, 0));
        var angles = points
            .Where((point, i) => i % 2 == 1 && Math.Abs(point.Length - (Outer * share)) < 0.01)
            .Select(point => Math.Atan2(point.Y, point.X))
            .Order()
            .ToList();
        // Near the fan's own ends what stands beside it is not known.
        var gaps = angles.Zip(angles.Skip(1), (a, b) => (b - a) * Outer * share).Skip(2).SkipLast(2).ToList();
        Assert.InRange(gaps.Average(), 0.36, 0.46);
        Assert.True(gaps.Max() < 1.75 * gaps.Min(), $"{gaps.Min():0.00} to {gaps.Max():0.00}");
    }

    [Theory]
    [InlineData(0.5, 3)]
    [InlineData(0.8, 4)]
    public void OuterEnds_StayWhereTheyAre(double share, int first)
    {
        var fan = Fan(share);
        var points = FanEnds.Of(fan, first, true, new Thinning(1.1, 2));
        for (var i = 0; i < fan.Length; i++)
        {
            if ((first + i) % 2 == 0)
            {
                Assert.Equal(0, points[i].DistanceTo(fan[i].Place.Outer), 1e-9);
            }
        }
    }

    [Fact]
    public void Strokes_ThatHardlyDrawTogether_KeepTheirLength()
    {
        var fan = Fan(0.95);
        var points = FanEnds.Of(fan, 0, true, new Thinning(1, 0));
        Assert.All(
            points.Index(),
            each =>
                Assert.Equal(
                    0,
                    each.Item.DistanceTo(
                        each.Index % 2 == 0 ? fan[each.Index].Place.Outer : fan[each.Index].Place.Inner
                    ),
                    1e-9
                )
        );
    }
}
