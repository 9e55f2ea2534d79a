using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ullet.Server.Data;

/// <summary>Brings the database to this build's schema at start.</summary>
internal static class DatabaseStart
{
    internal const string FileName = "ullet.db";

    internal static string ConnectionString(string dataFolder) =>
        new SqliteConnectionStringBuilder
        {
            DataSource = Path.Combine(dataFolder, FileName),
            ForeignKeys = true,
            DefaultTimeout = 10,
        }.ToString();

    /// <summary>Copies the file aside when migrations are pending, applies them, and sets the journal to WAL.</summary>
    internal static void Migrate(UlletDb db, string dataFolder)
    {
        var file = Path.Combine(dataFolder, FileName);
        if (File.Exists(file) && db.Database.GetPendingMigrations().Any())
        {
            var aside = Path.Combine(dataFolder, $"ullet-before-{db.Database.GetPendingMigrations().First()}.db");
            using var source = new SqliteConnection(ConnectionString(dataFolder));
            using var target = new SqliteConnection($"Data Source={aside}");
            source.Open();
            target.Open();
            source.BackupDatabase(target);
        }
        db.Database.Migrate();
        db.Database.ExecuteSqlRaw("PRAGMA journal_mode=WAL");
    }
}
