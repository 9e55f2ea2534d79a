using System.IO.Compression;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class StitchApiTests(TestServer server) : IClassFixture<TestServer>
{
    private const string Path = "G21\nG1 X0 Y0\nG1 X20 Y0\nG1 X20 Y15\nG1 X0 Y15\nG1 X0 Y0\n";

    [Fact]
    public async Task AFile_IsPreviewed_Opened_KeptAsItCame_AndHandedOutAgain()
    {
        var (source, file) = await Heart();
        var preview = (await Send(("heart.ulst", file)))["files"]!.AsArray().Single()!;
        Assert.Equal("stitchList", (string)preview["format"]!);
        Assert.Equal(
            ["placement", "tack-down", "cover"],
            preview["blocks"]!.AsArray().Select(block => (string)block!["words"]!)
        );
        Assert.Contains(preview["blocks"]!.AsArray(), block => block!["hands"]!.AsArray().Count > 0);

        var (id, head) = await server.Blank();
        head = await server.Edit(id, head, Open(preview, "heart"));
        var scene = await server.Get($"/api/projects/{id}/scene");
        var original = await server.Get($"/api/projects/{source}/scene");
        Assert.Equal((int)original["stitchCount"]!, (int)scene["stitchCount"]!);
        Assert.Equal((int)original["stopCount"]!, (int)scene["stopCount"]!);
        var asset = (string)scene["elements"]![0]!["making"]!["asset"]!;
        Assert.Equal(file, await server.Client.GetByteArrayAsync($"/api/stitches/{asset}/file"));
        var needle = await server.Client.GetByteArrayAsync(
            $"/api/projects/{id}/elements/{scene["elements"]![0]!["id"]}/needle"
        );
        Assert.Equal(0, needle.Length % 8);
        Assert.True(needle.Length > 8 * (int)scene["elements"]![0]!["form"]!["stitches"]!);
    }

    [Fact]
    public async Task TheImportDoor_TakesStitches_AndTellsTheirUnit()
    {
        using var form = new MultipartFormDataContent
        {
            { new ByteArrayContent(Encoding.UTF8.GetBytes(Path)), "file", "path.gcode" },
        };
        using var answer = await server.Client.PostAsync("/api/import", form);
        var preview = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
        Assert.Equal(("stitches", "path"), ((string)preview["kind"]!, (string)preview["name"]!));
        Assert.Equal((string)preview["token"]!, (string)preview["stitches"]!["token"]!);
        Assert.Equal(1, (double)preview["stitches"]!["mmPerUnit"]!);
        Assert.True((bool)preview["stitches"]!["isYUp"]!);
        Assert.Equal(20, (double)preview["stitches"]!["width"]!, 0.01);
    }

    [Fact]
    public async Task SeveralSizesInAZip_AreListed_AndExchanged_KeepingThePlace()
    {
        var (_, small) = await Heart(40);
        var (_, large) = await Heart(60);
        var sent = (
            await Send(
                ("heart.zip", Zip(("small.ulst", small), ("large.ulst", large), ("read me.txt", "no"u8.ToArray())))
            )
        )["files"]!.AsArray();
        Assert.Equal(["small", "large"], sent.Select(file => (string)file!["name"]!));
        var (id, head) = await server.Blank();
        var sizes = sent.Select(file => new
        {
            name = (string)file!["name"]!,
            asset = (string)file["token"]!,
            width = (double)file["width"]!,
            height = (double)file["height"]!,
        });
        head = await server.Edit(
            id,
            head,
            new
            {
                edit = "openStitches",
                token = (string)sent[0]!["token"]!,
                name = "small",
                sizes,
            }
        );
        var first = (await server.Get($"/api/projects/{id}/scene"))["elements"]![0]!;
        head = await server.Edit(
            id,
            head,
            new
            {
                edit = "setOpened",
                elementIds = new[] { (string)first["id"]! },
                role = "decoration",
            }
        );
        await server.Edit(
            id,
            head,
            new
            {
                edit = "exchangeSize",
                fileId = (string)first["making"]!["fileId"]!,
                asset = (string)sent[1]!["token"]!,
            }
        );
        var after = (await server.Get($"/api/projects/{id}/scene"))["elements"]![0]!;
        Assert.InRange((double)after["box"]!["width"]!, 59, 61);
        Assert.Equal((double)first["box"]!["x"]!, (double)after["box"]!["x"]!, 1);
        Assert.Equal("decoration", (string)after["making"]!["role"]!);
    }

    [Fact]
    public async Task AForeignTable_AsksForItsColumns_AndAnswersWhenTheyAreNamed()
    {
        var preview = (await Send(("own.csv", "colour,across,down\nred,0,0\nred,9,0\nred,9,7\n"u8.ToArray())))[
            "files"
        ]![0]!;
        Assert.NotNull(preview["unread"]);
        Assert.Empty(preview["blocks"]!.AsArray());
        var (status, read) = await server.Post(
            $"/api/stitches/{preview["token"]}/preview",
            new { columns = new[] { -1, -1, -1, 1, 2, 0 } }
        );
        Assert.Equal((200, 3), (status, (int)read["stitches"]!));
        Assert.False((bool)read["saysUnit"]!);
    }

    [Fact]
    public async Task Comparing_AFileWithTheProject_TellsWhatMoved()
    {
        var (id, file) = await Heart();
        var token = (string)(await Send(("heart.ulst", file)))["files"]![0]!["token"]!;
        var (_, same) = await server.Post("/api/stitches/compare", new { first = token, projectId = id });
        Assert.True((bool)same["isSame"]!);
        var scene = await server.Get($"/api/projects/{id}/scene");
        await server.Edit(
            id,
            (long)scene["head"]!,
            new
            {
                edit = "moveDesign",
                x = 4,
                y = 0,
            }
        );
        var (_, moved) = await server.Post("/api/stitches/compare", new { first = token, projectId = id });
        Assert.False((bool)moved["isSame"]!);
        // Lines are the same elsewhere; a cover is stitched anew, and may have single needle points elsewhere.
        Assert.All(moved["blocks"]!.AsArray().Take(2), block => Assert.Equal("moved", (string)block!["fate"]!));
        Assert.All(moved["blocks"]!.AsArray(), block => Assert.NotEqual("same", (string)block!["fate"]!));
    }

    [Fact]
    public async Task AProjectFile_BringsTheStitchFileAlong_AndTheSweepKeepsIt()
    {
        var preview = (await Send(("path.nc", Encoding.UTF8.GetBytes(Path + "G1 X3 Y3\n"))))["files"]![0]!;
        var (id, head) = await server.Blank();
        await server.Edit(id, head, Open(preview, "path"));
        var exported = await server.Client.GetByteArrayAsync($"/api/projects/{id}/project.ullet");
        using var zip = new ZipArchive(new MemoryStream(exported));
        Assert.Contains(zip.Entries, entry => entry.FullName == $"assets/stitches-{preview["token"]}");
        using var scope = server.Services.CreateScope();
        await scope.ServiceProvider.GetRequiredService<AssetSweep>().Run(TimeSpan.FromDays(-1), CancellationToken.None);
        var token = (string)preview["token"]!;
        Assert.True(
            await scope.ServiceProvider.GetRequiredService<UlletDb>().Assets.AnyAsync(asset => asset.Sha256 == token)
        );
    }

    [Fact]
    public async Task Parts_AreKept_Found_Dropped_AndTakenOff()
    {
        var (_, file) = await Heart();
        var preview = (await Send(("heart.ulst", file)))["files"]![0]!;
        var (id, head) = await server.Blank();
        await server.Edit(id, head, Open(preview, "heart"));
        var ids = (await server.Get($"/api/projects/{id}/scene"))["elements"]!
            .AsArray()
            .Select(element => (string)element!["id"]!)
            .ToArray();
        var (status, kept) = await server.Post(
            "/api/parts",
            new
            {
                projectId = id,
                elementIds = ids,
                name = "Rose heart",
                tags = new[] { "bed" },
            }
        );
        Assert.Equal(201, status);
        var found = Assert.Single((await server.Get("/api/parts?search=bed+rose")).AsArray())!;
        Assert.Equal((3, 2), ((int)found["elements"]!, found["hands"]!.AsArray().Count));
        Assert.Empty((await server.Get("/api/parts?search=zip")).AsArray());
        var (other, at) = await server.Blank();
        await server.Edit(
            other,
            at,
            new
            {
                edit = "dropPart",
                partId = (string)kept["id"]!,
                x = 5,
                y = 5,
            }
        );
        Assert.Equal(3, (await server.Get($"/api/projects/{other}/scene"))["elements"]!.AsArray().Count);
        var gone = await server.Client.DeleteAsync($"/api/parts/{kept["id"]}", TestContext.Current.CancellationToken);
        Assert.Equal(204, (int)gone.StatusCode);
        Assert.Empty((await server.Get("/api/parts")).AsArray());
    }

    [Theory]
    [InlineData("a.ulst", "ullet-stitch-list 3\ntitle \"x\"\n", "stitch-list-broken")]
    [InlineData("a.nc", "G21\nG1 X0 Y0\nM98 P1\n", "needle-path-broken")]
    [InlineData("a.csv", "step,block,command,x,y,thread\n1,1,stitch,1,1,1\n", "stitches-none")]
    [InlineData("a.csv", "nothing at all", "stitches-foreign")]
    public async Task WhatCantBeOpened_GetsASentence_AndNothingIsKept(string name, string text, string code)
    {
        using var form = Form((name, Encoding.UTF8.GetBytes(text)));
        using var answer = await server.Client.PostAsync("/api/stitches", form, TestContext.Current.CancellationToken);
        var said = JsonNode.Parse(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!;
        Assert.Equal(code, (string)said["code"]!);
        Assert.InRange((int)answer.StatusCode, 400, 422);
    }

    [Fact]
    public async Task ABrokenZip_AndUnknownTokens_AreRefused()
    {
        using var form = Form(("a.zip", [(byte)'P', (byte)'K', 3, 4, 9, 9, 9]));
        using var answer = await server.Client.PostAsync("/api/stitches", form, TestContext.Current.CancellationToken);
        Assert.InRange((int)answer.StatusCode, 400, 422);
        Assert.Equal(404, (await server.Post("/api/stitches/nothing/preview", new { })).Status);
        Assert.Equal(
            404,
            (await server.Post("/api/stitches/compare", new { first = "nothing", second = "nothing" })).Status
        );
    }

    private async Task<(string Id, byte[] File)> Heart(double size = 50)
    {
        var (id, head) = await server.Blank($"Heart {size}");
        await server.Edit(
            id,
            head,
            new
            {
                edit = "addPiece",
                shape = new { form = "heart" },
                box = new
                {
                    x = 0,
                    y = 0,
                    width = size,
                    height = size,
                    rotation = 0,
                },
            }
        );
        return (id, await server.Client.GetByteArrayAsync($"/api/projects/{id}/program.ulst"));
    }

    private static object Open(JsonNode preview, string name) =>
        new
        {
            edit = "openStitches",
            token = (string)preview["token"]!,
            name,
        };

    private async Task<JsonNode> Send(params (string Name, byte[] Bytes)[] files)
    {
        using var form = Form(files);
        using var answer = await server.Client.PostAsync("/api/stitches", form, TestContext.Current.CancellationToken);
        var body = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        Assert.True(answer.IsSuccessStatusCode, body);
        return JsonNode.Parse(body)!;
    }

    private static MultipartFormDataContent Form(params (string Name, byte[] Bytes)[] files)
    {
        var form = new MultipartFormDataContent();
        foreach (var (name, bytes) in files)
        {
            form.Add(new ByteArrayContent(bytes), "files", name);
        }
        return form;
    }

    private static byte[] Zip(params (string Name, byte[] Bytes)[] entries)
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, leaveOpen: true))
        {
            foreach (var (name, bytes) in entries)
            {
                using var entry = zip.CreateEntry(name).Open();
                entry.Write(bytes);
            }
        }
        return stream.ToArray();
    }
}
