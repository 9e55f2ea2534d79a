using Ullet.Core.Edits;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits;

/// <summary>What many elements have in common is read, and set for all of them or for none.</summary>
public sealed class TraitTests
{
    private static readonly Project Mixed = SampleProject.Apply(
        SampleProject.Empty(),
        SampleProject.Add(new HeartShape()),
        Words("HO", WordsUse.Satin),
        Words("OH", WordsUse.OneByOne),
        new AddZone { Shape = new RectangleShape() }
    );

    [Theory]
    [InlineData("thread", "line", "e1,e2,e3")]
    [InlineData("cloth", "felt", "e1,e3")]
    [InlineData("method", "cutBeforehand", "e1,e3")]
    [InlineData("holding", "fused", "e1,e3")]
    [InlineData("cover", "zigzag", "e1,e3")]
    [InlineData("making", "satin", "e1,e2,e3")]
    [InlineData("groups", "date, weight", "e1,e2,e3,e4")]
    [InlineData("font", BlockFonts.Id, "e2,e3")]
    public void AWord_IsGivenToAll_AndReadBack(string trait, string word, string ids)
    {
        var chosen = ids.Split(',');
        var changed = SampleProject.Apply(Mixed, Set(trait, chosen) with { Word = word });
        Assert.All(chosen, id => Assert.Equal(word, Read(changed, id, trait)?.Word));
        Assert.All(
            Mixed.Elements.Where(element => !chosen.Contains(element.Id)),
            element => Assert.Equal(element, changed.Find(element.Id))
        );
    }

    [Theory]
    [InlineData("coverWidth", 4.5, "e1,e3")]
    [InlineData("coverSpacing", 0.5, "e1,e3")]
    [InlineData("capHeight", 21, "e2,e3")]
    public void ALength_IsGivenToAll_AndReadBack(string trait, double length, string ids)
    {
        var chosen = ids.Split(',');
        var changed = SampleProject.Apply(Mixed, Set(trait, chosen) with { Length = length });
        Assert.All(chosen, id => Assert.Equal(length, Read(changed, id, trait)!.Length, 6));
    }

    [Fact]
    public void WhereOneRefuses_NothingChanges_AndItIsNamed()
    {
        var refused = Refused(Mixed, Set("thread", ["e1", "e2", "e4"]) with { Word = "line" });
        Assert.Equal("trait-unfit", refused.Code);
        Assert.Contains("Keep clear", refused.Words, StringComparison.Ordinal);
        Assert.Contains("1 of 3", refused.Words, StringComparison.Ordinal);
        var locked = SampleProject.Apply(Mixed, new LockElements { ElementIds = ["e2"], Locked = true });
        Assert.Contains(
            "HO",
            Refused(locked, Set("making", ["e1", "e2"]) with { Word = "line" }).Words,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public void ManyThatRefuse_AreToldInOneSentence()
    {
        var project = SampleProject.Empty();
        for (var i = 0; i < 300; i++)
        {
            project = SampleProject.Apply(project, new AddZone { Shape = new RectangleShape(), Name = $"Zone {i}" });
        }
        var refused = Refused(project, Set("cloth", [.. project.Elements.Select(e => e.Id)]) with { Word = "felt" });
        Assert.Contains("297 more", refused.Words, StringComparison.Ordinal);
        Assert.True(refused.Words.Length < 400, refused.Words);
    }

    [Theory]
    [InlineData("colour", "red", "trait-unknown")]
    [InlineData("kind", "Heart", "trait-unknown")]
    [InlineData("thread", null, "trait-empty")]
    [InlineData("thread", "gold", "thread-unknown")]
    [InlineData("cover", "fur", "trait-value-unknown")]
    [InlineData("coverWidth", "3", "trait-empty")]
    [InlineData("groups", "a, b, c, d, e, f, g, h, i", "groups-too-many")]
    public void WhatCanNotBe_IsRefusedWithASentence(string trait, string? word, string code) =>
        Assert.Equal(code, Refused(Mixed, Set(trait, ["e1"]) with { Word = word }).Code);

    [Fact]
    public void EveryTrait_HasAWordOfItsOwn_AndReadsOnlyWhatIsThere()
    {
        Assert.Equal(TraitTable.All.Length, TraitTable.All.Select(trait => trait.Id).Distinct().Count());
        var zone = TraitTable.Of(Mixed.Find("e4")!, Mixed, SampleProject.Context.Evaluator);
        Assert.Equal(["groups", "kind", "making"], zone.Keys.Order());
        Assert.Equal("Heart", Read(Mixed, "e1", "kind")!.Word);
    }

    [Fact]
    public void GroupNames_SurviveTheDocument_AndAreNotWrittenWhereNoneAre()
    {
        var named = SampleProject.Apply(Mixed, new NameGroups { ElementIds = ["e2"], Names = " date ,weight,, date" });
        var json = ProjectJson.Write(named);
        Assert.Equal(["date", "weight"], ProjectJson.Read(json).Value.Find("e2")!.GroupNames);
        Assert.DoesNotContain(
            "groupNames",
            System.Text.Encoding.UTF8.GetString(ProjectJson.Write(Mixed)),
            StringComparison.Ordinal
        );
    }

    private static AddWords Words(string text, WordsUse use) =>
        new()
        {
            Text = text,
            FontId = BlockFonts.Id,
            CapHeight = 20,
            Use = use,
            ClothId = "beet",
        };

    private static SetTrait Set(string trait, string[] ids) => new() { ElementIds = [.. ids], Trait = trait };

    private static TraitValue? Read(Project project, string id, string trait) =>
        TraitTable.Find(trait)!.Of(project.Find(id)!, project, SampleProject.Context.Evaluator);

    private static Core.Pipeline.Refusal Refused(Project project, Edit edit) =>
        edit.Apply(project, SampleProject.Context).Refusal!;
}
