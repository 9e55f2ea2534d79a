using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Cutting;

public sealed class CutChecksTests
{
    [Fact]
    public void Shape_LargerThanItsMat_GetsTheSmallestMatThatTakesIt()
    {
        var project = SampleProject.With(new RectangleShape(), 280, 420, Method.CutBeforehand);
        var finding = Found(project, "mat-too-small");
        Assert.Contains("The smallest mat that takes it is 305 × 610 mm.", finding.Words, StringComparison.Ordinal);
        var mended = SampleProject.Apply(project, MendEdits.Of(finding.Mend!, project));
        Assert.True(SampleProject.Evaluate(mended).Sheets[0].Fits);
        Assert.Equal((610, 305), (mended.Cut.Of("beet").Mat!.Height, mended.Cut.MatHeight));
    }

    [Fact]
    public void Shape_LargerThanAnyMat_IsSplitIntoTwoThatFit()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 400, 1000, Method.CutBeforehand),
            new SetMat
            {
                Width = 600,
                Height = 700,
                Margin = 140,
            }
        );
        var finding = Found(project, "mat-too-small");
        Assert.IsType<SplitMend>(finding.Mend);
        var mended = SampleProject.Evaluate(SampleProject.Apply(project, MendEdits.Of(finding.Mend!, project)));
        Assert.Equal(2, mended.Cuts.Length);
        Assert.All(mended.Cuts, shape => Assert.InRange(shape.Bounds().Height, 400, 620));
    }

    [Fact]
    public void Shape_WiderThanItsCloth_IsSaid()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 200, 200, Method.CutBeforehand),
            new SetSheet { ClothId = "beet", UsableWidth = 150 }
        );
        var finding = Found(project, "mat-too-small");
        Assert.Contains("Use a wider cloth", finding.Words, StringComparison.Ordinal);
        Assert.Equal(new SplitMend("e1", false), finding.Mend);
    }

    [Fact]
    public void Film_ThatIsNotMirrored_IsMirroredByItsMend()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new DropShape(), 40, 40, Method.CutBeforehand),
            new SetCutProfile { ClothId = "beet", Profile = CutProfiles.Film }
        );
        var finding = Found(project, "film-unmirrored");
        var mended = SampleProject.Apply(project, MendEdits.Of(finding.Mend!, project));
        Assert.Equal(Lying.FilmDown, mended.Cut.Of("beet").Lies);
        Assert.DoesNotContain(SampleProject.Evaluate(mended).Findings, each => each.Code == "film-unmirrored");
    }

    [Theory]
    [InlineData(2.5, true)]
    [InlineData(5, false)]
    public void Part_UnderTheBladesSmallest_IsSaid(double width, bool tooFine)
    {
        var project = SampleProject.With(new RectangleShape(), width, 30, Method.CutBeforehand);
        Assert.Equal(tooFine, SampleProject.Evaluate(project).Findings.Any(finding => finding.Code == "cut-too-fine"));
    }

    [Theory]
    [InlineData(0, "usableWidth")]
    [InlineData(-5, "usableWidth")]
    [InlineData(5000, "usableWidth")]
    public void Cloth_OfNoWidth_IsRefused(double width, string place)
    {
        var refusal = SampleProject.Refused(
            SampleProject.With(new LeafShape()),
            new SetSheet { ClothId = "beet", UsableWidth = width }
        );
        Assert.Equal(("number-out-of-range", place), (refusal.Code, refusal.Place));
        Assert.EndsWith("was given.", refusal.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void Edits_OfWhatIsNotThere_AreRefused()
    {
        var project = SampleProject.With(new LeafShape());
        Assert.Equal(
            "cloth-unknown",
            SampleProject.Refused(project, new MirrorCloth { ClothId = "silk", Lies = Lying.FaceDown }).Code
        );
        Assert.Equal(
            "shape-unknown",
            SampleProject
                .Refused(
                    project,
                    new PlaceShape
                    {
                        ClothId = "beet",
                        Key = "e9.0",
                        X = 3,
                    }
                )
                .Code
        );
        Assert.Equal(
            "together-alone",
            SampleProject
                .Refused(
                    project,
                    new KeepTogether
                    {
                        ClothId = "beet",
                        Keys = ["e1.0"],
                        Together = true,
                    }
                )
                .Code
        );
        Assert.Equal(
            "picture-unknown",
            SampleProject
                .Refused(project, new SetMatPhoto { ClothId = "beet", Photo = new MatPhoto("../secret", 100, 0, 0) })
                .Code
        );
        Assert.Equal(
            "turn-odd",
            SampleProject
                .Refused(
                    project,
                    new PlaceShape
                    {
                        ClothId = "beet",
                        Key = "e1.0",
                        Turn = 45,
                    }
                )
                .Code
        );
        Assert.Equal(
            "number-out-of-range",
            SampleProject
                .Refused(
                    project,
                    new SetCutProfile { ClothId = "beet", Profile = CutProfiles.Card with { Depth = 40 } }
                )
                .Code
        );
    }

    private static Finding Found(Project project, string code) =>
        Assert.Single(SampleProject.Evaluate(project).Findings, finding => finding.Code == code);
}
