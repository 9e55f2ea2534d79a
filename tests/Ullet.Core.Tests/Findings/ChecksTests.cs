using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Findings;

public sealed class ChecksTests
{
    [Fact]
    public void Fit_IsJudgedByTheCoverNotByTheOutline()
    {
        var project = SampleProject.Apply(SampleProject.Empty(100, 100), SampleProject.Add(new EllipseShape(), 97, 97));
        var finding = Assert.Single(Of(project, "outside-field"));
        Assert.Equal(FindingLevel.Stop, finding.Level);
        Assert.Equal(130, Assert.IsType<UseHoopMend>(finding.Mends[0]).Hoop.FieldWidth);
        Assert.Empty(Of(Mended(project, finding), "outside-field"));
    }

    [Fact]
    public void WordsWhoseFontIsGone_AreNeitherSewnNorSilentlyLost()
    {
        var project = SampleProject.Apply(SampleProject.Empty(), new AddWords { Text = "Bean", FontId = "block" });
        var elsewhere = new Ullet.Core.Evaluation.Evaluator(new Ullet.Core.Pipeline.StationCache()).Evaluate(project);
        var finding = Assert.Single(elsewhere.Findings, finding => finding.Code == "font-missing");
        Assert.Equal((FindingLevel.Stop, "e1"), (finding.Level, finding.ElementId));
        Assert.Equal(0, elsewhere.Program.StitchCount);
        Assert.Empty(Of(project, "font-missing"));
    }

    [Fact]
    public void Fit_OfADesignThatWouldFit_OffersToMoveIt()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 40, 40),
            new MoveElements
            {
                ElementIds = ["e1"],
                X = 60,
                Y = -90,
            }
        );
        var finding = Assert.Single(Of(project, "outside-field"));
        Assert.IsType<MoveMend>(finding.Mends[0]);
        Assert.Empty(Of(Mended(project, finding), "outside-field"));
    }

    [Theory]
    [InlineData(2.0, 0.6, "bite-too-small")]
    [InlineData(3.5, 0.9, "edge-peeps-out")]
    [InlineData(3.5, 0.3, "bite-too-small")]
    public void Edge_NotHeldByItsCover_IsFoundAndMended(double width, double share, string code)
    {
        var project = SampleProject.Apply(
            SampleProject.With(
                new EllipseShape(),
                50,
                50,
                code == "bite-too-small" ? Method.CutBeforehand : Method.TrimInTheHoop
            ),
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings { Width = width, InsideShare = share },
            }
        );
        var finding = Assert.Single(Of(project, code));
        Assert.NotEmpty(finding.Mends);
        var mended = Mended(project, finding);
        Assert.Empty(Of(mended, "edge-peeps-out"));
        Assert.Empty(Of(mended, "bite-too-small"));
    }

    [Theory]
    [InlineData(Method.TrimInTheHoop)]
    [InlineData(Method.CutBeforehand)]
    public void UsualNumbers_OfBothMethods_FindNothing(Method method) =>
        Assert.Empty(SampleProject.Evaluate(SampleProject.With(new EllipseShape(), 50, 50, method)).Findings);

    [Theory]
    [InlineData(6, Method.TrimInTheHoop, "hole-too-small")]
    [InlineData(2.9, Method.CutBeforehand, "cut-too-fine")]
    [InlineData(2.5, Method.CutBeforehand, "hole-closes")]
    [InlineData(70, Method.CutBeforehand, "hole-outside")]
    public void Hole_ThatDoesNotWork_IsFound(double size, Method method, string code)
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 50, 50, method),
            new SetHole { ElementId = "e1", Hole = new PieceHole(new EllipseShape(), 0, 0, size, size) }
        );
        Assert.NotEmpty(Of(project, code));
    }

    [Fact]
    public void NarrowPiece_IsFoundWithItsPlace()
    {
        var finding = Assert.Single(Of(SampleProject.With(new RectangleShape(), 60, 3), "piece-narrow"));
        Assert.NotNull(finding.At);
        Assert.Contains("3.1 mm", finding.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void PartTooSmallForACover_IsFound()
    {
        var finding = Assert.Single(Of(SampleProject.With(new StarShape(5, 0.45), 1, 1), "part-too-small"));
        Assert.Contains("1.0 mm across", finding.Words, StringComparison.Ordinal);
        Assert.Empty(Of(SampleProject.With(new StarShape(5, 0.45), 10, 10), "part-too-small"));
    }

    private static IEnumerable<Finding> Of(Project project, string code) =>
        SampleProject.Evaluate(project).Findings.Where(finding => finding.Code == code);

    private static Project Mended(Project project, Finding finding) =>
        SampleProject.Apply(project, MendEdits.Of(finding.Mends[0], project));
}
