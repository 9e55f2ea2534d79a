using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Demo;
using Ullet.Server.Shelf;
using Ullet.Server.Stash;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class ShelfIndexTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task WhatIsNoted_IsWhatTheDocumentsSay_AndIsNotedAgainWhereItIsMissing()
    {
        var before = (await server.Get("/api/projects")).ToJsonString();
        await Change(set => set.SetProperty(row => row.FactsOf, 0L).SetProperty(row => row.Words, ""));
        Assert.Equal(before, (await server.Get("/api/projects")).ToJsonString());
        await Change(set => set.SetProperty(row => row.FactsHash, "another").SetProperty(row => row.Pieces, 99));
        Assert.Equal(before, (await server.Get("/api/projects")).ToJsonString());
        using var scope = server.Services.CreateScope();
        var rows = await scope.ServiceProvider.GetRequiredService<UlletDb>().Projects.AsNoTracking().ToListAsync();
        Assert.All(
            rows.Where(row => row.DeletedAt is null),
            row =>
            {
                Assert.Equal(row.HeadId, row.FactsOf);
                Assert.Equal(64, row.FactsHash.Length);
                Assert.NotEmpty(row.Words);
            }
        );
    }

    [Fact]
    public async Task TheList_IsReadOnce_AsLongAsNothingChanges()
    {
        var index = server.Services.GetRequiredService<ShelfIndex>();
        var first = index.Shelved;
        Assert.Same(first[0], index.Shelved[0]);
        var (id, _) = await server.Blank("A new bed");
        Assert.Contains(index.Shelved, entry => entry.Row.Id == id);
        Assert.NotSame(first[0], index.Shelved[0]);
    }

    [Fact]
    public void Facts_HoldTheWordsOfAProject_FoldedAndBounded()
    {
        var project = DemoShelf.Projects().Single(each => each.Title == "Seed-packet pouch");
        var facts = ShelfFacts.Of(project);
        Assert.Equal((project.Hooping.Hoop.Name, project.Elements.Length), (facts.Hoop, facts.Pieces));
        Assert.Contains("rowan", facts.Words, StringComparison.Ordinal);
        Assert.Contains("zip pouch", facts.Words, StringComparison.Ordinal);
        var wordy = project with
        {
            Elements = [.. Enumerable.Range(0, 900).Select(i => project.Elements[0] with { Name = $"Bean {i}" })],
        };
        Assert.Equal(4000, ShelfFacts.Of(wordy).Words.Length);
    }

    [Theory]
    [InlineData(1)]
    [InlineData(7)]
    [InlineData(4711)]
    public void AlikeThreads_AreThoseOfAPlainCount(int seed)
    {
        var random = new Random(seed);
        var threads = Enumerable
            .Range(0, 250)
            .Select(i => new StashThread($"t{i}", $"shade {i}", $"#{random.Next(0x1000000):x6}")
            {
                Kind = (ThreadKind)random.Next(2),
            })
            .ToList();
        // Some lie right beside another.
        threads.AddRange(
            threads
                .Take(40)
                .Select(thread => thread with { Id = $"{thread.Id}b", Colour = Beside(thread.Colour, random) })
                .ToList()
        );
        var alike = AlikeThreads.Of([.. threads]);
        foreach (var thread in threads)
        {
            var plain = threads
                .Where(other =>
                    other.Id != thread.Id
                    && other.Kind == thread.Kind
                    && ColourDistance.Between(thread.Colour, other.Colour) <= ColourDistance.HardlyTold
                )
                .Select(other => other.Id);
            Assert.True(plain.Order().SequenceEqual(alike.To(thread.Id).Order()), $"seed {seed}: {thread.Id}");
        }
    }

    private static string Beside(string colour, Random random)
    {
        var part = Convert.ToInt32(colour[5..], 16);
        return $"{colour[..5]}{Math.Clamp(part + random.Next(-4, 5), 0, 255):x2}";
    }

    private async Task Change(Action<Microsoft.EntityFrameworkCore.Query.UpdateSettersBuilder<ProjectRow>> set)
    {
        using var scope = server.Services.CreateScope();
        await scope.ServiceProvider.GetRequiredService<UlletDb>().Projects.ExecuteUpdateAsync(set);
    }
}
