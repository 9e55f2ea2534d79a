using Ullet.Core.Edits;
using Ullet.Core.Makings;
using Ullet.Core.Projects;
using Ullet.Core.Tests.Samples;

namespace Ullet.Core.Tests.Edits;

public sealed class ExchangeTests
{
    [Fact]
    public void AThread_IsExchangedInEveryMaking_KeptOnesToo_AndInTheHooping()
    {
        var project = Mixed();
        var (from, to) = (
            project.Hooping.CoverThreadId,
            project.Threads.First(thread => thread.Id != project.Hooping.CoverThreadId).Id
        );
        project = SampleProject.Apply(
            project,
            new SetFilled
            {
                ElementId = "e1",
                Filled = new FilledMaking { ThreadId = from },
            },
            new SetMaking { ElementId = "e1", Kind = "satin" },
            new SetSatin
            {
                ElementId = "e1",
                Satin = new SatinMaking { Edge = new SatinEdge { ThreadId = from } },
            }
        );
        Assert.Contains(from, Threads(project));
        var exchanged = SampleProject.Apply(project, new ExchangeThread { FromId = from, ToId = to });
        Assert.DoesNotContain(from, Threads(exchanged));
        Assert.Equal(to, exchanged.Hooping.CoverThreadId);
        Assert.Equal(project.Threads, exchanged.Threads);
    }

    [Fact]
    public void ACloth_IsExchangedEverywhere_AndFilmOnlyForFilm()
    {
        var project = Mixed();
        var ground = project.Hooping.TopClothId;
        var film = project.Cloths[0] with { Id = "film", Name = "pearl film", Kind = ClothKind.Film };
        project = project with { Cloths = project.Cloths.Add(film) };
        project = SampleProject.Apply(
            project,
            new SetFilled
            {
                ElementId = "e1",
                Filled = new FilledMaking { FilmClothId = "film" },
            }
        );
        var refused = SampleProject.Refused(project, new ExchangeCloth { FromId = "film", ToId = ground });
        Assert.Equal("exchange-unfit", refused.Code);
        Assert.Contains("pearl film", refused.Words, StringComparison.Ordinal);
        var exchanged = SampleProject.Apply(project, new ExchangeCloth { FromId = ground, ToId = "film" });
        Assert.Equal("film", exchanged.Hooping.TopClothId);
        Assert.All(
            exchanged.Elements.SelectMany(element => element.Makings()).OfType<ClothMaking>(),
            cloth => Assert.NotEqual(ground, cloth.ClothId)
        );
    }

    [Theory]
    [InlineData("nothing", true)]
    [InlineData("nothing", false)]
    public void WhatIsNotThere_IsRefused(string id, bool isThread)
    {
        var project = Mixed();
        var refusal = SampleProject.Refused(
            project,
            isThread
                ? new ExchangeThread { FromId = project.Threads[0].Id, ToId = id }
                : new ExchangeCloth { FromId = id, ToId = project.Cloths[0].Id }
        );
        Assert.Contains("unknown", refusal.Code, StringComparison.Ordinal);
    }

    private static IEnumerable<string> Threads(Project project) =>
        project
            .Elements.SelectMany(element => element.Makings())
            .SelectMany(making => MakingModules.Of(making).ThreadIds(making));

    /// <summary>Something filled that was cloth before.</summary>
    private static Project Mixed() =>
        SampleProject.Apply(
            SampleProject.Empty(),
            new AddPiece
            {
                Shape = new EllipseShape(),
                Box = new ElementBox(0, 0, 40, 30, 0),
                Method = Method.CutBeforehand,
            },
            new SetMaking { ElementId = "e1", Kind = "filled" }
        );
}
