using System.Globalization;
using Microsoft.Data.Sqlite;
using Ullet.Files.ProjectFiles;
using Ullet.Server.Data;
using Ullet.Server.Endpoints;
using Ullet.Server.Hosting;

namespace Ullet.Server.Commands;

/// <summary>"rescue": copies every project that can still be read out of a damaged database, each as a project file.</summary>
/// <remarks>Works on a copy of the database's files, so the damaged one stays as it is. Tables that SQLite can't go
/// through are read page by page, so that a damaged page takes only its own rows away.</remarks>
internal static class Rescue
{
    private static readonly string[] Companions = ["", "-wal", "-journal"];

    /// <returns>The exit code: 0 when something was copied out, 2 when nothing could be.</returns>
    internal static int Run(ServerOptions options, string? target, TextWriter says)
    {
        var file = Path.Combine(options.DataFolder, DatabaseStart.FileName);
        if (!File.Exists(file))
        {
            throw new StartException($"There is no database in {options.DataFolder}; nothing can be rescued.");
        }
        if (DataFolder.IsHeld(options.DataFolder))
        {
            throw new StartException($"A running Ullet uses the data in {options.DataFolder}. Stop it first.");
        }
        var stamp = DateTime.Now.ToString("yyyy-MM-dd-HHmmss", CultureInfo.InvariantCulture);
        var folder = Path.GetFullPath(target ?? Path.Combine(options.DataFolder, $"rescued-{stamp}"));
        try
        {
            Directory.CreateDirectory(folder);
            var (saved, lost) = FromCopy(file, folder, says);
            says.WriteLine(
                saved + lost == 0
                    ? $"Nothing of {file} can be read any more."
                    : $"{saved} of {saved + lost} projects copied to {folder}. {file} was left as it is: move it away, start Ullet anew and "
                        + "open the copies from the shelf."
            );
            return saved > 0 ? 0 : StartException.ExitCode;
        }
        catch (Exception wrong) when (wrong is IOException or UnauthorizedAccessException)
        {
            throw new StartException(
                $"Nothing can be written to {folder} ({wrong.Message.TrimEnd('.')}). Name another folder (--to DIR)."
            );
        }
    }

    private static (int Saved, int Lost) FromCopy(string file, string folder, TextWriter says)
    {
        var work = Directory.CreateTempSubdirectory("ullet-rescue-").FullName;
        try
        {
            var copy = Path.Combine(work, DatabaseStart.FileName);
            foreach (var ending in Companions.Where(ending => File.Exists(file + ending)))
            {
                File.Copy(file + ending, copy + ending);
            }
            var pages = new SqlitePages(File.ReadAllBytes(copy), Log(copy + "-wal"));
            using var connection = new SqliteConnection($"Data Source={copy};Pooling=False");
            return Projects(new RescuedRows(Opened(connection), pages), folder, says);
        }
        finally
        {
            Directory.Delete(work, recursive: true);
        }
    }

    private static byte[] Log(string file) => File.Exists(file) ? File.ReadAllBytes(file) : [];

    /// <summary>The database open, or an empty one where SQLite can't open it at all.</summary>
    private static SqliteConnection Opened(SqliteConnection connection)
    {
        try
        {
            connection.Open();
            return connection;
        }
        catch (SqliteException)
        {
            var none = new SqliteConnection("Data Source=:memory:");
            none.Open();
            return none;
        }
    }

    private static (int Saved, int Lost) Projects(RescuedRows rows, string folder, TextWriter says)
    {
        var (saved, lost) = (0, 0);
        foreach (var (id, title) in rows.Projects())
        {
            if (rows.Newest(id) is not { } found)
            {
                lost++;
                says.WriteLine($"{title}: no state of it can be read.");
                continue;
            }
            var name = $"{FileNames.Plain(found.Project.Title)}-{id[^Math.Min(6, id.Length)..]}.ullet";
            File.WriteAllBytes(
                Path.Combine(folder, name),
                ProjectFile.Export(found.Project, rows.AssetsOf(found.Project))
            );
            saved++;
            says.WriteLine($"{found.Project.Title}: {name}{(found.IsHead ? "" : " (its last readable state)")}");
        }
        return (saved, lost);
    }
}
