using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Applique;

/// <summary>Rough outlines: stitches follow them smoothed, and the cut follows the one line or the other.</summary>
public sealed class SewnEdgeTests
{
    private const double Depth = 0.15;

    private static readonly Region Rough = NastyOutlines.Nicked(Depth);

    [Fact]
    public void TheCut_FollowsTheDrawnOutline_UntilItIsCutAsSewn()
    {
        var drawn = SampleProject.Evaluate(Cut());
        var finding = Assert.Single(drawn.Findings, each => each.Code == "outline-rough");
        Assert.Equal(0, Farthest(CutRing(drawn), Rough.Shell), 0.02);
        var project = SampleProject.Apply(Cut(), MendEdits.Of(finding.Mend!, Cut()));
        var sewn = SampleProject.Evaluate(project);
        Assert.InRange(Farthest(Rough.Shell, CutRing(sewn)), 0.5 * Depth, SmoothedRing.Drift + 0.06);
        Assert.Equal(0, Farthest(CutRing(sewn), Assert.Single(Assert.Single(sewn.Pieces).Edge.Flatten()).Shell), 0.02);
        Assert.Null(Assert.Single(sewn.Findings, each => each.Code == "outline-rough").Mend);
        // What is cut as it is sewn, and what is trimmed along a sewn line, loses nothing of the match.
        var lost = Worst(sewn.Pieces) - Worst(drawn.Pieces);
        Assert.InRange(lost, 0.5 * Depth, SmoothedRing.Drift + 0.06);
        Assert.Equal(Match(0, Method.TrimInTheHoop), Match(Depth, Method.TrimInTheHoop), 0.03);
    }

    [Fact]
    public void Drift_IsAsSet_AndNoneLeavesTheOutlineAsItIs()
    {
        var none = SampleProject.Evaluate(SampleProject.Apply(Cut(), new SetDrift { ElementId = "e1", Drift = 0 }));
        Assert.DoesNotContain(none.Findings, each => each.Code == "outline-rough");
        Assert.Equal(0, Farthest(Rough.Shell, Assert.Single(Assert.Single(none.Pieces).Edge.Flatten()).Shell), 0.001);
        foreach (var wrong in new[] { -0.01, 0.51, double.NaN, double.PositiveInfinity })
        {
            var refusal = SampleProject.Refused(Cut(), new SetDrift { ElementId = "e1", Drift = wrong });
            Assert.Equal("drift", refusal.Place);
        }
        var back = SampleProject.Apply(
            SampleProject.Apply(
                Cut(),
                new SetDrift
                {
                    ElementId = "e1",
                    Drift = 0.3,
                    CutsAsSewn = true,
                }
            ),
            new ResetStages { ElementId = "e1" }
        );
        Assert.Equal(Cut().Elements[0].Making, back.Elements[0].Making);
    }

    [Fact]
    public void AVisibleStretch_IsSmoothedLikeAWholeEdge()
    {
        var half = SampleProject.Apply(
            Cut(),
            new AddPiece { Shape = new RectangleShape(), Box = new ElementBox(30, 0, 60, 60, 0) }
        );
        var piece = SampleProject.Evaluate(half).Pieces.First(each => each.Part.Element.Id == "e1");
        Assert.NotNull(piece.Visible);
        foreach (var stretch in piece.Visible!.Stretches)
        {
            Assert.DoesNotContain(
                Enumerable.Range(1, stretch.Points.Length - 2),
                i =>
                    Math.Abs(
                        Point.Turn(stretch.Points[i] - stretch.Points[i - 1], stretch.Points[i + 1] - stretch.Points[i])
                    ) > 30
            );
        }
    }

    private static Project Cut(double depth = Depth, Method method = Method.CutBeforehand)
    {
        var shell = NastyOutlines.Nicked(depth).Shell;
        var curves = shell
            .Points.Skip(1)
            .Append(shell.Points[0])
            .Select((to, i) => new DrawnCurve(shell.Points[i].X, shell.Points[i].Y, to.X, to.Y, to.X, to.Y));
        return SampleProject.With(
            new DrawnShape(shell.Points[0].X, shell.Points[0].Y, [.. curves]),
            shell.Bounds().Width,
            shell.Bounds().Height,
            method
        );
    }

    private static double Match(double depth, Method method) =>
        Worst(SampleProject.Evaluate(Cut(depth, method)).Pieces);

    private static double Worst(IEnumerable<PieceAtWork> pieces) => EdgeMatch.Of(pieces.Single())!.Worst!.Bite;

    private static Ring CutRing(Core.Evaluation.Evaluated evaluated) =>
        Assert.Single(evaluated.Sheets.Single().Shapes.Single().Shape.Outline.Flatten()).Shell;

    /// <summary>How far a point of one ring lies from another ring at most, both about their middles, mm.</summary>
    private static double Farthest(Ring ring, Ring from)
    {
        var index = new SegmentIndex([from]);
        var (a, b) = (ring.Bounds().Centre, from.Bounds().Centre);
        return ring.Points.Max(point =>
            (index.Nearest(point - a + b, 3) ?? throw new InvalidOperationException("far off")).DistanceTo(
                point - a + b
            )
        );
    }
}
