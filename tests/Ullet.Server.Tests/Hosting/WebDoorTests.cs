using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;

namespace Ullet.Server.Tests.Hosting;

public sealed class WebDoorTests(TestServer server) : IClassFixture<TestServer>
{
    [Theory]
    [InlineData("Origin", "http://elsewhere.example")]
    [InlineData("Origin", "null")]
    [InlineData("Origin", "https://localhost")]
    [InlineData("Sec-Fetch-Site", "cross-site")]
    [InlineData("Sec-Fetch-Site", "same-site")]
    public async Task Write_FromElsewhere_IsRefused(string header, string value)
    {
        var (status, code) = await Send(
            HttpMethod.Post,
            "/api/projects",
            request => request.Headers.Add(header, value)
        );
        Assert.Equal((403, "foreign-origin"), (status, code));
    }

    [Theory]
    [InlineData("Origin", "http://localhost")]
    [InlineData("Sec-Fetch-Site", "same-origin")]
    [InlineData("X-Nothing", "of the kind")]
    public async Task Write_FromItsOwnPageOrAProgramHere_IsTaken(string header, string value)
    {
        var (status, _) = await Send(HttpMethod.Post, "/api/projects", request => request.Headers.Add(header, value));
        Assert.Equal(201, status);
    }

    [Theory]
    [InlineData("elsewhere.example")]
    [InlineData("127.0.0.1.elsewhere.example")]
    public async Task ForeignHost_IsRefused(string host)
    {
        var (status, code) = await Send(HttpMethod.Get, "/api/health", request => request.Headers.Host = host);
        Assert.Equal((400, "foreign-host"), (status, code));
    }

    [Theory]
    [InlineData("PATCH", "/api/projects", 405, "method-unknown")]
    [InlineData("DELETE", "/api/projects/x/scene", 405, "method-unknown")]
    [InlineData("POST", "/api/projects/x/cut.svg", 405, "method-unknown")]
    [InlineData("GET", "/api/nothing", 404, "address-unknown")]
    [InlineData("POST", "/api/nothing/at/all", 404, "address-unknown")]
    public async Task WrongMethod_IsToldFromAWrongAddress(string method, string path, int status, string code) =>
        Assert.Equal((status, code), await Send(new HttpMethod(method), path, _ => { }));

    [Fact]
    public async Task WrongMethod_NamesTheRightOnes()
    {
        using var request = new HttpRequestMessage(HttpMethod.Put, "/api/projects/x");
        using var answer = await server.Client.SendAsync(request);
        Assert.Equal(["DELETE", "GET"], answer.Content.Headers.Allow.Order());
    }

    [Fact]
    public async Task ForeignMediaType_Gets415()
    {
        var (id, _) = await server.Blank();
        using var content = new StringContent("head=1", Encoding.UTF8, "text/plain");
        using var answer = await server.Client.PostAsync($"/api/projects/{id}/edits", content);
        Assert.Equal(HttpStatusCode.UnsupportedMediaType, answer.StatusCode);
    }

    [Fact]
    public async Task Answers_AreNotKept_AndNotShownElsewhere()
    {
        using var answer = await server.Client.GetAsync("/api/projects");
        Assert.True(answer.Headers.CacheControl!.NoStore);
        Assert.Equal(["same-origin"], answer.Headers.GetValues("Cross-Origin-Resource-Policy"));
        Assert.Equal(["same-origin"], answer.Headers.GetValues("Cross-Origin-Opener-Policy"));
    }

    [Fact]
    public async Task Stitches_AreKept_AsTheyNeverChange()
    {
        var (id, head) = await server.Blank();
        await server.Edit(id, head, TestServer.AddHeart);
        var step = (await server.Get($"/api/projects/{id}/scene"))["steps"]!
            .AsArray()
            .First(each => each!["stitchesKey"] is not null)!;
        using var answer = await server.Client.GetAsync(
            $"/api/projects/{id}/steps/{step["key"]}/stitches?key={step["stitchesKey"]}"
        );
        Assert.Contains("immutable", answer.Headers.CacheControl!.ToString(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("{\"edit\":\"addZone\",\"shape\":{}}")]
    [InlineData("{\"edit\":\"addZone\"}")]
    [InlineData("{\"edit\":\"addOperation\",\"elementId\":\"e1\",\"operation\":{}}")]
    [InlineData("{\"edit\":\"addOperation\",\"elementId\":\"e1\"}")]
    [InlineData("{\"edit\":\"fitInto\",\"elementIds\":[null],\"targetId\":\"e1\"}")]
    [InlineData("{\"edit\":\"fitInto\",\"elementIds\":[\"e1\"],\"targetId\":null}")]
    [InlineData("{\"edit\":\"renameProject\",\"title\":\"a\",\"title\":\"b\"}")]
    [InlineData("{\"edit\":\"setMethod\",\"elementId\":\"e1\",\"method\":\"magic\"}")]
    [InlineData("{\"edit\":7}")]
    public async Task EditWithAGap_IsRefused_WithoutNamesOfTypes(string edit)
    {
        var (id, head) = await server.Blank();
        using var content = new StringContent(
            $"{{\"head\":{head},\"edit\":{edit}}}",
            Encoding.UTF8,
            "application/json"
        );
        using var answer = await server.Client.PostAsync($"/api/projects/{id}/edits", content);
        var text = await answer.Content.ReadAsStringAsync();
        Assert.Equal(400, (int)answer.StatusCode);
        Assert.DoesNotContain("Ullet.", text, StringComparison.Ordinal);
        Assert.DoesNotContain("System.", text, StringComparison.Ordinal);
    }

    private async Task<(int Status, string? Code)> Send(
        HttpMethod method,
        string path,
        Action<HttpRequestMessage> change
    )
    {
        using var request = new HttpRequestMessage(method, path);
        if (method != HttpMethod.Get)
        {
            request.Content = new StringContent("{}", Encoding.UTF8, "application/json");
        }
        change(request);
        using var answer = await server.Client.SendAsync(request);
        var body = await answer.Content.ReadFromJsonAsync<JsonNode>();
        return ((int)answer.StatusCode, (string?)body!["code"]);
    }
}
