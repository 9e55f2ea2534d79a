using Ullet.Core.Projects;

namespace Ullet.Core.Tests.Projects;

public sealed class LengthTextTests
{
    [Theory]
    [InlineData("98.4", LengthUnit.Millimetre, 98.4)]
    [InlineData("98,4", LengthUnit.Millimetre, 98.4)]
    [InlineData("98.4mm", LengthUnit.Inch, 98.4)]
    [InlineData("3.875in", LengthUnit.Millimetre, 98.425)]
    [InlineData("3 7/8", LengthUnit.Millimetre, 98.425)]
    [InlineData("3-7/8\"", LengthUnit.Millimetre, 98.425)]
    [InlineData("7/8", LengthUnit.Millimetre, 22.225)]
    [InlineData("4", LengthUnit.Inch, 101.6)]
    [InlineData(" 4 ″ ", LengthUnit.Millimetre, 101.6)]
    [InlineData("-12.5", LengthUnit.Millimetre, -12.5)]
    [InlineData("−1/2", LengthUnit.Millimetre, -12.7)]
    [InlineData("9.5 cm", LengthUnit.Inch, 95)]
    public void Read_OfWhatPeopleWrite_GivesMm(string text, LengthUnit shown, double mm) =>
        Assert.Equal(mm, LengthText.Read(text, shown).Value, 6);

    [Theory]
    [InlineData("")]
    [InlineData("ten")]
    [InlineData("1e5")]
    [InlineData("3 7/0")]
    [InlineData("3 7/8 mm")]
    [InlineData("12 34")]
    [InlineData("NaN")]
    [InlineData("1//2")]
    public void Read_OfAnythingElse_RefusesWithASentence(string text)
    {
        var refusal = LengthText.Read(text, LengthUnit.Millimetre).Refusal;
        Assert.Equal("length-broken", refusal?.Code);
        Assert.Contains($"\"{text}\"", refusal!.Words, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData(25.4, "1 in")]
    [InlineData(25.5, "1 1/16 in")]
    [InlineData(12.7, "1/2 in")]
    [InlineData(64.9, "2 9/16 in")]
    [InlineData(0.2, "1/16 in")]
    public void SixteenthsUp_NeverRoundsDown(double mm, string text) => Assert.Equal(text, LengthText.SixteenthsUp(mm));
}
