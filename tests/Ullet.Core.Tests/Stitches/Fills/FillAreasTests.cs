using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Quality;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Stitches.Fills;

public sealed class FillAreasTests
{
    public static TheoryData<string, double> Shapes
    {
        get
        {
            var data = new TheoryData<string, double>();
            foreach (var name in AreaShapes.All.Keys)
            {
                foreach (var angle in (double[])[0, 30, 90, 137])
                {
                    data.Add(name, angle);
                }
            }
            return data;
        }
    }

    [Theory]
    [MemberData(nameof(Shapes))]
    public void AnArea_IsCovered_ItsPartsFollowOneAnother_UnderThread(string shape, double angle)
    {
        var area = AreaShapes.All[shape]();
        var sewn = Sewn(area, new FillNumbers(0.4, angle, 0));
        Assert.Empty(new ColumnRaster(area, sewn).Breaches(0.99));
        Assert.False(PlainFill.HasBareDisc(area, sewn, 0.6));
        Assert.True(new ColumnDirections(area, sewn).Hidden > 0.98);
        Assert.Equal(area.Length - 1, Jumps(sewn));
    }

    [Theory]
    [InlineData(0.25)]
    [InlineData(0.33)]
    [InlineData(0.6)]
    [InlineData(2.0)]
    public void NoStitchIsTooLongOrTooShort_AtAnySpacing(double spacing)
    {
        foreach (var shape in AreaShapes.All.Values)
        {
            var sewn = Sewn(shape(), new FillNumbers(spacing, 20, 0.2));
            foreach (var run in sewn.Runs)
            {
                for (var i = 1; i < run.Points.Length; i++)
                {
                    var length = run.Points[i].DistanceTo(run.Points[i - 1]);
                    Assert.InRange(length, StitchDefaults.ShortestStitch - 1e-6, StitchDefaults.LongestStitch + 1e-6);
                }
            }
        }
    }

    [Theory]
    [InlineData(RowPattern.FourRows, 3)]
    [InlineData(RowPattern.Random, 3)]
    [InlineData(RowPattern.Brick, 3)]
    [InlineData(RowPattern.Twill, 3)]
    [InlineData(RowPattern.Hurdle, 7)]
    public void HolesOfNeighbours_LieApart_ButForVisiblePatterns(RowPattern pattern, int most)
    {
        var sewn = Sewn(AreaShapes.All["three holes"](), new FillNumbers(0.4, 0, 0) { Pattern = pattern });
        Assert.InRange(PlainFill.MostInLine(sewn), 1, most);
    }

    [Fact]
    public void Rows_AreLongerByTheCompensation_AndLieNoWider()
    {
        ImmutableArray<Region> square = [new Region(Ring.Of([new(0, 0), new(20, 0), new(20, 20), new(0, 20)]), [])];
        var box = Box.Of(Sewn(square, new FillNumbers(0.4, 0, 0.35)).Runs.SelectMany(run => run.Points));
        Assert.Equal((-0.35, 20.35), (Math.Round(box.MinX, 6), Math.Round(box.MaxX, 6)));
        Assert.InRange(box.MinY, 0, 0.25);
        Assert.InRange(box.MaxY, 19.75, 20);
    }

    /// <summary>Between two rows at most as many stretches can be joined as a plain matching joins: the chains are hardly more than that.</summary>
    [Fact]
    public void Sections_AreHardlyMoreThanTheFewest()
    {
        foreach (var (name, shape) in AreaShapes.All)
        {
            foreach (var angle in (double[])[0, 45, 90])
            {
                var frame = RowFrame.At(angle);
                var area = shape();
                var rows = FillRows.Even(area, frame, 0.4);
                var spans = FillRows.Of(area, frame, rows, 0);
                var fewest = spans.Count - Joins(spans);
                var chains = FillChain.Of(new FillGraph(spans, rows));
                Assert.True(chains.Count <= 1.3 * fewest, $"{name} at {angle}: {chains.Count} where {fewest} would do");
                Assert.Equal(
                    spans.Count,
                    chains.SelectMany(chain => chain.Links).Select(link => link.Span).Distinct().Count()
                );
            }
        }
    }

    [Fact]
    public void Film_HasOnlyAnEdgeRunUnderIt()
    {
        var area = AreaShapes.All["disc"]();
        int Under(FillUnderlay underlay) =>
            Sewn(area, new FillNumbers(1.2, 0, 0) { Underlay = underlay })
                .Runs.Where(run => run.Kind == RunKind.Underlay)
                .Sum(run => run.Points.Length);
        Assert.InRange(Under(FillUnderlay.OfFilm), 10, Under(FillUnderlay.Usual) - 20);
        Assert.Equal(0, Under(new FillUnderlay(false, false)));
    }

    [Fact]
    public void NarrowArms_AreSewnInStrokes()
    {
        // A square with an arm of 1.2 mm.
        ImmutableArray<Region> area =
        [
            new Region(
                Ring.Of([
                    new(0, 0),
                    new(15, 0),
                    new(15, 7),
                    new(30, 7),
                    new(30, 8.2),
                    new(15, 8.2),
                    new(15, 15),
                    new(0, 15),
                ]),
                []
            ),
        ];
        var sewn = Sewn(area, new FillNumbers(0.4, 0, 0));
        var arm = sewn
            .Runs.Where(run => run.Kind == RunKind.Top)
            .SelectMany(run => run.Points.Zip(run.Points.Skip(1)))
            .Where(stitch => stitch.First.X > 18 && stitch.Second.X > 18)
            .ToList();
        Assert.True(arm.Count > 30);
        Assert.All(arm, stitch => Assert.True(Math.Abs(stitch.First.Y - stitch.Second.Y) > 0.5));
        Assert.Equal(0, Jumps(sewn));
    }

    [Fact]
    public void TheSameArea_GivesTheSamePoints_AndAnyNumberOfHolesEnds()
    {
        var holes = Enumerable
            .Range(0, 400)
            .Select(i => AreaShapes.Circle((i % 20 * 4) + 3, (i / 20 * 4) + 3, 1).Reversed());
        ImmutableArray<Region> sieve =
        [
            new Region(Ring.Of([new(0, 0), new(84, 0), new(84, 84), new(0, 84)]), [.. holes]),
        ];
        var (once, again) = (Sewn(sieve, new FillNumbers(0.8, 15, 0)), Sewn(sieve, new FillNumbers(0.8, 15, 0)));
        Assert.Equal(once.Runs.SelectMany(run => run.Points), again.Runs.SelectMany(run => run.Points));
        Assert.True(once.PointCount > 3000);
    }

    private static StepStitches Sewn(ImmutableArray<Region> area, FillNumbers numbers) =>
        FillAreas.Make(area, numbers, TestContext.Current.CancellationToken);

    private static int Jumps(StepStitches sewn) =>
        sewn
            .Runs.Zip(sewn.Runs.Skip(1))
            .Count(pair =>
                pair.First.Points[^1].DistanceTo(pair.Second.Points[0]) > StitchDefaults.ShortestStitch + 0.02
            );

    /// <summary>The most stretches of neighbouring rows that can be joined, each to one: taken from the left, which is best for stretches.</summary>
    private static int Joins(List<RowSpan> spans)
    {
        var joins = 0;
        foreach (var row in spans.GroupBy(span => span.Row))
        {
            var next = spans.Where(span => span.Row == row.Key + 1).OrderBy(span => span.High).ToList();
            foreach (var span in row.OrderBy(span => span.High))
            {
                var at = next.FindIndex(other => other.Overlaps(span));
                if (at >= 0)
                {
                    next.RemoveAt(at);
                    joins++;
                }
            }
        }
        return joins;
    }
}
