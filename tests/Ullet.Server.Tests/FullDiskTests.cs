using System.Data.Common;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Diagnostics;
using Microsoft.Extensions.DependencyInjection;
using Ullet.Server.Data;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

/// <summary>A disk that is full: said as such, while reading and exporting go on.</summary>
public sealed class FullDiskTests : IDisposable
{
    private readonly NoMorePages _limit = new();
    private readonly TestServer _server;

    public FullDiskTests() =>
        _server = new TestServer(services =>
            services.AddDbContext<UlletDb>((_, db) => db.AddInterceptors(_limit), ServiceLifetime.Scoped)
        );

    public void Dispose() => _server.Dispose();

    [Fact]
    public async Task FullDisk_IsSaidAsSuch_AndWhatIsSavedCanBeReadAndExported()
    {
        var (id, head) = await _server.Blank("Full plot");
        head = await _server.Edit(id, head, TestServer.AddHeart);
        _limit.IsFull = true;
        for (var i = 0; i < 40; i++)
        {
            var (status, body) = await _server.Post("/api/projects", new { title = $"One more {i}" });
            if (status != 201)
            {
                Assert.Equal((507, "disk-full"), (status, (string)body["code"]!));
                Assert.Contains("Make room", (string)body["detail"]!, StringComparison.Ordinal);
                break;
            }
        }
        Assert.Equal(507, (await _server.Post("/api/projects", new { title = "Last" })).Status);
        foreach (var path in new[] { "scene", "program.ulst", "cut.svg", "packet.zip" })
        {
            using var answer = await _server.Client.GetAsync($"/api/projects/{id}/{path}");
            Assert.True(answer.IsSuccessStatusCode, path);
        }
        _limit.IsFull = false;
        await _server.Edit(id, head, TestServer.AddHeart);
    }

    /// <summary>Allows the database no page more than it has: SQLite answers as on a full disk.</summary>
    private sealed class NoMorePages : DbConnectionInterceptor
    {
        internal bool IsFull { get; set; }

        public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData) =>
            Limit(connection);

        public override Task ConnectionOpenedAsync(
            DbConnection connection,
            ConnectionEndEventData eventData,
            CancellationToken cancellationToken = default
        )
        {
            Limit(connection);
            return Task.CompletedTask;
        }

        private void Limit(DbConnection connection)
        {
            using var command = connection.CreateCommand();
            command.CommandText = IsFull ? "PRAGMA max_page_count=1" : "PRAGMA max_page_count=1000000";
            command.ExecuteNonQuery();
        }
    }
}
