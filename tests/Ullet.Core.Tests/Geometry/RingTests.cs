using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Geometry;

public sealed class RingTests
{
    private static readonly Ring Square = Ring.Of([new(0, 0), new(10, 0), new(10, 10), new(0, 10)]);

    [Fact]
    public void Area_IsPositiveClockwiseOnScreen()
    {
        Assert.Equal(100, Square.SignedArea, 9);
        Assert.Equal(-100, Square.Reversed().SignedArea, 9);
        Assert.Equal(40, Square.Length, 9);
    }

    [Fact]
    public void Of_PointsThatCoincide_KeepsOne()
    {
        var ring = Ring.Of([new(0, 0), new(0, 0), new(10, 0), new(10, 1e-9), new(10, 10), new(0, 0)]);
        Assert.Equal([new Point(0, 0), new Point(10, 0), new Point(10, 10)], ring.Points);
    }

    [Fact]
    public void Turn_OfASquare_IsARightAngleAtEachCorner()
    {
        Assert.All(Enumerable.Range(0, 4), i => Assert.Equal(90, Square.TurnAt(i), 9));
        Assert.All(Enumerable.Range(0, 4), i => Assert.Equal(-90, Square.Reversed().TurnAt(i), 9));
    }

    [Fact]
    public void Corners_OfFlattenedCurves_AreTheRealOnesOnly()
    {
        Assert.Empty(ShapeContours.Make(new EllipseShape(), 3, 3).Flatten().Corners());
        Assert.Empty(ShapeContours.Make(new RectangleShape(0.8), 30, 30).Flatten().Corners());
        Assert.Equal(2, ShapeContours.Make(new HeartShape(), 60, 60).Flatten().Corners().Length);
        Assert.Equal(10, ShapeContours.Make(new StarShape(), 60, 60).Flatten().Corners().Length);
    }

    [Fact]
    public void StartingAt_GivesTheSameRing()
    {
        var turned = Square.StartingAt(2);
        Assert.Equal(new Point(10, 10), turned.Points[0]);
        Assert.Equal(Square.SignedArea, turned.SignedArea, 9);
    }

    [Theory]
    [InlineData(0, 0, 0)]
    [InlineData(5, 5, 0)]
    [InlineData(15, 10, 5)]
    [InlineData(99, 10, 10)]
    [InlineData(-3, 0, 0)]
    public void ArcLength_FindsPlacesByTheirWay(double along, double x, double y) =>
        Assert.Equal(new Point(x, y), new ArcLength([new(0, 0), new(10, 0), new(10, 10)]).At(along));

    [Theory]
    [InlineData(41)]
    public void Affine_Maps_GoOneAfterTheOther(int seed)
    {
        var random = new Random(seed);
        for (var i = 0; i < 100; i++)
        {
            var first = Affine
                .Rotate(random.NextDouble() * 360)
                .Then(Affine.Translate(random.Next(50), random.Next(50)));
            var second = Affine.Scale(1 + random.NextDouble(), 2).Then(Affine.Rotate(random.Next(360)));
            var place = new Point(random.Next(100), random.Next(100));
            Assert.True(
                first.Then(second).Apply(place).DistanceTo(second.Apply(first.Apply(place))) < 1e-9,
                $"seed {seed}, case {i}"
            );
        }
    }

    [Fact]
    public void Affine_Rotate_TurnsClockwiseOnScreen()
    {
        var turned = Affine.Rotate(90).Apply(new Point(1, 0));
        Assert.True(turned.DistanceTo(new Point(0, 1)) < 1e-12);
    }

    [Fact]
    public void Box_KnowsWhatItHolds()
    {
        var box = Box.Centred(20, 10);
        Assert.True(box.Contains(Box.Centred(20, 10)));
        Assert.False(box.Contains(Box.Centred(20.1, 10)));
        Assert.True(box.Contains(Box.Empty));
        Assert.True(Box.Empty.IsEmpty);
        Assert.Equal(0, Box.Empty.Width);
        Assert.True(box.Overlaps(new Box(10, 5, 30, 30)));
        Assert.False(box.Overlaps(new Box(10.1, 5, 30, 30)));
        Assert.Equal(new Box(-12, -7, 12, 7), box.Grown(2));
    }
}
