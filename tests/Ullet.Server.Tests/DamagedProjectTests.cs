using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Ullet.Server.Data;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class DamagedProjectTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task Shelf_ShowsTheOthers_AndOffersTheLastReadableState()
    {
        var (id, first) = await server.Blank("Bean rows");
        var head = await server.Edit(id, first, TestServer.AddHeart);
        await Damage(head, [1, 2, 3]);
        var shelf = (await server.Get("/api/projects")).AsArray();
        var card = shelf.Single(item => (string)item!["id"]! == id)!;
        Assert.Contains("can't be opened", (string)card["damage"]!["words"]!, StringComparison.Ordinal);
        Assert.NotNull(card["damage"]!["lastReadable"]);
        Assert.All(shelf.Where(item => item != card), item => Assert.Null(item!["damage"]));
        using var scene = await server.Client.GetAsync($"/api/projects/{id}/scene");
        var problem = (await scene.Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Equal((503, "project-damaged"), ((int)scene.StatusCode, (string)problem["code"]!));

        var (status, back) = await server.Post($"/api/projects/{id}/recover", new { });
        Assert.Equal(200, status);
        head = (long)back["head"]!;
        Assert.Empty((await server.Get($"/api/projects/{id}/scene"))["elements"]!.AsArray());
        await server.Edit(id, head, TestServer.AddHeart);
        Assert.Single((await server.Get($"/api/projects/{id}/scene"))["elements"]!.AsArray());
    }

    [Fact]
    public async Task ProjectWithoutAReadableState_SaysSo_GivesItsFile_AndGoesToTheBin()
    {
        var (id, head) = await server.Blank("Lost rows");
        await Damage(head, [9, 9, 9, 9]);
        var card = (await server.Get("/api/projects")).AsArray().Single(item => (string)item!["id"]! == id)!;
        Assert.Null(card["damage"]!["lastReadable"]);
        var (status, problem) = await server.Post($"/api/projects/{id}/recover", new { });
        Assert.Equal((404, "project-lost"), (status, (string)problem["code"]!));
        Assert.Equal([9, 9, 9, 9], await server.Client.GetByteArrayAsync($"/api/projects/{id}/stored"));
        using var gone = await server.Client.DeleteAsync($"/api/projects/{id}");
        Assert.Equal(204, (int)gone.StatusCode);
    }

    [Fact]
    public async Task WholeProject_HasNothingToRecover()
    {
        var (id, _) = await server.Blank();
        var (status, problem) = await server.Post($"/api/projects/{id}/recover", new { });
        Assert.Equal((409, "project-whole"), (status, (string)problem["code"]!));
    }

    private async Task Damage(long revision, byte[] snapshot)
    {
        using var scope = server.Services.CreateScope();
        var db = scope.ServiceProvider.GetRequiredService<UlletDb>();
        var changed = await db
            .Revisions.Where(row => row.Id == revision)
            .ExecuteUpdateAsync(set => set.SetProperty(row => row.Snapshot, snapshot));
        Assert.Equal(1, changed);
    }
}
