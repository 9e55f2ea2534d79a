using System.Net.Http.Headers;
using System.Text;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class AssetTests(TestServer server) : IClassFixture<TestServer>
{
    private static readonly DateTimeOffset Long = TimeProvider.System.GetUtcNow().AddDays(-31);

    [Fact]
    public async Task SameFile_SentTwelveTimesAtOnce_IsTakenTwelveTimes()
    {
        var drawing = Drawing(radius: 15);
        var answers = await Task.WhenAll(Enumerable.Range(0, 12).Select(_ => Upload(drawing)));
        Assert.All(answers, status => Assert.Equal(200, status));
    }

    [Fact]
    public async Task WhatNothingNames_GoesAfterThirtyDays_WhatIsNamedStays()
    {
        var (id, head) = await server.Blank("Pictures");
        await Keep("named", AssetStore.PictureKind, new string('a', 64));
        await Keep("unnamed", AssetStore.PictureKind, new string('b', 64));
        await Keep("token", ImportedDrawings.Kind, new string('c', 64));
        await Keep("font", AssetStore.FontKind, new string('d', 64));
        await Keep("removed", AssetStore.RemovedFontKind, new string('e', 64));
        await Keep("fresh", ImportedDrawings.Kind, new string('f', 64), TimeProvider.System.GetUtcNow());
        var cloth = new
        {
            edit = "addCloth",
            name = "bean print",
            colour = "#112233",
            swatch = new { assetId = new string('a', 64), widthMm = 40 },
        };
        await server.Edit(id, head, cloth);
        using var scope = server.Services.CreateScope();
        await scope.ServiceProvider.GetRequiredService<AssetSweep>().Run(AssetSweep.Kept, CancellationToken.None);
        var left = await scope
            .ServiceProvider.GetRequiredService<UlletDb>()
            .Assets.Where(asset => asset.Bytes.Length < 10)
            .Select(asset => asset.Sha256.Substring(0, 1))
            .ToListAsync();
        Assert.Equal(["a", "d", "f"], left.Order());
    }

    [Fact]
    public async Task Room_IsTold_AndMade()
    {
        await Keep("stale", ImportedDrawings.Kind, new string('9', 64));
        var (id, _) = await server.Blank("For the bin");
        using var gone = await server.Client.DeleteAsync($"/api/projects/{id}");
        var before = await server.Get("/api/room");
        Assert.True((long)before["bin"]! > 0 && (long)before["unused"]! > 0 && (long)before["total"]! > 0);
        var (status, after) = await server.Post("/api/room", new { unused = true, bin = true });
        Assert.Equal(200, status);
        Assert.Equal((0, 0), ((long)after["bin"]!, (long)after["unused"]!));
        Assert.True((long)after["projects"]! > 0);
    }

    private async Task Keep(string what, string kind, string hash, DateTimeOffset? at = null)
    {
        using var scope = server.Services.CreateScope();
        var db = scope.ServiceProvider.GetRequiredService<UlletDb>();
        db.Assets.Add(
            new AssetRow
            {
                Sha256 = hash,
                Kind = kind,
                Bytes = Encoding.UTF8.GetBytes(what),
                CreatedAt = (at ?? Long).ToUnixTimeMilliseconds(),
            }
        );
        await db.SaveChangesAsync();
    }

    private async Task<int> Upload(byte[] file)
    {
        using var part = new ByteArrayContent(file);
        part.Headers.ContentType = new MediaTypeHeaderValue("image/svg+xml");
        using var form = new MultipartFormDataContent { { part, "file", "circle.svg" } };
        using var answer = await server.Client.PostAsync("/api/import", form);
        return (int)answer.StatusCode;
    }

    private static byte[] Drawing(int radius) =>
        Encoding.UTF8.GetBytes(
            $"<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"40mm\" height=\"40mm\" viewBox=\"0 0 40 40\"><circle cx=\"20\" cy=\"20\" r=\"{radius}\"/></svg>"
        );
}
