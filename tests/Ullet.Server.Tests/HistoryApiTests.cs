using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class HistoryApiTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task AStateGoneBackTo_IsByteForByteTheOneThatWasThere_AndUndoLeadsBack()
    {
        var (id, heads, files) = await Edited(5);
        var head = heads[^1];
        foreach (var i in new[] { 2, 0, 4 })
        {
            var (status, answer) = await server.Post($"/api/projects/{id}/revisions/{heads[i]}/restore", new { head });
            Assert.Equal(200, status);
            var before = head;
            head = (long)answer["head"]!;
            Assert.True(head > before);
            Assert.Equal(files[i], await Files(id));
            Assert.Equal(await Snapshot(heads[i]), await Snapshot(head));
        }
        var (undone, back) = await server.Post($"/api/projects/{id}/undo", new { head });
        Assert.Equal(200, undone);
        Assert.Equal(files[0], await Files(id));
        Assert.StartsWith("Go back to", (string)back["label"]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task History_TellsWhatIsNow_WhatLedThere_AndWhatWasUndone()
    {
        var (id, heads, _) = await Edited(3);
        await server.Post($"/api/projects/{id}/undo", new { head = heads[^1] });
        var states = (await server.Get($"/api/projects/{id}/revisions")).AsArray();
        Assert.Equal(heads.AsEnumerable().Reverse(), states.Select(state => (long)state!["id"]!));
        Assert.Equal([false, true, false, false], states.Select(state => (bool)state!["isHead"]!));
        Assert.Equal([false, true, true, true], states.Select(state => (bool)state!["isOnTheWay"]!));
    }

    [Fact]
    public async Task AState_HasItsOwnPicture_ThatStays()
    {
        var (id, heads, _) = await Edited(2);
        var first = await Picture(id, heads[0]);
        Assert.NotEqual(first, await Picture(id, heads[^1]));
        Assert.Equal(first, await Picture(id, heads[0]));
    }

    [Fact]
    public async Task AName_IsGiven_TakenAway_AndKeepsItsStateFromBeingThinned()
    {
        var (id, heads, _) = await Edited(6);
        var path = $"/api/projects/{id}/revisions";
        Assert.Equal(204, await Name($"{path}/{heads[1]}", " Before the\nstall "));
        Assert.Equal("Before the stall", (string)(await State(id, heads[1]))["name"]!);
        Assert.Equal(400, await Name($"{path}/{heads[1]}", new string('x', 300)));
        Assert.Equal(404, await Name($"{path}/999999", "nobody's"));
        using (var scope = server.Services.CreateScope())
        {
            var db = scope.ServiceProvider.GetRequiredService<UlletDb>();
            await RevisionThinning.Run(db, id, heads[^1], 1, TestContext.Current.CancellationToken, long.MaxValue);
        }
        var left = (await server.Get(path)).AsArray().Select(state => (long)state!["id"]!);
        Assert.Equal([heads[^1], heads[1]], left);
        Assert.Equal(204, await Name($"{path}/{heads[1]}", ""));
        Assert.Null((await State(id, heads[1]))["name"]);
    }

    [Fact]
    public async Task GoingBack_ToWhatStands_ToNowhere_OrFromAnOlderHead_IsRefused()
    {
        var (id, heads, _) = await Edited(2);
        var path = $"/api/projects/{id}/revisions";
        var head = heads[^1];
        Assert.Equal((409, "state-stands"), await Refused($"{path}/{head}/restore", new { head }));
        Assert.Equal((404, "state-unknown"), await Refused($"{path}/999999/restore", new { head }));
        Assert.Equal((409, "head-stale"), await Refused($"{path}/{heads[0]}/restore", new { head = heads[0] }));
        var (other, _) = await server.Blank("Other plot");
        Assert.Equal(
            404,
            (
                await Refused(
                    $"/api/projects/{other}/revisions/{heads[0]}/restore",
                    new { head = (long)(await server.Get($"/api/projects/{other}"))["head"]! }
                )
            ).Status
        );
    }

    private async Task<(string Id, List<long> Heads, List<string> Files)> Edited(int edits)
    {
        var (id, head) = await server.Blank("Went back");
        var (heads, files) = (new List<long> { head }, new List<string> { await Files(id) });
        for (var i = 0; i < edits; i++)
        {
            heads.Add(await server.Edit(id, heads[^1], TestServer.AddHeart));
            files.Add(await Files(id));
        }
        return (id, heads, files);
    }

    /// <summary>What a project is and what it gives: its document, its stitch file, as text.</summary>
    private async Task<string> Files(string id) =>
        (await server.Get($"/api/projects/{id}"))["project"]!.ToJsonString()
        + await server.Client.GetStringAsync($"/api/projects/{id}/program.ulst?despite=true&trial=true");

    private async Task<byte[]> Snapshot(long revision)
    {
        using var scope = server.Services.CreateScope();
        var db = scope.ServiceProvider.GetRequiredService<UlletDb>();
        return await db.Revisions.Where(row => row.Id == revision).Select(row => row.Snapshot).FirstAsync();
    }

    private Task<byte[]> Picture(string id, long revision) =>
        server.Client.GetByteArrayAsync($"/api/projects/{id}/revisions/{revision}/picture.png");

    private async Task<JsonNode> State(string id, long revision) =>
        (await server.Get($"/api/projects/{id}/revisions")).AsArray().Single(state => (long)state!["id"]! == revision)!;

    private async Task<int> Name(string path, string name)
    {
        using var answer = await server.Client.PutAsync(
            $"{path}/name",
            new StringContent(
                new JsonObject { ["name"] = name }.ToJsonString(),
                System.Text.Encoding.UTF8,
                "application/json"
            )
        );
        return (int)answer.StatusCode;
    }

    private async Task<(int Status, string Code)> Refused(string path, object body)
    {
        var (status, problem) = await server.Post(path, body);
        return (status, (string)problem["code"]!);
    }
}
