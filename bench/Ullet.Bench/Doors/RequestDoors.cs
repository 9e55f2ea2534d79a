using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ullet.Doors;

namespace Ullet.Bench.Doors;

/// <summary>Mutated requests over every edit; the documents that they leave must open, and every export of them be made.</summary>
internal static class RequestDoors
{
    /// <summary>A project gets so many edits before another one is begun.</summary>
    private const int PerProject = 120;

    private static readonly string[] Exports =
    [
        "program.ulst?despite=true",
        "project.ullet",
        "picture.png?size=200",
        "instructions.pdf?despite=true",
        "packet.zip?despite=true",
        "size-card.pdf",
    ];

    internal static async Task<Tally> Run(int requests, int seed)
    {
        var tally = new Tally($"{requests:N0} mutated requests");
        var data = Directory.CreateTempSubdirectory("ullet-doors-").FullName;
        using var server = await DoorServer.Start(data, demo: true);
        using var client = new HttpClient { BaseAddress = server.Address };
        var openApi = await client.GetFromJsonAsync<JsonObject>("/openapi/v1.json");
        var shelf = await server.Shelf();
        using var sender = new Sender(server.Address, tally);
        for (var begun = 0; begun * PerProject < requests; begun++)
        {
            if (server.IsDead)
            {
                tally.Fault($"The server died: {server.Log}");
                break;
            }
            var mutations = new Mutations(unchecked((seed * 7919) + begun));
            await Project(
                sender,
                tally,
                openApi!,
                shelf[begun % shelf.Count],
                mutations,
                $"seed {seed}, project {begun}"
            );
        }
        if (!tally.Holds)
        {
            Console.WriteLine(server.Log);
        }
        server.Kill();
        Directory.Delete(data, recursive: true);
        return tally;
    }

    private static async Task Project(
        Sender sender,
        Tally tally,
        JsonObject openApi,
        string from,
        Mutations mutations,
        string place
    )
    {
        var copied = await sender.Send(HttpMethod.Post, $"/api/projects/{from}/copy", null, place);
        if (copied.Status != 201)
        {
            tally.Fault($"A copy was answered with {copied.Status} ({place})");
            return;
        }
        var made = JsonNode.Parse(copied.Body)!;
        var (id, head) = ((string)made["id"]!, (long)made["head"]!);
        var values = new SchemaValues(openApi, mutations);
        var edits = values.Edits();
        for (var i = 0; i < PerProject; i++)
        {
            if (i % 20 == 0)
            {
                values.Ids = await Ids(sender, tally, id, place);
            }
            var kind = edits[mutations.Random.Next(edits.Count)];
            var edit = values.Make(kind, mutations.Random.Next(2) == 0 ? 1000 : 12);
            var body = new JsonObject { ["head"] = head, ["edit"] = edit }.ToJsonString();
            var preview = mutations.Random.Next(6) == 0 ? "?preview=true" : "";
            var answer = await sender.Json(
                $"/api/projects/{id}/edits{preview}",
                body,
                $"{place}, edit {i}: {Short(body)}"
            );
            if (answer.Status == 200)
            {
                head = (long)JsonNode.Parse(answer.Body)!["head"]!;
            }
        }
        foreach (var path in Exports)
        {
            await sender.Send(HttpMethod.Get, $"/api/projects/{id}/{path}", null, $"{place}, {path}");
        }
        await sender.Send(HttpMethod.Delete, $"/api/projects/{id}", null, place);
    }

    /// <summary>The ids of a project that must open.</summary>
    private static async Task<(string[] Elements, string[] Cloths, string[] Threads)> Ids(
        Sender sender,
        Tally tally,
        string id,
        string place
    )
    {
        var (status, body) = await sender.Send(HttpMethod.Get, $"/api/projects/{id}", null, place);
        var (drawn, _) = await sender.Send(HttpMethod.Get, $"/api/projects/{id}/scene", null, place);
        if (status != 200 || drawn != 200)
        {
            tally.Fault($"A document can't be opened afterwards: {status}, {drawn} ({place})");
            return ([], [], []);
        }
        var project = JsonNode.Parse(body)!["project"]!;
        string[] Of(string list) => [.. project[list]!.AsArray().Select(part => (string)part!["id"]!)];
        return (Of("elements"), Of("cloths"), Of("threads"));
    }

    private static string Short(string text) => text.Length > 400 ? text[..400] + "…" : text;
}
