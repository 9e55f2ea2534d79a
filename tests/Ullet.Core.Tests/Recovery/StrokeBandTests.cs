using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;

namespace Ullet.Core.Tests.Recovery;

public sealed class StrokeBandTests
{
    [Theory]
    [InlineData(2, 0.3)]
    [InlineData(3.5, 0.4)]
    [InlineData(7, 0.8)]
    [InlineData(3, 1.0)]
    public void AStraightBand_HasItsWidthItsSpacingAndItsArea(double width, double spacing)
    {
        var band = BlockReader.Read(Opened(Straight(width, spacing, 120))).Band!;
        Assert.Equal(width, band.Width, 2);
        Assert.Equal(spacing, band.Spacing, 2);
        Assert.InRange(band.Area.Sum(region => region.Area), width * spacing * 57, width * spacing * 61);
    }

    [Fact]
    public void ARoundBand_HasAHole_AndItsMiddleLineIsTheCircle()
    {
        var reading = BlockReader.Read(Opened(Round(20, 23.5, 400)));
        Assert.Equal(OpenedLook.Satin, reading.Look);
        Assert.True(reading.IsRound);
        var ring = BorderPieces.MiddleOf(reading.Band!).Single().Shell.Flatten();
        Assert.All(ring.Points, at => Assert.InRange(Math.Sqrt((at.X * at.X) + (at.Y * at.Y)), 21.65, 21.85));
    }

    [Fact]
    public void StrokesOfRelief_LeaveNoDent()
    {
        var points = Round(20, 23.5, 400);
        for (var i = 4; i < points.Count; i += 8)
        {
            // An inner hole halfway out.
            points[i] = Point.Lerp(points[i], points[i + 1], 0.5);
        }
        var whole = BlockReader.Read(Opened(Round(20, 23.5, 400))).Band!.Area.Sum(region => region.Area);
        var relieved = BlockReader.Read(Opened(points)).Band!;
        Assert.InRange(relieved.Area.Sum(region => region.Area), whole * 0.99, whole * 1.01);
        Assert.Equal(3.5, relieved.Width, 1);
    }

    [Fact]
    public void LooksOfStitches_AreTold()
    {
        Assert.Equal(OpenedLook.Satin, BlockReader.LookOf(Opened(Straight(3, 0.4, 60))));
        Assert.Equal(OpenedLook.Zigzag, BlockReader.LookOf(Opened(Straight(3, 1.5, 60))));
        Assert.Equal(
            OpenedLook.Run,
            BlockReader.LookOf(
                Opened([.. Enumerable.Range(0, 40).Select(i => new Point(i * 2.5, Math.Sin(i * 0.2) * 4))])
            )
        );
        Assert.Equal(OpenedLook.Fill, BlockReader.LookOf(Opened(Rows(30, 20, 0.4))));
        Assert.Equal(OpenedLook.Bean, BlockReader.LookOf(Opened(Bean(30))));
        Assert.Equal(OpenedLook.Blanket, BlockReader.LookOf(Opened(Blanket(30))));
    }

    [Fact]
    public void AFill_IsItsRegion()
    {
        var band = BlockReader.Read(Opened(Rows(30, 20, 0.4))).Band!;
        Assert.Equal(0.4, band.Spacing, 2);
        Assert.InRange(band.Area.Sum(region => region.Area), 580, 620);
    }

    [Fact]
    public void ABlanketStitch_HasItsSpineAndItsTeeth()
    {
        var reading = BlockReader.Read(Opened(Blanket(30)));
        Assert.Equal(3, reading.Teeth, 2);
        Assert.InRange(Assert.Single(reading.Lines).Length(), 86, 91);
    }

    private static List<Point> Straight(double width, double spacing, int strokes) =>
        [.. Enumerable.Range(0, strokes).Select(i => new Point(i * spacing / 2, i % 2 * width))];

    private static List<Point> Round(double inner, double outer, int strokes) =>
        [
            .. Enumerable
                .Range(0, strokes + 1)
                .Select(i =>
                {
                    var (angle, r) = (i * 2 * Math.PI / strokes, i % 2 == 0 ? inner : outer);
                    return new Point(r * Math.Cos(angle), r * Math.Sin(angle));
                }),
        ];

    private static List<Point> Rows(double width, double height, double apart)
    {
        var points = new List<Point>();
        for (var i = 0; i * apart <= height; i++)
        {
            var row = Enumerable
                .Range(0, (int)(width / 4) + 1)
                .Select(k => new Point(Math.Min(width, k * 4.0), i * apart))
                .Append(new Point(width, i * apart))
                .Distinct();
            points.AddRange(i % 2 == 0 ? row : row.Reverse());
        }
        return points;
    }

    private static List<Point> Bean(int stitches)
    {
        var points = new List<Point> { Point.Zero };
        for (var i = 0; i < stitches; i++)
        {
            var (from, to) = (new Point(i * 2.5, i * 0.2), new Point((i + 1) * 2.5, (i + 1) * 0.2));
            points.AddRange([to, from, to]);
        }
        return points;
    }

    private static List<Point> Blanket(int teeth)
    {
        var points = new List<Point> { Point.Zero };
        for (var i = 0; i < teeth; i++)
        {
            points.AddRange([new Point(i * 3, 3), new Point(i * 3, 0), new Point((i + 1) * 3, 0)]);
        }
        return points;
    }

    private static ImmutableArray<OpenedPoint> Opened(IEnumerable<Point> points) =>
        [.. points.Select(at => new OpenedPoint(OpenedMove.Stitch, at.Rounded(0.01)))];
}
