using Microsoft.Data.Sqlite;
using Ullet.Core.Projects;
using Ullet.Files.ProjectFiles;
using Ullet.Server.Documents;

namespace Ullet.Server.Commands;

/// <summary>Projects, states and files of a damaged database, as far as their rows can be read.</summary>
internal sealed class RescuedRows
{
    private readonly Dictionary<string, (string Title, long Head)> _projects = new(StringComparer.Ordinal);
    private readonly List<(long Id, string ProjectId, byte[] Snapshot)> _states = [];
    private readonly Dictionary<string, (string Kind, byte[] Bytes)> _assets = new(StringComparer.Ordinal);

    /// <remarks>What is needed of a row stands in its first columns, in every build.</remarks>
    /// <param name="connection">The database, as far as SQLite opens it.</param>
    /// <param name="pages">Its pages, for tables that SQLite can't go through.</param>
    internal RescuedRows(SqliteConnection connection, SqlitePages pages)
    {
        foreach (var row in Table(connection, "Projects") ?? pages.Rows(6, 7, 13))
        {
            if (row is [_, string { Length: 32 } id, string title, long head, long, long, null, ..])
            {
                _projects[id] = (title, head);
            }
        }
        foreach (var row in Table(connection, "Revisions") ?? pages.Rows(6, 7))
        {
            if (row is [long id, _, string { Length: 32 } owner, long or null, string, long, byte[] snapshot, ..])
            {
                _states.Add((id, owner, snapshot));
            }
        }
        foreach (var row in Table(connection, "Assets") ?? pages.Rows(4))
        {
            if (row is [_, string { Length: 64 } hash, string kind, byte[] bytes, long])
            {
                _assets[hash] = (kind, bytes);
            }
        }
    }

    /// <summary>All rows of a table, the row's number first; null when SQLite can't go through it.</summary>
    private static List<object?[]>? Table(SqliteConnection connection, string name)
    {
        try
        {
            using var command = connection.CreateCommand();
            command.CommandText = $"SELECT rowid, * FROM \"{name}\"";
            using var reader = command.ExecuteReader();
            var rows = new List<object?[]>();
            while (reader.Read())
            {
                var row = new object[reader.FieldCount];
                reader.GetValues(row);
                rows.Add([.. row.Select(value => value is DBNull ? null : value)]);
            }
            return rows;
        }
        catch (SqliteException)
        {
            return null;
        }
    }

    /// <summary>Every project that is known, by id and title: from its own row, else from its states.</summary>
    internal IEnumerable<(string Id, string Title)> Projects() =>
        _projects
            .Select(pair => (pair.Key, pair.Value.Title))
            .Concat(
                _states
                    .Select(state => state.ProjectId)
                    .Distinct()
                    .Where(id => !_projects.ContainsKey(id))
                    .Select(id => (id, "A project whose name is lost"))
            );

    /// <summary>The head of a project, or the newest state of it that can be read; null for none.</summary>
    internal (Project Project, bool IsHead)? Newest(string projectId)
    {
        var head = _projects.TryGetValue(projectId, out var known) ? known.Head : -1;
        var states = _states
            .Where(state => state.ProjectId == projectId)
            .OrderByDescending(state => state.Id == head)
            .ThenByDescending(state => state.Id);
        foreach (var (id, _, snapshot) in states)
        {
            if (Snapshot.TryUnpack(snapshot, out var project, out _))
            {
                return (project!, id == head);
            }
        }
        return null;
    }

    /// <summary>The fonts and pictures that a project names, as far as they can be read.</summary>
    internal List<ProjectAsset> AssetsOf(Project project) =>
        [
            .. _assets
                .Select(pair =>
                    (pair.Key, Kind: AssetNames.KindIn(project, pair.Key, pair.Value.Kind), pair.Value.Bytes)
                )
                .Where(asset => asset.Kind is not null)
                .Select(asset => new ProjectAsset(asset.Key, asset.Kind!, asset.Bytes)),
        ];
}
