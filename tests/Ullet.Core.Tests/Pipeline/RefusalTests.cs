using Ullet.Core.Edits;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Pipeline;

public sealed class RefusalTests
{
    [Fact]
    public void Sentence_KeepsItsFactsTyped_AndIsPutIntoWordsWhenRead()
    {
        var (width, box) = (4.256, new ElementBox(1, 2, 3, 4, 5));
        var refusal = new Refusal("too-wide", "width", $"It is {width:0.0} mm wide, {box.Height} high: {"beet"}.");
        Assert.Equal("It is 4.3 mm wide, 4 high: beet.", refusal.Words);
        Assert.Equal([new Fact("width", 4.256), new Fact("height", 4.0), new Fact("text", "beet")], refusal.Facts);
    }

    [Fact]
    public void NumberOutOfRange_TellsItsRangeAsNumbers()
    {
        var refusal = Limits.CheckRange(99, 2, 7, "mm", "The cover width", "width")!;
        Assert.Equal(RefusalKind.BadInput, refusal.Kind);
        Assert.Contains(refusal.Facts, fact => fact.Value is 7.0);
        Assert.Contains("7", refusal.Words, StringComparison.Ordinal);
    }

    [Fact]
    public void WhatIsNotThere_AndWhatIsNotPossible_AreOfTheirKind()
    {
        var project = SampleProject.With(new HeartShape());
        Assert.Equal(
            RefusalKind.NotFound,
            SampleProject.Refused(project, new SetPieceCloth { ElementId = "e9", ClothId = "beet" }).Kind
        );
        Assert.Equal(
            RefusalKind.NotPossible,
            SampleProject.Refused(project, new SetZone { ElementId = "e1", Role = ZoneRole.Guide }).Kind
        );
    }
}
