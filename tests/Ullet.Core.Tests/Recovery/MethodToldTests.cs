using System.Collections.Immutable;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;
using Ullet.Core.Stitches;

namespace Ullet.Core.Tests.Recovery;

/// <summary>Which method a piece was sewn by, told from where its stages lie and from what hands did.</summary>
public sealed class MethodToldTests
{
    private static readonly ImmutableArray<HandsBetween?> Unknown = [null, null];

    [Fact]
    public void AHeldEdgeWithoutACover_IsARawEdge_WhateverHandsDid()
    {
        var held = Cover(CoverKind.RawEdge, 0, -1.5);
        Assert.Equal(Method.RawEdge, MethodTold.Of(1.5, held, Unknown));
        Assert.Equal(Method.RawEdge, MethodTold.Of(1.5, held, [new HandsBetween(true, false, true)]));
    }

    [Fact]
    public void ScissorsBetweenItsStages_TrimItInTheHoop_WithoutThemItWasCutBefore()
    {
        var satin = Cover(CoverKind.Satin, 3.5, 1.2);
        Assert.Equal(
            Method.TrimInTheHoop,
            MethodTold.Of(StitchDefaults.TackInsetCut, satin, [null, new HandsBetween(false, false, true)])
        );
        Assert.Equal(
            Method.CutBeforehand,
            MethodTold.Of(StitchDefaults.TackInsetTrimmed, satin, [new HandsBetween(true, false, false), null])
        );
    }

    [Fact]
    public void WithoutHands_TheInsetOfTheTackDownTells()
    {
        var wide = Cover(CoverKind.Satin, 7, 2);
        Assert.Equal(Method.CutBeforehand, MethodTold.Of(StitchDefaults.TackInsetCut, wide, Unknown));
        Assert.Equal(Method.TrimInTheHoop, MethodTold.Of(StitchDefaults.TackInsetTrimmed, wide, Unknown));
        Assert.Equal(Method.CutBeforehand, MethodTold.Of(null, wide, Unknown));
        // A motif leaves both where they are usual.
        var motif = Cover(CoverKind.Motif, 6, 3);
        Assert.Equal(Method.TrimInTheHoop, MethodTold.Of(StitchDefaults.TackInsetTrimmed, motif, Unknown));
        Assert.Equal(Method.CutBeforehand, MethodTold.Of(StitchDefaults.TackInsetCut, null, Unknown));
    }

    [Fact]
    public void UnderACoverTooNarrowForEither_TheUsualMethodIsTaken()
    {
        var narrow = Cover(CoverKind.Satin, 1.4, 0.7);
        Assert.Equal(Method.TrimInTheHoop, MethodTold.Of(0.1, narrow, Unknown));
    }

    [Theory]
    [InlineData(CoverKind.Satin, 3.5)]
    [InlineData(CoverKind.Zigzag, 5)]
    [InlineData(CoverKind.Blanket, 3.8)]
    [InlineData(CoverKind.Motif, 6)]
    public void AnOutlineRunRoundAWindow_IsToldFromOneRoundAPiece(CoverKind kind, double width)
    {
        foreach (var isBeneath in new[] { true, false })
        {
            // As sewn: the cover has its usual share on the cloth's side of the outline, the run lies off the outline by its inset.
            var bare = Cover(kind, width, 0);
            var inset = MethodTold.InsetOf(bare);
            var share = width - (width * MethodTold.UsualShare(kind));
            // Round a window the cloth is outside of the outline, and the run as well; sides are measured from the run.
            var outside = isBeneath ? (width * MethodTold.UsualShare(kind)) - inset : share + inset;
            Assert.Equal(isBeneath, MethodTold.IsBeneath(Cover(kind, width, outside)));
        }
    }

    [Fact]
    public void AThreefoldRun_LiesOnTheSideOfItsCloth()
    {
        Assert.True(MethodTold.IsBeneath(Cover(CoverKind.Bean, 0, 1.5)));
        Assert.False(MethodTold.IsBeneath(Cover(CoverKind.Bean, 0, -1.5)));
        Assert.Equal(StitchDefaults.TackInsetTrimmed, MethodTold.InsetOf(Cover(CoverKind.Bean, 0, 1.5)));
    }

    [Theory]
    [InlineData(0.6)]
    [InlineData(1)]
    [InlineData(2)]
    [InlineData(4)]
    [InlineData(12)]
    public void AnInset_IsNeverBelowNothing_NorMoreThanUsual_AndUnderItsCover(double width)
    {
        foreach (var kind in new[] { CoverKind.Satin, CoverKind.Zigzag, CoverKind.Blanket, CoverKind.Motif })
        {
            var inset = MethodTold.InsetOf(Cover(kind, width, width / 3));
            Assert.InRange(inset, 0, StitchDefaults.TackInsetTrimmed);
            Assert.True(
                inset == 0 || inset + StitchDefaults.TackUnderCover <= (width * MethodTold.UsualShare(kind)) + 1e-9
            );
        }
    }

    private static RecoveredCover Cover(CoverKind kind, double width, double outside) =>
        new(2, kind, width, 0.4, outside);
}
