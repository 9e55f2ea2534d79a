using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ullet.Bench.Doors;

/// <summary>The real server as a process of its own, under a hard limit of its heap.</summary>
internal sealed class DoorServer : IDisposable
{
    /// <summary>1.5 GB, as .NET reads it.</summary>
    private const long Heap = 1_500_000_000;

    private readonly Process _process;
    private readonly List<string> _says = [];

    private DoorServer(Process process) => _process = process;

    internal Uri Address { get; private set; } = new("http://127.0.0.1");

    internal bool IsDead => _process.HasExited;

    /// <summary>Resident memory, bytes.</summary>
    internal long Memory
    {
        get
        {
            _process.Refresh();
            return _process.WorkingSet64;
        }
    }

    /// <summary>What it said beside its greeting: faults.</summary>
    internal string Log
    {
        get
        {
            lock (_says)
            {
                return string.Join('\n', _says.TakeLast(40));
            }
        }
    }

    /// <summary>Begins a server; it may be killed before it answers.</summary>
    internal static DoorServer Begin(string data, bool demo)
    {
        var start = new ProcessStartInfo("dotnet")
        {
            ArgumentList = { typeof(Server.Documents.DocumentHistory).Assembly.Location, "--port", "0" },
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            UseShellExecute = false,
        };
        start.ArgumentList.Add("--data");
        start.ArgumentList.Add(data);
        start.ArgumentList.Add("--demo");
        start.ArgumentList.Add(demo ? "true" : "false");
        start.Environment["MALLOC_ARENA_MAX"] = "2";
        start.Environment["DOTNET_GCHeapHardLimit"] = Heap.ToString("x", CultureInfo.InvariantCulture);
        var process = new Process { StartInfo = start };
        process.Start();
        return new DoorServer(process);
    }

    internal static async Task<DoorServer> Start(string data, bool demo = false)
    {
        var server = Begin(data, demo);
        await server.Ready();
        return server;
    }

    /// <summary>Waits until it answers.</summary>
    /// <exception cref="InvalidOperationException">When it ended instead.</exception>
    internal async Task Ready()
    {
        while (await _process.StandardOutput.ReadLineAsync() is { } line)
        {
            if (line.StartsWith("Ullet is ready: ", StringComparison.Ordinal))
            {
                Address = new Uri(line.Split(' ')[3]);
                _ = Drain(_process.StandardOutput);
                _ = Drain(_process.StandardError);
                return;
            }
        }
        throw new InvalidOperationException(
            $"The server ended before it was ready: {await _process.StandardError.ReadToEndAsync()}"
        );
    }

    /// <summary>The ids of the projects on its shelf.</summary>
    internal async Task<List<string>> Shelf()
    {
        using var client = new HttpClient { BaseAddress = Address };
        var shelf = await client.GetFromJsonAsync<JsonArray>("/api/projects");
        return [.. shelf!.Select(item => (string)item!["id"]!)];
    }

    /// <summary>SIGKILL.</summary>
    internal void Kill()
    {
        _process.Kill();
        _process.WaitForExit();
    }

    public void Dispose()
    {
        if (!_process.HasExited)
        {
            Kill();
        }
        _process.Dispose();
    }

    private async Task Drain(StreamReader reader)
    {
        while (await reader.ReadLineAsync() is { } line)
        {
            lock (_says)
            {
                _says.Add(line);
            }
        }
    }
}
