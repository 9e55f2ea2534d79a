using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

/// <summary>The real server as a process of its own, killed right after it answered.</summary>
public sealed class KillTests : IDisposable
{
    private const int Kills = 12;

    private readonly string _data = Directory.CreateTempSubdirectory("ullet-kill-").FullName;

    public void Dispose() => Directory.Delete(_data, recursive: true);

    [Fact]
    public async Task KillRightAfterAnAnsweredEdit_LosesNothing()
    {
        var server = await ServerProcess.Start(_data);
        try
        {
            var made = await Post(server.Address, "/api/projects", new { title = "Kill plot" });
            var (id, head) = ((string)made["id"]!, (long)made["head"]!);
            for (var i = 1; i <= Kills; i++)
            {
                var title = $"Kill plot {i}";
                var edit = new { edit = "renameProject", title };
                var answer = await Post(server.Address, $"/api/projects/{id}/edits", new { head, edit });
                server.Dispose();
                head = (long)answer["head"]!;
                server = await ServerProcess.Start(_data);
                using var client = new HttpClient { BaseAddress = server.Address };
                var found = (await client.GetFromJsonAsync<JsonNode>($"/api/projects/{id}"))!;
                Assert.Equal((head, title), ((long)found["head"]!, (string)found["project"]!["title"]!));
            }
        }
        finally
        {
            server.Dispose();
        }
    }

    [Fact]
    public async Task KillRightAfterTheStashTheShelfOrTheHistoryAnswered_LosesNothing()
    {
        var server = await ServerProcess.Start(_data);
        try
        {
            var made = await Post(server.Address, "/api/projects", new { title = "Kill bed" });
            var (id, head) = ((string)made["id"]!, (long)made["head"]!);
            await Post(server.Address, "/api/shelf/changes", new { ids = new[] { id }, addTags = new[] { "bed" } });
            server = await Killed(server);
            var table =
                "number,name,colour\n" + string.Join('\n', Enumerable.Range(0, 300).Select(i => $"{i},n,#5d7a3a"));
            await Post(server.Address, "/api/stash/threads/table", new { text = table, save = true });
            server = await Killed(server);
            using (var named = new HttpClient { BaseAddress = server.Address })
            {
                using var answer = await named.PutAsJsonAsync(
                    $"/api/projects/{id}/revisions/{head}/name",
                    new { name = "begun" }
                );
                Assert.Equal(204, (int)answer.StatusCode);
            }
            server = await Killed(server);
            using var client = new HttpClient { BaseAddress = server.Address };
            var shelf = (await client.GetFromJsonAsync<JsonArray>("/api/projects?tag=bed"))!;
            Assert.Equal(id, (string)Assert.Single(shelf)!["id"]!);
            Assert.Equal(300, (await client.GetFromJsonAsync<JsonArray>("/api/stash/threads"))!.Count);
            var states = (await client.GetFromJsonAsync<JsonArray>($"/api/projects/{id}/revisions"))!;
            Assert.Equal("begun", (string)Assert.Single(states)!["name"]!);
        }
        finally
        {
            server.Dispose();
        }
    }

    private async Task<ServerProcess> Killed(ServerProcess server)
    {
        server.Dispose();
        return await ServerProcess.Start(_data);
    }

    private static async Task<JsonNode> Post(Uri address, string path, object body)
    {
        using var client = new HttpClient { BaseAddress = address };
        using var answer = await client.PostAsJsonAsync(path, body);
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
    }
}
