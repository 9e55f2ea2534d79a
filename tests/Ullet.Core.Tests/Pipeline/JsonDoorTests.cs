using System.Text;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Tests.Pipeline;

public sealed class JsonDoorTests
{
    [Theory]
    [InlineData("{\"a\":1e300}", "$.a")]
    [InlineData("{\"a\":[1,2,-1e13]}", "$.a[2]")]
    [InlineData("{\"a\":{\"b\":1e-320}}", "$.a.b")]
    [InlineData("{\"a\":0.0000001e-400}", "$.a")]
    [InlineData("{\"a\":1e999}", "$.a")]
    [InlineData("{\"a\":[{\"x\":1},null]}", "$.a[1]")]
    [InlineData("[[],[null]]", "$[1][0]")]
    public void WhatCantBeTaken_IsRefusedWithItsPlace(string json, string place)
    {
        var refusal = Check(json);
        Assert.Equal(("request-broken", place), (refusal?.Code, refusal?.Place));
        Assert.Contains(place, refusal!.Words, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("{\"a\":null,\"b\":[1,0,-0.0,1e-9,0e-400,999999999]}")]
    [InlineData("{\"a\":-3.5527136788005009e-15}")]
    [InlineData("{}")]
    [InlineData("not json")]
    [InlineData("")]
    public void WhatIsRight_OrIsLeftToItsReader_Passes(string json) => Assert.Null(Check(json));

    [Fact]
    public void TextOfMegabytes_IsRefused() =>
        Assert.NotNull(Check($$"""{"title":"{{new string('x', JsonDoor.LongestText + 1)}}"}"""));

    [Fact]
    public void LookingThrough_SpendsSteps()
    {
        var json = Encoding.UTF8.GetBytes("[" + string.Join(',', Enumerable.Repeat("1", 50_000)) + "]");
        var budget = new Budget("This", 10_000);
        Assert.Throws<TooMuchException>(() => budget.Run(() => JsonDoor.Check(json, "x", "It")));
    }

    private static Refusal? Check(string json) =>
        JsonDoor.Check(Encoding.UTF8.GetBytes(json), "request-broken", "The request");
}
