using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Ullet.Doors;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests.Doors;

/// <summary>A sample of what "./ullet bench doors" does: odd requests over every edit; what they leave can be opened.</summary>
public sealed class MutatedRequestsTests(TestServer server) : IClassFixture<TestServer>
{
    private const int Seed = 16;

    [Fact]
    public async Task EveryEdit_RightAndOdd_IsMadeOrRefused_AndLeavesADocumentThatOpens()
    {
        var openApi = await server.Get("/openapi/v1.json");
        var mutations = new Mutations(Seed);
        var values = new SchemaValues(openApi.AsObject(), mutations);
        var shelf = (await server.Get("/api/projects")).AsArray();
        var (status, made) = await server.Post($"/api/projects/{shelf[0]!["id"]}/copy", new { });
        Assert.Equal(201, status);
        var (id, head) = ((string)made["id"]!, (long)made["head"]!);
        values.Ids = await Ids(id);
        foreach (var (kind, number) in values.Edits().Concat(values.Edits()).Select((kind, i) => (kind, i)))
        {
            var edit = values.Make(kind, number % 2 == 0 ? 1000 : 10);
            var body = new JsonObject { ["head"] = head, ["edit"] = edit }.ToJsonString();
            using var content = new StringContent(body, Encoding.UTF8, "application/json");
            using var answer = await server.Client.PostAsync($"/api/projects/{id}/edits", content);
            var said = (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
            Assert.True(
                (int)answer.StatusCode is 200 or (>= 400 and < 500),
                $"edit {number}, seed {Seed}: {body}: {said}"
            );
            if (answer.IsSuccessStatusCode)
            {
                head = (long)said["head"]!;
            }
            else
            {
                Assert.False(string.IsNullOrWhiteSpace((string)said["detail"]!));
            }
        }
        Assert.Equal(head, (long)(await server.Get($"/api/projects/{id}/scene"))["head"]!);
        foreach (var path in new[] { "packet.zip?despite=true", "project.ullet", "picture.png" })
        {
            using var file = await server.Client.GetAsync($"/api/projects/{id}/{path}");
            Assert.True(file.IsSuccessStatusCode, path);
        }
    }

    private async Task<(string[], string[], string[])> Ids(string id)
    {
        var project = (await server.Get($"/api/projects/{id}"))["project"]!;
        string[] Of(string list) => [.. project[list]!.AsArray().Select(part => (string)part!["id"]!)];
        return (Of("elements"), Of("cloths"), Of("threads"));
    }
}
