using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

public sealed class DatabaseTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public void Model_HasNoChangeWithoutAMigration()
    {
        using var scope = server.Services.CreateScope();
        Assert.False(scope.ServiceProvider.GetRequiredService<UlletDb>().Database.HasPendingModelChanges());
    }

    /// <summary>A rescue reads rows off damaged pages by how many columns they have: a column more has to be told there.</summary>
    [Theory]
    [InlineData("Projects", 13)]
    [InlineData("Revisions", 7)]
    [InlineData("Assets", 4)]
    public void Tables_HaveTheColumns_ThatARescueLooksFor(string table, int columns)
    {
        using var connection = PlainSql.Open(server.DataFolder);
        Assert.Equal(
            columns,
            PlainSql.Rows(connection, $"SELECT COUNT(*) FROM pragma_table_info('{table}')", row => row.GetInt32(0))[0]
        );
    }

    [Fact]
    public async Task Thinning_KeepsTheNewestTheHoursLastAndTheHead_AndTiesTheRestTogether()
    {
        using var scope = server.Services.CreateScope();
        var db = scope.ServiceProvider.GetRequiredService<UlletDb>();
        const long Hour = 3_600_000;
        var project = new ProjectRow { Id = "thin", Title = "Thin" };
        db.Projects.Add(project);
        await db.SaveChangesAsync();
        var ids = new List<long>();
        for (var i = 0; i < 40; i++)
        {
            var row = new RevisionRow
            {
                ProjectId = "thin",
                ParentId = i == 0 ? null : ids[^1],
                Label = $"Edit {i}",
                At = i / 10 * Hour,
                Snapshot = [],
            };
            db.Revisions.Add(row);
            await db.SaveChangesAsync();
            ids.Add(row.Id);
        }
        await RevisionThinning.Run(db, "thin", ids[3], 5, CancellationToken.None);
        var left = await db.Revisions.AsNoTracking().Where(r => r.ProjectId == "thin").OrderBy(r => r.Id).ToListAsync();
        var expected = new[] { 3, 9, 19, 29, 35, 36, 37, 38, 39 }.Select(i => ids[i]).ToList();
        Assert.Equal(expected, left.Select(r => r.Id));
        Assert.Equal(expected.SkipLast(1).Select(id => (long?)id).Prepend(null), left.Select(r => r.ParentId));
    }

    [Fact]
    public async Task Bin_IsEmptiedAfterThirtyDays()
    {
        using var scope = server.Services.CreateScope();
        var db = scope.ServiceProvider.GetRequiredService<UlletDb>();
        var now = TimeProvider.System.GetUtcNow();
        db.Projects.Add(
            new ProjectRow
            {
                Id = "old",
                Title = "Old",
                DeletedAt = now.AddDays(-31).ToUnixTimeMilliseconds(),
            }
        );
        db.Projects.Add(
            new ProjectRow
            {
                Id = "new",
                Title = "New",
                DeletedAt = now.AddDays(-29).ToUnixTimeMilliseconds(),
            }
        );
        await db.SaveChangesAsync();
        using (var connection = PlainSql.Open(server.DataFolder))
        {
            BinEmptying.Run(connection, TimeProvider.System);
        }
        var left = await db.Projects.AsNoTracking().Select(p => p.Id).ToListAsync();
        Assert.Contains("new", left);
        Assert.DoesNotContain("old", left);
    }

    [Fact]
    public async Task Contract_IsDescribed()
    {
        var document = await server.Get("/openapi/v1.json");
        var paths = document["paths"]!.AsObject().Select(path => path.Key).ToList();
        foreach (
            var path in new[] { "/api/health", "/api/projects", "/api/projects/{id}/scene", "/api/projects/{id}/edits" }
        )
        {
            Assert.Contains(path, paths);
        }
    }
}
