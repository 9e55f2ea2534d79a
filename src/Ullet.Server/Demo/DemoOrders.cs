using System.Collections.Immutable;
using Microsoft.EntityFrameworkCore;
using Ullet.Core.Orders;
using Ullet.Server.Data;
using Ullet.Server.Orders;

namespace Ullet.Server.Demo;

/// <summary>The stall's order books: plot-holders who never lived want pouches, gate initials and plot patches.</summary>
internal static class DemoOrders
{
    private static readonly ImmutableArray<string> Names =
    [
        "Rowan",
        "Ama",
        "Mira",
        "Theodora",
        "Jo",
        "Quill",
        "Zoë",
        "O’Dell",
        "Bartholomew-Fitzgerald Junior",
        "Ines",
        "Tamsin",
        "Beck",
        "Odette",
        "Marlow",
        "Fern",
        "Ivo",
        "Sunniva",
        "Plum ☂",
        "Hazel",
        "Tove",
        "Lark",
        "Ottilie",
        "Bram",
        "Wren",
        "Cosmo",
        "Nell",
        "Juniper",
        "Aldo",
        "Briar",
        "Petra",
        "Sorrel",
        "Magnus",
        "Edda",
        "Flora",
        "Rufus",
        "Ида",
        "Lotte",
        "Basil",
        "Maren",
        "Clement",
    ];

    private static readonly ImmutableArray<string> Motifs = ["Leaf", "Beet", "Heart", "Star", "Apple", "Pear", "Moon"];

    /// <summary>Writes the books of the demo projects that have none yet.</summary>
    internal static async Task Fill(IServiceProvider services)
    {
        var db = services.GetRequiredService<UlletDb>();
        if (await db.Orders.AnyAsync())
        {
            return;
        }
        var ids = await db.Projects.ToDictionaryAsync(row => row.Title, row => row.Id, StringComparer.Ordinal);
        var book = services.GetRequiredService<OrderBook>();
        await Write(book, ids, "Seed-packet pouch", "The stall’s orders", Pouches());
        await Write(book, ids, "Plot patch", "The stall’s orders", Patches());
        await Write(book, ids, "Rowan’s gate initial", "The stall’s orders", Gates());
    }

    private static async Task Write(
        OrderBook book,
        Dictionary<string, string> ids,
        string title,
        string label,
        IEnumerable<Order> orders
    )
    {
        if (ids.TryGetValue(title, out var id))
        {
            await book.Change(id, new BookChange(label, [.. orders], []), CancellationToken.None);
        }
    }

    private static IEnumerable<Order> Pouches() =>
        Names.Select(
            (name, i) =>
                Row(i + 1, ("p-name", name), ("p-motif", i == 23 ? "Turnip" : Motifs[i * 3 % Motifs.Length])) with
                {
                    Reference = $"Bed {(i * 7 % 40) + 1}",
                    WantedBy = $"2026-12-{(i % 18) + 5:00}",
                    Note = i % 9 == 4 ? "Wrapped" : "",
                }
        );

    private static IEnumerable<Order> Patches() =>
        Enumerable
            .Range(1, 12)
            .Select(i => Row(i, ("p-words", $"Plot {i + 2}"), ("p-motif", Motifs[i % Motifs.Length])));

    private static IEnumerable<Order> Gates() =>
        Names
            .Where(name => name.Length is > 2 and < 8 && char.IsAsciiLetter(name[0]))
            .Take(8)
            .Select((name, i) => Row(i + 1, (GateInitial.InitialField, name[..1]), (GateInitial.NameField, name)));

    private static Order Row(int number, params ReadOnlySpan<(string FillIn, string Text)> values)
    {
        var said = OrderValues.None;
        foreach (var (fillIn, text) in values)
        {
            said = said.With(fillIn, text);
        }
        return new Order
        {
            Id = "",
            Number = $"{number}",
            Values = said,
        };
    }
}
