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

    private static Box Bounds(Project project) => ResizeDesign.BareBox(project, SampleProject.Context);
}
