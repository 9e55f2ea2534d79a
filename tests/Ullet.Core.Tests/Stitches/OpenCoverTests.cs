using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches;

public sealed class OpenCoverTests
{
    public static TheoryData<string> Names => [.. SampleOutlines.All.Keys];

    public static TheoryData<string> MotifIds => [.. StitchUnit.All.Select(motif => motif.Id)];

    private static CancellationToken Token => TestContext.Current.CancellationToken;

    [Theory]
    [MemberData(nameof(Names))]
    public void Blanket_ClosesAndKeepsSpineAndTeethInTheirPlaces(string name)
    {
        var region = SampleOutlines.All[name]();
        var stitches = BlanketCover.Make([region], new BlanketNumbers(0.8, 3, 3, IsMirrored: false), Token);
        Assert.Equal(region.Rings.Count(), stitches.Runs.Length);
        foreach (var points in stitches.Runs.Select(run => run.Points))
        {
            Assert.Equal(points[0], points[^1]);
            // On a sharp corner the spine goes round it at up to 1.6 times its distance.
            Assert.All(points, point => Assert.InRange(Signed(region, point), -0.8 * 1.65, 3 * 1.65));
        }
    }

    [Fact]
    public void Blanket_OnACircle_HasAWholeNumberOfTeethOfOneLength()
    {
        var region = SampleOutlines.Shape(new EllipseShape(), 50, 50);
        var points = BlanketCover.Make([region], new BlanketNumbers(0.8, 3, 3, false), Token).Runs.Single().Points;
        var tips = points.Where(point => point.Length < 23).ToList();
        Assert.Equal((int)Math.Round(2 * Math.PI * 25.8 / 3), tips.Count);
        Assert.All(tips, tip => Assert.Equal(22, tip.Length, 0.02));
        var mirrored = BlanketCover.Make([region], new BlanketNumbers(0.8, 3, 3, true), Token).Runs.Single().Points;
        Assert.Equal(mirrored.Length > 3, mirrored.Count(point => point.Length > 25.5) > 20);
        Assert.True(mirrored.Count(point => point.Length < 23) > tips.Count);
    }

    [Theory]
    [MemberData(nameof(MotifIds))]
    public void Motif_OnACorneredAndARoundOutline_ClosesInsideItsBand(string id)
    {
        foreach (var name in new[] { "circle", "star", "comb, 8 mm teeth", "ring" })
        {
            var region = SampleOutlines.All[name]();
            var stitches = MotifCover.Make([region], Cover(CoverKind.Motif, id), Token);
            Assert.Equal(region.Rings.Count(), stitches.Runs.Length);
            foreach (var points in stitches.Runs.Select(run => run.Points))
            {
                Assert.True(points[0].DistanceTo(points[^1]) < 0.01, $"{id} on {name}");
                Assert.All(points, point => Assert.InRange(Signed(region, point), -2.1, 2.1));
            }
        }
    }

    [Fact]
    public void Motif_Mirrored_TurnsItsOuterSideInwards()
    {
        var region = SampleOutlines.Shape(new EllipseShape(), 50, 50);
        var thorn = Cover(CoverKind.Motif, "thorn") with { UnitLength = 5 };
        double Beyond(CoverNumbers cover) =>
            MotifCover.Make([region], cover, Token).Runs.Single().Points.Average(point => Signed(region, point));
        Assert.Equal(-Beyond(thorn), Beyond(thorn with { IsMirrored = true }), 0.05);
    }

    [Fact]
    public void Motifs_AreAtLeastEight_BeginAndEndOnTheEdge_AndStayInTheirFrame()
    {
        Assert.True(StitchUnit.All.Length >= 8);
        Assert.Equal(StitchUnit.All.Length, StitchUnit.All.DistinctBy(motif => motif.Id).Count());
        foreach (var motif in StitchUnit.All)
        {
            Assert.Equal(((0, 0), (1, 0)), (motif.Places[0], motif.Places[^1]));
            Assert.All(motif.Places, place => Assert.InRange(place.Along, 0, 1));
            Assert.All(motif.Places, place => Assert.InRange(place.Across, -1, 1));
        }
    }

    [Theory]
    [InlineData(3)]
    [InlineData(5)]
    public void Bean_RunsInsideTheEdge_AsOftenAsAsked(int passes)
    {
        var region = SampleOutlines.Shape(new EllipseShape(), 50, 50);
        var cover = Cover(CoverKind.Bean) with { Inset = 2, Passes = passes, UnitLength = 2.5 };
        var points = BeanCover.Make([region], cover).Runs.Single().Points;
        Assert.All(points, point => Assert.Equal(23, point.Length, 0.02));
        Assert.Equal(0, (points.Length - 1) % passes);
        Assert.Equal(points[0], points[2]);
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void ZigzagTack_LiesBetweenItsInsetAndItsWidth(string name)
    {
        var region = SampleOutlines.All[name]();
        foreach (var run in ZigzagTack.Make([region], 0.8, 1, Token).Runs)
        {
            Assert.All(run.Points, point => Assert.InRange(Signed(region, point), -0.05, 1.9));
        }
    }

    [Fact]
    public void OpenStretches_GetEveryKindOfCoverWithoutClosing()
    {
        var region = SampleOutlines.Shape(new RectangleShape(), 50, 30);
        var visible = new VisibleEdge([], [new OpenStretch(0, [new(-25, -15), new(25, -15), new(25, 15)])]);
        StepStitches[] made =
        [
            BlanketCover.Make([region], new BlanketNumbers(0.8, 3, 3, false), Token, visible),
            MotifCover.Make([region], Cover(CoverKind.Motif), Token, visible),
            BeanCover.Make([region], Cover(CoverKind.Bean) with { UnitLength = 2.5 }, visible),
            SatinCover.Make([region], new SatinNumbers(3.5, 0.4, 0.6, 0.2), Token, visible),
        ];
        foreach (var stitches in made)
        {
            var points = stitches.Runs[^1].Points;
            Assert.True(points[0].DistanceTo(points[^1]) > 40);
            Assert.All(points, point => Assert.True(point.X > -25.1 && point.Y < 15.1, point.ToString()));
        }
    }

    private static CoverNumbers Cover(CoverKind kind, string? motif = null) =>
        new(kind, new SatinNumbers(4, 0.4, 0.5, 0))
        {
            MotifId = motif,
            UnitLength = 4,
            Inset = 1.5,
        };

    /// <summary>How far inside the outline a place lies, mm; below 0 outside.</summary>
    private static double Signed(Region region, Point place)
    {
        var (nearest, inside) = (double.MaxValue, false);
        foreach (var points in region.Rings.Select(ring => ring.Points))
        {
            for (var i = 0; i < points.Length; i++)
            {
                var (a, b) = (points[i], points[(i + 1) % points.Length]);
                nearest = Math.Min(nearest, QualityRaster.Distance(place, a, b));
                inside ^=
                    (a.Y > place.Y) != (b.Y > place.Y) && place.X < a.X + ((place.Y - a.Y) / (b.Y - a.Y) * (b.X - a.X));
            }
        }
        return inside ? nearest : -nearest;
    }
}
