using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class LettersApiTests(TestServer server) : IClassFixture<TestServer>
{
    private static readonly byte[] Font = File.ReadAllBytes(
        Path.Combine(Repository.Root, "assets/fonts/lettering/chango/Chango_400Regular.ttf")
    );

    [Fact]
    public async Task Samples_ShowTheWordsInEveryFont_AndSayWhichAreTooThin()
    {
        var (status, body) = await server.Post("/api/fonts/samples", new { text = "Rowan", capHeight = 40 });
        Assert.Equal(200, status);
        var samples = body.AsArray();
        Assert.True(samples.Count >= 9);
        Assert.All(samples, sample => Assert.StartsWith("M", (string)sample!["path"]!, StringComparison.Ordinal));
        Assert.Equal("tooThin", (string)Of(samples, "fredoka-light")["verdict"]!);
        Assert.Equal("fits", (string)Of(samples, "baloo-2-extra-bold")["verdict"]!);
        var (_, small) = await server.Post("/api/fonts/samples", new { text = "Rowan", width = 30 });
        Assert.All(small.AsArray(), sample => Assert.Equal(30, (double)sample!["box"]!["width"]!, 0.01));
        Assert.Equal("tooThin", (string)Of(small.AsArray(), "baloo-2-extra-bold")["verdict"]!);
    }

    [Fact]
    public async Task Samples_OfWhatAFontLacks_NameIt()
    {
        var (_, body) = await server.Post("/api/fonts/samples", new { text = "Beet 🥕", capHeight = 40 });
        Assert.Equal("🥕", (string)Of(body.AsArray(), "titan-one")["missing"]![0]!);
        var (status, problem) = await server.Post("/api/fonts/samples", new { text = new string('x', 10_000) });
        Assert.Equal((400, "text-too-long"), (status, (string)problem["code"]!));
    }

    [Fact]
    public async Task AFont_IsKept_Used_RemovedFromTheChoice_AndStillDraws()
    {
        var added = await Import("Allotment.ttf", Font);
        var font = (string)added["font"]!["id"]!;
        Assert.Equal(("font", font), ((string)added["kind"]!, (string)added["token"]!));
        Assert.Contains((await server.Get("/api/fonts")).AsArray(), entry => (string)entry!["id"]! == font);
        var (id, head) = await server.Blank("Name tag");
        await server.Edit(
            id,
            head,
            new
            {
                edit = "addWords",
                text = "Rowan",
                fontId = font,
                width = 90,
            }
        );
        using (var removed = await server.Client.DeleteAsync($"/api/fonts/{font}"))
        {
            var answer = JsonNode.Parse(await removed.Content.ReadAsStringAsync())!;
            Assert.Equal(1, (int)answer["stillNeeded"]!);
        }
        Assert.DoesNotContain((await server.Get("/api/fonts")).AsArray(), entry => (string)entry!["id"]! == font);
        var words = (await server.Get($"/api/projects/{id}/scene"))["elements"]![0]!;
        Assert.Equal(90, (double)words["outline"]!["width"]!, 0.01);
        // The project file brings the font along.
        var file = await server.Client.GetByteArrayAsync($"/api/projects/{id}/project.ullet");
        Assert.True(file.Length > Font.Length / 3);
        var again = await Import("tag.ullet", file);
        var (_, made) = await server.Post("/api/projects", new { importToken = (string)again["token"]! });
        var copy = (await server.Get($"/api/projects/{(string)made["id"]!}/scene"))["elements"]![0]!;
        Assert.Equal((string)words["outlinePath"]!, (string)copy["outlinePath"]!);
        Assert.Contains((await server.Get("/api/fonts")).AsArray(), entry => (string)entry!["id"]! == font);
    }

    [Fact]
    public async Task ShippedFonts_CantBeRemoved()
    {
        using var answer = await server.Client.DeleteAsync("/api/fonts/titan-one");
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
    }

    [Fact]
    public async Task ADrawing_IsPreviewed_Corrected_AndPutOnTheWall()
    {
        var svg =
            "<svg width='2in' height='1in' viewBox='0 0 200 100'><rect width='200' height='100' rx='9'/><text>x</text></svg>";
        var preview = await Import("bed.svg", Encoding.UTF8.GetBytes(svg));
        var drawing = preview["drawing"]!;
        Assert.True((bool)drawing["saysSize"]!);
        Assert.Equal(50.8, (double)drawing["box"]!["width"]!, 0.001);
        Assert.Equal("1 text is not imported.", (string)drawing["leftOut"]![0]!);
        var token = (string)preview["token"]!;
        var (_, wider) = await server.Post($"/api/import/{token}/drawing", new { width = 100 });
        Assert.Equal(50, (double)wider["box"]!["height"]!, 0.001);
        var (id, head) = await server.Blank("Bed marker");
        await server.Edit(
            id,
            head,
            new
            {
                edit = "addDrawing",
                token,
                name = "bed",
            }
        );
        var piece = (await server.Get($"/api/projects/{id}/scene"))["elements"]![0]!;
        Assert.Equal(("bed", 50.8), ((string)piece["name"]!, Math.Round((double)piece["box"]!["width"]!, 3)));
        var (status, problem) = await server.Post(
            $"/api/projects/{id}/edits",
            new { head, edit = new { edit = "addDrawing", token = "gone" } }
        );
        Assert.Equal((409, "head-stale"), (status, (string)problem["code"]!));
    }

    [Fact]
    public async Task ADrawingWithoutUnits_IsAskedFor()
    {
        var preview = await Import(
            "leaf.svg",
            "<svg viewBox='0 0 24 24'><path d='M2 2h20v20h-20z'/></svg>"u8.ToArray()
        );
        Assert.False((bool)preview["drawing"]!["saysSize"]!);
        var (id, head) = await server.Blank("Leaf");
        var edit = new { edit = "addDrawing", token = (string)preview["token"]! };
        var (status, problem) = await server.Post($"/api/projects/{id}/edits", new { head, edit });
        Assert.Equal((400, "units-missing"), (status, (string)problem["code"]!));
    }

    [Fact]
    public async Task ACopy_IsPastedIntoAnotherProject()
    {
        var patch = (await server.Get("/api/projects"))
            .AsArray()
            .First(item => (string)item!["title"]! == "Plot 14 pennant")!;
        var clip = await server.Get($"/api/projects/{(string)patch["id"]!}/clip?elements=e2,e3");
        var (id, head) = await server.Blank("Second pennant");
        await server.Edit(id, head, new { edit = "pasteElements", clip });
        var scene = await server.Get($"/api/projects/{id}/scene");
        Assert.Equal(["Plot", "14"], scene["elements"]!.AsArray().Select(element => (string)element!["name"]!));
        Assert.Contains(scene["cloths"]!.AsArray(), cloth => (string)cloth!["name"]! == "carrot striped cotton");
    }

    [Fact]
    public async Task AMockUp_ShowsThePhotoOfTheCloth()
    {
        var photo = await Import("dots.png", Files.Tests.Pictures.SwatchPicture.Checks());
        Assert.Equal(40, (int)photo["picture"]!["width"]!);
        var (id, head) = await server.Blank("Photo");
        head = await server.Edit(id, head, TestServer.AddHeart);
        var before = await server.Client.GetByteArrayAsync($"/api/projects/{id}/picture.png?size=300&frame=design");
        var cloth = (await server.Get($"/api/projects/{id}/scene"))["cloths"]!
            .AsArray()
            .First(each => (string)each!["id"]! == "clay")!
            .DeepClone();
        cloth["swatch"] = new JsonObject { ["assetId"] = (string)photo["token"]!, ["widthMm"] = 20 };
        await server.Edit(id, head, new { edit = "changeCloth", cloth });
        var after = await server.Client.GetByteArrayAsync($"/api/projects/{id}/picture.png?size=300&frame=design");
        Assert.NotEqual(before, after);
        using var asset = await server.Client.GetAsync($"/api/assets/{(string)photo["token"]!}");
        Assert.Equal("image/png", asset.Content.Headers.ContentType?.MediaType);
        using var wrong = await server.Client.GetAsync($"/api/projects/{id}/picture.png?frame=sideways");
        Assert.Equal(HttpStatusCode.BadRequest, wrong.StatusCode);
    }

    private static JsonNode Of(JsonArray samples, string font) =>
        samples.First(sample => (string)sample!["font"]!["id"]! == font)!;

    private async Task<JsonNode> Import(string name, byte[] file)
    {
        using var form = new MultipartFormDataContent { { new ByteArrayContent(file), "file", name } };
        using var answer = await server.Client.PostAsync("/api/import", form);
        var body = await answer.Content.ReadAsStringAsync();
        Assert.True(answer.IsSuccessStatusCode, body);
        return JsonNode.Parse(body)!;
    }
}
