using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Pipeline;

public sealed class ContentHashTests
{
    [Fact]
    public void Hash_OfEqualContent_IsEqual_AndOfOtherContentOrSaltIsNot()
    {
        var first = ContentHash.Of(new ElementBox(1, 2, 3, 4, 5), "a");
        Assert.Equal(first, ContentHash.Of(new ElementBox(1, 2, 3, 4, 5), "a"));
        Assert.NotEqual(first, ContentHash.Of(new ElementBox(1, 2, 3, 4, 6), "a"));
        Assert.NotEqual(first, ContentHash.Of(new ElementBox(1, 2, 3, 4, 5), "b"));
        Assert.Matches("^[0-9a-f]{32}$", first.Hex);
    }

    [Fact]
    public void Combine_DependsOnTheOrder()
    {
        var (a, b) = (ContentHash.Of(1, ""), ContentHash.Of(2, ""));
        Assert.NotEqual(ContentHash.Combine(a, b), ContentHash.Combine(b, a));
    }

    [Fact]
    public void Result_OfARefusal_HandsItThrough()
    {
        Result<int> refused = new Refusal("no", "here", "No.");
        var next = refused.Then<string>(value => value.ToString());
        Assert.Equal("no", next.Refusal?.Code);
        Assert.Throws<InvalidOperationException>(() => next.Value);
        Assert.Equal("4", ((Result<int>)4).Then<string>(value => value.ToString()).Value);
    }

    [Theory]
    [InlineData("e3.cover.0", true)]
    [InlineData("h1.hoop-up.12", true)]
    [InlineData("e3.cover", false)]
    [InlineData("e3.cover.x", false)]
    [InlineData("..0", false)]
    [InlineData("", false)]
    public void StepKey_ReadsWhatItWrites(string text, bool isKey)
    {
        var key = StepKey.Parse(text);
        Assert.Equal(isKey, key is not null);
        if (key is { } read)
        {
            Assert.Equal(text, read.ToString());
        }
    }
}
