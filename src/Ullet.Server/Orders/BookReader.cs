using System.Collections.Immutable;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Orders;
using Ullet.Core.Pipeline;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Work;

namespace Ullet.Server.Orders;

/// <summary>Reads books, and judges their rows against today's master.</summary>
internal sealed class BookReader(
    UlletDb db,
    OrderBook book,
    DocumentHistory history,
    MasterStates states,
    Workbench bench
)
{
    /// <summary>Most rows that are judged for one request.</summary>
    internal const int MostAtOnce = 60;

    /// <summary>The book as it stands, with what is known of its rows; nothing is computed.</summary>
    internal async Task<Result<BookDto>> Book(string projectId, CancellationToken cancellation)
    {
        if (await history.Load(projectId, cancellation) is not { } head)
        {
            return DocumentHistory.Unknown(projectId);
        }
        var rows = await book.Rows(projectId, cancellation);
        var made = await NewestMade(projectId, cancellation);
        var doubled = Doubled(rows);
        var state = states.Known(projectId, head.Revision);
        var (undo, redo) = await book.Around(projectId, cancellation);
        return new BookDto(
            head.Revision,
            head.Project.Title,
            [.. FillInFields.Of(head.Project).Select(field => FieldDto.Of(field, head.Project))],
            [
                .. rows.Select(row =>
                    BookShown.Of(
                        row,
                        made.GetValueOrDefault(row.Id),
                        state?.Known(row.Values) is { } judged
                            ? BookShown.Of(row.Id, judged, row.Stamp, doubled.Contains(row.Number), row.Number)
                            : null
                    )
                ),
            ],
            undo,
            redo
        );
    }

    /// <summary>Judges rows: several side by side, each against what the others computed already.</summary>
    internal async Task<Result<ImmutableArray<JudgedDto>>> Judged(
        string projectId,
        ImmutableArray<string> orderIds,
        CancellationToken cancellation
    )
    {
        if (await history.Load(projectId, cancellation) is not { } head)
        {
            return DocumentHistory.Unknown(projectId);
        }
        var all = await book.Rows(projectId, cancellation);
        var doubled = Doubled(all);
        var wanted = orderIds.Take(MostAtOnce).ToHashSet(StringComparer.Ordinal);
        var rows = all.Where(row => wanted.Contains(row.Id)).ToList();
        return bench.Run(
            WorkKind.Showing,
            "These orders",
            token =>
            {
                var state = states.Of(head, history.Context with { Cancellation = token }, token);
                var judged = SideBySide.Map(rows, row => states.Judge(state, row.Values));
                return (Result<ImmutableArray<JudgedDto>>)
                    rows.Zip(
                            judged,
                            (row, each) =>
                                BookShown.Of(row.Id, each, row.Stamp, doubled.Contains(row.Number), row.Number)
                        )
                        .ToImmutableArray();
            }
        );
    }

    /// <summary>Judges what is typed, before it is kept.</summary>
    internal async Task<Result<JudgedDto>> Tried(string projectId, OrderValues values, CancellationToken cancellation)
    {
        if (await history.Load(projectId, cancellation) is not { } head)
        {
            return DocumentHistory.Unknown(projectId);
        }
        return bench.Run(
            WorkKind.Showing,
            "This order",
            token =>
            {
                var state = states.Of(head, history.Context with { Cancellation = token }, token);
                return BookShown.Of("", states.Judge(state, OrderJson.Write(values)), null, false, "");
            }
        );
    }

    internal async Task<Dictionary<string, MadeRow>> NewestMade(string projectId, CancellationToken cancellation)
    {
        var newest = db
            .Made.Where(made => made.ProjectId == projectId)
            .GroupBy(made => made.OrderId)
            .Select(group => group.Max(made => made.Id));
        return await db
            .Made.AsNoTracking()
            .Where(made => newest.Contains(made.Id))
            .ToDictionaryAsync(made => made.OrderId, StringComparer.Ordinal, cancellation);
    }

    private static HashSet<string> Doubled(IEnumerable<OrderRow> rows) =>
        rows.GroupBy(row => row.Number, StringComparer.OrdinalIgnoreCase)
            .Where(group => group.Count() > 1)
            .SelectMany(group => group.Select(row => row.Number))
            .ToHashSet(StringComparer.Ordinal);
}
