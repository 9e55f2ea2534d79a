using Ullet.Core.Edits;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits.Stock;

public sealed class TakeFromStashTests
{
    private static readonly StashThread Moss = new("s1", "moss", "#5d7a3a")
    {
        Number = "1204",
        Maker = "Allotment yarns",
        Kind = ThreadKind.Rayon,
        Metres = 400,
    };

    private static readonly StashCloth Linen = new("s2", "barrow linen", ClothKind.Linen, "#97304f")
    {
        Width = 1400,
        Grain = Grain.OneWay,
        Texture = ClothTexture.Striped,
    };

    private static readonly EditContext Context = SampleProject.Context with { Stash = new Owned() };

    [Fact]
    public void AThread_IsTakenAsACopy_WithNumberAndMaker_AndSewnUnderBoth()
    {
        var project = Made(
            SampleProject.With(new HeartShape()),
            new TakeThread { StashId = "s1", InsteadOf = "cover" }
        );
        var taken = project.Threads[^1];
        Assert.Equal(("1204 moss", "Allotment yarns", ThreadKind.Rayon), (taken.Label, taken.Maker, taken.Kind));
        Assert.Equal(taken.Id, project.Hooping.CoverThreadId);
        Assert.Contains(SampleProject.Evaluate(project).Program.Threads, thread => thread.Name == "1204 moss");
    }

    [Fact]
    public void AThread_ThatTheProjectHasAlready_IsNotTakenTwice()
    {
        var once = Made(SampleProject.Empty(), new TakeThread { StashId = "s1" });
        Assert.Same(once, Made(once, new TakeThread { StashId = "s1" }));
    }

    [Fact]
    public void ACloth_BringsWidthAndGrainToTheCuttingTable_AndTakesTheOthersPlace()
    {
        var project = Made(SampleProject.With(new HeartShape()), new TakeCloth { StashId = "s2", InsteadOf = "beet" });
        var taken = project.Cloths[^1];
        Assert.Equal(("barrow linen", ClothTexture.Striped), (taken.Name, taken.Texture));
        Assert.Equal(taken.Id, project.Elements[0].MadeAs<ClothMaking>()!.ClothId);
        Assert.Equal((1400.0, Grain.OneWay), (project.Cut.Of(taken.Id).UsableWidth, project.Cut.Of(taken.Id).Grain));
    }

    [Theory]
    [InlineData("gone", null, "stash-thread-unknown")]
    [InlineData("s1", "nobody", "thread-unknown")]
    public void WhatIsNotThere_IsRefused(string stashId, string? insteadOf, string code)
    {
        var refused = new TakeThread { StashId = stashId, InsteadOf = insteadOf }.Apply(SampleProject.Empty(), Context);
        Assert.Equal(code, refused.Refusal!.Code);
        Assert.Equal(RefusalKind.NotFound, refused.Refusal.Kind);
        Assert.Equal(
            "stash-cloth-unknown",
            new TakeCloth { StashId = "gone" }
                .Apply(SampleProject.Empty(), Context)
                .Refusal!.Code
        );
    }

    [Theory]
    [InlineData("", "#123456", "name-empty")]
    [InlineData("moss", "green", "colour-broken")]
    public void AThreadOfTheStash_IsCheckedLikeAProjects(string name, string colour, string code) =>
        Assert.Equal(code, new StashThread("", name, colour).Check()!.Code);

    [Fact]
    public void NumbersOfTheStash_AreTakenInTheirRangesOnly()
    {
        Assert.Equal("metres", (Moss with { Metres = -1 }).Check()!.Place);
        Assert.Equal("number", (Moss with { Number = new string('1', 21) }).Check()!.Place);
        Assert.Equal("width", (Linen with { Width = 3 }).CheckOwn()!.Place);
        Assert.Equal("note", (Linen with { Note = new string('x', 201) }).CheckOwn()!.Place);
        Assert.Null(Linen.CheckOwn());
    }

    [Fact]
    public void OneSpool_IsKnownByMakerAndNumber_ElseByItsName()
    {
        Assert.Equal(Moss.Spool, (Moss with { Id = "other", Name = "moss green", Maker = "ALLOTMENT yarns" }).Spool);
        Assert.NotEqual(Moss.Spool, (Moss with { Number = "1205" }).Spool);
        Assert.NotEqual(Moss.Spool, (Moss with { Maker = null }).Spool);
        var unnumbered = Moss with { Number = null };
        Assert.Equal(unnumbered.Spool, (unnumbered with { Colour = "#000000" }).Spool);
        Assert.NotEqual(unnumbered.Spool, (unnumbered with { Name = "brick" }).Spool);
    }

    private static Project Made(Project project, Edit edit)
    {
        var made = edit.Apply(project, Context);
        Assert.True(made.IsOk, made.Refusal?.Words);
        return made.Value;
    }

    private sealed class Owned : IStash
    {
        public StashCloth? FindCloth(string id) => id == Linen.Id ? Linen : null;

        public StashThread? FindThread(string id) => id == Moss.Id ? Moss : null;
    }
}
