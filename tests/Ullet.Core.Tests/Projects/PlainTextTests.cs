using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Projects;

public sealed class PlainTextTests
{
    [Theory]
    [InlineData("Plot\u202814", "Plot 14")]
    [InlineData("Plot\u202914\u0085beet", "Plot 14 beet")]
    [InlineData("Plot\t14\r\nbeet", "Plot 14 beet")]
    [InlineData("a\u202eb\u2066c\u200fd", "abcd")]
    [InlineData("  shed \u0007key ", "shed key")]
    [InlineData("\ufeffshed", "shed")]
    public void Line_IsOneLine(string typed, string clean) => Assert.Equal(clean, PlainText.Line(typed));

    [Theory]
    [InlineData("one\r\ntwo\rthree\u2028four\u2029five\u0085six", "one\ntwo\nthree\nfour\nfive\nsix")]
    [InlineData(" one \n two ", " one \n two ")]
    [InlineData("a\tb\vc", "a b\nc")]
    public void Lines_KeepTheirEnds(string typed, string clean) => Assert.Equal(clean, PlainText.Lines(typed));

    [Theory]
    [InlineData("Zoë’s 🥕 plot")]
    [InlineData("نعناع")]
    [InlineData("\u0915\u094d\u200d\u0937")]
    public void WhatIsClean_ComesBackAsItIs(string text) => Assert.Same(text, PlainText.Line(text));

    [Fact]
    public void HalvesOfPairs_Go() =>
        Assert.Equal(("ab", "🥕"), (PlainText.Line($"a{(char)0xD83E}b"), PlainText.Line($"{(char)0xDC00}🥕")));

    [Fact]
    public void Cleaning_Twice_IsCleaningOnce()
    {
        var random = new Random(15);
        for (var i = 0; i < 2_000; i++)
        {
            var text = new string([.. Enumerable.Range(0, random.Next(12)).Select(_ => Odd(random))]);
            var (line, lines) = (PlainText.Line(text), PlainText.Lines(text));
            Assert.True(line == PlainText.Line(line) && lines == PlainText.Lines(lines), $"seed 15, text {i}");
            Assert.DoesNotContain(line, char.IsControl);
        }
    }

    private static char Odd(Random random) =>
        random.Next(3) == 0
            ? "\u0000\t\n\r\u0085\u2028\u2029\u200e\u202e\u2067\ufeff\ud83e\udd55"[random.Next(13)]
            : (char)random.Next(32, 1500);
}
