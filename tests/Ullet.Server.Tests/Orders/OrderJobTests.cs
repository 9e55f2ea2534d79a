using System.IO.Compression;
using System.Security.Cryptography;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests.Orders;

/// <summary>Packets in one go, and what is kept of them.</summary>
public sealed class OrderJobTests(TestServer server) : IClassFixture<TestServer>
{
    private static string Hash(byte[] bytes) => Convert.ToHexStringLower(SHA256.HashData(bytes));

    [Fact]
    public async Task AJob_MakesWhatCanBeMade_AndSaysWhyTheRestFailed()
    {
        var shop = await OrderShop.Open(server.Client);
        var ids = await shop.Order("Ama", "Mira ☃", "Jo");
        var seen = new List<int>();
        var job = await shop.Over(
            await shop.Begin(ids),
            now =>
            {
                seen.Add((int)now["made"]! + (int)now["failed"]!);
                return Task.CompletedTask;
            }
        );
        Assert.Equal(("done", 2, 1), ((string)job["state"]!, (int)job["made"]!, (int)job["failed"]!));
        Assert.Contains("☃", (string)job["items"]![1]!["words"]!, StringComparison.Ordinal);
        Assert.Equal(seen.Order(), seen);
        var zip = await server.Client.GetByteArrayAsync($"/api/jobs/{(string)job["id"]!}/packets.zip");
        using var read = new ZipArchive(new MemoryStream(zip));
        var folders = read.Entries.Select(entry => entry.FullName.Split('/')[0]).Distinct().ToList();
        Assert.Equal(3, folders.Count);
        Assert.Matches(@"^1 Ama \d+x\d+mm$", folders[0]);
        Assert.Equal("summary.csv", folders[2]);
        Assert.Equal(2, read.Entries.Count(entry => entry.Name.EndsWith(".ulst", StringComparison.Ordinal)));
        using var summary = new StreamReader(read.GetEntry("summary.csv")!.Open());
        var told = await summary.ReadToEndAsync();
        Assert.Contains("metres of stitches", told, StringComparison.Ordinal);
        Assert.Contains("2 Mira ☃,", told, StringComparison.Ordinal);
    }

    [Fact]
    public async Task AJob_IsStopped_AndGoesOn_WithNothingMadeTwice()
    {
        var shop = await OrderShop.Open(server.Client);
        var ids = await shop.Order([.. Enumerable.Range(1, 6).Select(i => $"Plot {i}")]);
        var id = await shop.Begin(ids);
        var stopped = await shop.Over(
            id,
            async now =>
            {
                if ((int)now["made"]! == 2)
                {
                    await shop.Post($"/api/jobs/{id}/cancel", new { });
                }
            }
        );
        Assert.Equal("cancelled", (string)stopped["state"]!);
        var made = (int)stopped["made"]!;
        Assert.InRange(made, 2, 5);
        await shop.Post($"/api/jobs/{id}/resume", new { });
        var done = await shop.Over(id);
        Assert.Equal(("done", 6), ((string)done["state"]!, (int)done["made"]!));
        foreach (var order in ids)
        {
            Assert.Single((await shop.Get($"/api/orders/{order}/made")).AsArray());
        }
    }

    [Fact]
    public async Task KeptFiles_AreHandedOutUnchanged_WhateverBecomesOfTheMaster()
    {
        var shop = await OrderShop.Open(server.Client);
        var ids = await shop.Order("Ama", "Jo");
        await shop.Over(await shop.Begin(ids));
        var first = await shop.Packet(ids[0]);
        var made = (await shop.Book())["orders"]![0]!["made"]!;
        Assert.Equal((Hash(first), first.Length), ((string)made["sha256"]!, (int)made["bytes"]!));
        Assert.Equal("Bree Serif", (string)made["fonts"]![0]!);

        await shop.Edit(
            new
            {
                edit = "setLettering",
                elementId = shop.ElementId,
                fontId = "lobster",
            }
        );
        var judged = await shop.Post($"{shop.Path}/judge", new { ids });
        Assert.All(judged.AsArray(), each => Assert.True((bool)each!["differs"]!));
        var anew = await shop.Post($"{shop.Path}/{ids[0]}/anew", new { });
        Assert.Contains(
            "Letters: Bree Serif before, Lobster now.",
            anew["words"]!.AsArray().Select(each => (string)each!)
        );
        Assert.Contains(anew["files"]!.AsArray(), each => ((string)each!).Contains(".ulst", StringComparison.Ordinal));
        Assert.Equal(first, await shop.Packet(ids[0]));

        // Making with today's project keeps the first making beside it.
        await shop.Over(await shop.Begin([ids[0]], anew: true));
        var both = (await shop.Get($"/api/orders/{ids[0]}/made")).AsArray();
        Assert.Equal(2, both.Count);
        Assert.NotEqual(first, await shop.Packet(ids[0]));
        Assert.Equal(
            first,
            await server.Client.GetByteArrayAsync($"/api/orders/{ids[0]}/made/{(long)both[1]!["id"]!}/packet.zip")
        );

        // A deleted master, an emptied bin and made room take nothing of it away.
        using (await server.Client.DeleteAsync($"/api/projects/{shop.Id}")) { }
        await shop.Post(
            "/api/room",
            new
            {
                bin = true,
                history = true,
                unused = true,
            }
        );
        Assert.Equal(
            first,
            await server.Client.GetByteArrayAsync($"/api/orders/{ids[0]}/made/{(long)both[1]!["id"]!}/packet.zip")
        );
        using (await server.Client.PostAsync($"/api/projects/{shop.Id}/restore", null)) { }
        Assert.Equal(2, (await shop.Book())["orders"]!.AsArray().Count);
    }

    [Fact]
    public async Task StatesThatOrdersHoldTo_AreNotThinnedOut()
    {
        var shop = await OrderShop.Open(server.Client);
        var ids = await shop.Order("Ama");
        await shop.Over(await shop.Begin(ids));
        for (var i = 0; i < 4; i++)
        {
            await shop.Edit(new { edit = "renameProject", title = $"Strip {i}" });
        }
        using var scope = server.Services.CreateScope();
        var db = scope.ServiceProvider.GetRequiredService<UlletDb>();
        var held = await db.Orders.Where(order => order.Id == ids[0]).Select(order => order.Revision).FirstAsync();
        var head = await db
            .Projects.Where(project => project.Id == shop.Id)
            .Select(project => project.HeadId)
            .FirstAsync();
        await RevisionThinning.Run(db, shop.Id, head, 1, CancellationToken.None, long.MaxValue);
        var left = await db.Revisions.Where(row => row.ProjectId == shop.Id).Select(row => row.Id).ToListAsync();
        Assert.Contains(held!.Value, left);
        Assert.Equal(2, left.Count);
    }

    [Fact]
    public async Task AMasterWithAStop_MakesNothing_AndSaysWhy()
    {
        var shop = await OrderShop.Open(server.Client);
        var ids = await shop.Order("Ama");
        await shop.Edit(
            new
            {
                edit = "addPiece",
                shape = new { form = "rectangle" },
                box = new
                {
                    x = 0,
                    y = 0,
                    width = 300,
                    height = 60,
                    rotation = 0,
                },
            }
        );
        var judged = (await shop.Post($"{shop.Path}/judge", new { ids }))[0]!;
        Assert.Equal("stop", (string)judged["level"]!);
        var job = await shop.Over(await shop.Begin(ids));
        Assert.Equal(1, (int)job["failed"]!);
        Assert.NotEqual("", (string)job["items"]![0]!["words"]!);
    }

    [Fact]
    public async Task AnOrder_OpensAsAProject_StaysInTheBook_AndIsMadeFromThere()
    {
        var shop = await OrderShop.Open(server.Client);
        var ids = await shop.Order("Ama");
        var own = (string)(await shop.Post($"{shop.Path}/{ids[0]}/project", new { }))["projectId"]!;
        Assert.Equal(own, (string)(await shop.Post($"{shop.Path}/{ids[0]}/project", new { }))["projectId"]!);
        var project = await shop.Get($"/api/projects/{own}");
        Assert.StartsWith("1 Ama", (string)project["project"]!["title"]!, StringComparison.Ordinal);
        var edit = new { edit = "renameProject", title = "By hand" };
        await shop.Post($"/api/projects/{own}/edits", new { head = (long)project["head"]!, edit });
        await shop.Over(await shop.Begin(ids));
        using var zip = new ZipArchive(new MemoryStream(await shop.Packet(ids[0])));
        Assert.Contains(zip.Entries, entry => entry.FullName.StartsWith("By hand", StringComparison.Ordinal));
    }

    [Fact]
    public async Task SeveralInOneHoop_ArePlannedAndMade_AsOneSetOfFiles()
    {
        var shop = await OrderShop.Open(server.Client);
        var ids = await shop.Order("Ama", "Jo", "Mira", "Beck");
        var plans = (await shop.Post($"{shop.Path}/hoopings", new { ids })).AsArray();
        Assert.Equal(4, plans.Sum(plan => plan!["seats"]!.AsArray().Count));
        Assert.All(plans, plan => Assert.True((int)plan!["stops"]! <= (int)plan["stopsOfOne"]!));
        using var picture = await server.Client.GetAsync(
            $"{shop.Path}/hoopings/1/picture.png?ids={string.Join(',', ids)}&size=300"
        );
        Assert.Equal("image/png", picture.Content.Headers.ContentType?.MediaType);
        var job = await shop.Over(await shop.Begin(ids, "hoopings"));
        Assert.Equal(plans.Count, (int)job["made"]!);
        Assert.Equal(await shop.Packet(ids[0]), await shop.Packet(ids[1]));
        Assert.NotNull((await shop.Book())["orders"]![0]!["made"]!["hooping"]);
    }

    [Fact]
    public async Task UnknownJobsAndOrders_AreTold()
    {
        foreach (var path in new[] { "/api/jobs/none", "/api/jobs/none/packets.zip", "/api/orders/none/packet.zip" })
        {
            using var answer = await server.Client.GetAsync(path);
            Assert.Equal(404, (int)answer.StatusCode);
            var problem = JsonNode.Parse(await answer.Content.ReadAsStringAsync())!;
            Assert.NotNull(problem["code"]);
        }
    }
}
