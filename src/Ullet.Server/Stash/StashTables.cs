using System.Collections.Immutable;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Orders;
using Ullet.Files.Stash;
using Ullet.Server.Data;
using Ullet.Server.Work;

namespace Ullet.Server.Stash;

/// <summary>A table of threads that is to come into the stash.</summary>
public sealed record ThreadTableWish
{
    /// <summary>What was pasted; null where a file comes.</summary>
    public string? Text { get; init; }

    /// <summary>A file's bytes in base 64; null where text was pasted.</summary>
    public string? File { get; init; }

    /// <summary>What each column says ("number", "name", "maker", "kind", "colour", "metres", or "" for nothing); left out to go by the
    /// headings.</summary>
    public ImmutableArray<string> Targets { get; init; } = [];

    /// <summary>True to bring it in; false to look first.</summary>
    public bool Save { get; init; }

    /// <summary>True to leave rows out that can't be read; else nothing is brought in while there are any.</summary>
    public bool LeavesOutBroken { get; init; }
}

/// <summary>What would come in, or came.</summary>
/// <param name="Columns">The table's columns.</param>
/// <param name="Targets">What each says, "" for nothing.</param>
/// <param name="Choices">What a column may say.</param>
/// <param name="First">The first of the threads.</param>
/// <param name="Count">How many of its rows can be read.</param>
/// <param name="New">How many of the threads are new.</param>
/// <param name="Known">How many are there already and get the table's facts.</param>
/// <param name="Troubles">The first of what can't be read, a sentence a row.</param>
/// <param name="Broken">How many rows can't be read.</param>
/// <param name="Missing">What no column says that is needed; null where nothing is missing.</param>
/// <param name="IsSaved">True where it was brought in.</param>
public sealed record ThreadTableDto(
    ImmutableArray<string> Columns,
    ImmutableArray<string> Targets,
    ImmutableArray<ThreadColumnDto> Choices,
    ImmutableArray<StashThread> First,
    int Count,
    int New,
    int Known,
    ImmutableArray<string> Troubles,
    int Broken,
    string? Missing,
    bool IsSaved
);

/// <summary>What a column of a table of threads may say.</summary>
public sealed record ThreadColumnDto(string Id, string Name);

/// <summary>Brings tables of threads into the stash: looked at first, and then all of it or nothing.</summary>
internal sealed class StashTables(StashShelf stash, UlletDb db, Workbench bench)
{
    private const int Shown = 8;

    private const int MostSaid = 12;

    internal async Task<Result<ThreadTableDto>> Bring(ThreadTableWish wish, CancellationToken cancellation)
    {
        var looked = bench.Run(WorkKind.Reading, "This table", _ => Read(wish).Then(table => Looked(table, wish)));
        if (!looked.IsOk)
        {
            return looked.Refusal!;
        }
        var (dto, threads) = looked.Value;
        if (!wish.Save)
        {
            return dto;
        }
        if (dto.Missing is { } missing)
        {
            return new Refusal("columns-missing", "targets", missing);
        }
        if (dto.Broken > 0 && !wish.LeavesOutBroken)
        {
            return new Refusal(
                "rows-broken",
                "file",
                $"{dto.Troubles[0]}{(dto.Broken > 1 ? $" And {dto.Broken - 1} more rows can't be read." : "")} Nothing was brought in."
            );
        }
        var kept = await stash.KeepAll(threads, db, cancellation);
        return kept.IsOk ? dto with { IsSaved = true } : kept.Refusal!;
    }

    private (ThreadTableDto Dto, ImmutableArray<StashThread> Threads) Read(
        OrderTable table,
        ImmutableArray<string?> targets
    )
    {
        var read = ThreadTable.Threads(table, targets);
        var (threads, troubles) = read.IsOk ? (read.Value.Threads, read.Value.Troubles) : ([], []);
        var sorted = stash.Sorted(threads);
        var known = sorted.Count(thread => stash.FindThread(thread.Id) is not null);
        return (
            new ThreadTableDto(
                table.Columns,
                [.. targets.Select(target => target ?? "")],
                [.. ThreadTable.Columns.Select(column => new ThreadColumnDto(column.Id, column.Name))],
                [.. threads.Take(Shown)],
                threads.Length,
                sorted.Length - known,
                known,
                [.. troubles.Take(MostSaid)],
                troubles.Length,
                read.Refusal?.Words,
                false
            ),
            threads
        );
    }

    private Result<(ThreadTableDto Dto, ImmutableArray<StashThread> Threads)> Looked(
        OrderTable table,
        ThreadTableWish wish
    )
    {
        if (wish.Targets.IsEmpty)
        {
            return Read(table, ThreadTable.Matched(table));
        }
        if (wish.Targets.Length != table.Columns.Length)
        {
            return new Refusal(
                "targets-wrong",
                "targets",
                $"The table has {table.Columns.Length} columns; for {wish.Targets.Length} it was said what they say."
            );
        }
        var named = wish.Targets.Where(target => target.Length > 0).ToList();
        if (named.Find(target => ThreadTable.Columns.All(column => column.Id != target)) is { } unknown)
        {
            return new Refusal("column-unknown", "targets", $"A thread has no \"{unknown}\".");
        }
        if (named.GroupBy(target => target).FirstOrDefault(group => group.Count() > 1) is { } twice)
        {
            return new Refusal("column-twice", "targets", $"Two columns are said to be the {twice.Key}; choose one.");
        }
        return Read(table, [.. wish.Targets.Select(target => target.Length == 0 ? null : target)]);
    }

    private static Result<OrderTable> Read(ThreadTableWish wish)
    {
        if (wish.File is not { } coded)
        {
            return ThreadTable.Read(wish.Text ?? "");
        }
        var bytes = new byte[coded.Length];
        return Convert.TryFromBase64String(coded, bytes, out var length)
            ? ThreadTable.Read(bytes[..length])
            : new Refusal("file-broken", "file", "That file did not arrive whole; choose it again.");
    }
}
