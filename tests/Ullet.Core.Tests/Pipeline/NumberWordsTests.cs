using Ullet.Core.Pipeline;

namespace Ullet.Core.Tests.Pipeline;

public sealed class NumberWordsTests
{
    [Theory]
    [InlineData("1", new[] { 1 })]
    [InlineData("1 and 2", new[] { 1, 2 })]
    [InlineData("1 to 3", new[] { 1, 2, 3 })]
    [InlineData("1 to 4 and 6", new[] { 1, 2, 3, 4, 6 })]
    [InlineData("1, 2, 5 to 7 and 9", new[] { 1, 2, 5, 6, 7, 9 })]
    public void Numbers_AreToldAsOneTellsThem(string told, int[] numbers) =>
        Assert.Equal(told, NumberWords.Of(numbers));
}
