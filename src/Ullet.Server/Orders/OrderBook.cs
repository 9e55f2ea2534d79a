using System.Collections.Immutable;
using System.IO.Compression;
using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Orders;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;

namespace Ullet.Server.Orders;

/// <summary>What a change of the book writes: orders by their ids, those with an unknown id new ones; and which go.</summary>
/// <param name="Label">What a person would call it.</param>
/// <param name="Set">Orders as they are to be; an empty id is a new one.</param>
/// <param name="Removed">Orders that go.</param>
public sealed record BookChange(string Label, ImmutableArray<Order> Set, ImmutableArray<string> Removed)
{
    /// <summary>New orders go before this one; null to go to the end.</summary>
    public string? Before { get; init; }
}

/// <summary>The one writer of order books: every change is one transaction, and one step of undo.</summary>
public sealed class OrderBook(UlletDb db)
{
    /// <summary>Most orders of a book.</summary>
    public const int Most = 5_000;

    /// <summary>So many changes can be undone.</summary>
    private const int MostChanges = 200;

    /// <summary>All orders of a master, in their order.</summary>
    internal Task<List<OrderRow>> Rows(string projectId, CancellationToken cancellation) =>
        db
            .Orders.AsNoTracking()
            .Where(row => row.ProjectId == projectId)
            .OrderBy(row => row.Position)
            .ThenBy(row => row.Id)
            .ToListAsync(cancellation);

    /// <summary>An order by its id; null for none.</summary>
    internal Task<OrderRow?> Find(string orderId, CancellationToken cancellation) =>
        db.Orders.AsNoTracking().FirstOrDefaultAsync(row => row.Id == orderId, cancellation);

    /// <summary>What undo and redo would bring back, by label; null where there is nothing.</summary>
    internal async Task<(string? Undo, string? Redo)> Around(string projectId, CancellationToken cancellation)
    {
        var undo = await Newest(projectId, false, cancellation);
        var redo = await Oldest(projectId, cancellation);
        return (undo?.Label, redo?.Label);
    }

    /// <summary>Carries a change out.</summary>
    /// <returns>The ids of the orders that were set, in the order in which they were given; or why nothing was changed.</returns>
    internal async Task<Result<ImmutableArray<string>>> Change(
        string projectId,
        BookChange change,
        CancellationToken cancellation
    )
    {
        var orders = change.Set.Select(order => order.Cleaned()).ToList();
        if (orders.Select(order => order.Check()).FirstOrDefault(no => no is not null) is { } refusal)
        {
            return refusal;
        }
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        var rows = await db
            .Orders.Where(row => row.ProjectId == projectId)
            .ToDictionaryAsync(row => row.Id, cancellation);
        if (orders.FirstOrDefault(order => order.Id.Length > 0 && !rows.ContainsKey(order.Id)) is { } gone)
        {
            return Unknown(gone.Id);
        }
        var fresh = orders.Count(order => order.Id.Length == 0);
        if (rows.Count + fresh > Most)
        {
            return new Refusal(
                "orders-too-many",
                "set",
                $"A book takes {Most:N0} orders; this one has {rows.Count:N0}, and {fresh:N0} more would come. Bring in fewer, or remove some."
            )
            {
                Kind = RefusalKind.TooLarge,
            };
        }
        var (before, after) = (new List<KeptOrder?>(), new List<KeptOrder?>());
        var places = Places(rows.Values, change.Before, fresh);
        var ids = ImmutableArray.CreateBuilder<string>();
        foreach (var order in orders)
        {
            if (order.Id.Length == 0)
            {
                var row = New(projectId, order, places.Dequeue());
                db.Orders.Add(row);
                before.Add(null);
                after.Add(KeptOrder.Of(row));
                ids.Add(row.Id);
                continue;
            }
            var known = rows[order.Id];
            before.Add(KeptOrder.Of(known));
            Write(known, order);
            after.Add(KeptOrder.Of(known));
            ids.Add(known.Id);
        }
        foreach (var row in change.Removed.Where(rows.ContainsKey).Select(id => rows[id]))
        {
            before.Add(KeptOrder.Of(row));
            after.Add(null);
            db.Orders.Remove(row);
        }
        if (before.Count == 0)
        {
            return ids.ToImmutable();
        }
        await Forget(projectId, cancellation);
        db.OrderChanges.Add(
            new OrderChangeRow
            {
                ProjectId = projectId,
                Label = PlainText.Line(change.Label) is { Length: > 0 and <= 80 } label ? label : "Change orders",
                Before = Packed(before),
                After = Packed(after),
            }
        );
        await db.SaveChangesAsync(cancellation);
        await transaction.CommitAsync(cancellation);
        return ids.ToImmutable();
    }

    /// <summary>Takes the newest change back.</summary>
    /// <returns>Its label, or "nothing-to-undo".</returns>
    internal Task<Result<string>> Undo(string projectId, CancellationToken cancellation) =>
        Turned(projectId, isUndo: true, cancellation);

    /// <summary>Makes the oldest change that was taken back again.</summary>
    internal Task<Result<string>> Redo(string projectId, CancellationToken cancellation) =>
        Turned(projectId, isUndo: false, cancellation);

    private async Task<Result<string>> Turned(string projectId, bool isUndo, CancellationToken cancellation)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancellation);
        var change = isUndo ? await Newest(projectId, false, cancellation) : await Oldest(projectId, cancellation);
        if (change is null)
        {
            return new Refusal(
                isUndo ? "nothing-to-undo" : "nothing-to-redo",
                "book",
                isUndo ? "There is nothing left to undo in the book." : "There is nothing to do again in the book."
            )
            {
                Kind = RefusalKind.Conflict,
            };
        }
        var (from, to) = isUndo ? (change.After, change.Before) : (change.Before, change.After);
        foreach (var (was, now) in Unpacked(from).Zip(Unpacked(to)))
        {
            await Restored(projectId, was, now, cancellation);
        }
        change.IsUndone = isUndo;
        await db.SaveChangesAsync(cancellation);
        await transaction.CommitAsync(cancellation);
        return change.Label;
    }

    /// <summary>Brings one order from one state to the other: only what the change itself changed.</summary>
    private async Task Restored(string projectId, KeptOrder? was, KeptOrder? now, CancellationToken cancellation)
    {
        var id = (was ?? now)!.Id;
        var row = await db.Orders.FirstOrDefaultAsync(order => order.Id == id, cancellation);
        if (now is null)
        {
            if (row is not null)
            {
                db.Orders.Remove(row);
            }
            return;
        }
        if (row is null)
        {
            db.Orders.Add(now.Row(projectId));
            return;
        }
        now.Apply(row, was);
    }

    private Task<OrderChangeRow?> Newest(string projectId, bool isUndone, CancellationToken cancellation) =>
        db
            .OrderChanges.Where(change => change.ProjectId == projectId && change.IsUndone == isUndone)
            .OrderByDescending(change => change.Id)
            .FirstOrDefaultAsync(cancellation);

    private Task<OrderChangeRow?> Oldest(string projectId, CancellationToken cancellation) =>
        db
            .OrderChanges.Where(change => change.ProjectId == projectId && change.IsUndone)
            .OrderBy(change => change.Id)
            .FirstOrDefaultAsync(cancellation);

    /// <summary>What was taken back can't be done again once something else is done; old changes go.</summary>
    private async Task Forget(string projectId, CancellationToken cancellation)
    {
        await db
            .OrderChanges.Where(change => change.ProjectId == projectId && change.IsUndone)
            .ExecuteDeleteAsync(cancellation);
        var kept = await db
            .OrderChanges.Where(change => change.ProjectId == projectId)
            .OrderByDescending(change => change.Id)
            .Select(change => change.Id)
            .Skip(MostChanges - 1)
            .FirstOrDefaultAsync(cancellation);
        await db
            .OrderChanges.Where(change => change.ProjectId == projectId && change.Id <= kept)
            .ExecuteDeleteAsync(cancellation);
    }

    /// <summary>Places for new orders: at the end, or between two.</summary>
    private static Queue<double> Places(IEnumerable<OrderRow> rows, string? before, int count)
    {
        var sorted = rows.OrderBy(row => row.Position).ToList();
        var at = before is null ? -1 : sorted.FindIndex(row => row.Id == before);
        var last = sorted.Count == 0 ? 0 : sorted[^1].Position;
        var (from, to) =
            at < 0
                ? (last, last + count + 1)
                : (at == 0 ? sorted[0].Position - count - 1 : sorted[at - 1].Position, sorted[at].Position);
        return new Queue<double>(Enumerable.Range(1, count).Select(i => from + ((to - from) * i / (count + 1))));
    }

    private static OrderRow New(string projectId, Order order, double position) =>
        new()
        {
            Id = Guid.CreateVersion7().ToString("N"),
            ProjectId = projectId,
            Position = position,
            Number = order.Number,
            Reference = order.Reference,
            Quantity = order.Quantity,
            Values = OrderJson.Write(order.Values),
            WantedBy = order.WantedBy,
            Note = order.Note,
            // What has no files was not made.
            State = OrderState.New,
        };

    /// <summary>Another value makes another order: a proof, and files that were made, do not hold for it any more.</summary>
    private static void Write(OrderRow row, Order order)
    {
        var values = OrderJson.Write(order.Values);
        var isOther = values != row.Values;
        (row.Number, row.Reference, row.Quantity) = (order.Number, order.Reference, order.Quantity);
        (row.WantedBy, row.Note, row.Values) = (order.WantedBy, order.Note, values);
        row.State = isOther && row.State != OrderState.New && order.State == row.State ? OrderState.New : order.State;
        if (row.State == OrderState.New)
        {
            (row.Revision, row.Stamp) = (null, null);
        }
    }

    internal static Refusal Unknown(string orderId) =>
        new("order-unknown", "orderId", $"There is no order \"{orderId}\" in this book.")
        {
            Kind = RefusalKind.NotFound,
        };

    private static byte[] Packed(List<KeptOrder?> orders)
    {
        using var packed = new MemoryStream();
        using (var zip = new BrotliStream(packed, CompressionLevel.Fastest, leaveOpen: true))
        {
            JsonSerializer.Serialize(zip, orders, ProjectJson.Options);
        }
        return packed.ToArray();
    }

    private static List<KeptOrder?> Unpacked(byte[] packed)
    {
        using var zip = new BrotliStream(new MemoryStream(packed), CompressionMode.Decompress);
        return JsonSerializer.Deserialize<List<KeptOrder?>>(zip, ProjectJson.Options) ?? [];
    }
}
