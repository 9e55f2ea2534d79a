using System.Collections.Concurrent;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;

namespace Ullet.Server.Stash;

/// <summary>What a stash has of one kind: read once, written before it is answered.</summary>
/// <param name="dataFolder">The folder of the database.</param>
/// <param name="kind">The kind's word in the table and in refusals: "cloth".</param>
/// <param name="most">Most of them.</param>
/// <param name="idOf">What names one; empty for one that is not kept yet.</param>
/// <param name="withId">The same under another id.</param>
internal sealed class StashRows<T>(
    string dataFolder,
    string kind,
    int most,
    Func<T, string> idOf,
    Func<T, string, T> withId
)
    where T : class
{
    private readonly Lazy<ConcurrentDictionary<string, T>> _rows = new(() => Read(dataFolder, kind));

    internal IEnumerable<T> All => _rows.Value.Values;

    internal T? Find(string id) => _rows.Value.GetValueOrDefault(id);

    /// <summary>One that is there under its id, or a new one with an id of its own; or why there can't be one.</summary>
    internal Result<T> Entered(T thing, Func<T, Refusal?> check)
    {
        var isNew = idOf(thing).Length == 0;
        if (!isNew && Find(idOf(thing)) is null)
        {
            return Unknown(idOf(thing));
        }
        var kept = isNew ? withId(thing, NewId()) : thing;
        return (check(kept) ?? (isNew ? Full(1) : null)) is { } refusal ? refusal : kept;
    }

    /// <summary>The refusal of so many new ones, or null where there is room.</summary>
    internal Refusal? Full(int more) =>
        _rows.Value.Count + more > most
            ? new Refusal("stash-full", "name", $"The stash holds up to {most:N0} {kind}s; take some out first.")
            : null;

    internal static string NewId() => Guid.CreateVersion7().ToString("N");

    /// <summary>Keeps all of these or none.</summary>
    internal async Task Keep(IReadOnlyList<T> things, long now, UlletDb db, CancellationToken cancellation)
    {
        await using (var transaction = await db.Database.BeginTransactionAsync(cancellation))
        {
            foreach (var thing in things)
            {
                var id = idOf(thing);
                var json = JsonSerializer.Serialize(thing, ProjectJson.Options);
                await db.Database.ExecuteSqlAsync(
                    $"INSERT INTO Stash (Id, Kind, Json, At) VALUES ({id}, {kind}, {json}, {now}) ON CONFLICT (Id) DO UPDATE SET Json = excluded.Json",
                    cancellation
                );
            }
            await transaction.CommitAsync(cancellation);
        }
        foreach (var thing in things)
        {
            _rows.Value[idOf(thing)] = thing;
        }
    }

    /// <summary>Takes one out, or says that there is none.</summary>
    internal async Task<Refusal?> Remove(string id, UlletDb db, CancellationToken cancellation)
    {
        await db.Stash.Where(row => row.Id == id && row.Kind == kind).ExecuteDeleteAsync(cancellation);
        return _rows.Value.TryRemove(id, out _) ? null : Unknown(id);
    }

    private Refusal Unknown(string id) =>
        new($"stash-{kind}-unknown", "id", $"There is no {kind} \"{id}\" in the stash.")
        {
            Kind = RefusalKind.NotFound,
        };

    private static ConcurrentDictionary<string, T> Read(string dataFolder, string kind)
    {
        using var connection = PlainSql.Open(dataFolder);
        var rows = PlainSql.Rows(
            connection,
            $"SELECT Id, Json FROM Stash WHERE Kind = '{kind}'",
            row => KeyValuePair.Create(row.GetString(0), row.GetString(1))
        );
        return new ConcurrentDictionary<string, T>(
            rows.Select(row =>
                KeyValuePair.Create(row.Key, JsonSerializer.Deserialize<T>(row.Value, ProjectJson.Options)!)
            )
        );
    }
}
