using Ullet.Core.Edits;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits;

public sealed class ResizeDesignTests
{
    private static readonly Project Two = SampleProject.Apply(
        SampleProject.With(new HeartShape(), 60, 50),
        SampleProject.Add(new HeartShape(), 20, 20) with
        {
            Box = new ElementBox(30, -40, 20, 20, 0),
        }
    );

    [Theory]
    [InlineData(0.5)]
    [InlineData(1.3)]
    [InlineData(1.9)]
    public void TheWholeDesign_Grows_AboutTheFieldsMiddle_AndStitchNumbersStay(double by)
    {
        var before = ResizeDesign.BareBox(Two, SampleProject.Context);
        var sized = SampleProject.Apply(Two, new ResizeDesign { Width = before.Width * by });
        var after = ResizeDesign.BareBox(sized, SampleProject.Context);
        Assert.Equal(before.Width * by, after.Width, 1e-6);
        Assert.Equal(before.Height * by, after.Height, 1e-6);
        Assert.Equal(before.Centre.X * by, after.Centre.X, 1e-6);
        Assert.Equal(before.Centre.Y * by, after.Centre.Y, 1e-6);
        Assert.Equal(
            Two.Elements.Select(element => element.MadeAs<ClothMaking>()!.Stages),
            sized.Elements.Select(element => element.MadeAs<ClothMaking>()!.Stages)
        );
    }

    [Fact]
    public void TheSmallestHoop_ThatTakesEveryNeedlePoint_IsChosen()
    {
        var large = SampleProject.Apply(Two, new ResizeDesign { Width = 150 });
        var design = SampleProject.Evaluate(large).DesignBounds();
        Assert.True(large.Hooping.Hoop.Holds(design));
        Assert.DoesNotContain(
            Hoop.Catalogue.TakeWhile(hoop => hoop.Name != large.Hooping.Hoop.Name),
            hoop => hoop.Holds(design)
        );
        var small = SampleProject.Apply(Two, new ResizeDesign { Width = 30 });
        Assert.Equal("100 × 100", small.Hooping.Hoop.Name);
    }

    [Fact]
    public void LockedElements_GoAlong_AndStayLocked()
    {
        var locked = SampleProject.Apply(Two, new LockElements { ElementIds = ["e1"], Locked = true });
        var sized = SampleProject.Apply(locked, new ResizeDesign { Width = 40 });
        Assert.Equal([true, false], sized.Elements.Select(element => element.IsLocked));
        Assert.NotEqual(locked.Elements[0].Box.Width, sized.Elements[0].Box.Width);
    }

    [Theory]
    [InlineData(0, "number-out-of-range")]
    [InlineData(double.NaN, "number-out-of-range")]
    [InlineData(5000, "number-out-of-range")]
    public void AWidth_ThatNothingCanHave_IsRefused(double width, string code) =>
        Assert.Equal(code, SampleProject.Refused(Two, new ResizeDesign { Width = width }).Code);

    [Fact]
    public void WhatIsMissing_IsSaid()
    {
        Assert.Equal("size-missing", SampleProject.Refused(Two, new ResizeDesign()).Code);
        Assert.Equal(
            "nothing-to-place",
            SampleProject.Refused(SampleProject.Empty(), new ResizeDesign { Width = 50 }).Code
        );
        Assert.Equal(
            "no-pattern",
            SampleProject.Refused(Two, new ResizeDesign { Numbers = [new PatternNumber("width", 90)] }).Code
        );
    }

    [Fact]
    public void APattern_IsMadeAnewByItsOwnNumbers()
    {
        var rug = SampleProject.Apply(SampleProject.Empty(240, 360), new UsePattern { PatternId = "mug-rug" });
        Assert.Equal("pattern-numbers-missing", SampleProject.Refused(rug, new ResizeDesign { Width = 90 }).Code);
        var number = rug.Pattern!.Numbers.FirstOrDefault()?.Id ?? "width";
        var sized = SampleProject.Apply(rug, new ResizeDesign { Numbers = [new PatternNumber(number, 130)] });
        Assert.Equal(130, sized.Pattern!.NumberOf(number));
        Assert.NotEqual(Bounds(rug), Bounds(sized));
    }

    public static TheoryData<Operation> OperationsWithLengths =>
        [
            new RepeatInLine { StepX = 34, StepY = 6 },
            new RepeatRound
            {
                CentreX = 12,
                CentreY = 44,
                Count = 5,
            },
            new Mirror { Distance = 41, Angle = 20 },
            new MoveEdge { Distance = 4, Corners = CornerStyle.Sharp },
            new RoundCorners { Radius = 6 },
            new Split { Distance = 7, Angle = 15 },
        ];

    [Theory]
    [MemberData(nameof(OperationsWithLengths))]
    public void WhatOperationsMake_GrowsWithTheDesign_ExactlyAsAsked(Operation operation)
    {
        var made = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 30, 26),
            new AddOperation { ElementId = "e1", Operation = operation }
        );
        var before = ResizeDesign.BareBox(made, SampleProject.Context);
        foreach (var by in new[] { 0.6, 1.7 })
        {
            var sized = SampleProject.Apply(made, new ResizeDesign { Width = before.Width * by });
            var after = ResizeDesign.BareBox(sized, SampleProject.Context);
            Assert.Equal(before.Width * by, after.Width, 0.02);
            Assert.Equal(before.Height * by, after.Height, 0.02);
            Assert.Equal(1, AreaOf(sized) / (AreaOf(made) * by * by), 0.005);
        }
    }

    [Fact]
    public void GapsAndLeastWidths_StayAsStitchingNeedsThem() =>
        Assert.All(
            new Operation[]
            {
                new Carve { SourceIds = ["e2"], Reveal = 2.5 },
                new CutBeneath { SourceIds = ["e2"] },
                new ClearCrumbs(),
                new BridgeNecks(),
                new CutNecks(),
                new CloseHoles(),
            },
            operation => Assert.Equal(operation, operation.Scaled(1.7))
        );

    [Fact]
    public void ALength_ThatNoOperationCanHave_IsRefused_AndChangesNothing()
    {
        var made = SampleProject.Apply(
            SampleProject.With(new RectangleShape(), 30, 30),
            new AddOperation
            {
                ElementId = "e1",
                Operation = new MoveEdge { Distance = 20 },
            }
        );
        var refusal = SampleProject.Refused(made, new ResizeDesign { Width = 70 * 3 });
        Assert.Equal("distance", refusal.Place);
        Assert.Contains("50", refusal.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void RoomsOfWords_AndAreasThatHandsLay_GrowAlong()
    {
        var made = Two with
        {
            FillIns =
            [
                new WordsFillIn
                {
                    Id = "f1",
                    Label = "Name",
                    Fit = new WordsFit { Room = new ElementBox(10, -4, 40, 12, 5), LargestHeight = 8 },
                },
                new WordsFillIn { Id = "f2", Label = "Date" },
            ],
            Hoopings =
            [
                Two.Hooping with
                {
                    RunSheet = Two.Hooping.RunSheet with
                    {
                        Hands =
                        [
                            new UserHandStep("u1", HandKind.Lay, "Lay the label")
                            {
                                Area = new ElementBox(6, 8, 30, 20, 0),
                            },
                            new UserHandStep("u2", HandKind.Finish, "Press it"),
                        ],
                    },
                },
            ],
        };
        var whole = ResizeDesign.BareBox(made, SampleProject.Context);
        var sized = SampleProject.Apply(made, new ResizeDesign { Width = whole.Width * 1.5 });
        var fits = sized.FillIns.Cast<LetteredFillIn>().Select(fillIn => fillIn.Fit).ToArray();
        Assert.Equal(new ElementBox(15, -6, 60, 18, 5), fits[0].Room);
        Assert.Equal(12, fits[0].LargestHeight);
        Assert.Equal(WordsFit.UsualSmallest, fits[0].SmallestHeight);
        Assert.Equal(new WordsFit(), fits[1]);
        Assert.Equal(new ElementBox(9, 12, 45, 30, 0), sized.Hooping.RunSheet.Hands[0].Area);
        Assert.Null(sized.Hooping.RunSheet.Hands[1].Area);
    }

    [Fact]
    public void WhatStaysCentred_StaysSo()
    {
        var centred = Two with { Elements = [Two.Elements[0] with { StaysCentred = true }, Two.Elements[1]] };
        var sized = SampleProject.Apply(centred, new ResizeDesign { Width = 50 });
        Assert.Equal([true, false], sized.Elements.Select(element => element.StaysCentred));
    }

    private static double AreaOf(Project project) =>
        SampleProject.Evaluate(project).Outlines["e1"].Flatten().Sum(region => region.Area);

    private static Box Bounds(Project project) => ResizeDesign.BareBox(project, SampleProject.Context);
}
