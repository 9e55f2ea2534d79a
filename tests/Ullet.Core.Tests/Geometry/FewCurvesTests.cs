using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Geometry;

public sealed class FewCurvesTests
{
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void Contour_OfRandomOutlines_KeepsToTheirPoints(int seed)
    {
        var random = new Random(seed);
        foreach (var contour in Enumerable.Range(0, 15).SelectMany(_ => RandomOutlines.One(random).Contours))
        {
            var ring = contour.Flatten();
            var fitted = FewCurves.Of(ring);
            var index = new SegmentIndex([fitted.Flatten(0.001)]);
            Assert.All(
                ring.Points,
                place =>
                    Assert.True(
                        (index.Nearest(place, 1)?.DistanceTo(place) ?? 9) <= Tolerance.Fit + 0.002,
                        $"seed {seed}"
                    )
            );
            Assert.InRange(fitted.Curves.Length, 1, CurveFit.Of(ring).Curves.Length + 2);
        }
    }

    /// <summary>The reference is the fewest cubics that a search within 0.02 mm finds, each as long as it fits.</summary>
    [Theory]
    [InlineData(Method.CutBeforehand)]
    [InlineData(Method.TrimInTheHoop)]
    public void CutShapes_HaveAtMostTwiceTheCurvesOfTheReference(Method method)
    {
        ShapeSource[] forms =
        [
            new EllipseShape(),
            new HeartShape(),
            new LeafShape(),
            new DropShape(),
            new CrescentShape(),
            new ShieldShape(),
            new StarShape(),
            new RectangleShape(6),
        ];
        foreach (var form in forms)
        {
            var shape = SampleProject.Evaluate(SampleProject.With(form, 60, 50, method)).Cuts.Single();
            foreach (var contour in shape.Outline.Contours)
            {
                var fewest = FewCurves.Of(contour.Flatten(0.002), 0.02).Curves.Length;
                Assert.True(
                    contour.Curves.Length <= 2 * fewest,
                    $"{form}: {contour.Curves.Length} curves, the reference has {fewest}"
                );
            }
        }
    }

    /// <summary>The line that is cut against the offset worked out place by place.</summary>
    [Fact]
    public void Template_StaysTwelveFromThePieceWithinTwoHundredths()
    {
        var evaluated = SampleProject.Evaluate(SampleProject.With(new HeartShape(), 60, 50));
        var edge = new SegmentIndex(evaluated.Outlines["e1"].Flatten(0.001).SelectMany(region => region.Rings), 4);
        var allowance = AppliqueMethods.Of(Method.TrimInTheHoop).CutAllowance!.Value;
        Assert.All(
            evaluated.Cuts[0].Outline.Parts[0].Shell.Flatten(0.002).Points,
            place => Assert.Equal(allowance, edge.Nearest(place, 20)!.Value.DistanceTo(place), 0.02)
        );
    }
}
