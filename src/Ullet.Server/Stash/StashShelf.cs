using System.Collections.Immutable;
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

    private readonly StashRows<StashCloth> _cloths = new(
        options.DataFolder,
        "cloth",
        MostCloths,
        cloth => cloth.Id,
        (cloth, id) => cloth with { Id = id }
    );

    private readonly StashRows<StashThread> _threads = new(
        options.DataFolder,
        "thread",
        MostThreads,
        thread => thread.Id,
        (thread, id) => thread with { Id = id }
    );

    private sealed record AlikeOf(ImmutableArray<StashThread> Threads, AlikeThreads Alike);

    private AlikeOf? _alike;

    /// <summary>All cloths, by their names.</summary>
    public ImmutableArray<StashCloth> Cloths =>
        [.. _cloths.All.OrderBy(cloth => cloth.Name, StringComparer.OrdinalIgnoreCase).ThenBy(cloth => cloth.Id)];

    /// <summary>All threads, by maker, number and name.</summary>
    public ImmutableArray<StashThread> Threads =>
        [
            .. _threads
                .All.OrderBy(thread => thread.Maker, StringComparer.OrdinalIgnoreCase)
                .ThenBy(thread => thread.Number?.Length ?? 0)
                .ThenBy(thread => thread.Number, StringComparer.OrdinalIgnoreCase)
                .ThenBy(thread => thread.Name, StringComparer.OrdinalIgnoreCase)
                .ThenBy(thread => thread.Id),
        ];

    public StashCloth? FindCloth(string id) => _cloths.Find(id);

    public StashThread? FindThread(string id) => _threads.Find(id);

    /// <summary>Which threads of the stash can hardly be told apart; computed anew for other threads.</summary>
    internal AlikeThreads Alike
    {
        get
        {
            var threads = Threads;
            if (_alike is { } known && known.Threads.SequenceEqual(threads))
            {
                return known.Alike;
            }
            var alike = AlikeThreads.Of(threads);
            _alike = new AlikeOf(threads, alike);
            return alike;
        }
    }

    /// <summary>Keeps a cloth: a new one, or other facts of one that is there; or says why it can't be.</summary>
    internal Task<Result<StashCloth>> Keep(StashCloth cloth, UlletDb db, CancellationToken cancellation) =>
        Keep(
            _cloths,
            cloth.Cleaned(),
            kept => DocumentCheck.ClothCheck(kept.ForProject("c")) ?? kept.CheckOwn(),
            db,
            cancellation
        );

    /// <summary>Keeps a thread: a new one, or other facts of one that is there; or says why it can't be.</summary>
    internal Task<Result<StashThread>> Keep(StashThread thread, UlletDb db, CancellationToken cancellation) =>
        Keep(_threads, thread.Cleaned(), kept => kept.Check(), db, cancellation);

    /// <summary>Keeps many threads at once, all of them or none; one that is there already gets the new facts.</summary>
    /// <returns>How many are new, and how many were there; or why none was kept.</returns>
    internal async Task<Result<(int New, int Known)>> KeepAll(
        ImmutableArray<StashThread> threads,
        UlletDb db,
        CancellationToken cancellation
    )
    {
        var kept = Sorted(threads);
        var known = kept.Count(thread => FindThread(thread.Id) is not null);
        if (_threads.Full(kept.Length - known) is { } full)
        {
            return full;
        }
        await _threads.Keep(kept, Now(), db, cancellation);
        return (kept.Length - known, known);
    }

    /// <summary>The threads with the ids of those that are the same spool, and new ids for the others; of two rows of one spool the later
    /// one counts.</summary>
    internal ImmutableArray<StashThread> Sorted(ImmutableArray<StashThread> threads)
    {
        var bySpool = _threads.All.ToLookup(thread => thread.Spool, StringComparer.Ordinal);
        return
        [
            .. threads
                .GroupBy(thread => thread.Spool, StringComparer.Ordinal)
                .Select(group =>
                    group.Last() with
                    {
                        Id = bySpool[group.Key].FirstOrDefault()?.Id ?? StashRows<StashThread>.NewId(),
                    }
                ),
        ];
    }

    /// <summary>Takes a cloth out of the stash; projects keep their copies.</summary>
    /// <returns>Null, or that there is none.</returns>
    internal Task<Refusal?> RemoveCloth(string id, UlletDb db, CancellationToken cancellation) =>
        _cloths.Remove(id, db, cancellation);

    /// <summary>Takes a thread out of the stash; projects keep their copies.</summary>
    /// <returns>Null, or that there is none.</returns>
    internal Task<Refusal?> RemoveThread(string id, UlletDb db, CancellationToken cancellation) =>
        _threads.Remove(id, db, cancellation);

    private async Task<Result<T>> Keep<T>(
        StashRows<T> rows,
        T cleaned,
        Func<T, Refusal?> check,
        UlletDb db,
        CancellationToken cancellation
    )
        where T : class
    {
        var entered = rows.Entered(cleaned, check);
        if (entered.IsOk)
        {
            await rows.Keep([entered.Value], Now(), db, cancellation);
        }
        return entered;
    }

    private long Now() => clock.GetUtcNow().ToUnixTimeMilliseconds();
}
