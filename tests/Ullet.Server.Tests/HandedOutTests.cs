using System.IO.Compression;
using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class HandedOutTests(TestServer server) : IClassFixture<TestServer>
{
    [Theory]
    [InlineData("program.ulst", ".ulst")]
    [InlineData("program.csv", ".csv")]
    [InlineData("cut.svg?cloth=clay", ".svg")]
    [InlineData("cut.dxf?cloth=clay", ".dxf")]
    [InlineData("booklet.pdf", "booklet.pdf")]
    [InlineData("project.ullet", ".ullet")]
    [InlineData("picture.png?size=400&hand=true", ".png")]
    [InlineData("packet.zip?folder=For%20Ada", "For Ada.zip")]
    public async Task WhatWentOut_ComesTheSameAgain_ByteForByte_AfterTheProjectChanged(string file, string ending)
    {
        var (id, head) = await Heart();
        var went = await server.Client.GetByteArrayAsync($"/api/projects/{id}/{file}");
        await server.Edit(id, head, TestServer.AddHeart);
        var entry = Assert.Single(await Handed(id))!;
        Assert.EndsWith(ending, (string)entry["name"]!, StringComparison.Ordinal);
        Assert.Equal((went.Length, head), ((int)entry["length"]!, (long)entry["revision"]!));
        Assert.False((bool)entry["isOfNow"]!);
        using var again = await server.Client.GetAsync($"/api/projects/{id}/handed-out/{entry["id"]}");
        Assert.Equal(went, await again.Content.ReadAsByteArrayAsync());
        Assert.Equal((string)entry["name"]!, again.Content.Headers.ContentDisposition!.FileNameStar);
    }

    [Fact]
    public async Task TheSameFile_TwiceFromOneState_IsOneEntry_AndWhatIsOnlyLookedAtIsNone()
    {
        var (id, _) = await Heart();
        await server.Client.GetByteArrayAsync($"/api/projects/{id}/program.ulst?trial=true");
        await server.Client.GetByteArrayAsync($"/api/projects/{id}/cut.svg?cloth=clay&trial=true");
        await server.Client.GetByteArrayAsync($"/api/projects/{id}/picture.png?size=400");
        Assert.Empty(await Handed(id));
        var first = await server.Client.GetByteArrayAsync($"/api/projects/{id}/packet.zip");
        Assert.Equal(first, await server.Client.GetByteArrayAsync($"/api/projects/{id}/packet.zip"));
        Assert.Single(await Handed(id));
    }

    [Fact]
    public async Task ThePacket_HoldsWhatItsListSays()
    {
        var (id, _) = await Heart();
        var list = await server.Get($"/api/projects/{id}/packet");
        var zip = await server.Client.GetByteArrayAsync($"/api/projects/{id}/packet.zip");
        using var archive = new ZipArchive(new MemoryStream(zip));
        Assert.Equal(
            list["files"]!.AsArray().Select(file => (string)file!["name"]!),
            archive.Entries.Select(entry => entry.FullName)
        );
        Assert.All(list["files"]!.AsArray(), file => Assert.NotEmpty((string)file!["what"]!));
        Assert.StartsWith("Handed heart", (string)list["folder"]!, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("packet.zip?folder=a/b%3Ac", 200, "a b c.zip")]
    [InlineData("packet.zip?folder=%20", 200, null)]
    public async Task AFoldersName_IsWhatFileSystemsTake(string file, int status, string? name)
    {
        var (id, _) = await Heart();
        using var answer = await server.Client.GetAsync($"/api/projects/{id}/{file}");
        Assert.Equal(status, (int)answer.StatusCode);
        Assert.Equal(
            name ?? (string)(await server.Get($"/api/projects/{id}/packet"))["folder"]! + ".zip",
            answer.Content.Headers.ContentDisposition!.FileNameStar
        );
        using var long1 = await server.Client.GetAsync($"/api/projects/{id}/packet.zip?folder={new string('x', 300)}");
        Assert.Equal(400, (int)long1.StatusCode);
    }

    [Fact]
    public async Task MakingRoom_LeavesTheNewestOfEachName()
    {
        var (id, head) = await Heart();
        for (var i = 0; i < 3; i++)
        {
            await server.Client.GetByteArrayAsync($"/api/projects/{id}/project.ullet");
            head = await server.Edit(id, head, TestServer.AddHeart);
        }
        Assert.Equal(3, (await Handed(id)).Count);
        var newest = (long)(await Handed(id))[0]!["id"]!;
        var (_, before) = await server.Post("/api/room", new { });
        var (_, after) = await server.Post("/api/room", new { handed = true });
        Assert.True((long)after["handed"]! < (long)before["handed"]!);
        Assert.Equal([newest], (await Handed(id)).Select(entry => (long)entry!["id"]!));
        using var gone = await server.Client.GetAsync($"/api/projects/{id}/handed-out/{newest - 1}");
        Assert.Equal(404, (int)gone.StatusCode);
    }

    private async Task<(string Id, long Head)> Heart()
    {
        var (id, head) = await server.Blank("Handed heart");
        return (
            id,
            await server.Edit(
                id,
                head,
                new
                {
                    edit = "addPiece",
                    shape = new { form = "heart" },
                    clothId = "clay",
                    method = "cutBeforehand",
                }
            )
        );
    }

    private async Task<JsonArray> Handed(string id) => (await server.Get($"/api/projects/{id}/handed-out")).AsArray();
}
