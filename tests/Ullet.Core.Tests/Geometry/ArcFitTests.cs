using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Geometry;

public sealed class ArcFitTests
{
    public static TheoryData<string> Named => [.. Forms.Keys];

    private static readonly Dictionary<string, ShapeSource> Forms = new()
    {
        ["circle"] = new EllipseShape(),
        ["heart"] = new HeartShape(),
        ["leaf"] = new LeafShape(),
        ["drop"] = new DropShape(),
        ["crescent"] = new CrescentShape(),
        ["shield"] = new ShieldShape(),
        ["star"] = new StarShape(),
        ["round rectangle"] = new RectangleShape(6),
    };

    [Theory]
    [MemberData(nameof(Named))]
    public void Arcs_OfANamedForm_KeepToItAndAreFew(string name)
    {
        foreach (var (width, height) in new[] { (20.0, 20.0), (90, 60), (300, 240) })
        {
            var contour = ShapeContours.Outline(Forms[name], width, height).Parts[0].Shell;
            var arcs = ArcFit.Of(contour.Curves);
            Assert.InRange(Off(contour.Curves, arcs), 0, 0.02);
            Assert.InRange(arcs.Length, 1, 2 * Fewest(contour.Curves));
        }
    }

    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(3)]
    public void Arcs_OfRandomOutlines_KeepToThem(int seed)
    {
        var random = new Random(seed);
        var contours = Enumerable.Range(0, 25).SelectMany(_ => RandomOutlines.One(random).Contours).ToList();
        foreach (var contour in contours)
        {
            var arcs = ArcFit.Of(contour.Curves);
            Assert.True(Off(contour.Curves, arcs) <= 0.02, $"seed {seed}");
            for (var i = 0; i < arcs.Length; i++)
            {
                Assert.Equal(0, arcs[i].End.DistanceTo(arcs[(i + 1) % arcs.Length].Start), 1e-6);
            }
        }
    }

    [Theory]
    [InlineData(5)]
    [InlineData(6)]
    public void Arcs_OfNarrowBendsThatTurnBack_ReachAsFarAsTheyDo(int seed)
    {
        var random = new Random(seed);
        for (var i = 0; i < 2000; i++)
        {
            var length = Math.Pow(10, (random.NextDouble() * 3) - 1.5);
            var flatness = Math.Pow(10, -random.NextDouble() * 2);
            Point Any() =>
                new(((random.NextDouble() * 2) - 0.5) * length, (random.NextDouble() - 0.5) * length * flatness);
            var bend = Curve.Cubic(Point.Zero, Any(), Any(), Any());
            Assert.True(Off([bend], ArcFit.Of([bend])) <= 0.02, $"seed {seed}, bend {i}: {bend}");
        }
    }

    [Theory]
    [InlineData(0.08)]
    [InlineData(0.1)]
    [InlineData(0.12)]
    [InlineData(0.16)]
    public void Arcs_WhereARoundedCornerRunsOutNearlyStraight_KeepToItBetweenItsPlaces(double radius)
    {
        // The side of a letter R, 0.14 mm off in a DXF: it is so straight that its places lie 0.8 mm apart.
        Point[] side =
        [
            new(13.235917138801597, 54.10363204982649),
            new(13.332242295271925, 40.52279561339258),
            new(13.622658136866264, 30.25409516020148),
            new(14.10731707317072, 23.307317073170736),
        ];
        var top = side[0] + new Point(radius, radius);
        var curves = new[]
        {
            Curve.Cubic(top + new Point(6.9, -0.3), top + new Point(4, -0.1), top + new Point(2, 0), top),
            Curve.Cubic(top, top - new Point(radius * 0.55, 0), side[0] + new Point(0, radius * 0.55), side[0]),
            Curve.Cubic(side[0], side[1], side[2], side[3]),
        };
        Assert.True(Off(curves, ArcFit.Of(curves)) <= 0.02, $"{Off(curves, ArcFit.Of(curves))}");
    }

    [Fact]
    public void Arcs_OfAQuarterCircle_AreOneWithItsBulge()
    {
        const double Reach = 0.5522847498;
        var quarter = Curve.Cubic(new(10, 0), new(10, 10 * Reach), new(10 * Reach, 10), new(0, 10));
        var arc = Assert.Single(ArcFit.Of([quarter]));
        Assert.Equal(Math.Tan(Math.PI / 8), arc.Bulge, 0.002);
        Assert.All(arc.Curves(), curve => Assert.Equal(10, curve.At(0.5).Length, 0.02));
    }

    [Fact]
    public void Arcs_OfAStraightLine_AreThatLine()
    {
        var line = Curve.Line(new(1, 2), new(30, 4));
        Assert.Equal([new BulgeArc(new(1, 2), new(30, 4), 0)], ArcFit.Of([line]));
    }

    [Theory]
    [InlineData(0.3)]
    [InlineData(-0.7)]
    [InlineData(0.99)]
    public void Arc_AsCurves_LiesOnItsCircle(double bulge)
    {
        var arc = new BulgeArc(new(3, 1), new(-8, 12), bulge);
        var curves = arc.Curves().ToList();
        Assert.Equal(0, arc.Start.DistanceTo(curves[0].Start), 1e-9);
        Assert.Equal(0, arc.End.DistanceTo(curves[^1].End), 1e-9);
        var places = curves.SelectMany(curve => new[] { 0, 0.3, 0.7 }.Select(curve.At)).ToList();
        // Its middle lies half a bulge of the chord aside; all places are as far from the centre.
        var chord = arc.End - arc.Start;
        var radius = chord.Length * (1 + (bulge * bulge)) / (4 * Math.Abs(bulge));
        var centre =
            Point.Lerp(arc.Start, arc.End, 0.5)
            + (new Point(-chord.Y, chord.X) * ((1 - (bulge * bulge)) / (4 * bulge)));
        Assert.All(places, place => Assert.Equal(radius, place.DistanceTo(centre), 1e-3));
    }

    /// <summary>The farthest that curve and arcs lie apart, either way, mm.</summary>
    private static double Off(IReadOnlyList<Curve> curves, IReadOnlyList<BulgeArc> arcs)
    {
        var (a, b) = (Points(curves), Points([.. arcs.SelectMany(arc => arc.Curves())]));
        return Math.Max(Farthest(a, b), Farthest(b, a));
    }

    private static double Farthest(List<Point> places, List<Point> line)
    {
        var index = new SegmentIndex([new Ring([.. line])]);
        return places.Max(place => index.Nearest(place, 2)?.DistanceTo(place) ?? 9);
    }

    private static List<Point> Points(IReadOnlyList<Curve> curves)
    {
        var points = new List<Point> { curves[0].Start };
        foreach (var curve in curves)
        {
            curve.Flatten(0.002, points);
        }
        return points;
    }

    /// <summary>The reference: arcs with ends on the curve, each as long as any bulge allows within 0.02 mm, found by trying
    /// every end one after the other and the best bulge by halving; straight stretches count one each.</summary>
    private static int Fewest(IReadOnlyList<Curve> curves)
    {
        var count = 0;
        var run = new List<Point>();
        foreach (var curve in curves)
        {
            if (curve.IsLine || (run.Count > 1 && Tolerance.IsCorner(run[^1] - run[^2], curve.Slope(0))))
            {
                count += Arcs(run) + (curve.IsLine ? 1 : 0);
                run.Clear();
            }
            if (!curve.IsLine)
            {
                run.AddRange(run.Count == 0 ? [curve.Start] : Array.Empty<Point>());
                curve.Flatten(0.004, run);
            }
        }
        return count + Arcs(run);
    }

    private static int Arcs(List<Point> run)
    {
        var count = 0;
        for (var at = 0; at < run.Count - 1; count++)
        {
            var next = at + 1;
            while (next + 1 < run.Count && Fits(run, at, next + 1))
            {
                next++;
            }
            at = next;
        }
        return count;
    }

    private static bool Fits(List<Point> run, int from, int to)
    {
        var (low, high) = (-1.0, 1.0);
        for (var round = 0; round < 40; round++)
        {
            var bulge = (low + high) / 2;
            var (most, least) = (0.0, 0.0);
            for (var i = from + 1; i < to; i++)
            {
                var off = Side(run[from], run[to], bulge, run[i]);
                (most, least) = (Math.Max(most, off), Math.Min(least, off));
            }
            if (most <= 0.02 && least >= -0.02)
            {
                return true;
            }
            (low, high) = most > -least ? (low, bulge) : (bulge, high);
        }
        return false;
    }

    /// <summary>How far a place lies to the left of an arc, mm: a smaller bulge brings the arc farther left.</summary>
    private static double Side(Point start, Point end, double bulge, Point place)
    {
        var chord = end - start;
        if (Math.Abs(bulge) < 1e-7)
        {
            return Point.Cross(chord, place - start) / chord.Length;
        }
        var centre =
            Point.Lerp(start, end, 0.5) + (new Point(-chord.Y, chord.X) * ((1 - (bulge * bulge)) / (4 * bulge)));
        return Math.Sign(bulge) * (start.DistanceTo(centre) - place.DistanceTo(centre));
    }
}
