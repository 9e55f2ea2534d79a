using System.Collections.Immutable;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Pipeline;
using Ullet.Server.Data;
using Ullet.Server.Documents;

namespace Ullet.Server.Orders;

/// <summary>What is needed to make something of a job.</summary>
/// <param name="Rows">The orders.</param>
/// <param name="Master">Their master, in the state that they hold to.</param>
/// <param name="Revision">That state.</param>
/// <param name="Own">The project that an order was opened as; null where it is made from the master.</param>
/// <param name="Wish">What was asked for.</param>
/// <param name="Seats">The seats of a hooping for several: orders, and which of several that are wanted.</param>
internal sealed record Making(
    ImmutableArray<OrderRow> Rows,
    MasterState Master,
    long Revision,
    Head? Own,
    JobWish Wish,
    ImmutableArray<string> Seats
);

/// <summary>Makes what a job asks for.</summary>
internal sealed class OrderMaking(
    UlletDb db,
    DocumentHistory history,
    RevisionReader revisions,
    MasterStates states,
    OrderFiles files,
    HoopingPlans hoopings
)
{
    /// <summary>Reads what is needed.</summary>
    internal async Task<Result<Making>> Begin(
        string projectId,
        ImmutableArray<string> seats,
        JobWish wish,
        CancellationToken cancellation
    )
    {
        var rows = new List<OrderRow>();
        foreach (var id in seats.Select(seat => seat.Split(':')[0]).Distinct(StringComparer.Ordinal))
        {
            if (await db.Orders.AsNoTracking().FirstOrDefaultAsync(row => row.Id == id, cancellation) is not { } row)
            {
                return OrderBook.Unknown(id);
            }
            rows.Add(row);
        }
        // Orders of one hooping are made of today's master: they lie under one needle.
        var held = wish.Anew || rows.Count > 1 || wish.Kind == JobWish.Hoopings ? null : rows[0].Revision;
        if (await revisions.At(projectId, held, cancellation) is not { } head)
        {
            return new Refusal(
                "master-gone",
                "project",
                "The project that this order is made from lies in the bin, or the state that it holds to is not there. Bring it back, or make the order with today's project."
            )
            {
                Kind = RefusalKind.Conflict,
            };
        }
        var own = rows is [{ OwnProjectId: { } ownId }] ? await history.Load(ownId, cancellation) : null;
        var context = history.Context with { Cancellation = cancellation };
        return new Making([.. rows], states.Of(head, context, cancellation), head.Revision, own, wish, seats);
    }

    /// <summary>Computes the files.</summary>
    internal async Task<Result<MadeFiles>> Make(Making making, string name, CancellationToken cancellation)
    {
        var context = history.Context with { Cancellation = cancellation };
        if (making.Wish.Kind == JobWish.Hoopings)
        {
            return await hoopings.Make(making, name, context, cancellation);
        }
        var row = making.Rows[0];
        if (making.Own is { } own)
        {
            var says = states.Judge(making.Master, row.Values).Order.Filled.Words;
            return await files.Made(own.Project, says, row.Number, context, cancellation);
        }
        return await files.Make(making.Master, row, context, cancellation);
    }

    /// <summary>Keeps the files, in the caller's transaction.</summary>
    /// <returns>Their hash.</returns>
    internal async Task<string> Keep(Making making, MadeFiles made, string name, CancellationToken cancellation)
    {
        ImmutableArray<OrderRow> rows = [.. making.Rows.Where(row => !making.Wish.LeftOut.Contains(row.Id))];
        var stamps = rows.ToDictionary(
            row => row.Id,
            row => states.Judge(making.Master, row.Values).Sum?.Stamp ?? "",
            StringComparer.Ordinal
        );
        var hooping = making.Wish.Kind == JobWish.Hoopings ? name : null;
        return await files.Keep(made, rows, making.Revision, hooping, stamps, cancellation);
    }
}
