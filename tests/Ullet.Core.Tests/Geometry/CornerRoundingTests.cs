using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Geometry;

public sealed class CornerRoundingTests
{
    [Fact]
    public void Rounding_OfASquare_IsExact_AndAddsTwoNodesACornerAtMost()
    {
        var square = Rectangle(40, 40);
        var rounded = CornerRounding.By(square, 6);
        Assert.Equal(1600 - ((4 - Math.PI) * 36), Plane.Area(rounded), 0.05);
        Assert.InRange(rounded.NodeCount, 8, 4 + (4 * CornerRounding.NodesPerCorner));
        Assert.Empty(rounded.Parts[0].Shell.Flatten().Corners());
        // No room for 30: the largest that takes half of each side.
        Assert.Equal(1600 - ((4 - Math.PI) * 400), Plane.Area(CornerRounding.By(square, 30)), 3.0);
    }

    [Fact]
    public void Rounding_OfAStar_TakesTheSideThatIsAsked()
    {
        var star = Generated(new StarShape(5, 0.5), 60, 60);
        int Left(CornerSide side) => CornerRounding.By(star, 2, side).Parts[0].Shell.Flatten().Corners().Length;
        Assert.Equal((0, 5, 5), (Left(CornerSide.All), Left(CornerSide.Outer), Left(CornerSide.Inner)));
    }

    [Fact]
    public void Rounding_OnSeededCases_IsFiniteAndStaysNear()
    {
        for (var seed = 0; seed < 150; seed++)
        {
            var (a, b) = RandomOutlines.Pair(seed);
            var cut = OutlineOverlay.Difference(a, b);
            var rounded = CornerRounding.By(cut, 1.5);
            Assert.All(
                rounded.Contours,
                contour => Assert.True(contour.Curves.All(curve => double.IsFinite(curve.End.X)))
            );
            Assert.InRange(rounded.NodeCount, 0, cut.NodeCount * (1 + CornerRounding.NodesPerCorner));
            Assert.True(Math.Abs(Plane.Area(rounded) - Plane.Area(cut)) < 1 + (25 * Corners(cut)), $"Seed {seed}");
        }
    }

    [Fact]
    public void Rounding_Again_GivesTheVerySame()
    {
        for (var seed = 0; seed < 60; seed++)
        {
            var once = CornerRounding.By(RandomOutlines.Pair(seed).A, 2);
            Assert.Same(once, CornerRounding.By(once, 2));
        }
    }

    private static Outline Generated(ShapeSource shape, double width, double height) =>
        ShapeContours.Outline(shape, width, height);

    private static Outline Rectangle(double width, double height) => Generated(new RectangleShape(), width, height);

    private static int Corners(Outline outline) =>
        outline.Flatten().SelectMany(region => region.Rings).Sum(ring => ring.Corners().Length);
}
