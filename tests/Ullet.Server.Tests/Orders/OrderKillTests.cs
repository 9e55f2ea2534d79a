using System.Text.Json.Nodes;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests.Orders;

/// <summary>The real server, killed in the middle of a job, again and again: no order is made twice, none is lost.</summary>
public sealed class OrderKillTests : IDisposable
{
    private const int Kills = 10;

    private readonly string _data = Directory.CreateTempSubdirectory("ullet-orders-").FullName;

    public void Dispose() => Directory.Delete(_data, recursive: true);

    [Fact]
    public async Task AJob_GoesOnAfterEveryKill()
    {
        var server = await ServerProcess.Start(_data);
        var client = new HttpClient { BaseAddress = server.Address };
        try
        {
            var shop = await OrderShop.Open(client);
            var ids = await shop.Order([.. Enumerable.Range(1, Kills + 4).Select(i => $"Plot {i}")]);
            var job = await shop.Begin(ids);
            var seen = 0;
            for (var kill = 0; kill < Kills; kill++)
            {
                seen = await OneMore(client, job, seen);
                server.Dispose();
                client.Dispose();
                server = await ServerProcess.Start(_data);
                client = new HttpClient { BaseAddress = server.Address };
            }
            shop = new OrderShop(client, shop.Id);
            var done = await shop.Over(job);
            Assert.Equal(("done", ids.Count), ((string)done["state"]!, (int)done["made"]!));
            foreach (var id in ids)
            {
                Assert.Single((await shop.Get($"/api/orders/{id}/made")).AsArray());
                Assert.True((await shop.Packet(id)).Length > 1000);
            }
        }
        finally
        {
            client.Dispose();
            server.Dispose();
        }
    }

    /// <summary>Follows the job until it has made one more than was seen before, or is over.</summary>
    private static async Task<int> OneMore(HttpClient client, string job, int seen)
    {
        using var stream = await client.GetStreamAsync($"/api/jobs/{job}/events");
        using var lines = new StreamReader(stream);
        while (await lines.ReadLineAsync() is { } line)
        {
            if (line.StartsWith("data: ", StringComparison.Ordinal))
            {
                var made = (int)JsonNode.Parse(line[6..])!["made"]!;
                if (made > seen)
                {
                    return made;
                }
            }
        }
        return seen;
    }
}
