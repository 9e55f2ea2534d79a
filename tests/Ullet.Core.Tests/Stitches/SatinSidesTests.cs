using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches;

public sealed class SatinSidesTests
{
    private static readonly CoverBand Usual = new(1.6, 2.3);

    public static TheoryData<string> Names => [.. SampleOutlines.All.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void Sides_AgreeWithThePlainWay(string name)
    {
        var region = SampleOutlines.All[name]();
        var rings = region.Rings.ToList();
        var sides = new SatinSides(rings, Usual);
        for (var number = 0; number < rings.Count; number++)
        {
            var legs = sides.Legs(number, StartPoint.Of(rings[number]));
            var (outer, inner) = (Index(legs, place => place.Outer), Index(legs, place => place.Inner));
            foreach (var (foot, plainOuter, plainInner) in PlainSides.Of(rings, rings[number], Usual))
            {
                Assert.True(
                    Away(outer, plainOuter) < 0.07,
                    $"{name}: outer side at {foot} is off by {Away(outer, plainOuter):0.000}"
                );
                Assert.True(
                    Away(inner, plainInner) < 0.07,
                    $"{name}: inner side at {foot} is off by {Away(inner, plainInner):0.000}"
                );
            }
        }
    }

    [Fact]
    public void Sides_OfAWideSmoothOutline_AreFoundWithoutSearching()
    {
        var ring = SampleOutlines.Shape(new EllipseShape(), 80, 80).Shell;
        var room = new EdgeRoom([ring], 2.3);
        Assert.All(
            Enumerable.Range(0, ring.Points.Length),
            i => Assert.True(room.IsFreeInside(0, i) && room.IsFreeOutside(0, i))
        );
        var legs = new SatinSides([ring], Usual).Legs(0, 0);
        Assert.Equal(ring.Points.Length + 1, Assert.Single(legs).Places.Length);
    }

    [Fact]
    public void Room_NearACorner_ATightCurveOrAnotherEdge_IsNotFree()
    {
        var square = SampleOutlines.Shape(new RectangleShape(), 60, 60).Shell;
        Assert.False(new EdgeRoom([square], 2.3).IsFreeInside(0, 0));
        var small = SampleOutlines.Shape(new EllipseShape(), 4, 4).Shell;
        Assert.False(new EdgeRoom([small], 2.3).IsFreeInside(0, 0));
        var large = SampleOutlines.Shape(new EllipseShape(), 60, 60).Shell;
        var within = SampleOutlines.Shape(new EllipseShape(), 54, 54).Shell.Reversed();
        Assert.False(new EdgeRoom([large, within], 2.3).IsFreeInside(0, 0));
        // What lies on one side leaves the other free.
        Assert.True(new EdgeRoom([large, within], 2.3).IsFreeOutside(0, 0));
    }

    [Fact]
    public void AStretch_WithNumbersOfItsOwn_IsAsWideAsItSays()
    {
        var region = SampleOutlines.Shape(new RectangleShape(), 60, 40);
        var numbers = new SatinNumbers(3.5, 0.4, 0.6, 0.2)
        {
            Stretches = [new StretchNumbers(new Point(0, -20), Width: 5, ThreadId: "gold")],
        };
        var tops = SatinCover
            .Make([region], numbers, TestContext.Current.CancellationToken)
            .Runs.Where(run => run.Kind == RunKind.Top)
            .ToList();
        var own = Assert.Single(tops, run => run.ThreadId == "gold");
        Assert.Equal(-20 - (5 * 0.4) - 0.2, own.Points.Min(point => point.Y), 0.02);
        Assert.Equal(20 + (3.5 * 0.4) + 0.2, tops.SelectMany(run => run.Points).Max(point => point.Y), 0.02);
    }

    [Theory]
    [InlineData(0.8)]
    [InlineData(1.4)]
    public void InsetLine_MovedLegByLeg_IsTheMovedEdge(double distance)
    {
        var moved = 0;
        foreach (var (name, make) in SampleOutlines.All)
        {
            if (InsetLine.Moved([make()], distance) is not { } lines)
            {
                continue;
            }
            moved++;
            var plain = RegionOffset.By([make()], -distance).SelectMany(region => region.Rings).ToList();
            Assert.Equal(plain.Count, lines.Length);
            foreach (
                var (ring, other) in lines.Select(line =>
                    (line, plain.MinBy(each => each.Points.Min(p => p.DistanceTo(line.Points[0])))!)
                )
            )
            {
                Assert.True(
                    Math.Abs(ring.SignedArea - other.SignedArea) < 0.001 * Math.Abs(other.SignedArea) + 0.05,
                    name
                );
                var index = new SegmentIndex([other]);
                Assert.All(
                    ring.Points,
                    point => Assert.True(Away(index, point) < 0.05, $"{name}: off by {Away(index, point):0.000}")
                );
            }
        }
        Assert.True(moved >= 8, $"only {moved} outlines were moved leg by leg");
    }

    [Fact]
    public void SmallSteps_AreTakenOut_AndNothingElse()
    {
        var stepped = new Ring([
            new(0, 0),
            new(10, 0),
            new(10.02, 0.05),
            new(9.97, 0.02),
            new(20, 0),
            new(20, 20),
            new(0, 20),
        ]);
        var cleaned = SmallSteps.Removed(stepped);
        Assert.True(cleaned.Points.Length < stepped.Points.Length);
        Assert.Equal(stepped.SignedArea, cleaned.SignedArea, 1.0);
        var square = SampleOutlines.Shape(new RectangleShape(), 30, 30).Shell;
        Assert.Same(square, SmallSteps.Removed(square));
    }

    [Theory]
    [InlineData(2.0)]
    [InlineData(2.6)]
    public void ABar_NarrowerThanTheCover_IsHeldByAtLeastAMillimetreAndAHalf(double width)
    {
        var bar = SampleOutlines.Shape(new RectangleShape(), 40, width);
        var stitches = SatinCover.Make(
            [bar],
            new SatinNumbers(3.5, 0.4, 0.9, 0),
            TestContext.Current.CancellationToken
        );
        Assert.NotEmpty(stitches.NarrowPlaces);
        Assert.All(stitches.NarrowPlaces, place => Assert.True(place.Width >= StitchDefaults.NarrowestCover - 1e-9));
    }

    private static SegmentIndex Index(IEnumerable<SatinLeg> legs, Func<StrokePlace, Point> side) =>
        new([new Ring([.. legs.SelectMany(leg => leg.Body.ToArray()).Select(side)])]);

    private static double Away(SegmentIndex index, Point place) =>
        index.Nearest(place, 50) is { } foot ? foot.DistanceTo(place) : double.MaxValue;
}
