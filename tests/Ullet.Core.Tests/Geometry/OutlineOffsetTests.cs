using Ullet.Core.Geometry;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Geometry;

public sealed class OutlineOffsetTests
{
    [Fact]
    public void Offset_OnSeededCases_NeverComesNearerThanAsked_AndCountsNodes()
    {
        for (var seed = 0; seed < 120; seed++)
        {
            var (random, distance) = (new Random(seed), 0.5 + (seed % 9));
            var outline = RandomOutlines.One(random);
            var grown = OutlineOffset.By(outline, distance);
            var from = Plane.DistanceFrom(Plane.Of(outline));
            Assert.All(
                Plane.Along(grown),
                place =>
                    Assert.True(
                        Math.Abs(from(place) - distance - 0.005) <= 0.025,
                        $"Seed {seed}: {from(place)} at {place}, {distance} asked"
                    )
            );
            Assert.InRange(grown.NodeCount, 1, OutlineOffset.NodesPerCurve * outline.NodeCount);
        }
    }

    [Fact]
    public void Offset_WithSharpCorners_KeepsThem_AndInwardsLeavesNothingOfWhatIsTooThin()
    {
        var square = new Outline([
            new OutlinePart(Contour.Polygon([new(0, 0), new(20, 0), new(20, 20), new(0, 20)]), []),
        ]);
        Assert.Equal(4, OutlineOffset.By(square, 3, CornerStyle.Sharp).NodeCount);
        Assert.Equal(26 * 26, Plane.Area(OutlineOffset.By(square, 3, CornerStyle.Sharp)), 1.0);
        Assert.True(OutlineOffset.By(square, -10.5).IsEmpty);
        Assert.Same(square, OutlineOffset.By(square, 0));
    }
}
