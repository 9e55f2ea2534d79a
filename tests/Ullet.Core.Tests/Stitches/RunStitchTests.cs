using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches;

public sealed class RunStitchTests
{
    public static TheoryData<string> Names => [.. SampleOutlines.All.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void Round_StaysTrueToItsCurve(string name)
    {
        foreach (var ring in SampleOutlines.All[name]().Rings)
        {
            var points = RunStitch.Round(ring, 2.5);
            var worst = ring.Points.Max(on =>
                Enumerable.Range(1, points.Length - 1).Min(i => QualityRaster.Distance(on, points[i - 1], points[i]))
            );
            Assert.True(worst <= 0.15, $"{name}: {worst:0.000} mm off");
        }
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Round_PutsANeedlePointOnEveryCornerAndNoStitchOverItsLength(string name)
    {
        foreach (var ring in SampleOutlines.All[name]().Rings)
        {
            var points = RunStitch.Round(ring, 2.5);
            Assert.All(
                ring.Corners(),
                corner => Assert.Contains(points, p => p.DistanceTo(ring.Points[corner]) < 1e-6)
            );
            for (var i = 1; i < points.Length; i++)
            {
                Assert.InRange(points[i].DistanceTo(points[i - 1]), 1e-6, 2.5 + 1e-6);
            }
            Assert.Equal(points[0], points[^1]);
        }
    }

    [Fact]
    public void Round_ASecondTimeAtHalfPhase_LandsBetweenTheHoles()
    {
        var ring = SampleOutlines.Shape(new RectangleShape(), 40, 20).Shell;
        var first = RunStitch.Round(ring, 2.5);
        var second = RunStitch.Round(ring, 2.5, 0.5);
        var corners = ring.Points;
        var between = second.Where(p => corners.All(c => c.DistanceTo(p) > 1e-6)).ToList();
        Assert.NotEmpty(between);
        Assert.All(between, p => Assert.True(first.Min(hole => hole.DistanceTo(p)) > 1.0));
    }
}
