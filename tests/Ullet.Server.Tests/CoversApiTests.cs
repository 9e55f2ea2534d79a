using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class CoversApiTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task TheForm_TellsTheEdgeMatch_AndItsMendsMakeItHold()
    {
        var (id, head) = await server.Blank();
        head = await server.Edit(id, head, TestServer.AddHeart);
        head = await server.Edit(
            id,
            head,
            new
            {
                edit = "setCover",
                elementId = "e1",
                cover = new { width = 2 },
            }
        );
        var match = (await server.Get($"/api/projects/{id}/elements/e1/form"))["edgeMatch"]!;
        Assert.False((bool)match["holds"]!);
        Assert.True((double)match["margins"]![(int)match["worstAt"]!]!["spare"]! < 0);
        Assert.True(match["margins"]!.AsArray().Count > 100);
        foreach (var mend in match["mends"]!.AsArray())
        {
            var wish = new
            {
                edit = "mendEdge",
                elementId = "e1",
                number = (string)mend!["number"]!,
                value = (double)mend["value"]!,
            };
            var (status, body) = await server.Post($"/api/projects/{id}/edits?preview=true", new { head, edit = wish });
            Assert.Equal(200, status);
            Assert.DoesNotContain(
                body["scene"]!["findings"]!.AsArray(),
                finding => (string)finding!["code"]! is "bite-too-small" or "edge-peeps-out"
            );
        }
    }

    [Fact]
    public async Task CutGuides_AreAStitchFileOfTheirOwn_InThePacketToo()
    {
        var (id, head) = await server.Blank();
        head = await server.Edit(id, head, TestServer.AddHeart);
        await server.Edit(
            id,
            head,
            new
            {
                edit = "setMethod",
                elementId = "e1",
                method = "markedOnCloth",
            }
        );
        var scene = await server.Get($"/api/projects/{id}/scene");
        var guide = Assert.Single(scene["guides"]!.AsArray())!;
        var file = await server.Client.GetStringAsync($"/api/projects/{id}/program.ulst?hooping={guide["id"]}");
        Assert.Contains("\"cut guide\"", file, StringComparison.Ordinal);
        Assert.DoesNotContain(
            "cut guide",
            await server.Client.GetStringAsync($"/api/projects/{id}/program.ulst"),
            StringComparison.Ordinal
        );
        using var rehearsed = await server.Client.PostAsync(
            "/api/devices/machine/rehearse",
            new StringContent(file, Encoding.UTF8, "text/plain")
        );
        Assert.Equal(HttpStatusCode.OK, rehearsed.StatusCode);
        using var zip = new ZipArchive(await server.Client.GetStreamAsync($"/api/projects/{id}/packet.zip"));
        Assert.Equal(2, zip.Entries.Count(entry => entry.Name.EndsWith(".ulst", StringComparison.Ordinal)));
        var step = guide["steps"]!.AsArray().First(step => (string)step!["kind"]! == "stitch")!;
        using var points = await server.Client.GetAsync(
            $"/api/projects/{id}/steps/{step["key"]}/stitches?key={step["stitchesKey"]}"
        );
        Assert.Equal(HttpStatusCode.OK, points.StatusCode);
        using var missing = await server.Client.GetAsync($"/api/projects/{id}/program.ulst?hooping=none");
        Assert.Equal("hooping-unknown", (string)JsonNode.Parse(await missing.Content.ReadAsStringAsync())!["code"]!);
    }

    [Theory]
    [InlineData("density")]
    [InlineData("coverage")]
    public async Task Maps_HaveALevelForEveryCell_AndALegend(string kind)
    {
        var (id, head) = await server.Blank();
        await server.Edit(id, head, TestServer.AddHeart);
        var map = await server.Get($"/api/projects/{id}/maps/{kind}");
        var levels = Convert.FromBase64String((string)map["levels"]!);
        Assert.Equal(0, levels.Length % (int)map["columns"]!);
        Assert.Equal(4, map["legend"]!.AsArray().Count);
        Assert.InRange(levels.Max(), 2, 4);
        using var other = await server.Client.GetAsync($"/api/projects/{id}/maps/heat");
        Assert.Equal(HttpStatusCode.BadRequest, other.StatusCode);
    }

    [Fact]
    public async Task AStretchWithItsOwnThread_HasTwoBlocksWithStitchesEach_AndBothOrdersAreCounted()
    {
        var (id, head) = await server.Blank();
        head = await server.Edit(id, head, TestServer.AddHeart);
        var stretch = (await server.Get($"/api/projects/{id}/elements/e1/form"))["stretches"]!.AsArray()[0]!;
        var threads = (await server.Get($"/api/projects/{id}/scene"))["threads"]!.AsArray();
        await server.Edit(
            id,
            head,
            new
            {
                edit = "setCoverStretch",
                elementId = "e1",
                x = (double)stretch["x"]!,
                y = (double)stretch["y"]!,
                threadId = (string)threads[0]!["id"]!,
            }
        );
        var scene = await server.Get($"/api/projects/{id}/scene");
        var blocks = scene["steps"]!
            .AsArray()
            .Where(step => ((string)step!["key"]!).StartsWith("e1.cover.0", StringComparison.Ordinal))
            .ToList();
        Assert.Equal(["e1.cover.0", "e1.cover.0~1"], blocks.Select(block => (string)block!["key"]!));
        foreach (var block in blocks)
        {
            using var points = await server.Client.GetAsync(
                $"/api/projects/{id}/steps/{block!["key"]}/stitches?key={block["stitchesKey"]}"
            );
            Assert.Equal(HttpStatusCode.OK, points.StatusCode);
        }
        // Of one piece there is no order to choose.
        Assert.Null(scene["stops"]);
        head = (long)scene["head"]!;
        await server.Edit(id, head, TestServer.AddHeart);
        scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Equal((5, 5), ((int)scene["stops"]!["oneByOne"]!, (int)scene["stops"]!["together"]!));
        var form = await server.Get($"/api/projects/{id}/elements/e1/form");
        Assert.Single(form["stretches"]!.AsArray(), each => each!["cover"] is not null);
    }
}
