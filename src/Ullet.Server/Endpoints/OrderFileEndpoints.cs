using System.Collections.Immutable;
using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Files.Booklets;
using Ullet.Files.Orders;
using Ullet.Files.Pictures;
using Ullet.Server.Data;
using Ullet.Server.Orders;
using Ullet.Server.Work;

namespace Ullet.Server.Endpoints;

/// <summary>Proofs that are wanted.</summary>
public sealed record ProofWish
{
    public ImmutableArray<string> Ids { get; init; } = [];

    /// <summary>"a4" or "letter".</summary>
    public string Paper { get; init; } = "a4";

    /// <summary>True for twelve on a page.</summary>
    public bool Contact { get; init; }

    /// <summary>True to spell every value letter by letter.</summary>
    public bool Spelled { get; init; }

    /// <summary>True to note new orders as proofed: they hold to today's state of the project from then on.</summary>
    public bool Mark { get; init; }
}

/// <summary>How an order would differ if it was made with today's master.</summary>
/// <param name="Files">File by file.</param>
/// <param name="Words">What of it, in words.</param>
public sealed record AnewDto(ImmutableArray<string> Files, ImmutableArray<string> Words);

/// <summary>An order as a project of its own.</summary>
/// <param name="ProjectId">The project.</param>
public sealed record OwnProjectDto(string ProjectId);

/// <summary>Pictures, proofs and kept files of orders.</summary>
internal static class OrderFileEndpoints
{
    internal static void Map(IEndpointRouteBuilder app)
    {
        var group = app.MapGroup("/api/projects/{id}/orders").WithTags("Orders");
        group.MapGet("{orderId}/picture.png", Picture).WithName("getOrderPicture");
        group.MapGet("try.png", TryPicture).WithName("getTriedPicture");
        group.MapPost("proofs.pdf", Proofs).WithName("makeProofs");
        group.MapGet("{orderId}/proof.png", Proof).WithName("getProofPicture");
        group.MapPost("{orderId}/anew", Anew).WithName("compareOrder");
        group.MapPost("{orderId}/project", Own).WithName("openOrderAsProject");
        group.MapPost("hold", Hold).WithName("followMaster");
        var kept = app.MapGroup("/api/orders/{orderId}").WithTags("Orders");
        kept.MapGet("packet.zip", Packet).WithName("getOrderPacket");
        kept.MapGet("made", Made).WithName("listOrderPackets");
        kept.MapGet("made/{madeId:long}/packet.zip", MadePacket).WithName("getKeptPacket");
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Picture(
        string id,
        string orderId,
        OrderBook book,
        OrderLooks looks,
        CancellationToken cancellation,
        int size = 200,
        string at = "today"
    )
    {
        if (await OrderOf(id, orderId, book, cancellation) is not { } row)
        {
            return Problems.Of(OrderBook.Unknown(orderId));
        }
        return await Drawn(id, at == "held" ? row.Revision : null, row.Values, size, looks, cancellation);
    }

    private static Task<Results<FileContentHttpResult, ProblemHttpResult>> TryPicture(
        string id,
        string values,
        OrderLooks looks,
        CancellationToken cancellation,
        int size = 200
    )
    {
        ImmutableDictionary<string, string>? read;
        try
        {
            read = JsonSerializer.Deserialize<ImmutableDictionary<string, string>>(values, ProjectJson.Options);
        }
        catch (JsonException)
        {
            read = null;
        }
        return read is null
            ? Task.FromResult<Results<FileContentHttpResult, ProblemHttpResult>>(
                Problems.Of(new Refusal("values-broken", "values", "The values are no object of texts."))
            )
            : Drawn(id, null, OrderJson.Write(OrderEndpoints.ValuesOf(read)), size, looks, cancellation);
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Drawn(
        string id,
        long? revision,
        string values,
        int size,
        OrderLooks looks,
        CancellationToken cancellation
    )
    {
        if (size is < ProjectPicture.LeastSize or > ProjectPicture.MostSize)
        {
            return Problems.Of(
                new Refusal(
                    "size-out-of-range",
                    "size",
                    $"A picture is from {ProjectPicture.LeastSize} to {ProjectPicture.MostSize} pixels large."
                )
            );
        }
        var drawn = await looks.Picture(id, revision, values, size, cancellation);
        return drawn.IsOk ? TypedResults.File(drawn.Value, "image/png") : Problems.Of(drawn.Refusal!);
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Proofs(
        string id,
        ProofWish wish,
        OrderBook book,
        OrderHolding holding,
        OrderLooks looks,
        Workbench bench,
        CancellationToken cancellation
    )
    {
        if (!Enum.TryParse<BookletPaper>(wish.Paper, ignoreCase: true, out var paper) || !Enum.IsDefined(paper))
        {
            return Problems.Of(new Refusal("paper-unknown", "paper", "Proofs are set on \"a4\" or \"letter\"."));
        }
        var all = (await book.Rows(id, cancellation)).ToDictionary(row => row.Id, StringComparer.Ordinal);
        if (wish.Ids.IsDefaultOrEmpty || wish.Ids.FirstOrDefault(each => !all.ContainsKey(each)) is not null)
        {
            return Problems.Of(
                new Refusal("nothing-selected", "ids", "Choose the orders whose proofs are wanted, each of this book.")
            );
        }
        List<OrderRow> rows = [.. wish.Ids.Select(each => all[each])];
        var proofs = await looks.Proofs(id, rows, cancellation);
        if (!proofs.IsOk)
        {
            return Problems.Of(proofs.Refusal!);
        }
        var look = new ProofLook(paper, wish.Contact, wish.Spelled);
        var pdf = bench.Run(
            WorkKind.Showing with
            {
                // Every page is computed by itself; as many pages, as much time.
                OwnTime = WorkKind.Showing.OwnTime * (1 + rows.Count),
            },
            "These proofs",
            _ => ProofSheet.Pdf(proofs.Value.Title, proofs.Value.Orders, look)
        );
        if (wish.Mark)
        {
            await holding.Proofed(id, rows, cancellation);
        }
        return TypedResults.File(pdf, "application/pdf", FileNames.Plain(proofs.Value.Title) + " proofs.pdf");
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Proof(
        string id,
        string orderId,
        OrderBook book,
        OrderLooks looks,
        Workbench bench,
        CancellationToken cancellation,
        string paper = "a4",
        bool spelled = true
    )
    {
        if (await OrderOf(id, orderId, book, cancellation) is not { } row)
        {
            return Problems.Of(OrderBook.Unknown(orderId));
        }
        if (!Enum.TryParse<BookletPaper>(paper, ignoreCase: true, out var page) || !Enum.IsDefined(page))
        {
            return Problems.Of(new Refusal("paper-unknown", "paper", "Proofs are set on \"a4\" or \"letter\"."));
        }
        var proofs = await looks.Proofs(id, [row], cancellation);
        if (!proofs.IsOk)
        {
            return Problems.Of(proofs.Refusal!);
        }
        var png = bench.Run(
            WorkKind.Showing,
            "This proof",
            _ => ProofSheet.Png(proofs.Value.Title, proofs.Value.Orders.First(), new ProofLook(page, false, spelled))
        );
        return TypedResults.File(
            png,
            "image/png",
            FileNames.Plain($"{proofs.Value.Title} {row.Number} proof") + ".png"
        );
    }

    /// <summary>What would differ: nothing is kept of it.</summary>
    private static async Task<Results<Ok<AnewDto>, ProblemHttpResult>> Anew(
        string id,
        string orderId,
        OrderBook book,
        OrderComparing comparing,
        CancellationToken cancellation
    )
    {
        if (await OrderOf(id, orderId, book, cancellation) is not { } row)
        {
            return Problems.Of(OrderBook.Unknown(orderId));
        }
        var compared = await comparing.WithToday(row, cancellation);
        return compared.IsOk ? TypedResults.Ok(compared.Value) : Problems.Of(compared.Refusal!);
    }

    private static async Task<Results<Ok<OwnProjectDto>, ProblemHttpResult>> Own(
        string id,
        string orderId,
        OrderBook book,
        OrderHolding holding,
        CancellationToken cancellation
    )
    {
        if (await OrderOf(id, orderId, book, cancellation) is not { } row)
        {
            return Problems.Of(OrderBook.Unknown(orderId));
        }
        var own = await holding.Opened(row, cancellation);
        return own.IsOk ? TypedResults.Ok(new OwnProjectDto(own.Value)) : Problems.Of(own.Refusal!);
    }

    /// <summary>Orders go with today's project from now on.</summary>
    private static async Task<Results<NoContent, ProblemHttpResult>> Hold(
        string id,
        OrderIds wish,
        OrderHolding holding,
        CancellationToken cancellation
    )
    {
        var done = await holding.Follow(id, wish.Ids, cancellation);
        return done is null ? TypedResults.NoContent() : Problems.Of(done);
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Packet(
        string orderId,
        OrderFiles files,
        CancellationToken cancellation
    )
    {
        var made = await files.Of(orderId, cancellation);
        return made.Count == 0
            ? Problems.Of(
                new Refusal("order-not-made", "orderId", "Nothing was made of this order yet; make its packet first.")
                {
                    Kind = RefusalKind.NotFound,
                }
            )
            : await Handed(made[0], files, cancellation);
    }

    private static async Task<Results<Ok<List<MadeDto>>, ProblemHttpResult>> Made(
        string orderId,
        OrderFiles files,
        CancellationToken cancellation
    ) => TypedResults.Ok((await files.Of(orderId, cancellation)).ConvertAll(BookShown.Of));

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> MadePacket(
        string orderId,
        long madeId,
        OrderFiles files,
        CancellationToken cancellation
    )
    {
        var made = (await files.Of(orderId, cancellation)).Find(each => each.Id == madeId);
        return made is null
            ? Problems.Of(
                new Refusal("packet-unknown", "madeId", "No such files were made of this order.")
                {
                    Kind = RefusalKind.NotFound,
                }
            )
            : await Handed(made, files, cancellation);
    }

    private static async Task<Results<FileContentHttpResult, ProblemHttpResult>> Handed(
        MadeRow made,
        OrderFiles files,
        CancellationToken cancellation
    ) =>
        await files.Kept(made.Sha256, cancellation) is { } bytes
            ? TypedResults.File(bytes, "application/zip", made.Name + ".zip")
            : Problems.Of(
                new Refusal(
                    "packet-damaged",
                    "orderId",
                    $"The files of {made.Name} that were kept are damaged: they are not those that were made. Make them anew."
                )
                {
                    Kind = RefusalKind.Conflict,
                }
            );

    private static async Task<OrderRow?> OrderOf(
        string projectId,
        string orderId,
        OrderBook book,
        CancellationToken cancellation
    ) => await book.Find(orderId, cancellation) is { } row && row.ProjectId == projectId ? row : null;
}
