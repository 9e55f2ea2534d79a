using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches.Fills;

public sealed class RowGuideTests
{
    private static ImmutableArray<Point> Wave(double height) =>
        [.. Enumerable.Range(0, 61).Select(i => new Point(i - 30, height * Math.Sin((i - 30) * Math.PI / 15)))];

    [Fact]
    public void PlacesComeBack_InsideAndBeyondItsEnds()
    {
        var guide = RowGuide.Of([.. Wave(3).Select(Affine.Rotate(35).Apply)])!;
        var frame = RowFrame.Along(guide);
        var random = new Random(11);
        for (var i = 0; i < 200; i++)
        {
            var place = new Point((random.NextDouble() - 0.5) * 120, (random.NextDouble() - 0.5) * 120);
            Assert.True(frame.Out(frame.In(place)).DistanceTo(place) < 1e-9);
        }
    }

    [Fact]
    public void RowsKeepTheirDistance_WithinBounds()
    {
        var frame = RowFrame.Along(RowGuide.Of(Wave(4.5))!);
        for (var x = -40.0; x < 40; x += 0.5)
        {
            var at = frame.Out(new Point(x, 0));
            // The next row's nearest place.
            var nearest = Enumerable
                .Range(0, 400)
                .Min(k => frame.Out(new Point(x - 1 + (k * 0.005), 0.4)).DistanceTo(at));
            Assert.InRange(nearest, 0.6 * 0.4, 0.4 + 1e-6);
        }
    }

    [Fact]
    public void BentRows_CoverTheirArea()
    {
        var area = AreaShapes.All["three holes"]();
        var sewn = FillAreas.Make(
            area,
            new FillNumbers(0.4, 0, 0),
            RowFrame.Along(RowGuide.Of(Wave(2))!),
            TestContext.Current.CancellationToken
        );
        Assert.Empty(new ColumnRaster(area, sewn).Breaches(0.985));
        Assert.False(PlainFill.HasBareDisc(area, sewn, 0.6));
    }

    public static TheoryData<string, ImmutableArray<Point>> Unfit =>
        new()
        {
            { "a point", [new(0, 0)] },
            { "no length", [new(0, 0), new(0, 0)] },
            { "goes back", [new(0, 0), new(10, 0), new(5, 1), new(20, 0)] },
            { "too steep", [new(0, 0), new(5, 9), new(10, 0)] },
            { "crosses itself", [new(0, 0), new(10, 5), new(10, -5), new(0, 3), new(20, 0)] },
        };

    [Theory]
    [MemberData(nameof(Unfit))]
    public void ALineThatRowsCantFollow_IsNoGuide(string _, ImmutableArray<Point> line) =>
        Assert.Null(RowGuide.Of(line));
}
