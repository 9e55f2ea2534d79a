using Microsoft.EntityFrameworkCore;
using Ullet.Server.Data;

namespace Ullet.Bench.Doors;

/// <summary>Starts killed at random moments; the next start always answers.</summary>
internal static class StartDoors
{
    /// <summary>Longest time before the kill, ms: a usual start takes about a second.</summary>
    private const int Longest = 1500;

    internal static async Task<Tally> Run(int starts, int seed)
    {
        var tally = new Tally($"{starts:N0} starts killed, a third of them in migrations");
        var random = new Random(seed);
        var migrations = Migrations();
        for (var i = 0; i < starts; i++)
        {
            var data = Directory.CreateTempSubdirectory("ullet-doors-").FullName;
            var older = i % 3 == 0 && migrations.Count > 1 ? migrations[random.Next(migrations.Count - 1)] : null;
            if (older is not null)
            {
                Older(Path.Combine(data, DatabaseStart.FileName), older);
            }
            else if (i % 3 == 1)
            {
                using var first = await DoorServer.Start(data);
                first.Kill();
            }
            var moment = random.Next(Longest);
            using (var killed = DoorServer.Begin(data, demo: i % 2 == 0))
            {
                await Task.Delay(moment);
                killed.Kill();
            }
            try
            {
                using var next = await DoorServer.Start(data);
                using var sender = new Sender(next.Address, tally);
                await sender.Send(HttpMethod.Get, "/api/projects", null, $"start {i}, killed after {moment} ms");
            }
            catch (InvalidOperationException wrong)
            {
                tally.Fault($"Start {i} (killed after {moment} ms, {older ?? "no migration"}): {wrong.Message}");
            }
            Directory.Delete(data, recursive: true);
        }
        return tally;
    }

    private static List<string> Migrations()
    {
        using var db = Context("design-time.db");
        return [.. db.Database.GetMigrations()];
    }

    private static void Older(string file, string migration)
    {
        using var db = Context(file);
        db.Database.Migrate(migration);
    }

    private static UlletDb Context(string file) =>
        new(new DbContextOptionsBuilder<UlletDb>().UseSqlite($"Data Source={file};Pooling=False").Options);
}
