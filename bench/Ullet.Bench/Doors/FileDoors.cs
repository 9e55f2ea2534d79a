using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ullet.Doors;

namespace Ullet.Bench.Doors;

/// <summary>Mutated files through every reader of a running server.</summary>
internal static class FileDoors
{
    private sealed record Seed(string Name, string Path, byte[] Bytes);

    internal static async Task<Tally> Run(int files, int seed)
    {
        var tally = new Tally($"{files:N0} mutated files");
        var data = Directory.CreateTempSubdirectory("ullet-doors-").FullName;
        using var server = await DoorServer.Start(data, demo: true);
        var seeds = await Seeds(server.Address);
        var next = 0;
        await Task.WhenAll(
            Enumerable
                .Range(0, 3)
                .Select(async _ =>
                {
                    using var sender = new Sender(server.Address, tally);
                    for (var i = Interlocked.Increment(ref next); i <= files; i = Interlocked.Increment(ref next))
                    {
                        if (server.IsDead)
                        {
                            tally.Fault($"The server died at file {i}: {server.Log}");
                            return;
                        }
                        await One(sender, seeds, seed, i);
                    }
                })
        );
        await StillThere(server, tally);
        Directory.Delete(data, recursive: true);
        return tally;
    }

    /// <summary>Sends one mutated file; the same numbers send the same file.</summary>
    private static async Task One(Sender sender, List<Seed> seeds, int seed, int number)
    {
        var mutations = new Mutations(unchecked((seed * 1_000_003) + number));
        var (name, path, bytes) = seeds[mutations.Random.Next(seeds.Count)];
        var input = $"{name} to {path}, seed {seed}, number {number}";
        var file = mutations.Of(bytes);
        if (path == "/api/stitches")
        {
            await Opened(sender, name, file, input);
            return;
        }
        if (path != "/api/import")
        {
            await sender.Send(HttpMethod.Post, path, new ByteArrayContent(file), input);
            return;
        }
        var (status, body) = await sender.Upload(path, name, file, input);
        if (status == 200 && JsonNode.Parse(body) is { } preview && (string?)preview["kind"] == "project")
        {
            var token = (string)preview["token"]!;
            var made = await sender.Json("/api/projects", $$"""{"importToken":"{{token}}"}""", input + ", made");
            if (made.Status == 201)
            {
                var id = (string)JsonNode.Parse(made.Body)!["id"]!;
                var scene = await sender.Send(HttpMethod.Get, $"/api/projects/{id}/scene", null, input + ", scene");
                await sender.Send(HttpMethod.Delete, $"/api/projects/{id}", null, input + ", deleted");
            }
        }
    }

    /// <summary>A stitch file previewed, and put into a project where that is offered.</summary>
    private static async Task Opened(Sender sender, string name, byte[] file, string input)
    {
        var (status, body) = await sender.Upload("/api/stitches", name, file, input);
        if (
            status != 200
            || JsonNode.Parse(body)?["files"]?[0] is not { } preview
            || preview["blocks"]!.AsArray().Count == 0
        )
        {
            return;
        }
        var made = await sender.Json("/api/projects", "{}", input + ", made");
        if (made.Status != 201)
        {
            return;
        }
        var id = (string)JsonNode.Parse(made.Body)!["id"]!;
        var scene = JsonNode.Parse((await sender.Send(HttpMethod.Get, $"/api/projects/{id}/scene", null, input)).Body)!;
        await sender.Json(
            $"/api/projects/{id}/edits",
            $$$"""{"head":{{{scene["head"]}}},"edit":{"edit":"openStitches","token":"{{{preview["token"]}}}","name":"own"}}""",
            input + ", opened"
        );
        await sender.Send(HttpMethod.Delete, $"/api/projects/{id}", null, input + ", deleted");
    }

    /// <summary>Sends one file again, and writes it to the folder for temporary files.</summary>
    internal static async Task<Tally> Again(int number, int seed)
    {
        var tally = new Tally($"File {number:N0} of seed {seed}");
        var data = Directory.CreateTempSubdirectory("ullet-doors-").FullName;
        using var server = await DoorServer.Start(data, demo: true);
        var seeds = await Seeds(server.Address);
        var mutations = new Mutations(unchecked((seed * 1_000_003) + number));
        var own = seeds[mutations.Random.Next(seeds.Count)];
        var file = Path.Combine(Path.GetTempPath(), $"door-{number}-{own.Name}");
        await File.WriteAllBytesAsync(file, mutations.Of(own.Bytes));
        Console.WriteLine($"         {file}, sent to {own.Path}");
        using var sender = new Sender(server.Address, tally);
        await One(sender, seeds, seed, number);
        Directory.Delete(data, recursive: true);
        return tally;
    }

    private static async Task StillThere(DoorServer server, Tally tally)
    {
        using var client = new HttpClient { BaseAddress = server.Address };
        var shelf = await client.GetFromJsonAsync<JsonArray>("/api/projects");
        foreach (var item in shelf!.Where(item => item!["damage"] is not null))
        {
            tally.Fault($"A project can't be opened: {item!["title"]}");
        }
    }

    private static async Task<List<Seed>> Seeds(Uri address)
    {
        using var client = new HttpClient { BaseAddress = address };
        var shelf = await client.GetFromJsonAsync<JsonArray>("/api/projects");
        var seeds = new List<Seed>();
        foreach (var id in shelf!.Select(item => (string)item!["id"]!).Take(4))
        {
            async Task Add(string name, string door, string path)
            {
                using var answer = await client.GetAsync($"/api/projects/{id}/{path}");
                if (answer.IsSuccessStatusCode)
                {
                    seeds.Add(new Seed(name, door, await answer.Content.ReadAsByteArrayAsync()));
                }
            }
            await Add("a.ullet", "/api/import", "project.ullet");
            await Add("a.ulst", "/api/devices/machine/rehearse", "program.ulst?despite=true");
            await Add("a.ulst", "/api/stitches", "program.ulst?despite=true");
            await Add("a.csv", "/api/stitches", "program.csv?despite=true");
            await Add("a.png", "/api/import", "picture.png?size=120");
            var scene = await client.GetFromJsonAsync<JsonObject>($"/api/projects/{id}/scene");
            foreach (var cloth in scene!["sheets"]!.AsArray().Select(sheet => (string)sheet!["clothId"]!).Distinct())
            {
                await Add("a.svg", "/api/import", $"cut.svg?cloth={cloth}&trial=true");
                await Add("a.dxf", "/api/import", $"cut.dxf?cloth={cloth}&trial=true");
                await Add("a.svg", "/api/devices/cutter/dry-run", $"cut.svg?cloth={cloth}&trial=true");
                await Add("a.dxf", "/api/devices/cutter/dry-run", $"cut.dxf?cloth={cloth}&trial=true");
            }
        }
        seeds.Add(
            new Seed(
                "a.nc",
                "/api/stitches",
                "G21\nG90\nM3\nG1 X0 Y0\nG1 X5 Y0\nG2 X10 Y5 I5 J0\nM5\nT2\nM3\nG1 X9 Y9\nG3 X1 Y1 R20\nM0\n"u8.ToArray()
            )
        );
        seeds.AddRange(OddDrawings.All().Select(own => new Seed(own.Name, "/api/import", own.Bytes)));
        var fonts = Directory.GetFiles(
            Path.Combine(DoorsBench.Root, "assets/fonts/lettering"),
            "*.ttf",
            SearchOption.AllDirectories
        );
        seeds.AddRange(fonts.Order().Take(3).Select(font => new Seed("a.ttf", "/api/import", File.ReadAllBytes(font))));
        return seeds;
    }
}
