using Ullet.Core.Forms;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Outlines;

public sealed class ShapeContoursTests
{
    private static readonly Dictionary<string, ShapeSource> Shapes = new(StringComparer.Ordinal)
    {
        ["rectangle"] = new RectangleShape(),
        ["round rectangle"] = new RectangleShape(5),
        ["ellipse"] = new EllipseShape(),
        ["polygon"] = new PolygonShape(5),
        ["star"] = new StarShape(7, 0.3),
        ["heart"] = new HeartShape(),
        ["leaf"] = new LeafShape(),
        ["drop"] = new DropShape(),
        ["crescent"] = new CrescentShape(0.2),
        ["thick crescent"] = new CrescentShape(0.7),
        ["shield"] = new ShieldShape(),
        ["drawn"] = new DrawnShape(0, 0, [new DrawnCurve(5, -8, 20, 0, 22, 9), new DrawnCurve(12, 30, -6, 14, 0, 0)]),
    };

    public static TheoryData<string> Names => [.. Shapes.Keys];

    [Theory]
    [MemberData(nameof(Names))]
    public void Make_FillsTheAskedBoxExactly(string name)
    {
        foreach (var (width, height) in new[] { (60.0, 60.0), (97.0, 12.5), (3.0, 40.0) })
        {
            var box = ShapeContours.Make(Shapes[name], width, height).Bounds();
            Assert.Equal(-width / 2, box.MinX, 1e-6);
            Assert.Equal(-height / 2, box.MinY, 1e-6);
            Assert.Equal(width, box.Width, 1e-6);
            Assert.Equal(height, box.Height, 1e-6);
        }
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void Make_RunsClockwiseAndNeverCrossesItself(string name)
    {
        var ring = ShapeContours.Make(Shapes[name], 60, 70).Flatten();
        Assert.True(ring.SignedArea > 0);
        Assert.True(IsSimple(ring));
    }

    [Fact]
    public void Rectangle_WithCornerRadius_KeepsTheRadiusWhenItGrows()
    {
        foreach (var width in new[] { 30.0, 90.0 })
        {
            var ring = ShapeContours.Make(new RectangleShape(6), width, 30).Flatten();
            var corner = new Point(width / 2, -15);
            var nearest = ring.Points.Min(p => p.DistanceTo(corner));
            Assert.Equal(6 * (Math.Sqrt(2) - 1), nearest, 0.02);
        }
    }

    [Theory]
    [InlineData(2, 0.5)]
    [InlineData(25, 0.5)]
    [InlineData(5, 0.05)]
    [InlineData(5, double.NaN)]
    public void Limits_OnAStarOutOfRange_Refuse(int points, double share) =>
        Assert.Equal("number-out-of-range", ShapeLimits.Check(new StarShape(points, share))?.Code);

    [Fact]
    public void Station_TurnsAndMovesTheShapeWithItsHole()
    {
        var piece = new Element
        {
            Id = "e1",
            Name = "Bar",
            Box = new ElementBox(10, 5, 40, 20, 90),
            Form = new ShapeForm(new RectangleShape()) { Holes = [new PieceHole(new EllipseShape(), 10, 0, 6, 6)] },
            Making = new ClothMaking { ClothId = "c" },
        };
        var outline = new OutlineStation(new NoFonts()).Compute(piece, TestContext.Current.CancellationToken).Whole;
        Assert.Equal(20, outline.Bounds().Width, 1e-6);
        Assert.Equal(40, outline.Bounds().Height, 1e-6);
        var hole = outline.Parts[0].Holes[0].Bounds().Centre;
        Assert.Equal(10, hole.X, 1e-6);
        Assert.Equal(15, hole.Y, 1e-6);
        Assert.True(outline.Flatten()[0].Holes[0].SignedArea < 0);
    }

    /// <summary>True when no edge crosses another.</summary>
    private static bool IsSimple(Ring ring) =>
        new NetTopologySuite.Geometries.GeometryFactory()
            .CreateLinearRing([
                .. ring.Points.Append(ring.Points[0]).Select(p => new NetTopologySuite.Geometries.Coordinate(p.X, p.Y)),
            ])
            .IsSimple;
}
