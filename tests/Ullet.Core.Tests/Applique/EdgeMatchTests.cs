using Ullet.Core.Applique;
using Ullet.Core.Edits;
using Ullet.Core.Findings;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Applique;

public sealed class EdgeMatchTests
{
    public static TheoryData<Method, CoverKind> All =>
        [.. from method in Enum.GetValues<Method>() from kind in Enum.GetValues<CoverKind>() select (method, kind)];

    [Fact]
    public void Match_CountsCuttingLayingAndDrawIn()
    {
        var match = Of(SampleProject.With(new EllipseShape(), 60, 60, Method.CutBeforehand));
        // 60 % of 3.5 inside, less 0.2 of cutting, 0.5 of laying, and 0.2 % of 30 drawn in.
        Assert.All(match.Margins, margin => Assert.Equal(2.1 - 0.7 - 0.06, margin.Bite, 0.005));
        Assert.All(match.Margins, margin => Assert.Equal(1.4 - 0.7, margin.Beyond!.Value, 9));
        Assert.True(match.Holds);
        Assert.Equal(Math.PI * 60, match.Margins.Length, 4.0);
    }

    [Theory]
    [InlineData(Method.TrimInTheHoop, Holding.Taped, 2.1 - 0.5, 1.4 - 0.7)]
    [InlineData(Method.MarkedOnCloth, Holding.Fused, 2.1 - 1.0, 1.4 - 1.0)]
    [InlineData(Method.CutBeforehand, Holding.Nothing, 2.1 - 1.2, 1.4 - 1.2)]
    [InlineData(Method.LaidFirst, Holding.Taped, 2.1 - 0.5, 1.4 - 0.7)]
    public void Match_OfAMethod_CountsWhatItsHandsMayDo(Method method, Holding holding, double bite, double beyond)
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 60, 60, method),
            new SetMethod
            {
                ElementId = "e1",
                Method = method,
                Holding = holding,
            }
        );
        var worst = Of(project).Worst!;
        Assert.Equal(bite - 0.06, worst.Bite, 0.005);
        Assert.Equal(beyond, worst.Beyond!.Value, 9);
    }

    [Fact]
    public void Match_OfAWindow_JudgesTheGroundsEdge()
    {
        var match = Of(SampleProject.With(new EllipseShape(), 60, 60, Method.SetBehind));
        // The cover's larger share lies on the ground, whose edge is trimmed inside the window.
        Assert.Equal(
            (2.1 - 0.5, 1.4 - 0.7),
            (Math.Round(match.Worst!.Bite, 6), Math.Round(match.Worst.Beyond!.Value, 6))
        );
    }

    [Fact]
    public void Match_OfABlanketCover_WantsTeethOfTwoAndASpineThatClears()
    {
        var match = Of(Covered(CoverKind.Blanket));
        Assert.Equal(2.0, match.Wanted);
        Assert.True(match.Holds);
        Assert.Equal(0.1, match.Worst!.Beyond!.Value, 0.005);
        Assert.False(Of(Covered(CoverKind.Blanket, set => set with { Width = 3 })).Holds);
    }

    [Fact]
    public void Match_OfALine_JudgesOnlyTheBite()
    {
        var match = Of(Covered(CoverKind.Bean));
        Assert.All(match.Margins, margin => Assert.Null(margin.Beyond));
        Assert.Equal(1.5 - 0.7 - 0.03, match.Worst!.Bite, 0.01);
        Assert.True(match.Holds, "felt wants half a millimetre");
    }

    [Fact]
    public void Match_AlongACoveredStretch_IsNotAsked()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 60, 60, Method.CutBeforehand),
            SampleProject.Add(new EllipseShape(), 40, 40, Method.CutBeforehand),
            new MoveElements
            {
                ElementIds = ["e2"],
                X = 30,
                Y = 0,
            }
        );
        Assert.DoesNotContain(Of(project).Margins, margin => margin.At.X > 28);
    }

    [Fact]
    public void Match_OfANarrowStretch_IsWorstThere()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 60, 40, Method.CutBeforehand),
            new SetCoverStretch
            {
                ElementId = "e1",
                X = 0,
                Y = -20,
                Width = 2,
            }
        );
        var match = Of(project);
        Assert.False(match.Holds);
        Assert.Equal(-20, match.Worst!.At.Y, 1e-6);
        Assert.Contains(match.Margins, margin => match.Spare(margin) > 0);
    }

    [Theory]
    [MemberData(nameof(All))]
    public void EveryMend_OfEveryMethodAndCover_MakesTheMatchHold(Method method, CoverKind kind)
    {
        var project = SampleProject.Apply(
            SampleProject.With(new HeartShape(), 70, 66, method),
            new SetCover
            {
                ElementId = "e1",
                Cover = new CoverSettings
                {
                    Kind = kind,
                    Width = 2,
                    Inset = 0.6,
                },
            }
        );
        var evaluated = SampleProject.Evaluate(project);
        Assert.Contains(evaluated.Findings, found => found.Code is "bite-too-small" or "edge-peeps-out");
        var mends = EdgeMends.Of([.. evaluated.PiecesOf("e1")]);
        Assert.NotEmpty(mends);
        foreach (var mend in mends)
        {
            var mended = SampleProject.Apply(
                project,
                new MendEdge
                {
                    ElementId = "e1",
                    Number = mend.Number,
                    Value = mend.Value,
                }
            );
            Assert.DoesNotContain(
                SampleProject.Evaluate(mended).Findings,
                found => found.Code is "bite-too-small" or "edge-peeps-out"
            );
        }
    }

    [Fact]
    public void AMend_OfTheCutAllowance_ChangesTheCutShape()
    {
        var project = SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 60, 60, Method.CutBeforehand),
            new MendEdge
            {
                ElementId = "e1",
                Number = EdgeNumber.CutAllowance,
                Value = 0.4,
            }
        );
        var shape = SampleProject.Evaluate(project).Sheets.Single().Shapes.Single().Shape;
        Assert.Equal(60.8, shape.Bounds().Width, 0.02);
        Assert.Equal((0.4, false), (shape.Allowance, shape.IsTemplate));
        Assert.Equal(
            "number-out-of-range",
            SampleProject.Refused(project, new SetCutAllowance { ElementId = "e1", Allowance = 9 }).Code
        );
    }

    private static Project Covered(CoverKind kind, Func<CoverSettings, CoverSettings>? set = null) =>
        SampleProject.Apply(
            SampleProject.With(new EllipseShape(), 60, 60, Method.CutBeforehand, "felt"),
            new SetCover { ElementId = "e1", Cover = (set ?? (cover => cover))(new CoverSettings { Kind = kind }) }
        );

    private static EdgeMatch Of(Project project) =>
        EdgeMatch.Of(SampleProject.Evaluate(project).PiecesOf("e1").Single())!;
}
