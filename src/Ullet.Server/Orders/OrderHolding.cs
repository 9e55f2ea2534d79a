using System.Collections.Immutable;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Orders;
using Ullet.Core.Pipeline;
using Ullet.Server.Data;
using Ullet.Server.Documents;

namespace Ullet.Server.Orders;

/// <summary>To which state of the project orders hold, and which are projects of their own.</summary>
internal sealed class OrderHolding(UlletDb db, DocumentHistory history, RevisionReader revisions, MasterStates states)
{
    /// <summary>New orders whose proofs were printed hold to today's state.</summary>
    internal async Task Proofed(string projectId, IReadOnlyList<OrderRow> rows, CancellationToken cancellation)
    {
        if (await history.Load(projectId, cancellation) is not { } head)
        {
            return;
        }
        var state = states.Of(head, history.Context with { Cancellation = cancellation }, cancellation);
        foreach (var row in rows.Where(row => row.State == OrderState.New))
        {
            var stamp = states.Judge(state, row.Values).Sum?.Stamp;
            await db
                .Orders.Where(order =>
                    order.Id == row.Id && order.Values == row.Values && order.State == OrderState.New
                )
                .ExecuteUpdateAsync(
                    set =>
                        set.SetProperty(order => order.State, OrderState.Proofed)
                            .SetProperty(order => order.Revision, head.Revision)
                            .SetProperty(order => order.Stamp, stamp),
                    cancellation
                );
        }
    }

    /// <summary>Orders go with the master again; what was made of them stays kept.</summary>
    /// <returns>Why not; null when it was done.</returns>
    internal async Task<Refusal?> Follow(
        string projectId,
        ImmutableArray<string> orderIds,
        CancellationToken cancellation
    )
    {
        var known = await db.Orders.CountAsync(
            order => order.ProjectId == projectId && orderIds.Contains(order.Id),
            cancellation
        );
        if (known < orderIds.Length)
        {
            return new Refusal("order-unknown", "ids", "Some of these orders are not in this book.")
            {
                Kind = RefusalKind.NotFound,
            };
        }
        await db
            .Orders.Where(order => order.ProjectId == projectId && orderIds.Contains(order.Id))
            .ExecuteUpdateAsync(
                set =>
                    set.SetProperty(order => order.State, OrderState.New)
                        .SetProperty(order => order.Revision, (long?)null)
                        .SetProperty(order => order.Stamp, (string?)null),
                cancellation
            );
        return null;
    }

    /// <summary>An order as a project of its own: opened once, and found again.</summary>
    /// <returns>The project.</returns>
    internal async Task<Result<string>> Opened(OrderRow row, CancellationToken cancellation)
    {
        if (row.OwnProjectId is { } known && await history.Current(known, cancellation) is not null)
        {
            return known;
        }
        if (await revisions.At(row.ProjectId, row.Revision, cancellation) is not { } head)
        {
            return DocumentHistory.Unknown(row.ProjectId);
        }
        var context = history.Context with { Cancellation = cancellation };
        var filled = states.Of(head, context, cancellation).Judge.Fill(OrderJson.Read(row.Values));
        if (!filled.IsWhole)
        {
            var why = filled.Outcomes.First(outcome => outcome.Trouble is not null).Trouble!;
            return new Refusal("order-stopped", row.Id, why.Words) { Kind = RefusalKind.NotPossible };
        }
        var project = OrderFiles.Named(filled.Project, row.Number, filled.Words);
        var made = await history.Create(
            project,
            $"Order {row.Number} of {head.Project.Title}",
            cancellation,
            head.Project
        );
        if (!made.IsOk)
        {
            return made.Refusal!;
        }
        await db
            .Orders.Where(order => order.Id == row.Id)
            .ExecuteUpdateAsync(set => set.SetProperty(order => order.OwnProjectId, made.Value.Id), cancellation);
        return made.Value.Id;
    }
}
