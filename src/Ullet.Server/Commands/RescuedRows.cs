using Microsoft.Data.Sqlite;
using Ullet.Core.Projects;
using Ullet.Files.ProjectFiles;
using Ullet.Server.Documents;

namespace Ullet.Server.Commands;

/// <summary>Rows of a damaged database, one by one; what can't be read is passed over.</summary>
internal sealed class RescuedRows(SqliteConnection connection)
{
    /// <summary>Every project that is known, by id and title: from its own row, else from its revisions.</summary>
    internal IEnumerable<(string Id, string Title)> Projects()
    {
        var titles = new Dictionary<string, string>(StringComparer.Ordinal);
        foreach (var row in Rows("Projects", "Id, Title"))
        {
            titles[(string)row[0]] = (string)row[1];
        }
        foreach (var row in Rows("Revisions", "ProjectId"))
        {
            titles.TryAdd((string)row[0], "Project " + row[0]);
        }
        return titles.Select(pair => (pair.Key, pair.Value));
    }

    /// <summary>The head of a project, or the newest state of it that can be read; null for none.</summary>
    internal (Project Project, bool IsHead)? Newest(string projectId)
    {
        var head = Rows("Projects", "Id, HeadId").Where(row => (string)row[0] == projectId).Select(row => (long)row[1]);
        var first = head.FirstOrDefault(-1);
        var others = Rows("Revisions", "ProjectId, Id")
            .Where(row => (string)row[0] == projectId)
            .Select(row => (long)row[1])
            .OrderDescending();
        foreach (var id in others.Prepend(first).Distinct())
        {
            var snapshot = One($"SELECT Snapshot FROM Revisions WHERE Id = {id}");
            if (snapshot is [byte[] packed] && Snapshot.TryUnpack(packed, out var project, out _))
            {
                return (project!, id == first);
            }
        }
        return null;
    }

    /// <summary>The fonts and pictures that a project names, as far as they can be read.</summary>
    internal List<ProjectAsset> AssetsOf(Project project)
    {
        var assets = new List<ProjectAsset>();
        foreach (var row in Rows("Assets", "Sha256, Kind"))
        {
            var (hash, kind) = ((string)row[0], (string)row[1]);
            if (
                AssetNames.KindIn(project, hash, kind) is { } own
                && One($"SELECT Bytes FROM Assets WHERE Sha256 = '{hash}'") is [byte[] bytes]
            )
            {
                assets.Add(new ProjectAsset(hash, own, bytes));
            }
        }
        return assets;
    }

    /// <summary>A table's rows by their numbers; from the first to the highest that is known.</summary>
    private List<object[]> Rows(string table, string columns)
    {
        var rows = new List<object[]>();
        try
        {
            using var command = connection.CreateCommand();
            command.CommandText = $"SELECT {columns} FROM {table}";
            using var reader = command.ExecuteReader();
            while (reader.Read())
            {
                var row = new object[reader.FieldCount];
                reader.GetValues(row);
                rows.Add(row);
            }
            return rows;
        }
        catch (SqliteException)
        {
            // Not as a whole; then one by one.
        }
        var known = rows.Count;
        for (var number = Highest(table); number > 0; number--)
        {
            if (One($"SELECT {columns} FROM {table} WHERE rowid = {number}") is { } row)
            {
                rows.Add(row);
            }
        }
        return known == 0 ? rows : [.. rows.DistinctBy(row => string.Join('\n', row))];
    }

    private long Highest(string table) =>
        (One($"SELECT seq FROM sqlite_sequence WHERE name = '{table}'") ?? One($"SELECT max(rowid) FROM {table}"))
            is [long number]
            ? number
            : MostGuessed;

    /// <summary>How many rows are tried where no number is known.</summary>
    private const long MostGuessed = 20_000;

    private object[]? One(string sql)
    {
        try
        {
            using var command = connection.CreateCommand();
            command.CommandText = sql;
            using var reader = command.ExecuteReader();
            if (!reader.Read())
            {
                return null;
            }
            var row = new object[reader.FieldCount];
            reader.GetValues(row);
            return row;
        }
        catch (SqliteException)
        {
            return null;
        }
    }
}
