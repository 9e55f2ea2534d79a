using System.Collections.Immutable;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Orders;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Orders;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Orders;

namespace Ullet.Server.Endpoints;

/// <summary>An order as it is written to the book.</summary>
public sealed record OrderWish
{
    /// <summary>The order; empty for a new one.</summary>
    public string Id { get; init; } = "";

    /// <summary>The shop's number; null to keep it, or to go on after the highest.</summary>
    public string? Number { get; init; }

    public string? Reference { get; init; }

    public int? Quantity { get; init; }

    /// <summary>What fill-ins say, by their ids; those left out stay as they are.</summary>
    public ImmutableDictionary<string, string> Values { get; init; } = ImmutableDictionary<string, string>.Empty;

    public string? WantedBy { get; init; }

    public string? Note { get; init; }

    public OrderState? State { get; init; }
}

/// <summary>A change of the book: one step of its undo.</summary>
public sealed record BookWish
{
    /// <summary>What a person would call it.</summary>
    public string Label { get; init; } = "Change orders";

    public ImmutableArray<OrderWish> Set { get; init; } = [];

    public ImmutableArray<string> Removed { get; init; } = [];

    /// <summary>New orders go before this one; null to go to the end.</summary>
    public string? Before { get; init; }
}

/// <summary>Orders by their ids.</summary>
public sealed record OrderIds
{
    public ImmutableArray<string> Ids { get; init; } = [];
}

/// <summary>What is typed, before it is kept.</summary>
public sealed record ValuesWish
{
    public ImmutableDictionary<string, string> Values { get; init; } = ImmutableDictionary<string, string>.Empty;
}

/// <summary>/api/projects/{id}/orders: the order book.</summary>
internal static class OrderEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}/orders").WithTags("Orders");
        group.MapGet("", Book).WithName("getOrders");
        group.MapPost("", Change).WithName("changeOrders");
        group.MapPost("undo", Undo).WithName("undoOrders");
        group.MapPost("redo", Redo).WithName("redoOrders");
        group.MapPost("judge", Judge).WithName("judgeOrders");
        group.MapPost("try", Try).WithName("tryOrder");
        group.MapPost("table", Bring).WithName("bringOrders");
        group.MapGet("book.csv", Csv).WithName("getOrdersCsv");
    }

    private static async Task<Results<Ok<BookDto>, ProblemHttpResult>> Book(
        string id,
        BookReader reader,
        CancellationToken cancellation
    ) => Answer(await reader.Book(id, cancellation));

    private static async Task<Results<Ok<BookDto>, ProblemHttpResult>> Change(
        string id,
        BookWish wish,
        OrderBook book,
        BookReader reader,
        DocumentHistory history,
        CancellationToken cancellation
    )
    {
        if (await history.Current(id, cancellation) is null)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var rows = (await book.Rows(id, cancellation)).ToDictionary(row => row.Id, StringComparer.Ordinal);
        var next = NextNumber(rows.Values);
        var set = ImmutableArray.CreateBuilder<Order>();
        foreach (var order in wish.Set)
        {
            if (order.Id.Length > 0 && !rows.ContainsKey(order.Id))
            {
                return Problems.Of(OrderBook.Unknown(order.Id));
            }
            set.Add(Merged(order, rows.GetValueOrDefault(order.Id), () => $"{next++}"));
        }
        var changed = await book.Change(
            id,
            new BookChange(wish.Label, set.ToImmutable(), wish.Removed) { Before = wish.Before },
            cancellation
        );
        return changed.IsOk ? Answer(await reader.Book(id, cancellation)) : Problems.Of(changed.Refusal!);
    }

    /// <summary>An order as it will be: what is left out stays.</summary>
    private static Order Merged(OrderWish wish, OrderRow? row, Func<string> number)
    {
        var known = row is null ? new Order { Id = "", Number = wish.Number ?? number() } : OrderJson.Of(row);
        var values = wish.Values.Aggregate(known.Values, (all, pair) => all.With(pair.Key, pair.Value));
        return known with
        {
            Number = wish.Number ?? known.Number,
            Reference = wish.Reference ?? known.Reference,
            Quantity = wish.Quantity ?? known.Quantity,
            Values = values,
            WantedBy = wish.WantedBy ?? known.WantedBy,
            Note = wish.Note ?? known.Note,
            State = wish.State ?? known.State,
        };
    }

    private static int NextNumber(IEnumerable<OrderRow> rows) =>
        1 + rows.Select(row => int.TryParse(row.Number, out var number) ? number : 0).DefaultIfEmpty(0).Max();

    private static async Task<Results<Ok<BookDto>, ProblemHttpResult>> Undo(
        string id,
        OrderBook book,
        BookReader reader,
        CancellationToken cancellation
    ) => await Turned(await book.Undo(id, cancellation), id, reader, cancellation);

    private static async Task<Results<Ok<BookDto>, ProblemHttpResult>> Redo(
        string id,
        OrderBook book,
        BookReader reader,
        CancellationToken cancellation
    ) => await Turned(await book.Redo(id, cancellation), id, reader, cancellation);

    private static async Task<Results<Ok<BookDto>, ProblemHttpResult>> Turned(
        Result<string> turned,
        string id,
        BookReader reader,
        CancellationToken cancellation
    ) => turned.IsOk ? Answer(await reader.Book(id, cancellation)) : Problems.Of(turned.Refusal!);

    private static async Task<Results<Ok<ImmutableArray<JudgedDto>>, ProblemHttpResult>> Judge(
        string id,
        OrderIds wish,
        BookReader reader,
        CancellationToken cancellation
    )
    {
        var judged = await reader.Judged(id, wish.Ids, cancellation);
        return judged.IsOk ? TypedResults.Ok(judged.Value) : Problems.Of(judged.Refusal!);
    }

    private static async Task<Results<Ok<JudgedDto>, ProblemHttpResult>> Try(
        string id,
        ValuesWish wish,
        BookReader reader,
        CancellationToken cancellation
    )
    {
        var judged = await reader.Tried(id, ValuesOf(wish.Values), cancellation);
        return judged.IsOk ? TypedResults.Ok(judged.Value) : Problems.Of(judged.Refusal!);
    }

    internal static OrderValues ValuesOf(ImmutableDictionary<string, string> values) =>
        new([.. values.Select(pair => new OrderValue(pair.Key, PlainText.Lines(pair.Value).Trim()))]);

    private static async Task<Results<Ok<TableDto>, ProblemHttpResult>> Bring(
        string id,
        TableWish wish,
        OrderBringing bringing,
        CancellationToken cancellation
    )
    {
        var brought = await bringing.Bring(id, wish, cancellation);
        return brought.IsOk ? TypedResults.Ok(brought.Value) : Problems.Of(brought.Refusal!);
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Csv(
        string id,
        OrderBook book,
        DocumentHistory history,
        CancellationToken cancellation
    )
    {
        if (await history.Load(id, cancellation) is not { } head)
        {
            return Problems.Of(DocumentHistory.Unknown(id));
        }
        var columns = OrderColumns.Of(FillInFields.Of(head.Project));
        var rows = (await book.Rows(id, cancellation)).Select(OrderJson.Of);
        var table = rows.Select(order => columns.Select(column => Cell(order, column.Id)))
            .Prepend(columns.Select(column => column.Label));
        return TypedResults.File(
            OrderTable.Write(table),
            "text/csv; charset=utf-8",
            FileNames.Plain(head.Project.Title) + " orders.csv"
        );
    }

    private static string Cell(Order order, string column) =>
        column switch
        {
            OrderColumns.Number => order.Number,
            OrderColumns.Reference => order.Reference,
            OrderColumns.Quantity => $"{order.Quantity}",
            OrderColumns.WantedBy => order.WantedBy,
            OrderColumns.Note => order.Note,
            OrderColumns.State => order.State.ToString().ToLowerInvariant(),
            _ => order.Values.Of(column) ?? "",
        };

    private static Results<Ok<BookDto>, ProblemHttpResult> Answer(Result<BookDto> book) =>
        book.IsOk ? TypedResults.Ok(book.Value) : Problems.Of(book.Refusal!);
}
