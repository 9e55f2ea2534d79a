using System.Diagnostics;
using System.Text.Json.Nodes;

namespace Ullet.Bench.Doors;

/// <summary>Fifty clients on five projects, once alone and once while one of them sends the slowest edit known.</summary>
internal static class CrowdDoors
{
    private const int Clients = 50;

    private const int Projects = 5;

    private const double MostRatio = 3;

    private static readonly TimeSpan Pause = TimeSpan.FromMilliseconds(500);

    internal static async Task<Tally> Run(TimeSpan time)
    {
        var tally = new Tally($"{Clients} clients on {Projects} projects for {time.TotalSeconds:0} s, twice");
        var data = Directory.CreateTempSubdirectory("ullet-doors-").FullName;
        using var server = await DoorServer.Start(data, demo: true);
        var ids = (await server.Shelf()).Take(Projects).ToList();
        await Crowd(server.Address, tally, ids, TimeSpan.FromSeconds(8));
        var alone = await Crowd(server.Address, tally, ids, time);
        using var done = new CancellationTokenSource();
        var slow = Slow(server.Address, tally, done.Token);
        var beside = await Crowd(server.Address, tally, ids, time);
        await done.CancelAsync();
        await slow;
        if (beside > MostRatio * alone)
        {
            tally.Fault(
                $"p95 {beside:0} ms beside the slow edit, {alone:0} ms without: {beside / alone:0.0} times, {MostRatio} asked"
            );
        }
        Console.WriteLine(
            $"         p95 {alone:0} ms alone, {beside:0} ms beside the slow edit: {beside / alone:0.00} of {MostRatio} times"
        );
        server.Kill();
        Directory.Delete(data, recursive: true);
        return tally;
    }

    /// <returns>The 95th percentile of the answers' times, ms.</returns>
    private static async Task<double> Crowd(Uri address, Tally tally, List<string> ids, TimeSpan time)
    {
        var times = await Task.WhenAll(
            Enumerable
                .Range(0, Clients)
                .Select(async number =>
                {
                    using var sender = new Sender(address, tally);
                    var (own, watch, random) = (new List<double>(), Stopwatch.StartNew(), new Random(number));
                    await Task.Delay(random.Next((int)Pause.TotalMilliseconds));
                    while (watch.Elapsed < time)
                    {
                        var id = ids[random.Next(ids.Count)];
                        var begun = Stopwatch.GetTimestamp();
                        if (random.Next(3) > 0)
                        {
                            await sender.Send(HttpMethod.Get, $"/api/projects/{id}/scene", null, "scene");
                        }
                        else
                        {
                            await Rename(sender, id, random.Next(1000));
                        }
                        own.Add(Stopwatch.GetElapsedTime(begun).TotalMilliseconds);
                        var left = Pause - Stopwatch.GetElapsedTime(begun);
                        await Task.Delay(left > TimeSpan.Zero ? left : TimeSpan.Zero);
                    }
                    return own;
                })
        );
        var sorted = times.SelectMany(own => own).Order().ToList();
        return sorted[(int)(sorted.Count * 0.95)];
    }

    private static async Task Rename(Sender sender, string id, int number)
    {
        var (_, body) = await sender.Send(HttpMethod.Get, $"/api/projects/{id}", null, "project");
        var head = (long)JsonNode.Parse(body)!["head"]!;
        var edit = $$$"""{"head":{{{head}}},"edit":{"edit":"renameProject","title":"Plot {{{number}}}"}}""";
        // Another client may have been faster: 409 is a right answer here.
        await sender.Json($"/api/projects/{id}/edits", edit, "rename");
    }

    /// <summary>The slowest edit known: a hundred overlapping copies in a row, again and again.</summary>
    private static async Task Slow(Uri address, Tally tally, CancellationToken done)
    {
        using var sender = new Sender(address, tally);
        var made = await sender.Json("/api/projects", """{"title":"Slow"}""", "slow");
        var project = JsonNode.Parse(made.Body)!;
        var (id, head) = ((string)project["id"]!, (long)project["head"]!);
        var added = await sender.Json(
            $"/api/projects/{id}/edits",
            $$$$"""{"head":{{{{head}}}},"edit":{"edit":"addPiece","shape":{"form":"heart"}}}""",
            "slow"
        );
        head = (long)JsonNode.Parse(added.Body)!["head"]!;
        for (var i = 0; !done.IsCancellationRequested; i++)
        {
            var step = 40 + (i * 0.01);
            await sender.Json(
                $"/api/projects/{id}/edits",
                string.Create(
                    System.Globalization.CultureInfo.InvariantCulture,
                    $$$$"""{"head":{{{{head}}}},"edit":{"edit":"addOperation","elementId":"e1","operation":{"operation":"repeatInLine","count":100,"stepX":{{{{step}}}},"stepY":0}}}"""
                ),
                "slow"
            );
        }
    }
}
