using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class BadInputTests(TestServer server) : IClassFixture<TestServer>
{
    [Theory]
    [InlineData("GET", "/api/projects/nowhere")]
    [InlineData("GET", "/api/projects/nowhere/scene")]
    [InlineData("GET", "/api/projects/nowhere/program.ulst")]
    [InlineData("GET", "/api/projects/nowhere/cut.svg")]
    [InlineData("GET", "/api/projects/nowhere/picture.png")]
    [InlineData("GET", "/api/projects/nowhere/packet.zip")]
    [InlineData("GET", "/api/projects/nowhere/revisions")]
    [InlineData("DELETE", "/api/projects/nowhere")]
    [InlineData("POST", "/api/projects/nowhere/copy")]
    public async Task UnknownProject_Gets404WithASentence(string method, string path)
    {
        using var request = new HttpRequestMessage(new HttpMethod(method), path);
        using var answer = await server.Client.SendAsync(request);
        await AssertProblem(answer, HttpStatusCode.NotFound, "project-unknown");
    }

    [Theory]
    [InlineData("{")]
    [InlineData("[]")]
    [InlineData("{}")]
    [InlineData("{\"head\":1}")]
    [InlineData("{\"head\":\"1\",\"edit\":{\"edit\":\"renameProject\",\"title\":\"x\"}}")]
    [InlineData("{\"head\":1,\"edit\":{\"edit\":\"explode\"}}")]
    [InlineData("{\"head\":1,\"edit\":{\"edit\":\"renameProject\"}}")]
    [InlineData("{\"head\":1,\"edit\":{\"edit\":\"placeElement\",\"elementId\":\"e1\",\"width\":\"wide\"}}")]
    public async Task EditThatIsNone_Gets400WithASentence(string body)
    {
        var (id, _) = await server.Blank();
        using var content = new StringContent(body, Encoding.UTF8, "application/json");
        using var answer = await server.Client.PostAsync($"/api/projects/{id}/edits", content);
        var problem = await AssertProblem(answer, HttpStatusCode.BadRequest, "request-broken");
        Assert.DoesNotContain("System.", (string)problem["detail"]!, StringComparison.Ordinal);
        Assert.DoesNotContain("   at ", problem.ToJsonString(), StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("-5", "number-out-of-range")]
    [InlineData("0", "number-out-of-range")]
    [InlineData("1e300", "request-broken")]
    [InlineData("1e-320", "request-broken")]
    public async Task AbsurdSizes_AreRefusedAndChangeNothing(string width, string code)
    {
        var (id, head) = await server.Blank();
        head = await server.Edit(id, head, TestServer.AddHeart);
        var edit = new
        {
            edit = "placeElement",
            elementId = "e1",
            width = double.Parse(width),
        };
        var (status, problem) = await server.Post($"/api/projects/{id}/edits", new { head, edit });
        Assert.Equal((400, code), (status, (string)problem["code"]!));
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Equal((head, 60), ((long)scene["head"]!, (double)scene["elements"]![0]!["box"]!["width"]!));
    }

    [Fact]
    public async Task Upload_OfAHundredMegabytes_Gets413()
    {
        using var content = new ByteArrayContent(new byte[100_000_000]);
        using var answer = await server.Client.PostAsync("/api/devices/machine/rehearse", content);
        await AssertProblem(answer, HttpStatusCode.RequestEntityTooLarge, "too-large");
    }

    [Theory]
    [InlineData("marker.ullet", "not a zip", "project-file-foreign")]
    [InlineData("holiday.jpg", "picture", "picture-foreign")]
    [InlineData("name.ttf", "font", "font-foreign")]
    [InlineData("leaf.svg", "<svg", "drawing-broken")]
    [InlineData("leaf.doc", "words", "import-foreign")]
    public async Task Import_OfAForeignFile_IsRefusedAndKeepsNothing(string name, string body, string code)
    {
        using var form = new MultipartFormDataContent
        {
            { new ByteArrayContent(Encoding.UTF8.GetBytes(body)), "file", name },
        };
        using var answer = await server.Client.PostAsync("/api/import", form);
        await AssertProblem(answer, HttpStatusCode.BadRequest, code);
    }

    [Fact]
    public async Task Import_WithoutAFile_IsRefused()
    {
        using var form = new MultipartFormDataContent { { new StringContent("x"), "note" } };
        using var answer = await server.Client.PostAsync("/api/import", form);
        await AssertProblem(answer, HttpStatusCode.BadRequest, "request-broken");
    }

    [Fact]
    public async Task CreateFromAnUnknownToken_IsRefused()
    {
        var (status, problem) = await server.Post("/api/projects", new { importToken = "beef" });
        Assert.Equal((400, "import-unknown"), (status, (string)problem["code"]!));
    }

    [Fact]
    public async Task Write_FromAForeignPage_IsRefused()
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, "/api/projects");
        request.Headers.Add("Origin", "http://elsewhere.example");
        request.Content = new StringContent("{}", Encoding.UTF8, "application/json");
        using var answer = await server.Client.SendAsync(request);
        await AssertProblem(answer, HttpStatusCode.Forbidden, "foreign-origin");
    }

    [Fact]
    public async Task Request_ForAForeignHost_IsRefused()
    {
        using var request = new HttpRequestMessage(HttpMethod.Get, "/api/health");
        request.Headers.Host = "elsewhere.example";
        using var answer = await server.Client.SendAsync(request);
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
    }

    [Theory]
    [InlineData("/api/nothing")]
    [InlineData("/api/projects/x/nothing")]
    public async Task UnknownAddress_Gets404WithASentence(string path)
    {
        using var answer = await server.Client.GetAsync(path);
        await AssertProblem(answer, HttpStatusCode.NotFound, "address-unknown");
    }

    [Fact]
    public async Task Page_HasAStrictPolicy()
    {
        using var answer = await server.Client.GetAsync("/api/health");
        var policy = answer.Headers.GetValues("Content-Security-Policy").Single();
        Assert.DoesNotContain("unsafe", policy, StringComparison.Ordinal);
        Assert.Contains("default-src 'self'", policy, StringComparison.Ordinal);
    }

    internal static async Task<JsonNode> AssertProblem(HttpResponseMessage answer, HttpStatusCode status, string code)
    {
        var text = await answer.Content.ReadAsStringAsync();
        Assert.True(answer.StatusCode == status, $"{answer.StatusCode}: {text}");
        Assert.Equal(
            new MediaTypeHeaderValue("application/problem+json").MediaType,
            answer.Content.Headers.ContentType?.MediaType
        );
        var problem = JsonNode.Parse(text)!;
        Assert.Equal(code, (string)problem["code"]!);
        Assert.EndsWith(".", (string)problem["detail"]!, StringComparison.Ordinal);
        return problem;
    }
}
