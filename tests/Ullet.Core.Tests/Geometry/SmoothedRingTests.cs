using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Geometry;

public sealed class SmoothedRingTests
{
    [Fact]
    public void CleanOutlines_KeepEveryPoint()
    {
        foreach (var make in SampleOutlines.All.Values)
        {
            Assert.All(make().Rings, ring => Assert.Same(ring, SmoothedRing.Of(ring)));
        }
    }

    [Theory]
    [InlineData(0.1)]
    [InlineData(0.15)]
    [InlineData(0.2)]
    public void Nicks_AreGone_AndTheRestStays(double depth)
    {
        var (nicked, plain) = (NastyOutlines.Nicked(depth).Shell, NastyOutlines.Nicked(0).Shell);
        var smoothed = SmoothedRing.Of(nicked);
        Assert.Empty(smoothed.Corners());
        var (edge, rough) = (new SegmentIndex([plain]), new SegmentIndex([nicked]));
        Assert.All(smoothed.Points, point => Assert.NotNull(edge.Nearest(point, 0.07)));
        Assert.All(smoothed.Points, point => Assert.NotNull(rough.Nearest(point, SmoothedRing.Drift + 0.01)));
        Assert.InRange(SmoothedRing.DriftOf(nicked, smoothed).Length, 0.5 * depth, SmoothedRing.Drift + 0.06);
    }

    [Fact]
    public void Noise_BecomesSmooth_WithItsCornersKept_WithinTheDrift()
    {
        foreach (
            var (name, region) in NastyOutlines
                .All()
                .Where(each => each.Name.Contains("noisy", StringComparison.Ordinal))
        )
        {
            var smoothed = SmoothedRing.Of(region.Shell);
            Assert.True(smoothed.Corners().Length <= 24, $"{name} has {smoothed.Corners().Length} corners left");
            var rough = new SegmentIndex([region.Shell]);
            Assert.All(smoothed.Points, point => Assert.NotNull(rough.Nearest(point, SmoothedRing.Drift + 0.01)));
            // The heart's tip is still one.
            var (lowest, before) = (smoothed.Points.Max(point => point.Y), region.Shell.Points.Max(point => point.Y));
            Assert.InRange(lowest, before - 0.4, before + 0.1);
        }
    }

    [Fact]
    public void WhatIsMeant_StaysAsItIs()
    {
        // A step of 0.6 mm is no nick: it is what was drawn.
        var step = new Ring([new(0, 0), new(20, 0), new(20, 0.6), new(40, 0.6), new(40, 20), new(0, 20)]);
        var smoothed = SmoothedRing.Of(step);
        Assert.All(step.Points, corner => Assert.Contains(smoothed.Points, point => point.DistanceTo(corner) < 0.02));
    }

    [Theory]
    [InlineData(3)]
    [InlineData(4)]
    public void RandomOutlines_MoveByTheDriftAtMost(int seed)
    {
        var random = new Random(seed);
        for (var i = 0; i < 40; i++)
        {
            foreach (var ring in RandomOutlines.One(random).Flatten().SelectMany(region => region.Rings))
            {
                var smoothed = SmoothedRing.Of(ring);
                var (from, to) = (new SegmentIndex([ring]), new SegmentIndex([smoothed]));
                Assert.All(smoothed.Points, point => Assert.NotNull(from.Nearest(point, SmoothedRing.Drift + 0.02)));
                Assert.All(ring.Points, point => Assert.NotNull(to.Nearest(point, 0.4)));
                Assert.Equal(Math.Sign(ring.SignedArea), Math.Sign(smoothed.SignedArea));
            }
        }
    }
}
