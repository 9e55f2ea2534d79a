using System.Collections.Immutable;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Hosting;

namespace Ullet.Server.Shelf;

/// <summary>The shelf as it is asked for: read once for as long as nothing in the database changes.</summary>
/// <remarks>Every head's snapshot is held against its hash whenever something changed, so a damaged one shows at once; it is unpacked only
/// where nothing was noted of it yet.</remarks>
internal sealed class ShelfIndex(ServerOptions options, IServiceScopeFactory scopes, ILogger<ShelfIndex> log)
    : IDisposable
{
    private readonly Lock _gate = new();

    private SqliteConnection? _connection;

    private long _version = -1;

    private ImmutableArray<ShelfEntry> _entries = [];

    /// <summary>All projects that are not in the bin, changed last first.</summary>
    internal ImmutableArray<ShelfEntry> Shelved => [.. All().Where(entry => entry.DeletedAt is null)];

    /// <summary>What lies in the bin, thrown away last first.</summary>
    internal ImmutableArray<ShelfEntry> Binned =>
        [.. All().Where(entry => entry.DeletedAt is not null).OrderByDescending(entry => entry.DeletedAt)];

    private ImmutableArray<ShelfEntry> All()
    {
        lock (_gate)
        {
            _connection ??= PlainSql.Open(options.DataFolder);
            var version = PlainSql.Rows(_connection, "PRAGMA data_version", row => row.GetInt64(0))[0];
            if (version != _version)
            {
                _entries = Read(_connection);
                _version = version;
            }
            return _entries;
        }
    }

    private ImmutableArray<ShelfEntry> Read(SqliteConnection connection)
    {
        var tags = PlainSql
            .Rows(
                connection,
                "SELECT ProjectId, Tag FROM Tags ORDER BY Key",
                row => (row.GetString(0), row.GetString(1))
            )
            .ToLookup(row => row.Item1, row => row.Item2, StringComparer.Ordinal);
        var sets = PlainSql
            .Rows(connection, "SELECT Id, Name FROM Sets", row => (row.GetString(0), row.GetString(1)))
            .ToDictionary(row => row.Item1, row => row.Item2, StringComparer.Ordinal);
        var rows = ShelfRows.Read(connection);
        var fresh = new List<(ShelfRow Row, Project Project)>();
        var entries = rows.ConvertAll(row => Entry(row, [.. tags[row.Id]], sets, fresh));
        Note(connection, fresh);
        return [.. entries];
    }

    private ShelfEntry Entry(
        ShelfRow row,
        ImmutableArray<string> tags,
        Dictionary<string, string> sets,
        List<(ShelfRow Row, Project Project)> fresh
    )
    {
        var set = row.SetId is { } id && sets.TryGetValue(id, out var name) ? new ShelfSet(id, name) : null;
        var entry = new ShelfEntry(row, tags, set);
        var why = "the state that it should be in is not there";
        if (row.Snapshot is { } snapshot)
        {
            if (row.FactsOf == row.HeadId && row.FactsHash == ShelfFacts.HashOf(snapshot))
            {
                return entry with { Facts = new ShelfFacts(row.Hoop, row.Pieces, row.Words) };
            }
            if (Snapshot.TryUnpack(snapshot, out var project, out why))
            {
                fresh.Add((row, project!));
                return entry with { Facts = ShelfFacts.Of(project!) };
            }
        }
        log.LogError("Project {Id} can't be read: {Why}", row.Id, why);
        return entry with { Damage = Damage(row.Id, why) };
    }

    /// <summary>Writes beside projects of an older build what was read off them; where nothing can be written it is read again.</summary>
    private void Note(SqliteConnection connection, List<(ShelfRow Row, Project Project)> fresh)
    {
        if (fresh.Count == 0)
        {
            return;
        }
        try
        {
            using var transaction = connection.BeginTransaction();
            foreach (var (row, project) in fresh)
            {
                var facts = ShelfFacts.Of(project);
                using var command = connection.CreateCommand();
                command.CommandText =
                    "UPDATE Projects SET FactsOf = $of, FactsHash = $hash, Hoop = $hoop, Pieces = $pieces, Words = $words "
                    + "WHERE Id = $id AND HeadId = $of";
                command.Parameters.AddWithValue("$of", row.HeadId);
                command.Parameters.AddWithValue("$hash", ShelfFacts.HashOf(row.Snapshot!));
                command.Parameters.AddWithValue("$hoop", facts.Hoop);
                command.Parameters.AddWithValue("$pieces", facts.Pieces);
                command.Parameters.AddWithValue("$words", facts.Words);
                command.Parameters.AddWithValue("$id", row.Id);
                command.ExecuteNonQuery();
            }
            transaction.Commit();
        }
        catch (SqliteException wrong)
        {
            log.LogWarning("What the shelf tells was not noted: {Why}", wrong.Message);
        }
    }

    private ShelfDamage Damage(string projectId, string why)
    {
        using var scope = scopes.CreateScope();
        var last = scope
            .ServiceProvider.GetRequiredService<ProjectRepair>()
            .LastReadable(projectId, CancellationToken.None)
            .GetAwaiter()
            .GetResult();
        var savedAt = last is { } found
            ? scope
                .ServiceProvider.GetRequiredService<UlletDb>()
                .Revisions.AsNoTracking()
                .Where(revision => revision.Id == found.Revision)
                .Select(revision => (long?)revision.At)
                .FirstOrDefault()
            : null;
        return new ShelfDamage(Sentence(why), savedAt);
    }

    private static string Sentence(string why) =>
        why.StartsWith("This project", StringComparison.Ordinal) ? why : $"This project can't be opened: {why}.";

    public void Dispose() => _connection?.Dispose();
}
