using System.IO.Compression;
using System.Net;
using System.Text;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

/// <summary>Cut files, what is out of date, coupons, and DXF coming in.</summary>
public sealed class CutApiTests(TestServer server) : IClassFixture<TestServer>
{
    [Theory]
    [InlineData("svg", "image/svg+xml", "<?xml")]
    [InlineData("dxf", "image/vnd.dxf", "999")]
    [InlineData("eps", "application/postscript", "%!PS")]
    [InlineData("pdf", "application/pdf", "%PDF")]
    [InlineData("png", "image/png", "PNG")]
    public async Task CutFile_InEachFormat_HasItsTypeAndAName(string format, string type, string begins)
    {
        var id = await Demo("Plot 14 pennant");
        using var answer = await server.Client.GetAsync($"/api/projects/{id}/cut.{format}?cloth=straw&trial=true");
        Assert.Equal(type, answer.Content.Headers.ContentType!.MediaType);
        Assert.Equal(
            $"Plot 14 pennant cut straw felt 168x184mm.{format}",
            answer.Content.Headers.ContentDisposition!.FileNameStar
        );
        Assert.Contains(
            begins,
            Encoding.Latin1.GetString(await answer.Content.ReadAsByteArrayAsync())[..20].Trim(),
            StringComparison.Ordinal
        );
    }

    [Theory]
    [InlineData("cut.docx?cloth=straw", "format-unknown")]
    [InlineData("cut.0?cloth=straw", "format-unknown")]
    [InlineData("cut.pdf?cloth=straw&paper=napkin", "paper-unknown")]
    [InlineData("cut.png?cloth=straw&dpi=9", "dpi-out-of-range")]
    [InlineData("cut.svg?cloth=straw&sheet=7", "sheet-unknown")]
    [InlineData("cut.svg?cloth=straw&sheet=abc", "request-broken")]
    [InlineData("scissors.pdf?paper=napkin", "paper-unknown")]
    public async Task CutFile_WishedImpossibly_IsRefusedWithASentence(string address, string code)
    {
        var id = await Demo("Plot 14 pennant");
        using var answer = await server.Client.GetAsync($"/api/projects/{id}/{address}");
        var problem = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        Assert.Equal(code, (string)problem["code"]!);
        Assert.EndsWith(".", (string)problem["detail"]!, StringComparison.Ordinal);
    }

    [Fact]
    public async Task Sheets_OfAClothThatNeedsSeveral_AreAskedForByNumber()
    {
        var id = await Demo("Seed-packet pouch");
        var scene = await server.Get($"/api/projects/{id}/scene");
        var several = scene["cutCloths"]!.AsArray().First(cloth => (int)cloth!["sheets"]! > 1)!;
        var cloth = (string)several["clothId"]!;
        using var missing = await server.Client.GetAsync($"/api/projects/{id}/cut.svg?cloth={cloth}");
        await BadInputTests.AssertProblem(missing, HttpStatusCode.BadRequest, "sheet-missing");
        using var second = await server.Client.GetAsync($"/api/projects/{id}/cut.svg?cloth={cloth}&sheet=2&trial=true");
        Assert.Contains(
            "sheet-2-of-2",
            second.Content.Headers.ContentDisposition!.FileNameStar,
            StringComparison.Ordinal
        );
    }

    [Fact]
    public async Task Export_IsOutOfDate_WhenTheStitchingChanges_AndNotWhenTheMatIsRearranged()
    {
        var id = await Copy("Plot 14 pennant");
        await server.Client.GetByteArrayAsync($"/api/projects/{id}/cut.dxf?cloth=straw&trial=true");
        Assert.Empty((await server.Get($"/api/projects/{id}/exports")).AsArray());
        await server.Client.GetByteArrayAsync($"/api/projects/{id}/cut.svg?cloth=straw");
        await server.Client.GetByteArrayAsync($"/api/projects/{id}/cut.svg?element=e1");
        Assert.Equal([true, true], await Currency(id));
        await Edit(
            id,
            new
            {
                edit = "placeShape",
                clothId = "straw",
                key = "e1.0",
                x = 60.0,
                y = 40.0,
            }
        );
        Assert.Equal([true, true], await Currency(id));
        await Edit(
            id,
            new
            {
                edit = "placeElement",
                elementId = "e1",
                width = 165.0,
            }
        );
        Assert.Equal([false, false], await Currency(id));
        await server.Client.GetByteArrayAsync($"/api/projects/{id}/cut.svg?cloth=straw");
        Assert.Equal([false, true], await Currency(id));
        await server.Post($"/api/projects/{id}/undo", new { head = await Head(id) });
        Assert.Equal([true, false], await Currency(id));
    }

    [Fact]
    public async Task Packet_HasACutFolder_AndCountsAsExport()
    {
        var id = await Copy("Plot 14 pennant");
        await server.Client.GetByteArrayAsync($"/api/projects/{id}/packet.zip");
        var exports = (await server.Get($"/api/projects/{id}/exports")).AsArray();
        Assert.Equal(6, exports.Count);
        Assert.Equal(["dxf", "svg"], exports.Select(each => (string)each!["format"]!).Distinct().Order());
    }

    [Fact]
    public async Task Scene_SaysHowEachClothIsCut()
    {
        var id = await Copy("Plot 14 pennant");
        await Edit(
            id,
            new
            {
                edit = "mirrorCloth",
                clothId = "carrot",
                lies = "filmDown",
            }
        );
        var scene = await server.Get($"/api/projects/{id}/scene");
        var carrot = scene["cutCloths"]!.AsArray().First(cloth => (string)cloth!["clothId"]! == "carrot")!;
        Assert.Equal(
            ("iron-on film, carrier down", true),
            ((string)carrot["mirrorReason"]!, (bool)carrot["isMirrored"]!)
        );
        var shape = scene["sheets"]!.AsArray().First(sheet => (string)sheet!["clothId"]! == "carrot")!["shapes"]![0]!;
        var size = shape["size"]!;
        Assert.Equal((double)size["width"]! * 96 / 72, (double)size["at72"]!, 1e-6);
        Assert.StartsWith("84.0 mm or 3.31 in", (string)size["typed"]!, StringComparison.Ordinal);
        // The wall is carried to the mat mirrored: the first number of the map is negative.
        Assert.Equal(-1, (double)shape["toMat"]![0]!);
    }

    [Fact]
    public async Task Coupon_IsAProjectOfItsOwn()
    {
        var id = await Demo("Plot 14 pennant");
        var (status, made) = await server.Post($"/api/projects/{id}/coupon", new { clothId = "straw" });
        Assert.Equal(201, status);
        var scene = await server.Get($"/api/projects/{(string)made["id"]!}/scene");
        Assert.Equal("Coupon, straw felt", (string)scene["title"]!);
        Assert.Equal("straw", (string)scene["cutCloths"]!.AsArray().Single()!["clothId"]!);
        var (missing, _) = await server.Post($"/api/projects/{id}/coupon", new { clothId = "silk" });
        Assert.Equal(404, missing);
    }

    [Fact]
    public async Task Dxf_ThatWasExported_ComesInAtItsSize()
    {
        var id = await Demo("Plot 14 pennant");
        var file = await server.Client.GetByteArrayAsync($"/api/projects/{id}/cut.dxf?cloth=straw&trial=true");
        using var form = new MultipartFormDataContent { { new ByteArrayContent(file), "file", "pennant.dxf" } };
        using var answer = await server.Client.PostAsync("/api/import", form);
        var preview = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        Assert.True((bool)preview["drawing"]!["saysSize"]!);
        Assert.Equal(168, (double)preview["drawing"]!["box"]!["width"]!, 0.05);
        var (_, blank) = await server.Post("/api/projects", new { title = "From DXF" });
        var made = (string)blank["id"]!;
        await Edit(made, new { edit = "addDrawing", token = (string)preview["token"]! });
        var scene = await server.Get($"/api/projects/{made}/scene");
        Assert.Equal(184, (double)scene["elements"]![0]!["outline"]!["height"]!, 0.05);
    }

    [Fact]
    public async Task Photo_OnTheMat_GoesAlongInTheProjectFile()
    {
        var id = await Copy("Plot 14 pennant");
        var picture = await server.Client.GetByteArrayAsync($"/api/projects/{id}/picture.png?size=64");
        using var form = new MultipartFormDataContent { { new ByteArrayContent(picture), "file", "print.png" } };
        using var answer = await server.Client.PostAsync("/api/import", form);
        var token = (string)JsonNode.Parse(await answer.Content.ReadAsStringAsync())!["token"]!;
        await Edit(
            id,
            new
            {
                edit = "setMatPhoto",
                clothId = "straw",
                photo = new
                {
                    picture = token,
                    width = 200.0,
                    x = 12.0,
                    y = 14.0,
                },
            }
        );
        var scene = await server.Get($"/api/projects/{id}/scene");
        var straw = scene["cutCloths"]!.AsArray().First(cloth => (string)cloth!["clothId"]! == "straw")!;
        Assert.Equal(token, (string)straw["cut"]!["photo"]!["picture"]!);
        var file = await server.Client.GetByteArrayAsync($"/api/projects/{id}/project.ullet");
        using var zip = new ZipArchive(new MemoryStream(file));
        Assert.Contains(zip.Entries, entry => entry.FullName.Contains(token, StringComparison.Ordinal));
    }

    private async Task<List<bool>> Currency(string id) =>
        [.. (await server.Get($"/api/projects/{id}/exports")).AsArray().Select(each => (bool)each!["isCurrent"]!)];

    private async Task<long> Head(string id) => (long)(await server.Get($"/api/projects/{id}/scene"))["head"]!;

    private async Task Edit(string id, object edit)
    {
        var (status, answer) = await server.Post($"/api/projects/{id}/edits", new { head = await Head(id), edit });
        Assert.True(status == 200, answer.ToJsonString());
    }

    private async Task<string> Demo(string title) =>
        (string)(await server.Get("/api/projects")).AsArray().First(item => (string)item!["title"]! == title)!["id"]!;

    private async Task<string> Copy(string title)
    {
        var (_, made) = await server.Post($"/api/projects/{await Demo(title)}/copy", new { });
        return (string)made["id"]!;
    }
}
