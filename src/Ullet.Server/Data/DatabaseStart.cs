using System.Globalization;
using System.Reflection;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Migrations;

namespace Ullet.Server.Data;

/// <summary>Brings the database to this build's schema at start, and to one file at the stop.</summary>
/// <remarks>
/// Called while the data folder is held, so a migration's lock in the database is a dead server's. Killed at any moment, it can be
/// begun again: a new database is made beside its place and moved there when it is finished; a copy made before migrating is
/// moved to its name when it is whole; each migration is one transaction.
/// </remarks>
internal static class DatabaseStart
{
    internal const string FileName = "ullet.db";

    private const string NewName = "ullet.db.new";

    internal static string ConnectionString(string dataFolder) => ConnectionTo(Path.Combine(dataFolder, FileName));

    /// <summary>Makes, looks at and migrates the database.</summary>
    /// <exception cref="StartException">When it can't be used; the file is left as it is.</exception>
    internal static void Prepare(string dataFolder, bool wasStopped) =>
        Told(dataFolder, () => PrepareFile(Path.Combine(dataFolder, FileName), dataFolder, wasStopped));

    /// <summary>Does something with the database, and tells what of the disk stands against it in a sentence.</summary>
    /// <exception cref="StartException">When it can't be done.</exception>
    internal static void Told(string dataFolder, Action work)
    {
        try
        {
            work();
        }
        catch (Exception wrong)
        {
            if (Sentence(wrong, dataFolder) is { } told)
            {
                throw told;
            }
            throw;
        }
    }

    private static void PrepareFile(string file, string dataFolder, bool wasStopped)
    {
        var known = Migrations();
        var (state, applied) = DatabaseFile.Look(file, known, wasStopped);
        if (state == DatabaseState.Unfinished)
        {
            MoveAside(file);
            state = DatabaseState.Missing;
        }
        if (state == DatabaseState.Missing)
        {
            Make(file, Path.Combine(dataFolder, NewName));
        }
        else if (state != DatabaseState.Ours)
        {
            throw Fault(state, file, dataFolder);
        }
        else if (known.Except(applied).FirstOrDefault() is { } first)
        {
            CopyAside(file, Path.Combine(dataFolder, $"ullet-before-{first}.db"));
            Migrate(file);
        }
        Run(file, "PRAGMA journal_mode=WAL");
    }

    /// <summary>Brings everything into the one file, so that it can be copied once the server has stopped.</summary>
    /// <returns>Why that could not be done, as a sentence; null when it was.</returns>
    internal static string? Close(string dataFolder)
    {
        SqliteConnection.ClearAllPools();
        var file = Path.Combine(dataFolder, FileName);
        if (!File.Exists(file))
        {
            return null;
        }
        try
        {
            Run(file, "PRAGMA wal_checkpoint(TRUNCATE)");
            return null;
        }
        catch (SqliteException wrong)
        {
            return $"{file} could not be brought into one file ({Short(wrong)}): copy it together with {FileName}-wal, or start Ullet once more "
                + "when there is room. Nothing is lost.";
        }
    }

    private static string Short(SqliteException wrong) =>
        SqliteFaults.Of(wrong) == StoreFault.Full ? "the disk is full" : "the disk stands against it";

    /// <summary>Copies a database, also one that is being written, to a name that is only there when the copy is whole.</summary>
    internal static void Copy(string file, string target)
    {
        var unfinished = target + ".part";
        Discard(unfinished);
        using (var source = new SqliteConnection($"Data Source={file};Mode=ReadWrite;Pooling=False"))
        using (var copy = new SqliteConnection($"Data Source={unfinished};Pooling=False"))
        {
            source.Open();
            copy.Open();
            source.BackupDatabase(copy);
            using var command = copy.CreateCommand();
            // A copy of a database in WAL would bring a second file along with its first reader.
            command.CommandText = "PRAGMA journal_mode=DELETE";
            command.ExecuteNonQuery();
        }
        File.Move(unfinished, target, overwrite: true);
    }

    /// <summary>Why the database can't be used, as a sentence; null for what is no trouble of the disk.</summary>
    internal static StartException? Sentence(Exception wrong, string dataFolder) =>
        wrong is StartException ? null
        : wrong is UnauthorizedAccessException ? DataFolder.Unwritable(dataFolder, wrong)
        : SqliteFaults.Of(wrong) switch
        {
            StoreFault.Full => DataFolder.Unwritable(dataFolder, new IOException("", 28)),
            StoreFault.ReadOnly => DataFolder.Unwritable(dataFolder, new UnauthorizedAccessException()),
            StoreFault.Damaged => Fault(DatabaseState.Damaged, Path.Combine(dataFolder, FileName), dataFolder),
            StoreFault.Busy => new StartException(
                $"Another program uses {Path.Combine(dataFolder, FileName)}. Close it and start again."
            ),
            StoreFault.Disk => new StartException(
                $"{Path.Combine(dataFolder, FileName)} can't be opened or written: the disk or its rights stand against it. "
                    + "Look at the folder, or choose another one (--data DIR)."
            ),
            StoreFault.None => wrong is IOException ? DataFolder.Unwritable(dataFolder, wrong) : null,
            _ => throw new InvalidOperationException("Unknown trouble of the database."),
        };

    private static StartException Fault(DatabaseState state, string file, string dataFolder) =>
        state switch
        {
            DatabaseState.Empty => new StartException(
                $"{file} is empty, as no start of Ullet leaves it. Put your backup in its place, or move it away to begin a new shelf."
            ),
            DatabaseState.Foreign => new StartException(
                $"{file} is not a database of Ullet's. Move it away, or choose another folder (--data DIR); if it was yours and is damaged, "
                    + $"./ullet rescue --data {dataFolder} copies out what can still be read."
            ),
            DatabaseState.Newer => new StartException(
                $"{file} was made by a newer Ullet. Bring Ullet up to date, or choose another folder (--data DIR)."
            ),
            DatabaseState.Damaged => new StartException(
                $"{file} is damaged; it was left as it is. Run ./ullet rescue --data {dataFolder} to copy out every project that can "
                    + "still be read, then move the file away and open the copies from a new shelf, or put a backup in its place."
            ),
            DatabaseState.Missing or DatabaseState.Unfinished or DatabaseState.Ours =>
                throw new InvalidOperationException("No fault."),
            _ => throw new InvalidOperationException("Unknown state of the database."),
        };

    private static string ConnectionTo(string file) =>
        new SqliteConnectionStringBuilder
        {
            DataSource = file,
            ForeignKeys = true,
            DefaultTimeout = 20,
        }.ToString();

    /// <summary>The migrations of this build, in order; told without making a database's model, which takes a start's third.</summary>
    private static List<string> Migrations() =>
        [
            .. typeof(UlletDb)
                .Assembly.GetTypes()
                .Select(type => type.GetCustomAttribute<MigrationAttribute>()?.Id)
                .OfType<string>()
                .Order(StringComparer.Ordinal),
        ];

    private static UlletDb Context(string file) =>
        new(new DbContextOptionsBuilder<UlletDb>().UseSqlite($"Data Source={file};Pooling=False").Options);

    private static void Make(string file, string unfinished)
    {
        Discard(unfinished);
        using (var db = Context(unfinished))
        {
            db.Database.Migrate();
        }
        Run(unfinished, "PRAGMA journal_mode=DELETE");
        // Files beside a place where no database is belong to none.
        Discard(file);
        File.Move(unfinished, file);
    }

    private static void Migrate(string file)
    {
        Run(file, "DROP TABLE IF EXISTS \"__EFMigrationsLock\"");
        using var db = Context(file);
        db.Database.Migrate();
    }

    private static void CopyAside(string file, string aside)
    {
        if (!File.Exists(aside))
        {
            Copy(file, aside);
        }
    }

    private static void MoveAside(string file)
    {
        var stamp = DateTime.Now.ToString("yyyyMMdd-HHmmss-fff", CultureInfo.InvariantCulture);
        File.Move(file, Path.Combine(Path.GetDirectoryName(file)!, $"ullet-unfinished-{stamp}.db"));
    }

    private static void Discard(string file)
    {
        foreach (var ending in new[] { "", "-wal", "-shm", "-journal" })
        {
            File.Delete(file + ending);
        }
    }

    private static void Run(string file, string sql)
    {
        using var connection = new SqliteConnection($"Data Source={file};Pooling=False;Default Timeout=20");
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = sql;
        command.ExecuteNonQuery();
    }
}
