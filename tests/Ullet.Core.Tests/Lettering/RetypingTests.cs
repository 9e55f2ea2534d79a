using System.Collections.Immutable;
using Ullet.Core.Lettering;
using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Lettering;

public sealed class RetypingTests
{
    [Theory]
    [InlineData("Rowan", "Rowena", "w", "w")]
    [InlineData("Rowan", "Rowena", "a", "a")]
    [InlineData("Rowan", "Rowena", "n", "n")]
    [InlineData("Rowan", "Rowena", "an", "an")]
    [InlineData("Rowan", "Rowan", "Rwn", "Rwn")]
    [InlineData("Rowan", "owan", "Rw", "w")]
    [InlineData("Rowan", "Mr Rowan", "on", "on")]
    [InlineData("Plot 14", "Plot 15", "4", "")]
    [InlineData("Plot 14", "Bed 14", "14", "14")]
    [InlineData("Bean", "bean", "Bn", "n")]
    [InlineData("Bean", "", "B", "")]
    public void Carry_TakesEveryTouchToItsLetter(string before, string after, string touched, string kept)
    {
        var carried = Retyping.Carry(Touches(before, touched), before, after);
        Assert.Equal(kept.Order(), carried.Select(touch => after[touch.Index]).Order());
        Assert.Equal(carried.Length, carried.Select(touch => touch.Index).Distinct().Count());
        Assert.All(carried, touch => Assert.Equal(before[(int)touch.Y], after[touch.Index]));
    }

    [Fact]
    public void Carry_OfOneOfTwoEqualLetters_KeepsTheOneThatItWas()
    {
        var carried = Retyping.Carry([new LetterTouch(2) { X = 1 }], "eve", "evens");
        Assert.Equal(2, Assert.Single(carried).Index);
        carried = Retyping.Carry([new LetterTouch(0) { X = 1 }], "eve", "sleeve");
        Assert.Equal('e', "sleeve"[Assert.Single(carried).Index]);
    }

    [Fact]
    public void Carry_CountsCharactersAsAPersonSeesThem()
    {
        var carried = Retyping.Carry([new LetterTouch(2) { X = 1 }], "Zoe\u0308", "MyZoe\u0308");
        Assert.Equal(4, Assert.Single(carried).Index);
    }

    [Theory]
    [MemberData(nameof(Seeds))]
    public void Carry_OfRandomTexts_NeverMovesATouchToAnotherLetter(int seed)
    {
        var random = new Random(seed);
        string Text() => string.Concat(Enumerable.Range(0, random.Next(1, 14)).Select(_ => "abco "[random.Next(5)]));
        var (before, after) = (Text(), Text());
        ImmutableArray<LetterTouch> touches =
        [
            .. Enumerable
                .Range(0, before.Length)
                .Where(_ => random.Next(2) == 0)
                .Select(i => new LetterTouch(i) { Y = i }),
        ];
        var carried = Retyping.Carry(touches, before, after);
        Assert.All(carried, touch => Assert.Equal(before[(int)touch.Y], after[touch.Index]));
        Assert.Equal(carried.Length, carried.Select(touch => touch.Index).Distinct().Count());
        // A touch is lost only where the new text has no letter left for it.
        foreach (var letter in touches.Select(touch => before[touch.Index]).Distinct())
        {
            var wanted = touches.Count(touch => before[touch.Index] == letter);
            var there = after.Count(other => other == letter);
            Assert.Equal(Math.Min(wanted, there), carried.Count(touch => after[touch.Index] == letter));
        }
    }

    public static TheoryData<int> Seeds => [.. Enumerable.Range(1, 40)];

    /// <summary>Each touch carries its own old place, so that it can be told apart afterwards.</summary>
    private static ImmutableArray<LetterTouch> Touches(string text, string letters) =>
        [.. letters.Select(letter => text.IndexOf(letter)).Select(i => new LetterTouch(i) { Y = i, X = 1 })];
}
