using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches;

public sealed class SatinCoverTests
{
    private static readonly SatinNumbers Usual = new(3.5, 0.40, 0.6, 0.2);

    public static TheoryData<string> Names => [.. SampleOutlines.All.Keys];

    [Fact]
    public void ASpeckAtACorner_LeavesTheCornerCovered()
    {
        var square = new Ring([new(0, 0), new(30, 0), new(30, 30), new(0, 30)]);
        var speck = new Ring([new(30.1, -0.2), new(30.2, -0.1), new(30.1, -0.1)]);
        Region Of(Ring ring) => new(ring.SignedArea > 0 ? ring : ring.Reversed(), []);
        StepStitches Make(params Region[] regions) =>
            SatinCover.Make([.. regions], Usual, TestContext.Current.CancellationToken);
        Assert.Equal(
            Make(Of(square)).Runs.SelectMany(run => run.Points),
            Make(Of(square), Of(speck)).Runs.SelectMany(run => run.Points)
        );
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Cover_OnEachOutline_KeepsTheBoundsOfAGoodCover(string name)
    {
        var raster = CoverSamples.Measure([SampleOutlines.All[name]()], Usual);
        TestContext.Current.TestOutputHelper?.WriteLine(
            $"{name}: {raster.Coverage:P2}, {raster.MostInDisc} in a disc, {raster.MostLayers:0.00} layers"
        );
        Assert.Empty(QualityBounds.Breaches(raster));
    }

    [Fact]
    public void Raster_SeesWhatIsWrong()
    {
        var region = SampleOutlines.All["circle"]();
        Assert.Contains(
            QualityBounds.Breaches(CoverSamples.Measure([region], Usual with { Spacing = 0.8 })),
            line => line.Contains("covered", StringComparison.Ordinal)
        );
        Assert.Contains(
            QualityBounds.Breaches(CoverSamples.Measure([region], Usual with { Spacing = 0.1 })),
            line => line.Contains("layers", StringComparison.Ordinal)
        );
        var spilled = CoverSamples.Measure([region], Usual, points => points.SetItem(9, new Point(0, 0)));
        Assert.Contains(
            QualityBounds.Breaches(spilled),
            line => line.Contains("outside the band", StringComparison.Ordinal)
        );
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Cover_OnEachOutline_KeepsNeedlePointsInTheBand(string name)
    {
        var region = SampleOutlines.All[name]();
        var band = Usual.Band;
        foreach (var point in Make(region).Runs.SelectMany(run => run.Points))
        {
            var (distance, inside) = SignedDistance(region, point);
            var limit = inside ? band.Inside : band.Outside;
            Assert.True(distance <= limit + 0.1, $"{name}: {distance:0.000} from the edge at {point}");
        }
    }

    [Fact]
    public void Cover_OnCircle_SpacesTheOuterSideAsAsked()
    {
        var points = Make(SampleOutlines.Shape(new EllipseShape(), 50, 50)).Runs[^1].Points;
        var outer = points.Where(p => p.Length > 25).Take(60).ToList();
        for (var i = 0; i + 10 < outer.Count; i++)
        {
            var mean = Enumerable.Range(i, 10).Average(k => outer[k].DistanceTo(outer[k + 1]));
            Assert.InRange(mean, 0.38, 0.42);
        }
    }

    [Fact]
    public void Cover_Closed_RunsOnOverItsStart()
    {
        var points = Make(SampleOutlines.All["circle"]()).Runs[^1].Points;
        var start = Angle(points[0]);
        var turned = Enumerable.Range(1, points.Length - 1).Sum(i => Wrapped(Angle(points[i]) - Angle(points[i - 1])));
        Assert.InRange((turned - (2 * Math.PI)) * 25, 1.0, 2.0);
        Assert.InRange(start, 0, Math.PI);

        static double Angle(Point p) => Math.Atan2(p.Y, p.X);
        static double Wrapped(double angle) => Math.IEEERemainder(angle, 2 * Math.PI);
    }

    [Fact]
    public void Cover_WithCorners_BeginsClearOfThemAndEndsBeyondItsStart()
    {
        var region = SampleOutlines.All["heart"]();
        var points = Make(region).Runs[^1].Points;
        var start = Point.Lerp(points[0], points[1], 0.5);
        var end = Point.Lerp(points[^1], points[^2], 0.5);
        Assert.All(region.Shell.Corners(), corner => Assert.True(region.Shell.Points[corner].DistanceTo(start) > 2.5));
        Assert.InRange(end.DistanceTo(start), 0.8, 3.0);
    }

    [Theory]
    [InlineData(2.0, 1)]
    [InlineData(3.5, 3)]
    [InlineData(4.5, 4)]
    public void Cover_OfAWidth_HasItsUnderlay(double width, int runs)
    {
        var region = SampleOutlines.Shape(new EllipseShape(), 50, 50);
        var stitches = SatinCover.Make([region], Usual with { Width = width }, TestContext.Current.CancellationToken);
        Assert.Equal(runs, stitches.Runs.Count(run => run.Kind == RunKind.Underlay));
        Assert.Equal(RunKind.Top, stitches.Runs[^1].Kind);
    }

    [Fact]
    public void Cover_OnPieceNarrowerThanItsBand_ReportsThePlace()
    {
        var bar = SampleOutlines.Shape(new RectangleShape(), 50, 3);
        var place = Assert.Single(Make(bar).NarrowPlaces.DistinctBy(place => Math.Round(place.Width, 1)));
        Assert.InRange(place.Width, 3.0, 3.2);
    }

    [Fact]
    public void Cover_OnWidePiece_ReportsNothing() =>
        Assert.Empty(Make(SampleOutlines.Shape(new EllipseShape(), 50, 50)).NarrowPlaces);

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void Cover_OnRandomOutlines_IsFiniteAndWithoutEmptyStitches(int seed)
    {
        var random = new Random(seed);
        for (var i = 0; i < 120; i++)
        {
            var region = RandomOutline(random);
            var numbers = new SatinNumbers(2 + (random.NextDouble() * 5), 0.3 + (random.NextDouble() * 0.5), 0.6, 0.2);
            var stitches = SatinCover.Make([region], numbers, TestContext.Current.CancellationToken);
            foreach (var run in stitches.Runs)
            {
                Assert.All(
                    run.Points,
                    p => Assert.True(double.IsFinite(p.X) && double.IsFinite(p.Y), $"seed {seed}, case {i}")
                );
                for (var k = 1; k < run.Points.Length; k++)
                {
                    Assert.True(
                        run.Points[k].DistanceTo(run.Points[k - 1]) > 0,
                        $"seed {seed}, case {i}: empty stitch"
                    );
                }
            }
        }
    }

    private static StepStitches Make(Region region) =>
        SatinCover.Make([region], Usual, TestContext.Current.CancellationToken);

    /// <summary>Star-shaped rings with spikes and notches down to a tenth of a millimetre.</summary>
    private static Region RandomOutline(Random random)
    {
        var count = random.Next(3, 40);
        var size = Math.Pow(10, random.NextDouble() * 1.7);
        var points = Enumerable
            .Range(0, count)
            .Select(i =>
            {
                var angle = 2 * Math.PI * i / count;
                var radius = size * (0.15 + random.NextDouble());
                return new Point(radius * Math.Cos(angle), radius * Math.Sin(angle));
            });
        return new Region(Ring.Of([.. points]), []);
    }

    private static (double Distance, bool Inside) SignedDistance(Region region, Point place)
    {
        var nearest = double.MaxValue;
        var inside = false;
        foreach (var ring in region.Rings)
        {
            for (var i = 0; i < ring.Points.Length; i++)
            {
                var (a, b) = (ring.Points[i], ring.Points[(i + 1) % ring.Points.Length]);
                nearest = Math.Min(nearest, QualityRaster.Distance(place, a, b));
                if ((a.Y > place.Y) != (b.Y > place.Y) && place.X < a.X + ((place.Y - a.Y) / (b.Y - a.Y) * (b.X - a.X)))
                {
                    inside = !inside;
                }
            }
        }
        return (nearest, inside);
    }
}
