using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Orders;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Orders;
using Ullet.Server.Documents;

namespace Ullet.Server.Orders;

/// <summary>A table that is to come into a book.</summary>
public sealed record TableWish
{
    /// <summary>What was pasted; null where a file comes.</summary>
    public string? Text { get; init; }

    /// <summary>A file's bytes in base 64; null where text was pasted.</summary>
    public string? File { get; init; }

    /// <summary>The column of the book that each column goes to, "" for none; nothing to match them by their names.</summary>
    public ImmutableArray<string> Targets { get; init; } = [];

    /// <summary>True to bring it in; false to look first.</summary>
    public bool Save { get; init; }
}

/// <summary>What would come in, or came.</summary>
/// <param name="Columns">The table's columns, with where each goes.</param>
/// <param name="Targets">Where they could go.</param>
/// <param name="Count">How many orders.</param>
/// <param name="First">The first of them.</param>
/// <param name="Troubles">What could not be read, row by row: nothing is brought in while there are any of these.</param>
/// <param name="Notes">What to know; it is brought in all the same.</param>
/// <param name="IsSaved">True where it was brought in.</param>
public sealed record TableDto(
    ImmutableArray<TableColumn> Columns,
    ImmutableArray<OrderColumn> Targets,
    int Count,
    ImmutableArray<BroughtOrder> First,
    ImmutableArray<string> Troubles,
    ImmutableArray<string> Notes,
    bool IsSaved
);

/// <summary>An order as it would come in.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Cells">What the table says of it.</param>
public sealed record BroughtOrder(string Number, ImmutableArray<string> Cells);

/// <summary>A column of a table from elsewhere.</summary>
/// <param name="Name">What it is called there.</param>
/// <param name="Target">Where it goes; empty for nowhere.</param>
public sealed record TableColumn(string Name, string Target);

/// <summary>Brings tables into books: looked at first, and then all of it or nothing.</summary>
internal sealed class OrderBringing(OrderBook book, DocumentHistory history)
{
    private const int Shown = 8;

    private const int MostSaid = 12;

    internal async Task<Result<TableDto>> Bring(string projectId, TableWish wish, CancellationToken cancellation)
    {
        if (await history.Load(projectId, cancellation) is not { } head)
        {
            return DocumentHistory.Unknown(projectId);
        }
        var fields = FillInFields.Of(head.Project);
        var read = Read(wish, cell => OrderColumns.Matched(cell, fields) is not null);
        if (!read.IsOk)
        {
            return read.Refusal!;
        }
        var (table, columns) = (read.Value, OrderColumns.Of(fields));
        var targets = Targets(wish, table, fields);
        if (targets.OfType<string>().FirstOrDefault(id => columns.All(column => column.Id != id)) is { } unknown)
        {
            return new Refusal("column-unknown", "targets", $"The book has no column \"{unknown}\".");
        }
        if (targets.OfType<string>().GroupBy(id => id).FirstOrDefault(group => group.Count() > 1) is { } twice)
        {
            return new Refusal(
                "column-twice",
                "targets",
                $"Two columns go to {columns.First(column => column.Id == twice.Key).Label}; choose one."
            );
        }
        var there = await book.Rows(projectId, cancellation);
        var (orders, troubles) = Orders(table, targets, Next(there.Select(row => row.Number)));
        var notes = Notes(orders, there.Select(row => row.Number), targets, fields);
        var isSaved = wish.Save && troubles.Count == 0;
        if (isSaved)
        {
            var kept = await book.Change(
                projectId,
                new BookChange(
                    orders.Count == 1 ? "Bring in an order" : $"Bring in {orders.Count} orders",
                    [.. orders],
                    []
                ),
                cancellation
            );
            if (!kept.IsOk)
            {
                return kept.Refusal!;
            }
        }
        return new TableDto(
            [.. table.Columns.Zip(targets, (name, target) => new TableColumn(name, target ?? ""))],
            columns,
            orders.Count,
            [.. orders.Take(Shown).Zip(table.Rows, (order, cells) => new BroughtOrder(order.Number, cells))],
            Said(troubles),
            Said(notes),
            isSaved
        );
    }

    private static Result<OrderTable> Read(TableWish wish, Func<string, bool> isHeader)
    {
        if (wish.File is not { } file)
        {
            return OrderTable.Read(wish.Text ?? "", isHeader);
        }
        var bytes = new byte[(file.Length / 4 * 3) + 3];
        return Convert.TryFromBase64String(file, bytes, out var length)
            ? OrderTable.Read(bytes[..length], isHeader)
            : new Refusal("table-broken", "file", "The file did not arrive whole; send it again.");
    }

    private static ImmutableArray<string?> Targets(TableWish wish, OrderTable table, ImmutableArray<FillIn> fields)
    {
        if (!wish.Targets.IsDefaultOrEmpty)
        {
            return
            [
                .. table.Columns.Select(
                    (_, i) => i < wish.Targets.Length && wish.Targets[i].Length > 0 ? wish.Targets[i] : null
                ),
            ];
        }
        if (!table.HasHeader)
        {
            return OrderColumns.ByPlace(table.Rows, table.Columns.Length, fields);
        }
        var taken = new HashSet<string>(StringComparer.Ordinal);
        return
        [
            .. table.Columns.Select(name => OrderColumns.Matched(name, fields) is { } id && taken.Add(id) ? id : null),
        ];
    }

    private static (List<Order> Orders, List<string> Troubles) Orders(
        OrderTable table,
        ImmutableArray<string?> targets,
        int next
    )
    {
        var (orders, troubles) = (new List<Order>(), new List<string>());
        var first = table.HasHeader ? 2 : 1;
        for (var i = 0; i < table.Rows.Length; i++)
        {
            Budget.Spend();
            var (order, wrong) = OrderColumns.Order(
                table.Rows[i],
                targets,
                (next + i).ToString(CultureInfo.InvariantCulture)
            );
            order = order.Cleaned();
            troubles.AddRange(wrong.Select(each => $"Row {i + first}: {each}."));
            if (order.Check() is { } refusal)
            {
                troubles.Add($"Row {i + first}: {refusal.Words}");
            }
            orders.Add(order);
        }
        return (orders, troubles);
    }

    /// <summary>The number after the highest.</summary>
    private static int Next(IEnumerable<string> numbers) =>
        1
        + numbers
            .Select(number =>
                int.TryParse(number, NumberStyles.None, CultureInfo.InvariantCulture, out var value)
                && value < 1_000_000_000
                    ? value
                    : 0
            )
            .DefaultIfEmpty(0)
            .Max();

    private static List<string> Notes(
        List<Order> orders,
        IEnumerable<string> there,
        ImmutableArray<string?> targets,
        ImmutableArray<FillIn> fields
    )
    {
        var notes = new List<string>();
        var doubled = orders
            .Select(order => order.Number)
            .Concat(there)
            .GroupBy(number => number, StringComparer.OrdinalIgnoreCase)
            .Where(group => group.Count() > 1)
            .Select(group => group.Key)
            .ToList();
        if (doubled.Count > 0)
        {
            notes.Add($"These numbers would stand twice in the book: {string.Join(", ", doubled.Take(MostSaid))}.");
        }
        notes.AddRange(
            fields
                .Where(field => !targets.Contains(field.Id))
                .Select(field => $"No column goes to {field.Label}; it stays empty.")
        );
        return notes;
    }

    private static ImmutableArray<string> Said(List<string> sentences) =>
        sentences.Count <= MostSaid
            ? [.. sentences]
            : [.. sentences.Take(MostSaid), $"… and {sentences.Count - MostSaid} more."];
}
