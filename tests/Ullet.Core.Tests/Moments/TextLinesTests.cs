using Ullet.Core.Moments;

namespace Ullet.Core.Tests.Moments;

public sealed class TextLinesTests
{
    private static readonly MomentLaws.Rough Measure = new();

    /// <summary>Texts drawn by a seed, words of forty letters among them: every line fits, and no letter is lost.</summary>
    [Fact]
    public void EveryLineFits_AndNoLetterIsLost()
    {
        var random = new Random(7);
        for (var i = 0; i < 300; i++)
        {
            var words = Enumerable
                .Range(0, random.Next(1, 20))
                .Select(_ => new string((char)random.Next('a', 'z'), random.Next(1, 40)));
            var (text, size, room) = (
                string.Join(' ', words),
                8 + (random.NextDouble() * 8),
                40 + (random.NextDouble() * 300)
            );
            var lines = new TextLines(size, false, Measure);
            var broken = lines.Broken(text, room);
            Assert.All(broken, line => Assert.True(Measure.Width(line, size, false) <= room, line));
            Assert.Equal(
                text.Replace(" ", "", StringComparison.Ordinal),
                string.Concat(broken).Replace(" ", "", StringComparison.Ordinal)
            );
            Assert.True(Measure.Width(lines.Fitted(text, room), size, false) <= room);
        }
        Assert.Equal(["one", "two"], new TextLines(10, false, Measure).Broken("one\ntwo", 500));
    }
}
