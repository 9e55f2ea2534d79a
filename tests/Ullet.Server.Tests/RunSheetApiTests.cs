using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class RunSheetApiTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task Patterns_AreListed_SizedAndRefusedWithASentence()
    {
        var patterns = (await server.Get("/api/patterns")).AsArray();
        Assert.Equal(["harvest-patch", "zip-pouch", "mug-rug"], patterns.Select(pattern => (string)pattern!["id"]!));
        Assert.All(patterns, pattern => Assert.StartsWith("M", (string)pattern!["drawing"]!["edge"]!));
        var (status, sized) = await server.Post(
            "/api/patterns/zip-pouch/size",
            new { hardware = "zip", hardwareSize = 200 }
        );
        Assert.Equal(200, status);
        Assert.Equal(140, (double)sized["numbers"]![0]!["value"]!);
        Assert.Equal(174, (double)sized["preview"]!["width"]!);
        foreach (
            var (wish, code) in new (object, string)[]
            {
                (new { numbers = new[] { new { id = "width", value = 5000 } } }, "number-out-of-range"),
                (new { hardware = "zip", hardwareSize = 1 }, "number-out-of-range"),
                (new { hardware = "anvil" }, "hardware-unknown"),
            }
        )
        {
            var (refused, body) = await server.Post("/api/patterns/zip-pouch/size", wish);
            Assert.Equal((400, code), (refused, (string)body["code"]!));
        }
        Assert.Equal(404, (await server.Post("/api/patterns/boot/size", new { })).Status);
    }

    [Fact]
    public async Task Pouch_IsMade_AndItsLanesSayWhatTheNameGoesThrough()
    {
        var (id, _) = await Pouch();
        var scene = await server.Get($"/api/projects/{id}/scene");
        var lanes = scene["runSheet"]!["lanes"]!.AsArray();
        var name = Step(scene, "p-name.line.0");
        Assert.Equal(
            ["Front panel", "Stabiliser"],
            name["order"]!["pierced"]!.AsArray().Select(lane => (string)lanes[(int)lane!]!["name"]!)
        );
        Assert.True((bool)scene["runSheet"]!["isProvenBest"]!);
    }

    [Theory]
    [InlineData("zip-pouch")]
    [InlineData("mug-rug")]
    [InlineData("harvest-patch")]
    public async Task StandInMachine_RunsAPatternsFileToTheEnd_AndStopsExactlyWhereHandsComeNext(string pattern)
    {
        var (_, made) = await server.Post("/api/projects", new { pattern = new { patternId = pattern } });
        var id = (string)made["id"]!;
        var scene = await server.Get($"/api/projects/{id}/scene");
        var file = await server.Client.GetStringAsync($"/api/projects/{id}/program.ulst");
        using var answer = await server.Client.PostAsync(
            "/api/devices/machine/rehearse",
            new StringContent(file, Encoding.UTF8, "text/plain")
        );
        var steps = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!["steps"]!.AsArray();
        Assert.Equal(
            scene["steps"]!.AsArray().Select(step => (string?)step!["text"]),
            steps.Select(step => (string?)step!["text"])
        );
        for (var i = 1; i < steps.Count; i++)
        {
            if ((string)steps[i - 1]!["kind"]! == "stitch")
            {
                Assert.Equal((string)steps[i]!["kind"]! == "hand", (bool)steps[i - 1]!["stopAfter"]!);
            }
        }
        Assert.Contains(steps, step => (string?)step!["check"] is not null);
    }

    [Fact]
    public async Task ABrokenOrder_StopsTheExport_UnlessAskedForDespiteIt_AndTheFileSaysSo()
    {
        var (id, head) = await Pouch();
        await server.Edit(
            id,
            head,
            new
            {
                edit = "moveStep",
                stepKey = "p-name.line.0",
                to = 23,
            }
        );
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.NotEmpty(Step(scene, "p-name.line.0")["order"]!["broken"]!.AsArray());
        foreach (var file in new[] { "program.ulst", "packet.zip", "instructions.pdf" })
        {
            using var stopped = await server.Client.GetAsync($"/api/projects/{id}/{file}");
            Assert.Equal(HttpStatusCode.Conflict, stopped.StatusCode);
            var problem = JsonNode.Parse(await stopped.Content.ReadAsStringAsync())!;
            Assert.Equal("stopped-by-findings", (string)problem["code"]!);
            using var despite = await server.Client.GetAsync($"/api/projects/{id}/{file}?despite=true");
            Assert.Equal(HttpStatusCode.OK, despite.StatusCode);
        }
        var text = await server.Client.GetStringAsync($"/api/projects/{id}/program.ulst?despite=true");
        Assert.Contains("\ncaution \"The run sheet does not work", text, StringComparison.Ordinal);
        var (_, mended) = await server.Post(
            $"/api/projects/{id}/mends",
            new
            {
                head = (long)scene["head"]!,
                code = "order-broken",
                elementId = "p-name",
            }
        );
        Assert.NotNull(mended["head"]);
        using var whole = await server.Client.GetAsync($"/api/projects/{id}/packet.zip");
        Assert.Equal(HttpStatusCode.OK, whole.StatusCode);
    }

    [Theory]
    [InlineData("""{ "edit": "moveStep", "stepKey": "e9.cover.0", "to": 1 }""", "step-unknown")]
    [InlineData("""{ "edit": "moveStep", "stepKey": "nonsense", "to": 1 }""", "step-unknown")]
    [InlineData("""{ "edit": "moveStep", "stepKey": "p-name.line.0", "to": -1 }""", "place-out-of-range")]
    [InlineData("""{ "edit": "usePattern", "patternId": "mug-rug" }""", "pattern-other")]
    [InlineData(
        """{ "edit": "usePattern", "patternId": "zip-pouch", "fillIns": [{ "id": "motif", "text": "Anvil" }] }""",
        "motif-unknown"
    )]
    [InlineData(
        """{ "edit": "usePattern", "patternId": "zip-pouch", "fillIns": [{ "id": "name", "text": "0123456789012345678901234567890" }] }""",
        "fill-in-too-long"
    )]
    [InlineData(
        """{ "edit": "setHandStep", "hand": { "id": "", "kind": "lay", "text": "Lay it.", "clothId": "tweed" } }""",
        "cloth-unknown"
    )]
    [InlineData("""{ "edit": "removeHandStep", "id": "u9" }""", "step-unknown")]
    [InlineData(
        """{ "edit": "addZone", "role": "keepClear", "shape": { "form": "star", "points": 900, "innerShare": 0.5 } }""",
        "number-out-of-range"
    )]
    public async Task Edits_ThatCannotBe_AreRefusedAndChangeNothing(string edit, string code)
    {
        var (id, head) = await Pouch();
        var (status, body) = await server.Post($"/api/projects/{id}/edits", new { head, edit = JsonNode.Parse(edit) });
        Assert.True(status is 400 or 404, body.ToJsonString());
        Assert.Equal(code, (string)body["code"]!);
        Assert.Equal(head, (long)(await server.Get($"/api/projects/{id}/scene"))["head"]!);
    }

    private static JsonNode Step(JsonNode scene, string key) =>
        scene["steps"]!.AsArray().First(step => (string)step!["key"]! == key)!;

    private async Task<(string Id, long Head)> Pouch()
    {
        var (status, body) = await server.Post(
            "/api/projects",
            new { pattern = new { patternId = "zip-pouch", fillIns = new[] { new { id = "name", text = "Rowan" } } } }
        );
        Assert.True(status == 201, body.ToJsonString());
        return ((string)body["id"]!, (long)body["head"]!);
    }
}
