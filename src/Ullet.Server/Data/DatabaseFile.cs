using Microsoft.Data.Sqlite;

namespace Ullet.Server.Data;

/// <summary>What a database file is, told before anything is done with it.</summary>
internal enum DatabaseState
{
    Missing,

    /// <summary>A file of no bytes: no start of Ullet leaves one, so it was something else before.</summary>
    Empty,

    /// <summary>Begun and never finished by an older Ullet; nothing is in it.</summary>
    Unfinished,

    /// <summary>No database, or another program's.</summary>
    Foreign,

    Damaged,

    /// <summary>Made by a newer Ullet.</summary>
    Newer,

    /// <summary>Ours; migrations may be pending.</summary>
    Ours,
}

/// <summary>Looks at the database file.</summary>
internal static class DatabaseFile
{
    private const string History = "__EFMigrationsHistory";

    /// <summary>Tables that a start makes before it has put anything into them.</summary>
    private static readonly HashSet<string> Scaffold = [History, "__EFMigrationsLock", "sqlite_sequence"];

    /// <summary>Larger files are looked through only when the last server did not stop by itself, bytes.</summary>
    private const long QuicklyChecked = 60_000_000;

    /// <param name="file">The database file.</param>
    /// <param name="known">The migrations that this build has.</param>
    /// <param name="wasStopped">True when the last server stopped by itself.</param>
    /// <returns>What it is, and the migrations that it has had.</returns>
    internal static (DatabaseState State, List<string> Applied) Look(
        string file,
        IReadOnlyCollection<string> known,
        bool wasStopped
    )
    {
        if (!File.Exists(file))
        {
            return (DatabaseState.Missing, []);
        }
        var length = new FileInfo(file).Length;
        if (length == 0)
        {
            return (DatabaseState.Empty, []);
        }
        if (!BeginsAsDatabase(file))
        {
            return (DatabaseState.Foreign, []);
        }
        try
        {
            using var connection = new SqliteConnection($"Data Source={file};Pooling=False");
            connection.Open();
            var tables = Texts(connection, "SELECT name FROM sqlite_master WHERE type = 'table'");
            if (!tables.Exists(table => !Scaffold.Contains(table)))
            {
                return (DatabaseState.Unfinished, []);
            }
            if (!tables.Contains(History) || !tables.Contains("Projects") || !tables.Contains("Revisions"))
            {
                return (DatabaseState.Foreign, []);
            }
            var applied = Texts(connection, $"SELECT MigrationId FROM \"{History}\" ORDER BY MigrationId");
            if (applied.Exists(id => !known.Contains(id)))
            {
                return (DatabaseState.Newer, applied);
            }
            var isWhole =
                (wasStopped && length > QuicklyChecked) || Texts(connection, "PRAGMA quick_check(1)") is ["ok"];
            return (isWhole ? DatabaseState.Ours : DatabaseState.Damaged, applied);
        }
        catch (SqliteException wrong) when (SqliteFaults.Of(wrong) == StoreFault.Damaged)
        {
            return (DatabaseState.Damaged, []);
        }
    }

    private static bool BeginsAsDatabase(string file)
    {
        Span<byte> begin = stackalloc byte[16];
        using var stream = new FileStream(file, FileMode.Open, FileAccess.Read, FileShare.ReadWrite | FileShare.Delete);
        return stream.ReadAtLeast(begin, begin.Length, throwOnEndOfStream: false) == begin.Length
            && begin.SequenceEqual("SQLite format 3\0"u8);
    }

    private static List<string> Texts(SqliteConnection connection, string sql) =>
        PlainSql.Rows(connection, sql, row => row.GetString(0));
}
