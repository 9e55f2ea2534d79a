using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class SketchApiTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task Drawings_AreFoundByAWord_AndSayHowSmallTheyMayBe()
    {
        var all = await server.Get("/api/sketches");
        Assert.True(all.AsArray().Count >= 24);
        var robin = Assert.Single((await server.Get("/api/sketches?search=robin")).AsArray())!;
        Assert.All(
            robin["parts"]!.AsArray(),
            part => Assert.StartsWith("M", (string)part!["path"]!, StringComparison.Ordinal)
        );
        var least = (double)robin["smallest"]!.AsArray().Single(own => (string)own!["way"]! == "thread")!["size"]!;
        Assert.False((bool)(await Fit("robin", "thread", least - 1))["isFit"]!);
        Assert.True((bool)(await Fit("robin", "thread", least))["isFit"]!);
        Assert.Contains("eye", (string)(await Fit("robin", "thread", least))["said"]!, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("/api/sketches/dragon/fit?way=cloth&size=50", 404, "sketch-unknown")]
    [InlineData("/api/sketches/robin/fit?way=glass&size=50", 400, "sketch-way-unknown")]
    public async Task WhatIsNotThere_IsSaid(string address, int status, string code)
    {
        var answer = await server.Client.GetAsync(address, TestContext.Current.CancellationToken);
        var said = JsonNode.Parse(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
        Assert.Equal((status, code), ((int)answer.StatusCode, (string)said["code"]!));
    }

    [Fact]
    public async Task AGroup_IsPutOnTheShelf_SetInAnotherProject_AndTakenOff()
    {
        var (id, head) = await server.Blank();
        await server.Edit(id, head, TestServer.AddHeart);
        var element = (string)(await server.Get($"/api/projects/{id}/scene"))["elements"]![0]!["id"]!;
        var kept = await Post(
            new
            {
                projectId = id,
                elementIds = new[] { element },
                name = "Plot heart",
                words = "love",
            }
        );
        Assert.Equal(HttpStatusCode.Created, kept.Status);
        var own = (string)kept.Said["id"]!;
        var found = Assert.Single((await server.Get("/api/sketches?search=plot+love")).AsArray())!;
        Assert.Equal((own, true), ((string)found["id"]!, (bool)found["isOwn"]!));
        Assert.True((bool)(await Fit(own, "thread", 40))["isFit"]!);

        var (other, at) = await server.Blank();
        at = await server.Edit(
            other,
            at,
            new
            {
                edit = "addSketch",
                sketchId = own,
                way = "thread",
                size = 40,
            }
        );
        Assert.Equal("filled", (string)(await Only(other))["making"]!["kind"]!);

        // Off the shelf, where it was set it is still made another way.
        var gone = await server.Client.DeleteAsync($"/api/sketches/{own}", TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.NoContent, gone.StatusCode);
        Assert.Empty((await server.Get("/api/sketches?search=plot+love")).AsArray());
        var part = (string)(await Only(other))["id"]!;
        await server.Edit(
            other,
            at,
            new
            {
                edit = "makeSketch",
                elementIds = new[] { part },
                way = "line",
            }
        );
        Assert.Equal("line", (string)(await Only(other))["making"]!["kind"]!);
    }

    [Fact]
    public async Task WhatCantBePutOnTheShelf_IsRefused_AndNothingIsKept()
    {
        var (id, _) = await server.Blank();
        var before = (await server.Get("/api/sketches")).AsArray().Count;
        var none = await Post(
            new
            {
                projectId = id,
                elementIds = Array.Empty<string>(),
                name = "Nothing",
            }
        );
        Assert.Equal("nothing-selected", (string)none.Said["code"]!);
        var unknown = await Post(
            new
            {
                projectId = "none",
                elementIds = new[] { "e1" },
                name = "Nothing",
            }
        );
        Assert.Equal(HttpStatusCode.NotFound, unknown.Status);
        var ours = await server.Client.DeleteAsync("/api/sketches/robin", TestContext.Current.CancellationToken);
        Assert.Equal(HttpStatusCode.NotFound, ours.StatusCode);
        Assert.Equal(before, (await server.Get("/api/sketches")).AsArray().Count);
    }

    private async Task<JsonNode> Only(string id) =>
        Assert.Single((await server.Get($"/api/projects/{id}/scene"))["elements"]!.AsArray())!;

    private async Task<(HttpStatusCode Status, JsonNode Said)> Post(object wish)
    {
        var answer = await server.Client.PostAsJsonAsync("/api/sketches", wish, TestContext.Current.CancellationToken);
        var said = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        return (answer.StatusCode, JsonNode.Parse(said)!);
    }

    private Task<JsonNode> Fit(string id, string way, double size) =>
        server.Get(FormattableString.Invariant($"/api/sketches/{id}/fit?way={way}&size={size}"));
}
