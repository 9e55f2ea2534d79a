using System.Net;
using Microsoft.Extensions.Configuration;
using Ullet.Server.Hosting;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class ReferenceTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task Health_SaysOkAndTheVersion()
    {
        var health = await server.Get("/api/health");
        Assert.Equal(("ok", "0.6.1"), ((string)health["status"]!, (string)health["version"]!));
    }

    [Fact]
    public async Task Catalogue_OffersWhatCanBeChosen_AndEveryShapeCanBeAdded()
    {
        var catalogue = await server.Get("/api/catalogue");
        Assert.Equal(19, catalogue["shapes"]!.AsArray().Count);
        Assert.Equal(
            ["trimInTheHoop", "cutBeforehand", "markedOnCloth", "laidFirst", "rawEdge", "setBehind"],
            catalogue["methods"]!.AsArray().Select(m => (string)m!["id"]!)
        );
        Assert.Equal(3.5, (double)catalogue["coverWidth"]!["usual"]!);
        var (id, head) = await server.Blank("All shapes");
        foreach (var choice in catalogue["shapes"]!.AsArray())
        {
            head = await server.Edit(id, head, new { edit = "addPiece", shape = choice!["shape"]! });
        }
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Equal(
            catalogue["shapes"]!.AsArray().Select(choice => (string)choice!["name"]!),
            scene["elements"]!.AsArray().Select(element => (string)element!["name"]!)
        );
        Assert.All(
            scene["elements"]!.AsArray(),
            element => Assert.StartsWith("M", (string)element!["outlinePath"]!, StringComparison.Ordinal)
        );
    }

    [Theory]
    [InlineData("3 7/8", "millimetre", 98.425)]
    [InlineData("98.4", "millimetre", 98.4)]
    [InlineData("2", "inch", 50.8)]
    public async Task Lengths_AreRead(string text, string unit, double mm)
    {
        var (status, body) = await server.Post("/api/lengths", new { text, unit });
        Assert.Equal((200, mm), (status, Math.Round((double)body["mm"]!, 6)));
    }

    [Fact]
    public async Task Lengths_ThatAreNone_GetASentence()
    {
        var (status, body) = await server.Post("/api/lengths", new { text = "a bit", unit = "inch" });
        Assert.Equal((400, "length-broken"), (status, (string)body["code"]!));
    }

    [Theory]
    [InlineData("cut.svg", "cloth-missing")]
    [InlineData("cut.svg?cloth=silk", "cloth-unknown")]
    [InlineData("cut.svg?cloth=oat", "cloth-unknown")]
    [InlineData("cut.svg?element=e99", "element-unknown")]
    [InlineData("picture.png?size=9", "size-out-of-range")]
    [InlineData("scene?rev=999999", "head-stale")]
    public async Task Files_OfWhatIsNotThere_GetASentence(string path, string code)
    {
        var shelf = (await server.Get("/api/projects")).AsArray();
        var patch = (string)shelf.First(item => (string)item!["title"]! == "Plot 14 harvest patch")!["id"]!;
        using var answer = await server.Client.GetAsync($"/api/projects/{patch}/{path}");
        await BadInputTests.AssertProblem(answer, answer.StatusCode, code);
        Assert.InRange((int)answer.StatusCode, 400, 409);
    }

    [Fact]
    public async Task Files_OfAnEmptyProject_AreThereOrSayWhatIsMissing()
    {
        var (id, _) = await server.Blank("Bare plot");
        using var cut = await server.Client.GetAsync($"/api/projects/{id}/cut.svg");
        await BadInputTests.AssertProblem(cut, HttpStatusCode.BadRequest, "nothing-to-cut");
        foreach (var file in new[] { "program.ulst", "instructions.pdf", "picture.png", "project.ullet", "packet.zip" })
        {
            using var answer = await server.Client.GetAsync($"/api/projects/{id}/{file}");
            Assert.True(answer.IsSuccessStatusCode, file);
        }
    }

    [Theory]
    [InlineData("program.ulst", "Plot 14 harvest patch 108x126mm CODE.ulst")]
    [InlineData("program.csv", "Plot 14 harvest patch 108x126mm CODE.csv")]
    [InlineData("booklet.pdf?paper=letter", "Plot 14 harvest patch 108x126mm CODE booklet.pdf")]
    [InlineData("cut.svg?cloth=beet", "Plot 14 harvest patch cut beetroot cotton 74x80mm.svg")]
    [InlineData("cut.svg?element=e2", "Plot 14 harvest patch cut Left leaf 28x42mm.svg")]
    [InlineData("project.ullet", "Plot 14 harvest patch.ullet")]
    public async Task Files_CarryProjectSizeAndClothInTheirNames(string path, string name)
    {
        var shelf = (await server.Get("/api/projects")).AsArray();
        var patch = (string)shelf.First(item => (string)item!["title"]! == "Plot 14 harvest patch")!["id"]!;
        using var answer = await server.Client.GetAsync($"/api/projects/{patch}/{path}");
        var code = (string)(await server.Get($"/api/projects/{patch}/scene"))["code"]!;
        Assert.Equal(
            name.Replace("CODE", code, StringComparison.Ordinal),
            answer.Content.Headers.ContentDisposition?.FileNameStar
        );
    }

    [Fact]
    public void Options_FallBackToTheirUsualValues()
    {
        var given = new Dictionary<string, string?>(StringComparer.Ordinal)
        {
            ["data"] = "/tmp/plot",
            ["port"] = "5300",
        };
        var options = ServerOptions.From(new ConfigurationBuilder().AddInMemoryCollection(given).Build());
        Assert.Equal(
            (5300, "/tmp/plot", null, false),
            (options.Port, options.DataFolder, options.WebFolder, options.Demo)
        );
        var usual = ServerOptions.From(new ConfigurationBuilder().Build());
        Assert.Equal(5190, usual.Port);
        Assert.True(Path.IsPathRooted(usual.DataFolder));
    }

    [Fact]
    public async Task Note_IsWrittenToTheStitchFile_AndGoesWhenItIsEmptied()
    {
        var (id, head) = await server.Blank("Noted");
        head = await server.Edit(id, head, TestServer.AddHeart);
        head = await server.Edit(
            id,
            head,
            new
            {
                edit = "noteStep",
                stepKey = "e1.lay.0",
                note = "dots up",
            }
        );
        Assert.Contains(
            "note \"dots up\"",
            await server.Client.GetStringAsync($"/api/projects/{id}/program.ulst"),
            StringComparison.Ordinal
        );
        await server.Edit(
            id,
            head,
            new
            {
                edit = "noteStep",
                stepKey = "e1.lay.0",
                note = "",
            }
        );
        Assert.DoesNotContain(
            "note ",
            await server.Client.GetStringAsync($"/api/projects/{id}/program.ulst"),
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task Edits_OfTwoAtOnce_OnOneHead_LetOneThrough()
    {
        var (id, head) = await server.Blank("Two hands");
        var tries = await Task.WhenAll(
            Enumerable
                .Range(0, 6)
                .Select(i =>
                    server.Post(
                        $"/api/projects/{id}/edits",
                        new { head, edit = new { edit = "renameProject", title = $"Hand {i}" } }
                    )
                )
        );
        Assert.Equal(1, tries.Count(t => t.Status == 200));
        Assert.Equal(5, tries.Count(t => t.Status == 409));
    }
}
