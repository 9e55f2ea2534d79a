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

    private Task<JsonNode> Fit(string id, string way, double size) =>
        server.Get(FormattableString.Invariant($"/api/sketches/{id}/fit?way={way}&size={size}"));
}
