using Ullet.Core.Orders;

namespace Ullet.Core.Tests.Orders;

/// <summary>Letters among figures and figures among letters, and what is none of them.</summary>
public sealed class LookAlikesTests
{
    [Theory]
    [InlineData("1O", "“O”")]
    [InlineData("Plot l4", "“l”")]
    [InlineData("2O26", "“O”")]
    [InlineData("R0wan", "“0”")]
    public void Mistypings_AreTold(string text, string named) =>
        Assert.Contains(named, LookAlikes.In(text), StringComparison.Ordinal);

    [Theory]
    [InlineData("Rowan")]
    [InlineData("Plot 14")]
    [InlineData("14a")]
    [InlineData("B12")]
    [InlineData("3rd bed")]
    [InlineData("")]
    public void OrdinaryTexts_AreNot(string text) => Assert.Null(LookAlikes.In(text));
}
