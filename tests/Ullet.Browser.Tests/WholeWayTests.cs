using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ullet.Browser.Tests;

public sealed class WholeWayTests(UlletSite site) : BrowserTest(site), IClassFixture<UlletSite>
{
    [Fact]
    public void AHeart_GoesFromTheWallToBothDevicesAtItsTrueSize() =>
        Visit(visitor =>
        {
            OpenPatch(visitor);
            AddShape(visitor, "Heart");
            visitor.Choose("Cloth", "straw felt");
            visitor.Click("button", "Cut beforehand");
            visitor.Type("Cover width", "4");
            visitor.WaitForValue("Cover width", "4.0");

            visitor.Click("link", "Rehearsal");
            visitor.WaitForText("Before you start");
            visitor.Click("button", "Done, press start");
            visitor.WaitForText("The machine has stopped");
            var card = visitor.TextOf("section", "Stop card");
            Assert.Contains(
                "Now: Lay shed green cotton face up over the placement line of Shield",
                card,
                StringComparison.Ordinal
            );
            Assert.Contains("128 × 146 mm", card, StringComparison.Ordinal);

            visitor.Click("link", "Packet");
            var stitchFile = visitor.Download("link", "Download: Stitch file", ".ulst");
            var cutFile = visitor.Download("button", "SVG: Cut file, straw felt", ".svg");

            var sewn = Send("/api/devices/machine/rehearse", stitchFile);
            var own = sewn["steps"]!.AsArray().Where(step => (string)step!["ownerName"]! == "Heart").ToList();
            Assert.Equal(["placement", "lay", "tack-down", "cover"], own.Select(step => (string)step!["role"]!));
            Assert.Equal([true, false, false, true], own.Select(step => (bool)step!["stopAfter"]!));
            Assert.Equal(8, (int)sewn["stopCount"]!);
            Assert.Equal(60, Extent(own[0]!, 0), 0.3);
            Assert.Equal(60 + (2 * ((4 * 0.4) + 0.2)), Extent(own[3]!, 0), 0.3);

            var freed = Send("/api/devices/cutter/dry-run", cutFile)["freed"]!.AsArray();
            var heart = Assert.Single(freed)!;
            Assert.Equal("heart", (string)heart["name"]!);
            Assert.Equal(60, (double)heart["width"]!, 0.05);
            Assert.Equal(60, (double)heart["height"]!, 0.05);
        });

    private JsonNode Send(string path, byte[] file)
    {
        using var content = new ByteArrayContent(file);
        using var answer = Site.Client.PostAsync(path, content).GetAwaiter().GetResult();
        Assert.True(answer.IsSuccessStatusCode);
        return answer.Content.ReadFromJsonAsync<JsonNode>().GetAwaiter().GetResult()!;
    }

    /// <summary>How far a rehearsed step's needle points reach across, mm.</summary>
    private static double Extent(JsonNode step, int axis)
    {
        var values = step["runs"]!
            .AsArray()
            .SelectMany(run => run!.AsArray().Where((_, i) => i % 2 == axis))
            .Select(v => (double)v!)
            .ToList();
        return values.Max() - values.Min();
    }
}
