using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ullet.Server.Tests.Orders;

/// <summary>A master with one word in a box, and what a shop asks of its book.</summary>
internal sealed class OrderShop(HttpClient client, string id)
{
    internal string Id { get; } = id;

    internal string ElementId { get; private init; } = "";

    internal string Path => $"/api/projects/{Id}/orders";

    internal static async Task<OrderShop> Open(
        HttpClient client,
        string title = "Name strip",
        string font = "bree-serif"
    )
    {
        var made = await Post(
            client,
            "/api/projects",
            new
            {
                title,
                fieldWidth = 130,
                fieldHeight = 180,
            }
        );
        var id = (string)made["id"]!;
        var words = new
        {
            edit = "addWords",
            text = "Rowan",
            fontId = font,
            use = "stitchedOutline",
            capHeight = 10,
            x = 0,
            y = 0,
        };
        var added = await Post(client, $"/api/projects/{id}/edits", new { head = (long)made["head"]!, edit = words });
        var element = (string)
            (await client.GetFromJsonAsync<JsonNode>($"/api/projects/{id}"))!["project"]!["elements"]![0]!["id"]!;
        var fillIn = new
        {
            kind = "words",
            id = "name",
            label = "Name",
            elementIds = new[] { element },
            fit = new
            {
                room = new
                {
                    x = 0,
                    y = 0,
                    width = 70,
                    height = 18,
                    rotation = 0,
                },
                smallestHeight = 5,
            },
        };
        await Post(
            client,
            $"/api/projects/{id}/edits",
            new { head = (long)added["head"]!, edit = new { edit = "markFillIn", fillIn } }
        );
        return new OrderShop(client, id) { ElementId = element };
    }

    internal Task<JsonNode> Book() => Get(Path);

    internal async Task<JsonNode> Get(string path) => (await client.GetFromJsonAsync<JsonNode>(path))!;

    internal Task<JsonNode> Post(string path, object body) => Post(client, path, body);

    /// <summary>Orders of these names, numbered from 1.</summary>
    /// <returns>Their ids.</returns>
    internal async Task<List<string>> Order(params string[] names)
    {
        var set = names.Select(name => new { values = new { name } });
        var book = await Post(Path, new { label = "Add orders", set });
        return [.. book["orders"]!.AsArray().Select(order => (string)order!["id"]!)];
    }

    internal async Task<string> Begin(IEnumerable<string> orderIds, string kind = "packets", bool anew = false) =>
        (string)
            (
                await Post(
                    $"{Path}/jobs",
                    new
                    {
                        kind,
                        orderIds,
                        anew,
                    }
                )
            )["id"]!;

    /// <summary>Follows a job's events to their end.</summary>
    internal async Task<JsonNode> Over(string jobId, Func<JsonNode, Task>? at = null)
    {
        using var stream = await client.GetStreamAsync($"/api/jobs/{jobId}/events");
        using var lines = new StreamReader(stream);
        JsonNode? last = null;
        while (await lines.ReadLineAsync() is { } line)
        {
            if (!line.StartsWith("data: ", StringComparison.Ordinal))
            {
                continue;
            }
            last = JsonNode.Parse(line[6..]);
            if (at is not null)
            {
                await at(last!);
            }
        }
        return last!;
    }

    internal Task<byte[]> Packet(string orderId) => client.GetByteArrayAsync($"/api/orders/{orderId}/packet.zip");

    internal async Task Edit(object edit)
    {
        var head = (long)(await Get($"/api/projects/{Id}"))["head"]!;
        var answer = await Post($"/api/projects/{Id}/edits", new { head, edit });
        Assert.NotNull(answer["head"]);
    }

    private static async Task<JsonNode> Post(HttpClient client, string path, object body)
    {
        using var answer = await client.PostAsJsonAsync(path, body);
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
    }
}
