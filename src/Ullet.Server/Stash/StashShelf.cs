using System.Collections.Concurrent;
using System.Collections.Immutable;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Documents;
using Ullet.Core.Edits;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Hosting;

namespace Ullet.Server.Stash;

/// <summary>The cloths and threads that a household owns, kept for the installation. Projects have copies: nothing here changes them.</summary>
public sealed class StashShelf(ServerOptions options, TimeProvider clock) : IStash
{
    /// <summary>Most cloths of a stash.</summary>
    public const int MostCloths = 2_000;

    /// <summary>Most threads of a stash.</summary>
    public const int MostThreads = 5_000;

    private const string ClothKind = "cloth";

    private const string ThreadKind = "thread";

    private readonly Lazy<ConcurrentDictionary<string, StashCloth>> _cloths = new(() =>
        Read<StashCloth>(options.DataFolder, ClothKind)
    );

    private readonly Lazy<ConcurrentDictionary<string, StashThread>> _threads = new(() =>
        Read<StashThread>(options.DataFolder, ThreadKind)
    );

    private AlikeThreads? _alike;

    /// <summary>All cloths, by their names.</summary>
    public ImmutableArray<StashCloth> Cloths =>
        [
            .. _cloths
                .Value.Values.OrderBy(cloth => cloth.Name, StringComparer.OrdinalIgnoreCase)
                .ThenBy(cloth => cloth.Id),
        ];

    /// <summary>All threads, by maker, number and name.</summary>
    public ImmutableArray<StashThread> Threads =>
        [
            .. _threads
                .Value.Values.OrderBy(thread => thread.Maker, StringComparer.OrdinalIgnoreCase)
                .ThenBy(thread => thread.Number?.Length ?? 0)
                .ThenBy(thread => thread.Number, StringComparer.OrdinalIgnoreCase)
                .ThenBy(thread => thread.Name, StringComparer.OrdinalIgnoreCase)
                .ThenBy(thread => thread.Id),
        ];

    public StashCloth? FindCloth(string id) => _cloths.Value.GetValueOrDefault(id);

    public StashThread? FindThread(string id) => _threads.Value.GetValueOrDefault(id);

    /// <summary>Which threads of the stash can hardly be told apart.</summary>
    internal AlikeThreads Alike => _alike ??= AlikeThreads.Of(Threads);

    /// <summary>Keeps a cloth: a new one, or other facts of one that is there; or says why it can't be.</summary>
    internal async Task<Result<StashCloth>> Keep(StashCloth cloth, UlletDb db, CancellationToken cancellation)
    {
        var isNew = cloth.Id.Length == 0;
        var kept = cloth.Cleaned() with { Id = isNew ? NewId() : cloth.Id };
        if (!isNew && FindCloth(cloth.Id) is null)
        {
            return Unknown("cloth", cloth.Id);
        }
        if ((DocumentCheck.ClothCheck(kept.ForProject("c")) ?? kept.CheckOwn()) is { } refusal)
        {
            return refusal;
        }
        if (isNew && _cloths.Value.Count >= MostCloths)
        {
            return TooMany("cloths", MostCloths);
        }
        await Write(ClothKind, kept.Id, kept, db, cancellation);
        _cloths.Value[kept.Id] = kept;
        return kept;
    }

    /// <summary>Keeps a thread: a new one, or other facts of one that is there; or says why it can't be.</summary>
    internal async Task<Result<StashThread>> Keep(StashThread thread, UlletDb db, CancellationToken cancellation)
    {
        var isNew = thread.Id.Length == 0;
        var kept = thread.Cleaned() with { Id = isNew ? NewId() : thread.Id };
        if (!isNew && FindThread(thread.Id) is null)
        {
            return Unknown("thread", thread.Id);
        }
        if (kept.Check() is { } refusal)
        {
            return refusal;
        }
        if (isNew && _threads.Value.Count >= MostThreads)
        {
            return TooMany("threads", MostThreads);
        }
        await Write(ThreadKind, kept.Id, kept, db, cancellation);
        _threads.Value[kept.Id] = kept;
        _alike = null;
        return kept;
    }

    /// <summary>Keeps many threads at once, all of them or none; one that is there already gets the new facts.</summary>
    /// <returns>How many are new, and how many were there; or why none was kept.</returns>
    internal async Task<Result<(int New, int Known)>> KeepAll(
        ImmutableArray<StashThread> threads,
        UlletDb db,
        CancellationToken cancellation
    )
    {
        var kept = Sorted(threads);
        var known = kept.Count(thread => _threads.Value.ContainsKey(thread.Id));
        if (_threads.Value.Count + kept.Length - known > MostThreads)
        {
            return TooMany("threads", MostThreads);
        }
        await using (var transaction = await db.Database.BeginTransactionAsync(cancellation))
        {
            foreach (var thread in kept)
            {
                await Write(ThreadKind, thread.Id, thread, db, cancellation);
            }
            await transaction.CommitAsync(cancellation);
        }
        foreach (var thread in kept)
        {
            _threads.Value[thread.Id] = thread;
        }
        _alike = null;
        return (kept.Length - known, known);
    }

    /// <summary>The threads with the ids of those that are the same spool, and new ids for the others; of two rows of one spool the later
    /// one counts.</summary>
    internal ImmutableArray<StashThread> Sorted(ImmutableArray<StashThread> threads)
    {
        var byName = _threads.Value.Values.ToLookup(SpoolOf, StringComparer.OrdinalIgnoreCase);
        return
        [
            .. threads
                .GroupBy(SpoolOf, StringComparer.OrdinalIgnoreCase)
                .Select(group => group.Last() with { Id = byName[group.Key].FirstOrDefault()?.Id ?? NewId() }),
        ];
    }

    /// <summary>The same for rows of one spool; see <see cref="StashThread.IsSameAs"/>.</summary>
    private static string SpoolOf(StashThread thread) =>
        $"{thread.Maker}\n{(thread.Number is { } number ? $"#{number}" : thread.Name)}";

    /// <summary>Takes a cloth or a thread out of the stash; projects keep their copies.</summary>
    /// <returns>False where there is none.</returns>
    internal async Task<bool> Remove(string id, UlletDb db, CancellationToken cancellation)
    {
        await db.Stash.Where(row => row.Id == id).ExecuteDeleteAsync(cancellation);
        _alike = null;
        return _cloths.Value.TryRemove(id, out _) | _threads.Value.TryRemove(id, out _);
    }

    /// <summary>The refusal for what is not in the stash.</summary>
    internal static Refusal Unknown(string what, string id) =>
        new($"stash-{what}-unknown", "id", $"There is no {what} \"{id}\" in the stash.")
        {
            Kind = RefusalKind.NotFound,
        };

    private static Refusal TooMany(string what, int most) =>
        new("stash-full", "name", $"The stash holds up to {most:N0} {what}; take some out first.");

    private static string NewId() => Guid.CreateVersion7().ToString("N");

    private async Task Write<T>(string kind, string id, T thing, UlletDb db, CancellationToken cancellation)
    {
        var now = clock.GetUtcNow().ToUnixTimeMilliseconds();
        var json = JsonSerializer.Serialize(thing, ProjectJson.Options);
        await db.Database.ExecuteSqlAsync(
            $"INSERT INTO Stash (Id, Kind, Json, At) VALUES ({id}, {kind}, {json}, {now}) ON CONFLICT (Id) DO UPDATE SET Json = excluded.Json",
            cancellation
        );
    }

    private static ConcurrentDictionary<string, T> Read<T>(string dataFolder, string kind)
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
