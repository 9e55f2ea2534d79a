using Ullet.Core.Pipeline;

namespace Ullet.Core.Tests.Pipeline;

public sealed class MeasureTests
{
    [Theory]
    [InlineData("12.5", 12.5)]
    [InlineData("-3e2", -300)]
    [InlineData("1e-07", 1e-7)]
    [InlineData("0", 0)]
    [InlineData("1e0003", 1000)]
    public void Numbers_AreRead(string text, double value) => Assert.Equal(value, Measure.Read(text));

    [Theory]
    [InlineData("1e300")]
    [InlineData("1e-320")]
    [InlineData("NaN")]
    [InlineData("Infinity")]
    [InlineData("2e9")]
    [InlineData("5e-324")]
    [InlineData("wide")]
    [InlineData("")]
    public void WhatMeasuresNothing_IsNone(string text) => Assert.Null(Measure.Read(text));

    [Theory]
    [InlineData("M 0 0 L 1e300 5", true)]
    [InlineData("M 0 0 l 5.e-0321 5", true)]
    [InlineData("M 0 0 L 1e30 5e-9", false)]
    [InlineData("translate(3 4)", false)]
    [InlineData("ee999", false)]
    public void WildExponents_AreFoundAmongOtherText(string text, bool isWild) =>
        Assert.Equal(isWild, Measure.IsWild(text));
}
