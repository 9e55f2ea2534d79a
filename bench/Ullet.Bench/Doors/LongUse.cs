using System.Diagnostics;
using System.Text.Json.Nodes;

namespace Ullet.Bench.Doors;

/// <summary>Mixed use for a long time: memory stays flat after the first sixth.</summary>
internal static class LongUse
{
    private const double MostGrowth = 1.1;

    private static readonly string[] Paths =
    [
        "scene",
        "program.ulst?despite=true",
        "picture.png",
        "packet.zip?despite=true",
        "project.ullet",
        "exports",
        "maps/coverage",
    ];

    internal static async Task<Tally> Run(TimeSpan time, int seed)
    {
        var tally = new Tally($"{time.TotalMinutes:0.#} minutes of mixed use");
        var data = Directory.CreateTempSubdirectory("ullet-doors-").FullName;
        using var server = await DoorServer.Start(data, demo: true);
        var ids = await server.Shelf();
        using var sender = new Sender(server.Address, tally);
        var (random, watch) = (new Random(seed), Stopwatch.StartNew());
        var (early, late) = (new List<long>(), new List<long>());
        while (watch.Elapsed < time && !server.IsDead)
        {
            var id = ids[random.Next(ids.Count)];
            if (random.Next(3) == 0)
            {
                await Move(sender, id, random);
            }
            await sender.Send(HttpMethod.Get, $"/api/projects/{id}/{Paths[random.Next(Paths.Length)]}", null, id);
            var share = watch.Elapsed / time;
            (
                share is > 1.0 / 6 and < 1.0 / 3 ? early
                : share > 5.0 / 6 ? late
                : []
            ).Add(server.Memory);
        }
        var growth = late.Average() / early.Average();
        Console.WriteLine(
            $"         memory {early.Average() / 1e6:0} MB early, {late.Average() / 1e6:0} MB late: {growth:0.00} of {MostGrowth} times"
        );
        if (server.IsDead || growth > MostGrowth)
        {
            tally.Fault($"Memory grew to {growth:0.00} times; {MostGrowth} asked");
        }
        server.Kill();
        Directory.Delete(data, recursive: true);
        return tally;
    }

    private static async Task Move(Sender sender, string id, Random random)
    {
        var (_, body) = await sender.Send(HttpMethod.Get, $"/api/projects/{id}", null, id);
        var project = JsonNode.Parse(body)!;
        var element = project["project"]!["elements"]!.AsArray().FirstOrDefault();
        if (element is not null)
        {
            var edit = new JsonObject
            {
                ["head"] = (long)project["head"]!,
                ["edit"] = new JsonObject
                {
                    ["edit"] = "placeElement",
                    ["elementId"] = (string)element["id"]!,
                    ["x"] = Math.Round((random.NextDouble() * 20) - 10, 1),
                },
            };
            await sender.Json($"/api/projects/{id}/edits", edit.ToJsonString(), id);
        }
    }
}
