using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Ullet.Server.Data;
using Ullet.Server.Tests.Hosting;

namespace Ullet.Server.Tests;

/// <summary>Starts that were interrupted, and data folders that are not as they should be.</summary>
public sealed class StartTests : IDisposable
{
    private readonly string _data = Directory.CreateTempSubdirectory("ullet-start-").FullName;

    private string Database => Path.Combine(_data, DatabaseStart.FileName);

    public void Dispose() => Directory.Delete(_data, recursive: true);

    [Fact]
    public async Task FirstStart_KilledAtAnyMoment_StartsAgain()
    {
        var random = new Random(15);
        for (var i = 0; i < 5; i++)
        {
            using var killed = ServerProcess.Begin("--port", "0", "--data", _data);
            using var moment = new PeriodicTimer(TimeSpan.FromMilliseconds(100 + random.Next(700)));
            await moment.WaitForNextTickAsync();
            killed.Kill();
        }
        using var server = await ServerProcess.Start(_data);
        Assert.Equal(0, await Shelf(server));
    }

    [Fact]
    public void Migration_ThatWasInterrupted_GoesOn()
    {
        Make(migration: "20261123134307_First");
        Run("CREATE TABLE IF NOT EXISTS \"__EFMigrationsLock\" (\"Id\" INTEGER PRIMARY KEY, \"Timestamp\" TEXT)");
        Run("INSERT INTO \"__EFMigrationsLock\" VALUES (1, '2026-11-01')");
        File.WriteAllText(Path.Combine(_data, "ullet-before-20261126225715_CutExports.db.part"), "half a copy");
        DatabaseStart.Prepare(_data, wasStopped: false);
        Assert.Equal(0L, Ask("SELECT count(*) FROM Exports"));
        Assert.True(File.Exists(Path.Combine(_data, "ullet-before-20261126225715_CutExports.db")));
    }

    [Fact]
    public void Database_BegunByAnOlderStart_AndEmpty_IsMovedAside()
    {
        Run("CREATE TABLE \"__EFMigrationsLock\" (\"Id\" INTEGER PRIMARY KEY, \"Timestamp\" TEXT)");
        DatabaseStart.Prepare(_data, wasStopped: false);
        Assert.Equal(0L, Ask("SELECT count(*) FROM Projects"));
        Assert.Single(Directory.GetFiles(_data, "ullet-unfinished-*.db"));
    }

    public static TheoryData<string, string> Unusable =>
        new()
        {
            { "empty", "is empty" },
            { "text", "not a database of Ullet's" },
            { "foreign", "not a database of Ullet's" },
            { "newer", "newer Ullet" },
            { "damaged", "./ullet rescue" },
        };

    [Theory]
    [MemberData(nameof(Unusable))]
    public void Database_ThatCantBeUsed_IsToldInASentence_AndLeftAsItIs(string what, string words)
    {
        switch (what)
        {
            case "empty":
                File.WriteAllBytes(Database, []);
                break;
            case "text":
                File.WriteAllText(Database, "A list of beans, and where they stand.");
                break;
            case "foreign":
                Run("CREATE TABLE Beans (Name TEXT)");
                break;
            case "newer":
                Make();
                Run("INSERT INTO \"__EFMigrationsHistory\" VALUES ('29990101000000_Later', '99')");
                break;
            default:
                Make();
                Damage(page: 3);
                break;
        }
        var before = File.ReadAllBytes(Database);
        var fault = Assert.Throws<StartException>(() => DatabaseStart.Prepare(_data, wasStopped: true));
        Assert.Contains(words, fault.Message, StringComparison.Ordinal);
        Assert.DoesNotContain("Exception", fault.Message, StringComparison.Ordinal);
        Assert.Equal(before, File.ReadAllBytes(Database));
    }

    [Fact]
    public async Task Program_ThatCantStart_SaysWhyInOneLineAndEndsWithTwo()
    {
        File.WriteAllBytes(Database, []);
        var (code, _, complaint) = await ServerProcess.Run("--port", "0", "--data", _data);
        Assert.Equal(2, code);
        Assert.DoesNotContain('\n', complaint);
    }

    [Fact]
    public async Task TakenPort_AndHeldFolder_AreToldApart()
    {
        using var first = await ServerProcess.Start(_data);
        var (held, _, who) = await ServerProcess.Run("--port", "0", "--data", _data);
        Assert.Equal(2, held);
        Assert.Contains("Another Ullet (process ", who, StringComparison.Ordinal);
        var other = Path.Combine(_data, "other");
        var (taken, _, port) = await ServerProcess.Run("--port", $"{first.Address.Port}", "--data", other);
        Assert.Equal(2, taken);
        Assert.StartsWith($"Port {first.Address.Port} is taken", port, StringComparison.Ordinal);
        Assert.DoesNotContain("   at ", port, StringComparison.Ordinal);
    }

    [Fact]
    public async Task StoppedServer_LeavesOneFile_AndABackupOfARunningOneIsWhole()
    {
        var copy = Path.Combine(_data, "copy.db");
        using (var server = await ServerProcess.Start(_data))
        {
            using var client = new HttpClient { BaseAddress = server.Address };
            (await client.PostAsJsonAsync("/api/projects", new { title = "Kept" })).EnsureSuccessStatusCode();
            var (code, said, _) = await ServerProcess.Run("backup", "--data", _data, "--to", copy);
            Assert.True(code == 0, said);
            Assert.Equal(2, (await ServerProcess.Run("backup", "--data", _data, "--to", copy)).Code);
            await server.Stop();
        }
        Assert.Equal([copy, Database], Directory.GetFiles(_data).Order());
        Assert.Equal(1L, Ask("SELECT count(*) FROM Projects"));
        File.Move(copy, Database, overwrite: true);
        Assert.Equal(1L, Ask("SELECT count(*) FROM Projects"));
    }

    [Fact]
    public async Task Rescue_OfADamagedDatabase_CopiesOutWhatCanBeRead()
    {
        using (var server = await ServerProcess.Start(_data))
        {
            using var client = new HttpClient { BaseAddress = server.Address };
            for (var i = 1; i <= 3; i++)
            {
                (await client.PostAsJsonAsync("/api/projects", new { title = $"Plot {i}" })).EnsureSuccessStatusCode();
            }
            await server.Stop();
        }
        // The root of the table of projects: SQLite can't go through it any more.
        Damage(page: (int)(long)Ask("SELECT rootpage FROM sqlite_master WHERE name = 'Projects'"));
        var before = File.ReadAllBytes(Database);
        var folder = Path.Combine(_data, "rescued");
        var (code, said, complaint) = await ServerProcess.Run("rescue", "--data", _data, "--to", folder);
        Assert.True(code == 0, said + complaint);
        Assert.Equal(
            ["Plot 1", "Plot 2", "Plot 3"],
            Directory.GetFiles(folder, "*.ullet").Select(file => Path.GetFileName(file)[..6]).Order()
        );
        Assert.Equal(before, File.ReadAllBytes(Database));
        var read = Files.ProjectFiles.ProjectFile.Read(File.ReadAllBytes(Directory.GetFiles(folder)[0]));
        Assert.StartsWith("Plot", read.Value.Project.Title, StringComparison.Ordinal);
    }

    private static async Task<int> Shelf(ServerProcess server)
    {
        using var client = new HttpClient { BaseAddress = server.Address };
        return (await client.GetFromJsonAsync<JsonArray>("/api/projects"))!.Count;
    }

    private void Make(string? migration = null)
    {
        using var db = new UlletDb(
            new DbContextOptionsBuilder<UlletDb>().UseSqlite($"Data Source={Database};Pooling=False").Options
        );
        db.Database.Migrate(migration);
        Run("PRAGMA journal_mode=DELETE");
    }

    private void Damage(int page)
    {
        const int Size = 4096;
        using var file = new FileStream(Database, FileMode.Open, FileAccess.Write);
        file.Position = (page - 1) * Size;
        var rubbish = new byte[Size];
        new Random(15).NextBytes(rubbish);
        file.Write(rubbish);
    }

    private void Run(string sql) => Ask(sql);

    private object Ask(string sql)
    {
        using var connection = new SqliteConnection($"Data Source={Database};Pooling=False");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        return command.ExecuteScalar() ?? "";
    }
}
