using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Recovery;

namespace Ullet.Core.Tests.Recovery;

public sealed class RunLinesTests
{
    [Fact]
    public void ARingSewnOnce_IsOneClosedLine()
    {
        var line = Assert.Single(RunLines.Of([.. Round(10, 30), Round(10, 30)[0]]));
        Assert.True(line.IsClosed);
        Assert.Equal(1, line.Passes);
        Assert.Equal(30, line.Points.Length);
    }

    [Fact]
    public void ARingSewnTwice_HasTheHolesOfBothPassesInTheirOrder()
    {
        var (first, second) = (Round(10, 24), Round(10, 24, 0.5));
        var line = Assert.Single(RunLines.Of([.. first, first[0], .. second, first[0]]));
        Assert.Equal(2, line.Passes);
        Assert.InRange(line.Points.Length, 47, 48);
        var angles = line.Points.Select(at => Math.Atan2(at.Y, at.X)).ToList();
        Assert.True(angles.Zip(angles.Skip(1)).Count(pair => pair.Second < pair.First) <= 1);
    }

    [Fact]
    public void TwoRingsWithAWayBetween_AreTwo()
    {
        var far = Round(6, 20).Select(at => at + new Point(40, 0)).ToList();
        var lines = RunLines.Of([.. Round(10, 30), Round(10, 30)[0], new Point(24, 0), .. far, far[0]]);
        Assert.Equal(2, lines.Count(line => line.IsClosed));
    }

    [Fact]
    public void ALineToAndFro_IsNoRing()
    {
        var there = Enumerable.Range(0, 20).Select(i => new Point(i * 2.5, 0)).ToList();
        var line = Assert.Single(RunLines.Of([.. there, .. there.AsEnumerable().Reverse().Skip(1)]));
        Assert.False(line.IsClosed);
        Assert.Equal(47.5, line.Length(), 3);
    }

    [Fact]
    public void ANarrowRing_IsFound_HoweverThin()
    {
        var up = Enumerable.Range(0, 30).Select(i => new Point(i * 2.5, 0)).ToList();
        var down = Enumerable.Range(0, 30).Select(i => new Point((29 - i) * 2.5, 1.6)).ToList();
        var line = Assert.Single(RunLines.Of([.. up, .. down, up[0]]));
        Assert.True(line.IsClosed);
        Assert.InRange(Math.Abs(line.Ring().SignedArea), 100, 125);
    }

    [Fact]
    public void RandomPaths_AreReadWithoutEnd_AndLoseNoLength()
    {
        for (var seed = 0; seed < 60; seed++)
        {
            var random = new Random(seed);
            var at = Point.Zero;
            var points = new List<Point>();
            for (var i = 0; i < 150; i++)
            {
                at += new Point((random.NextDouble() - 0.5) * 8, (random.NextDouble() - 0.5) * 8);
                points.Add(at);
            }
            foreach (var line in RunLines.Of([.. points]))
            {
                Assert.True(line.Points.Length > 1, $"seed {seed}");
                Assert.All(line.Points, each => Assert.Contains(each, points));
            }
        }
    }

    private static List<Point> Round(double radius, int count, double phase = 0) =>
        [
            .. Enumerable
                .Range(0, count)
                .Select(i => new Point(
                    radius * Math.Cos((i + phase) * 2 * Math.PI / count),
                    radius * Math.Sin((i + phase) * 2 * Math.PI / count)
                )),
        ];
}
