using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Projects;

namespace Ullet.Core.Orders;

/// <summary>A column of the order book.</summary>
/// <param name="Id">Names it: "number", or a fill-in's id.</param>
/// <param name="Label">What it is called.</param>
public sealed record OrderColumn(string Id, string Label);

/// <summary>The columns of a book, and how those of a table from elsewhere are matched to them.</summary>
public static class OrderColumns
{
    public const string Number = "number";
    public const string Reference = "reference";
    public const string Quantity = "quantity";
    public const string WantedBy = "wantedBy";
    public const string Note = "note";
    public const string State = "state";

    /// <summary>What the columns of the book itself may be called elsewhere.</summary>
    private static readonly ImmutableArray<(OrderColumn Column, ImmutableArray<string> Names)> Known =
    [
        (new(Number, "Number"), ["number", "no", "nr", "order", "order number", "order no"]),
        (new(Reference, "Reference"), ["reference", "ref", "customer", "customer reference"]),
        (new(Quantity, "Quantity"), ["quantity", "qty", "count", "pieces", "how many"]),
        (new(WantedBy, "Wanted by"), ["wanted by", "wanted", "due", "date", "by"]),
        (new(Note, "Note"), ["note", "notes", "remark", "remarks"]),
        (new(State, "State"), ["state", "status"]),
    ];

    /// <summary>All columns: the number, the reference, the quantity, the fill-ins, then the rest.</summary>
    public static ImmutableArray<OrderColumn> Of(ImmutableArray<FillIn> fields) =>
        [
            .. Known.Take(3).Select(known => known.Column),
            .. fields.Select(field => new OrderColumn(field.Id, field.Label)),
            .. Known.Skip(3).Select(known => known.Column),
        ];

    /// <summary>The column that a name from elsewhere means; null for none.</summary>
    public static string? Matched(string name, ImmutableArray<FillIn> fields)
    {
        var plain = Plain(name);
        if (plain.Length == 0)
        {
            return null;
        }
        // A fill-in by its own name goes before the book's own columns.
        return fields.FirstOrDefault(field => Plain(field.Label) == plain || Plain(field.Id) == plain)?.Id
            ?? fields.FirstOrDefault(field => Plain(field.PatternFillInId ?? "") == plain)?.Id
            ?? Beginning(plain, fields)
            ?? Known
                .Where(known => Plain(known.Column.Id) == plain || known.Names.Contains(plain))
                .Select(known => known.Column.Id)
                .FirstOrDefault();
    }

    /// <summary>The one fill-in whose label begins with these words; null where there is none, or more than one.</summary>
    private static string? Beginning(string plain, ImmutableArray<FillIn> fields)
    {
        var found = fields
            .Where(field => Plain(field.Label).StartsWith(plain + ' ', StringComparison.Ordinal))
            .Take(2)
            .ToList();
        return found.Count == 1 ? found[0].Id : null;
    }

    /// <summary>The columns of a table without names: a first column of numbers is the orders', then come the fill-ins in their order.</summary>
    public static ImmutableArray<string?> ByPlace(
        ImmutableArray<ImmutableArray<string>> rows,
        int width,
        ImmutableArray<FillIn> fields
    )
    {
        var numbered =
            width > 1
            && rows.Select(row => row[0]).Distinct(StringComparer.Ordinal).Count() == rows.Length
            && rows.All(row => row[0].Length > 0 && row[0].All(char.IsAsciiDigit));
        var ids = fields.Select(field => (string?)field.Id).ToList();
        if (numbered)
        {
            ids.Insert(0, Number);
        }
        return [.. Enumerable.Range(0, width).Select(i => i < ids.Count ? ids[i] : null)];
    }

    /// <summary>Small letters and figures, single spaces.</summary>
    private static string Plain(string name) =>
        string.Join(
            ' ',
            new string([.. name.ToLowerInvariant().Select(c => char.IsLetterOrDigit(c) ? c : ' ')]).Split(
                ' ',
                StringSplitOptions.RemoveEmptyEntries
            )
        );

    /// <summary>An order of a row's cells.</summary>
    /// <param name="cells">The cells.</param>
    /// <param name="targets">The column that each goes to; null for none.</param>
    /// <param name="number">The order's number where no column gives one.</param>
    /// <returns>It, and what could not be read of it; that is as usual then.</returns>
    public static (Order Order, ImmutableArray<string> Troubles) Order(
        ImmutableArray<string> cells,
        ImmutableArray<string?> targets,
        string number
    )
    {
        var troubles = ImmutableArray.CreateBuilder<string>();
        var order = new Order { Id = "", Number = number };
        for (var i = 0; i < Math.Min(cells.Length, targets.Length); i++)
        {
            var cell = cells[i];
            order = targets[i] switch
            {
                null => order,
                Number => cell.Length > 0 ? order with { Number = cell } : order,
                Reference => order with { Reference = cell },
                Note => order with { Note = cell },
                Quantity => order with { Quantity = QuantityOf(cell, troubles) },
                WantedBy => order with { WantedBy = DayOf(cell, troubles) },
                // How far an order is, is not brought in: what was not made here has no files.
                State => order,
                { } fillIn => order with { Values = order.Values.With(fillIn, cell) },
            };
        }
        return (order, troubles.ToImmutable());
    }

    private static int QuantityOf(string cell, ImmutableArray<string>.Builder troubles)
    {
        if (cell.Length == 0)
        {
            return 1;
        }
        if (
            int.TryParse(cell, NumberStyles.None, CultureInfo.InvariantCulture, out var count)
            && count is >= 1 and <= Orders.Order.MostOf
        )
        {
            return count;
        }
        troubles.Add($"“{Cut(cell)}” is no quantity from 1 to {Orders.Order.MostOf}");
        return 1;
    }

    private static readonly string[] Days = ["yyyy-MM-dd", "d.M.yyyy", "d MMM yyyy", "d MMMM yyyy", "yyyy/MM/dd"];

    private static string DayOf(string cell, ImmutableArray<string>.Builder troubles)
    {
        if (cell.Length == 0)
        {
            return "";
        }
        if (DateOnly.TryParseExact(cell, Days, CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
        {
            return day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture);
        }
        troubles.Add($"“{Cut(cell)}” is no day; write it as 2026-11-30");
        return "";
    }

    private static string Cut(string text) => text.Length > 40 ? text[..40] + "…" : text;
}
