using Ullet.Core.Orders;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Orders;

/// <summary>The ways in which a text may be set on lines.</summary>
public sealed class LineBreakerTests
{
    [Fact]
    public void Ways_OfThreeWords_AreAllThereAre() =>
        Assert.Equal(["a b c", "a\nb c", "a b\nc", "a\nb\nc"], LineBreaker.Ways("a b c", LineBreaks.Spaces, 3));

    [Fact]
    public void Hyphens_StayAtTheEndOfTheirLine() =>
        Assert.Contains("Anna-\nLena", LineBreaker.Ways("Anna-Lena", LineBreaks.SpacesAndHyphens, 2));

    [Fact]
    public void TypedLines_AreKept_WhereTheyAreAllowed()
    {
        Assert.Equal(["a\nb"], LineBreaker.Ways("a\nb", LineBreaks.AsTyped, 2));
        Assert.Equal(["a b"], LineBreaker.Ways("a\nb", LineBreaks.AsTyped, 1));
    }

    [Fact]
    public void LongTexts_AreTriedInEvenLines_WithinABound()
    {
        var text = string.Join(' ', Enumerable.Repeat("word", 40));
        var ways = LineBreaker.Ways(text, LineBreaks.Spaces, 12).ToList();
        Assert.InRange(ways.Count, 1000, 1600);
        Assert.Contains(ways, way => way.Count(c => c == '\n') == 11);
    }
}
