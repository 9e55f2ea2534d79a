using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Stitches;

public sealed class UnitLineTests
{
    public static TheoryData<string, bool> Units
    {
        get
        {
            var data = new TheoryData<string, bool>();
            foreach (var unit in StitchUnit.All)
            {
                data.Add(unit.Id, false);
                data.Add(unit.Id, true);
            }
            return data;
        }
    }

    [Theory]
    [MemberData(nameof(Units))]
    public void AUnitFollowsAnyLine(string unit, bool isClosed)
    {
        for (var seed = 0; seed < 40; seed++)
        {
            var line = Line(new Random(seed), isClosed);
            Holds(line, new UnitNumbers(StitchUnit.Of(unit).Places, 4, 2, EndsAcross: false));
        }
    }

    [Theory]
    [InlineData(false)]
    [InlineData(true)]
    public void ABlanketStitchFollowsAnyLine(bool isClosed)
    {
        for (var seed = 0; seed < 40; seed++)
        {
            var line = Line(new Random(seed), isClosed);
            Holds(line, new UnitNumbers(UnitLine.Blanket, 3, 3, EndsAcross: true));
        }
    }

    [Fact]
    public void ABlanketStitchHasAToothAtBothEndsAndTheSideAskedFor()
    {
        var points = UnitLine.Of([new Point(0, 0), new Point(12, 0)], new UnitNumbers(UnitLine.Blanket, 3, 2.5, true));
        var teeth = points.Where(point => point.Y != 0).ToList();
        Assert.Equal([0, 3, 6, 9, 12], teeth.Select(tooth => Math.Round(tooth.X, 6)));
        Assert.All(teeth, tooth => Assert.Equal(2.5, tooth.Y, 6));
    }

    private static void Holds(ImmutableArray<Point> line, UnitNumbers numbers)
    {
        var points = UnitLine.Of(line, numbers);
        Assert.True(points[0].DistanceTo(line[0]) < 1e-6);
        Assert.True(points[^1].DistanceTo(line[^1]) < 1e-6);
        var along = new ArcLength(line);
        Assert.All(
            points,
            point => Assert.True(along.At(along.Of(point)).DistanceTo(point) <= (1.4 * numbers.Reach) + 0.01)
        );
        for (var i = 1; i < points.Length; i++)
        {
            Assert.InRange(points[i].DistanceTo(points[i - 1]), Tolerance.Quantum, StitchDefaults.LongestStitch + 1e-6);
        }
    }

    private static ImmutableArray<Point> Line(Random random, bool isClosed)
    {
        var at = Point.Zero;
        var turn = random.NextDouble() * 6;
        var line = new List<Point> { at };
        for (var i = 0; i < 60; i++)
        {
            turn += random.Next(12) == 0 ? 2 * (random.NextDouble() - 0.5) : 0.2 * (random.NextDouble() - 0.5);
            at += new Point(Math.Cos(turn), Math.Sin(turn)) * (0.4 + random.NextDouble());
            line.Add(at);
        }
        return isClosed ? [.. line, line[0]] : [.. line];
    }
}
