using System.Collections.Immutable;
using System.Globalization;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Orders;

namespace Ullet.Files.Stash;

/// <summary>Threads in a table, as CSV: <c>number,name,maker,kind,colour,metres</c>, the colour as #rrggbb.</summary>
/// <remarks>Read with any divider, any order of columns, and headings that say the same in other words; what no heading says can be told by
/// hand. Needed are a colour, and a name or a number.</remarks>
public static class ThreadTable
{
    /// <summary>The columns as they are written.</summary>
    public static readonly ImmutableArray<ThreadColumn> Columns =
    [
        new("number", "Number", ["no", "nr", "code", "shade"]),
        new("name", "Name", ["thread", "title", "shade name"]),
        new("maker", "Maker", ["brand", "made by", "manufacturer"]),
        new("kind", "Kind", ["type", "fibre", "material"]),
        new("colour", "Colour", ["color", "hex", "rgb", "#"]),
        new("metres", "Metres left", ["m", "length", "left", "meters", "amount"]),
    ];

    private const string Takes = "A table of threads takes {0:N0}";

    /// <summary>Reads a file, looking at its headings.</summary>
    public static Result<OrderTable> Read(byte[] bytes) => OrderTable.Read(bytes, IsHeading, Takes);

    /// <summary>Reads what was pasted.</summary>
    public static Result<OrderTable> Read(string text) => OrderTable.Read(text, IsHeading, Takes);

    /// <summary>Where each of a table's columns goes by its heading; null for nowhere.</summary>
    public static ImmutableArray<string?> Matched(OrderTable table)
    {
        var taken = new HashSet<string>(StringComparer.Ordinal);
        return
        [
            .. table.Columns.Select(heading =>
                Columns.FirstOrDefault(column => column.IsCalled(heading)) is { } column && taken.Add(column.Id)
                    ? column.Id
                    : null
            ),
        ];
    }

    /// <summary>The threads of a table's rows, and what is wrong with each of the others.</summary>
    /// <param name="table">The table.</param>
    /// <param name="targets">Where each column goes, null for nowhere.</param>
    /// <returns>Both; or "columns-missing" where no column says what is needed.</returns>
    public static Result<ReadThreads> Threads(OrderTable table, ImmutableArray<string?> targets)
    {
        var at = targets
            .Select((id, i) => (id, i))
            .Where(each => each.id is not null)
            .ToDictionary(each => each.id!, each => each.i, StringComparer.Ordinal);
        if (!at.ContainsKey("colour") || !(at.ContainsKey("name") || at.ContainsKey("number")))
        {
            var missing = at.ContainsKey("colour") ? "a name or a number" : "a colour";
            return new Refusal(
                "columns-missing",
                "file",
                $"No column says {missing}. The columns are {string.Join(", ", Columns.Select(column => column.Id))}, in any order; "
                    + $"this table has {string.Join(", ", table.Columns.Select(each => $"\"{Short(each)}\""))}."
            );
        }
        var (read, troubles) = (ImmutableArray.CreateBuilder<StashThread>(), ImmutableArray.CreateBuilder<string>());
        foreach (var (row, i) in table.Rows.Select((row, i) => (row, i)))
        {
            Budget.Spend(5);
            string Cell(string id) => at.TryGetValue(id, out var column) ? row[column] : "";
            var thread = Thread(Cell);
            if (thread.IsOk)
            {
                read.Add(thread.Value);
            }
            else
            {
                troubles.Add($"Row {i + (table.HasHeader ? 2 : 1)}: {thread.Refusal!.Words}");
            }
        }
        return new ReadThreads(read.ToImmutable(), troubles.ToImmutable());
    }

    /// <summary>Writes threads.</summary>
    public static byte[] Write(IEnumerable<StashThread> threads) =>
        OrderTable.Write(
            threads
                .Select(thread =>
                    (IEnumerable<string>)
                        [
                            thread.Number ?? "",
                            thread.Name,
                            thread.Maker ?? "",
                            Words(thread.Kind),
                            thread.Colour,
                            thread.Metres?.ToString("0.##", CultureInfo.InvariantCulture) ?? "",
                        ]
                )
                .Prepend(Columns.Select(column => column.Id))
        );

    private static Result<StashThread> Thread(Func<string, string> cell)
    {
        var (number, name, kind, colour, metres) = (
            cell("number"),
            cell("name"),
            cell("kind"),
            cell("colour"),
            cell("metres")
        );
        if (Kind(kind) is not { } made)
        {
            return new Refusal(
                "kind-unknown",
                "kind",
                $"\"{Short(kind)}\" is no kind of thread; there are {string.Join(", ", Enum.GetValues<ThreadKind>().Select(Words))}."
            );
        }
        if (Metres(metres) is not { IsOk: true } length)
        {
            return Metres(metres).Refusal!;
        }
        var thread = new StashThread("", name.Length > 0 ? name : number, Colour(colour))
        {
            Number = number,
            Maker = cell("maker"),
            Kind = made,
            Metres = length.Value.Metres,
        }.Cleaned();
        return thread.Check() is { } refusal ? refusal : thread;
    }

    /// <summary>A colour with or without its #, of three or six digits; what is none stays as it was typed.</summary>
    private static string Colour(string cell)
    {
        var digits = cell.TrimStart('#');
        return !digits.All(char.IsAsciiHexDigit) ? cell
            : digits.Length == 3 ? $"#{string.Concat(digits.Select(digit => $"{digit}{digit}"))}"
            : $"#{digits}";
    }

    private static ThreadKind? Kind(string cell) =>
        cell.Length == 0 ? ThreadKind.Polyester
        : Enum.TryParse<ThreadKind>(cell, ignoreCase: true, out var kind)
        && Enum.IsDefined(kind)
        && !char.IsAsciiDigit(cell[0])
            ? kind
        : null;

    private static Result<Length> Metres(string cell)
    {
        var number = cell.TrimEnd('m', ' ').Replace(',', '.');
        return cell.Length == 0 ? new Length(null)
            : double.TryParse(number, NumberStyles.Float, CultureInfo.InvariantCulture, out var metres)
                ? new Length(metres)
            : new Refusal("metres-broken", "metres", $"\"{Short(cell)}\" is no length in metres.");
    }

    private static string Words(ThreadKind kind) => kind.ToString().ToLowerInvariant();

    private static bool IsHeading(string cell) => Columns.Any(column => column.IsCalled(cell));

    private static string Short(string cell) => cell.Length > 40 ? cell[..40] + "…" : cell;

    private sealed record Length(double? Metres);
}

/// <summary>A column of a table of threads.</summary>
/// <param name="Id">How it is written.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Others">Other headings that say the same.</param>
public sealed record ThreadColumn(string Id, string Name, ImmutableArray<string> Others)
{
    internal bool IsCalled(string heading) =>
        heading.Equals(Id, StringComparison.OrdinalIgnoreCase)
        || heading.Equals(Name, StringComparison.OrdinalIgnoreCase)
        || Others.Contains(heading, StringComparer.OrdinalIgnoreCase);
}

/// <summary>What a table gave.</summary>
/// <param name="Threads">The threads that could be read.</param>
/// <param name="Troubles">What is wrong with the other rows, a sentence each.</param>
public sealed record ReadThreads(ImmutableArray<StashThread> Threads, ImmutableArray<string> Troubles);
