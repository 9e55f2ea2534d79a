using System.Diagnostics;
using System.Net;
using System.Net.Sockets;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Http;
using Ullet.Server.Documents;

namespace Ullet.Bench;

/// <summary>How soon a started server answers, against an empty web application on the same machine: its health, and its shelf with the
/// demo's eight projects.</summary>
internal static class StartBench
{
    private const int Rounds = 7;

    internal static async Task<IReadOnlyList<Ratio>> Run()
    {
        var data = Directory.CreateTempSubdirectory("ullet-start-").FullName;
        try
        {
            string[] ullet = [typeof(BlankProject).Assembly.Location, "--data", data, "--demo", "true", "--port"];
            string[] empty = [typeof(StartBench).Assembly.Location, "empty"];
            await Started(ullet);
            var times = new List<(double Health, double Shelf, double Empty)>();
            for (var i = 0; i < Rounds; i++)
            {
                var (none, _) = await Started(empty);
                var (health, shelf) = await Started(ullet);
                times.Add((health, shelf, none));
            }
            var bare = Middle(times.Select(time => time.Empty));
            return
            [
                new Ratio(
                    "from start to health, an empty application's 2.5 times",
                    Middle(times.Select(t => t.Health)),
                    2.5 * bare
                ),
                new Ratio(
                    "from start to the shelf, an empty application's 4 times",
                    Middle(times.Select(t => t.Shelf)),
                    4 * bare
                ),
            ];
        }
        finally
        {
            Directory.Delete(data, recursive: true);
        }
    }

    /// <summary>The empty application: two addresses and nothing else.</summary>
    internal static async Task Empty(string port)
    {
        var app = WebApplication.CreateBuilder().Build();
        app.MapGet("/api/health", () => Results.Ok(new { status = "ok" }));
        app.MapGet("/api/projects", () => Results.Ok(new[] { new { id = "a" } }));
        await app.RunAsync($"http://127.0.0.1:{port}");
    }

    /// <summary>Starts a process, and gives the times until it told its health and its shelf, ms.</summary>
    private static async Task<(double Health, double Shelf)> Started(string[] command)
    {
        var port = FreePort();
        var start = new ProcessStartInfo("dotnet") { RedirectStandardOutput = true, UseShellExecute = false };
        foreach (var argument in command.Append($"{port}"))
        {
            start.ArgumentList.Add(argument);
        }
        using var client = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
        var begun = Stopwatch.GetTimestamp();
        using var process = Process.Start(start)!;
        try
        {
            await Answered(client, "/api/health", process);
            var health = Stopwatch.GetElapsedTime(begun).TotalMilliseconds;
            await Answered(client, "/api/projects", process);
            return (health, Stopwatch.GetElapsedTime(begun).TotalMilliseconds);
        }
        finally
        {
            process.Kill();
            await process.WaitForExitAsync();
        }
    }

    private static async Task Answered(HttpClient client, string address, Process process)
    {
        while (!process.HasExited)
        {
            try
            {
                await client.GetByteArrayAsync(address);
                return;
            }
            catch (HttpRequestException)
            {
                // Not listening yet.
                await Task.Delay(5);
            }
        }
        throw new InvalidOperationException("The server ended before it answered.");
    }

    private static int FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port;
    }

    private static double Middle(IEnumerable<double> times) => times.Order().ElementAt(Rounds / 2);
}
