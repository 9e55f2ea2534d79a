using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests.Devices;

public sealed class DeviceTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task Machine_RunsTheExportedFileAndStopsForHands()
    {
        var file = await server.Client.GetByteArrayAsync($"/api/projects/{await Patch()}/program.ulst");
        var run = await Send("/api/devices/machine/rehearse", file, "text/plain");
        var steps = run["steps"]!.AsArray();
        Assert.Equal(20, steps.Count);
        Assert.Equal(7, (int)run["stopCount"]!);
        for (var i = 0; i + 1 < steps.Count; i++)
        {
            var sews = (string)steps[i]!["kind"]! == "stitch";
            Assert.Equal(sews && (string)steps[i + 1]!["kind"]! == "hand", (bool)steps[i]!["stopAfter"]!);
        }
        var lay = steps[2]!;
        Assert.StartsWith("Lay shed green cotton face up", (string)lay["text"]!, StringComparison.Ordinal);
        Assert.Equal("shed green cotton", (string)lay["layers"]![0]!["cloth"]!["name"]!);
        Assert.True((double)run["threadUse"]![1]!["metres"]! > 8);
        Assert.Equal((int)run["stitchCount"]!, steps.Sum(step => (int)step!["stitchCount"]!));
    }

    [Fact]
    public async Task Cutter_FreesEachShapeOfTheExportedFileAtItsSize()
    {
        var id = await Patch();
        var scene = await server.Get($"/api/projects/{id}/scene");
        var file = await server.Client.GetByteArrayAsync($"/api/projects/{id}/cut.svg?cloth=leaf");
        var run = await Send("/api/devices/cutter/dry-run", file, "image/svg+xml");
        var freed = run["freed"]!.AsArray();
        Assert.Equal(["left-leaf", "right-leaf"], freed.Select(shape => (string)shape!["name"]!).Order());
        var outline = scene["elements"]![1]!["outline"]!;
        Assert.All(freed, shape => Assert.Equal((double)outline["width"]!, (double)shape!["width"]!, 0.05));
        Assert.Equal(2, (int)run["lifts"]!);
        Assert.Equal(305, (double)run["width"]!, 0.001);
    }

    [Fact]
    public async Task Cutter_CutsAHoleBeforeThePieceThatHoldsIt()
    {
        const string Ring =
            "<svg width='60mm' height='60mm' viewBox='0 0 60 60'><circle id='edge' cx='30' cy='30' r='20'/>"
            + "<circle id='hole' cx='30' cy='30' r='5'/></svg>";
        var run = await Send("/api/devices/cutter/dry-run", Encoding.UTF8.GetBytes(Ring), "image/svg+xml");
        Assert.Equal(["hole", "edge"], run["lines"]!.AsArray().Select(line => (string)line!["name"]!));
        var (hole, edge) = (run["freed"]![0]!, run["freed"]![1]!);
        Assert.True((bool)hole["isWaste"]!);
        Assert.False((bool)edge["isWaste"]!);
        Assert.Equal(Math.PI * (400 - 25), (double)edge["area"]!, 1.5);
        Assert.Equal(2 * Math.PI * 25, (double)run["cutLength"]!, 0.2);
    }

    [Theory]
    [InlineData("/api/devices/machine/rehearse", "G21\nG90", "stitch-list-foreign")]
    [InlineData("/api/devices/machine/rehearse", "ullet-stitch-list 9\n", "stitch-list-newer")]
    [InlineData("/api/devices/machine/rehearse", "", "file-missing")]
    [InlineData(
        "/api/devices/cutter/dry-run",
        "<svg width='9' height='9'><path d='M0 0H1V1Z'/></svg>",
        "cut-file-without-units"
    )]
    [InlineData("/api/devices/cutter/dry-run", "no svg", "cut-file-foreign")]
    public async Task Device_OnAFileItCantTake_SaysWhy(string path, string body, string code)
    {
        using var content = new ByteArrayContent(Encoding.UTF8.GetBytes(body));
        using var answer = await server.Client.PostAsync(path, content);
        await BadInputTests.AssertProblem(answer, HttpStatusCode.BadRequest, code);
    }

    [Fact]
    public async Task Device_TakesAFormFileAsWell()
    {
        var file = await server.Client.GetByteArrayAsync($"/api/projects/{await Patch()}/program.ulst");
        using var form = new MultipartFormDataContent { { new ByteArrayContent(file), "file", "patch.ulst" } };
        using var answer = await server.Client.PostAsync("/api/devices/machine/rehearse", form);
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
    }

    [Fact]
    public async Task Packet_HoldsEveryFileAndEachCanBeRead()
    {
        var bytes = await server.Client.GetByteArrayAsync($"/api/projects/{await Patch()}/packet.zip");
        using var zip = new ZipArchive(new MemoryStream(bytes));
        var endings = zip.Entries.Select(entry => Path.GetExtension(entry.Name)).Order(StringComparer.Ordinal).ToList();
        Assert.Equal(
            [".dxf", ".dxf", ".dxf", ".pdf", ".pdf", ".pdf", ".png", ".svg", ".svg", ".svg", ".ullet", ".ulst"],
            endings
        );
        Assert.Equal(8, zip.Entries.Count(entry => entry.FullName.StartsWith("cut/", StringComparison.Ordinal)));
        Assert.All(
            zip.Entries,
            entry => Assert.StartsWith("Plot 14 harvest patch", entry.Name, StringComparison.Ordinal)
        );
        Assert.All(zip.Entries, entry => Assert.True(entry.Length > 100));
    }

    [Fact]
    public async Task ProjectFile_ImportedAgain_IsTheSameProject()
    {
        var id = await Patch();
        var file = await server.Client.GetByteArrayAsync($"/api/projects/{id}/project.ullet");
        using var form = new MultipartFormDataContent { { new ByteArrayContent(file), "file", "patch.ullet" } };
        using var answer = await server.Client.PostAsync("/api/import", form);
        var preview = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        Assert.Equal(("Plot 14 harvest patch", 4), ((string)preview["title"]!, (int)preview["pieces"]!));
        var (_, made) = await server.Post("/api/projects", new { importToken = (string)preview["token"]! });
        var copy = await server.Client.GetByteArrayAsync($"/api/projects/{(string)made["id"]!}/program.ulst");
        Assert.Equal(await server.Client.GetByteArrayAsync($"/api/projects/{id}/program.ulst"), copy);
    }

    private async Task<string> Patch()
    {
        var shelf = (await server.Get("/api/projects")).AsArray();
        return (string)shelf.First(item => (string)item!["title"]! == "Plot 14 harvest patch")!["id"]!;
    }

    private async Task<JsonNode> Send(string path, byte[] file, string type)
    {
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new(type);
        using var answer = await server.Client.PostAsync(path, content);
        var text = await answer.Content.ReadAsStringAsync();
        Assert.True(answer.IsSuccessStatusCode, text);
        return JsonNode.Parse(text)!;
    }
}
