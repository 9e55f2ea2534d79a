using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Projects;

public sealed class SearchTextTests
{
    [Theory]
    [InlineData("", true)]
    [InlineData("   ", true)]
    [InlineData("ZOE patch", true)]
    [InlineData("patch zoë", true)]
    [InlineData("zo", true)]
    [InlineData("zoe's", true)]
    [InlineData("zoe rug", false)]
    public void Search_TakesEveryWord_WhateverCaseAccentsAndOrder(string search, bool finds) =>
        Assert.Equal(finds, SearchText.Answers(search, "Zoë’s Patch", null, "plot 14"));

    [Fact]
    public void Words_AreNotFoundAcrossTwoTexts() => Assert.False(SearchText.Answers("patchplot", "patch", "plot"));
}
