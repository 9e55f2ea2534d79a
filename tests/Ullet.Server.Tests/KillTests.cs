using System.Diagnostics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ullet.Server.Tests;

/// <summary>The real server as a process of its own, killed right after it answered.</summary>
public sealed class KillTests : IDisposable
{
    private const int Kills = 20;

    private readonly string _data = Directory.CreateTempSubdirectory("ullet-kill-").FullName;
    private Process? _server;

    public void Dispose()
    {
        _server?.Kill(entireProcessTree: true);
        _server?.WaitForExit();
        _server?.Dispose();
        Directory.Delete(_data, recursive: true);
    }

    [Fact]
    public async Task KillRightAfterAnAnsweredEdit_LosesNothing()
    {
        var address = await Start();
        var made = await Post(address, "/api/projects", new { title = "Kill plot" });
        var (id, head) = ((string)made["id"]!, (long)made["head"]!);
        for (var i = 1; i <= Kills; i++)
        {
            var title = $"Kill plot {i}";
            var edit = new { edit = "renameProject", title };
            var answer = await Post(address, $"/api/projects/{id}/edits", new { head, edit });
            Kill();
            head = (long)answer["head"]!;
            address = await Start();
            using var client = new HttpClient { BaseAddress = address };
            var found = (await client.GetFromJsonAsync<JsonNode>($"/api/projects/{id}"))!;
            Assert.Equal((head, title), ((long)found["head"]!, (string)found["project"]!["title"]!));
        }
    }

    private static async Task<JsonNode> Post(Uri address, string path, object body)
    {
        using var client = new HttpClient { BaseAddress = address };
        using var answer = await client.PostAsJsonAsync(path, body);
        return JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
    }

    private async Task<Uri> Start()
    {
        _server = new Process
        {
            StartInfo = new ProcessStartInfo("dotnet")
            {
                ArgumentList = { typeof(Program).Assembly.Location, "--port", "0", "--data", _data },
                RedirectStandardOutput = true,
                UseShellExecute = false,
            },
        };
        _server.Start();
        while (await _server.StandardOutput.ReadLineAsync() is { } line)
        {
            if (line.StartsWith("Ullet is ready: ", StringComparison.Ordinal))
            {
                return new Uri(line.Split(' ')[3]);
            }
        }
        throw new InvalidOperationException("The server ended before it was ready.");
    }

    /// <summary>SIGKILL, as kill -9 sends it: nothing of the process runs any more.</summary>
    private void Kill()
    {
        _server!.Kill();
        _server.WaitForExit();
        _server.Dispose();
        _server = null;
    }
}
