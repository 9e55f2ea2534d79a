using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.Mvc.Testing;
using Microsoft.Extensions.DependencyInjection;

namespace Ullet.Server.Tests.Hosting;

/// <summary>The server in memory, with demo data in a folder of its own.</summary>
public sealed class TestServer : IDisposable
{
    private static readonly PreparedDemo Prepared = new(
        data =>
        {
            var server = Begun(data, _ => { });
            return (server, server.CreateClient());
        },
        withPictures: false
    );

    private readonly WebApplicationFactory<Program> _factory;

    public TestServer()
        : this(_ => { }) { }

    /// <param name="change">Changes the server's services.</param>
    internal TestServer(Action<IServiceCollection> change)
    {
        DataFolder = Directory.CreateTempSubdirectory("ullet-test-").FullName;
        Prepared.CopyTo(DataFolder);
        _factory = Begun(DataFolder, change);
        Client = _factory.CreateClient();
    }

    public string DataFolder { get; }

    public HttpClient Client { get; }

    public IServiceProvider Services => _factory.Services;

    public void Dispose()
    {
        Client.Dispose();
        _factory.Dispose();
        PreparedDemo.Remove(DataFolder);
    }

    private static WebApplicationFactory<Program> Begun(string data, Action<IServiceCollection> change) =>
        new WebApplicationFactory<Program>().WithWebHostBuilder(host =>
            host.UseSetting("data", data).UseSetting("demo", "true").ConfigureServices(change)
        );

    internal async Task<JsonNode> Get(string path) => (await Client.GetFromJsonAsync<JsonNode>(path))!;

    /// <summary>Sends JSON and gives the status with the answer's body.</summary>
    internal async Task<(int Status, JsonNode Body)> Post(string path, object body)
    {
        using var answer = await Client.PostAsJsonAsync(path, body);
        var text = await answer.Content.ReadAsStringAsync();
        return ((int)answer.StatusCode, text.Length == 0 ? new JsonObject() : JsonNode.Parse(text)!);
    }

    /// <summary>A new blank project: its id and head.</summary>
    internal async Task<(string Id, long Head)> Blank(string title = "Test plot")
    {
        var (status, body) = await Post(
            "/api/projects",
            new
            {
                title,
                fieldWidth = 130,
                fieldHeight = 180,
            }
        );
        Assert.Equal(201, status);
        return ((string)body["id"]!, (long)body["head"]!);
    }

    /// <summary>Makes an edit that must succeed, and gives the new head.</summary>
    internal async Task<long> Edit(string id, long head, object edit)
    {
        var (status, body) = await Post($"/api/projects/{id}/edits", new { head, edit });
        Assert.True(status == 200, body.ToJsonString());
        return (long)body["head"]!;
    }

    internal static object AddHeart => new { edit = "addPiece", shape = new { form = "heart" } };
}
