using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;
using Ullet.Core.Tests.Patterns;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.RunSheets;

/// <summary>Loops, tabs and rings that are put into a seam by hand steps of the user's own.</summary>
public sealed class InsertTests
{
    [Theory]
    [InlineData(InsertSide.Left, 50, -60, -25, -10, 10)]
    [InlineData(InsertSide.Right, 25, 25, 60, -25, -5)]
    [InlineData(InsertSide.Top, 80, 20, 40, -40, -5)]
    [InlineData(InsertSide.Bottom, 50, -10, 10, 5, 40)]
    public void OnAnUprightSeam_ItReachesTenOutAndSoFarIn(
        InsertSide side,
        double along,
        double minX,
        double maxX,
        double minY,
        double maxY
    )
    {
        var seam = ShapeContours.Outline(new RectangleShape(), 100, 60);
        var insert = new UserInsert(InsertKind.RibbonLoop, "e1")
        {
            Side = side,
            Along = along,
            Width = 20,
            Length = 25,
        };
        var box = InsertPlaces.Of(insert, seam)!.Bounds();
        Assert.Equal((minX, maxX, minY, maxY), (R(box.MinX), R(box.MaxX), R(box.MinY), R(box.MaxY)));
    }

    [Fact]
    public void OnARoundSeam_ItLiesAtARightAngleToIt_AndNoneWhereTheSeamDoesNotPass()
    {
        var seam = ShapeContours.Outline(new EllipseShape(), 100, 100);
        for (var along = 2.0; along < 100; along += 7)
        {
            var insert = new UserInsert(InsertKind.Tab, "e1") { Side = InsertSide.Right, Along = along };
            var corners = InsertPlaces.Of(insert, seam)!.Shell.Points;
            var (outer, inner) = (Point.Lerp(corners[0], corners[1], 0.5), Point.Lerp(corners[2], corners[3], 0.5));
            Assert.Equal(50 + UserInsert.Outside, outer.DistanceTo(new Point(0, 0)), 1);
            Assert.Equal(50 - insert.Length, inner.DistanceTo(new Point(0, 0)), 1);
        }
        Assert.Null(InsertPlaces.Of(new UserInsert(InsertKind.Tab, "e1"), Outline.Empty));
    }

    [Fact]
    public void ALoopOfOnesOwn_InTheRugsSeam_IsHeldByIt_TellsHowItIsFolded_AndLiesThereBeforeTheBack()
    {
        var rug = PatternSamples.Make("mug-rug");
        var hand = new UserHandStep("", HandKind.Insert, " ")
        {
            ClothId = "beet",
            Insert = new UserInsert(InsertKind.RingOnTape, "p-closing-seam") { Side = InsertSide.Top },
        };
        var with = SampleProject.Apply(rug, new SetHandStep { Hand = hand, After = "p-quilting.line.0" });
        var work = SampleProject.Evaluate(with);
        var step = work.RunSheet.Steps.OfType<HandStep>().Single(each => each.IsOwn);
        Assert.StartsWith("Put the ring on a tape in. ", step.Work.Text, StringComparison.Ordinal);
        Assert.Contains("Thread the ring onto 70 mm of beet cotton", step.Work.Text, StringComparison.Ordinal);
        Assert.Contains("at the top edge", step.Work.Text, StringComparison.Ordinal);
        Assert.Contains("presser foot", step.Work.Warning, StringComparison.Ordinal);
        Assert.DoesNotContain(work.Findings, finding => finding.Code == "layer-not-sewn");
        Assert.Empty(work.RunSheet.Order.Broken);
        var late = SampleProject.Apply(rug, new SetHandStep { Hand = hand, After = "p.lay-back.0" });
        Assert.Contains(SampleProject.Evaluate(late).RunSheet.Order.Broken, pair => pair.Rule == "insert");
    }

    [Fact]
    public void WhatCantBePutIn_IsRefused_WithASentence()
    {
        var rug = PatternSamples.Make("mug-rug");
        string Code(UserInsert insert, string? cloth = "beet") =>
            SampleProject
                .Refused(
                    rug,
                    new SetHandStep
                    {
                        Hand = new UserHandStep("", HandKind.Insert, "Put it in.") { ClothId = cloth, Insert = insert },
                    }
                )
                .Code;
        var good = new UserInsert(InsertKind.Tab, "p-closing-seam");
        Assert.Equal("insert-without-cloth", Code(good, null));
        Assert.Equal("element-unknown", Code(good with { On = "e99" }));
        Assert.Equal("number-out-of-range", Code(good with { Along = 130 }));
        Assert.Equal("number-out-of-range", Code(good with { Width = double.NaN }));
    }

    [Fact]
    public void AnEdgeThatDoesNotLieWhereItsSentenceSays_IsTold()
    {
        Project With(double distance) =>
            SampleProject.Apply(
                SampleProject.With(new EllipseShape()),
                new SetHandStep
                {
                    Hand = new UserHandStep("", HandKind.Lay, "Lay a strip")
                    {
                        ClothId = "felt",
                        AreaOf = "e1",
                        AreaMore = 15,
                        AlignedTo = new StepKey("e1", "placement", 0),
                        AlignDistance = distance,
                    },
                    After = "e1.placement.0",
                }
            );
        static bool IsTold(Project project) =>
            SampleProject.Evaluate(project).Findings.Any(finding => finding.Code == "align-distance");
        Assert.False(IsTold(With(15)));
        Assert.True(IsTold(With(5)));
    }

    private static double R(double value) => Math.Round(value, 6);
}
