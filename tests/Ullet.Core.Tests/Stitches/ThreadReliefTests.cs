using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches;

/// <summary>Outlines whose covers no single leg can lay well: only the whole shows what is bare or thick.</summary>
public sealed class ThreadReliefTests
{
    private static readonly SatinNumbers Usual = new(3.5, 0.40, 0.6, 0.2);

    [Theory]
    [InlineData(5)]
    [InlineData(10)]
    [InlineData(13.3)]
    [InlineData(16)]
    [InlineData(20)]
    public void SmallCircles_AreCoveredBetweenTheirShortStrokes(double size) =>
        KeepsTheBounds(SampleOutlines.Shape(new EllipseShape(), size, size));

    [Theory]
    [InlineData(3)]
    [InlineData(5)]
    [InlineData(10)]
    public void SmallSquares_WithRoundCorners_AreCovered(double size) =>
        KeepsTheBounds(SampleOutlines.Shape(new RectangleShape(size / 8), size, size));

    [Fact]
    public void Spike_OfSixDegrees_IsNotSewnAcross() =>
        KeepsTheBounds(new Region(Ring.Of([new(0, 0), new(36, 2), new(0, 4), new(-10, 20), new(-10, -16)]), []));

    [Fact]
    public void PartsThatTouch_AreNotSewnAcrossEachOther() =>
        KeepsTheBounds(
            SampleOutlines.Shape(new EllipseShape(), 24, 24),
            new Region(Ring.Of([new(-30, 12), new(30, 12), new(30, 30), new(-30, 30)]), [])
        );

    [Fact]
    public void Switchback_OfShortEdges_IsTakenOut()
    {
        Point[] fold = [new(10, 0), new(10.12, 0.006), new(10.128, 0.004), new(10.1, -0.004), new(10.03, -0.02)];
        var ring = Ring.Of([new(0, 0), .. fold, new(20, -0.1), new(20, 20), new(0, 20)]);
        Assert.Equal(4, SmallSteps.Removed(ring).Corners().Length);
        KeepsTheBounds(new Region(ring, []));
    }

    [Theory]
    [InlineData(31)]
    [InlineData(32)]
    public void RandomOutlines_KeepTheBounds(int seed)
    {
        var random = new Random(seed);
        for (var i = 0; i < 6; i++)
        {
            KeepsTheBounds([.. RandomOutlines.One(random).Flatten().Where(region => region.Area > 25)]);
        }
    }

    [Theory]
    [InlineData(41)]
    [InlineData(42)]
    public void CellCounts_AddUpToTheLinesLengths_EachWhereItLies(int seed)
    {
        var random = new Random(seed);
        var counts = new CellCounts(0.9);
        var plain = new Dictionary<(int, int), double>();
        for (var i = 0; i < 200; i++)
        {
            var (from, to) = (Somewhere(random), Somewhere(random));
            counts.AddLine(from, to);
            const int Steps = 20_000;
            for (var s = 0; s < Steps; s++)
            {
                var cell = counts.CellOf(Point.Lerp(from, to, (s + 0.5) / Steps));
                plain[cell] = plain.GetValueOrDefault(cell) + (from.DistanceTo(to) / Steps);
            }
        }
        Assert.All(plain, pair => Assert.Equal(pair.Value, counts[pair.Key], 0.02));
        Assert.Equal(plain.Count(pair => pair.Value > 1), counts.Over(1).Count(), 1.0);
    }

    [Fact]
    public void Raster_TakesThreadAwayAgain_AndKnowsWhatIsBareThen()
    {
        var random = new Random(5);
        var raster = new ThreadRaster(new Box(-20, -20, 20, 20), 0.1);
        var threads = Enumerable.Range(0, 40).Select(_ => (Somewhere(random), Somewhere(random))).ToList();
        foreach (var (from, to) in threads)
        {
            raster.Draw(from, to);
        }
        var covered = raster.Layers.ToArray().Count(layers => layers > 0);
        Assert.Equal(-covered, raster.Bare);
        foreach (var (from, to) in threads)
        {
            raster.Draw(from, to, -1);
        }
        Assert.Equal(0, raster.Bare);
        Assert.All(raster.Layers.ToArray(), layers => Assert.Equal(0, layers));
    }

    private static Point Somewhere(Random random) =>
        new((random.NextDouble() - 0.5) * 30, (random.NextDouble() - 0.5) * 30);

    private static void KeepsTheBounds(params ImmutableArray<Region> regions) =>
        Assert.Empty(QualityBounds.Breaches(CoverSamples.Measure(regions, Usual)));
}
