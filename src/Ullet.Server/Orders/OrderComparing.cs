using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using Ullet.Core.Orders;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;
using Ullet.Server.Data;
using Ullet.Server.Documents;
using Ullet.Server.Endpoints;
using Ullet.Server.Work;

namespace Ullet.Server.Orders;

/// <summary>Says how an order that was made would differ if it was made with today's master; nothing is kept of it.</summary>
internal sealed class OrderComparing(DocumentHistory history, MasterStates states, OrderFiles files, Workbench bench)
{
    internal async Task<Result<AnewDto>> WithToday(OrderRow row, CancellationToken cancellation)
    {
        var made = await files.Of(row.Id, cancellation);
        if (made.Count == 0)
        {
            return new Refusal("order-not-made", "orderId", "Nothing was made of this order yet.")
            {
                Kind = RefusalKind.NotFound,
            };
        }
        if (await files.Kept(made[0].Sha256, cancellation) is not { } before)
        {
            return new Refusal("packet-damaged", "orderId", "The files that were kept are damaged.")
            {
                Kind = RefusalKind.Conflict,
            };
        }
        if (await history.Load(row.ProjectId, cancellation) is not { } head)
        {
            return DocumentHistory.Unknown(row.ProjectId);
        }
        var context = history.Context with { Cancellation = cancellation };
        var master = bench.Run(WorkKind.Showing, "This project", token => states.Of(head, context, token));
        var anew = bench.Run(
            WorkKind.Showing,
            "This order",
            token => files.Make(master, row, context, token).GetAwaiter().GetResult()
        );
        if (!anew.IsOk)
        {
            return anew.Refusal!;
        }
        var was = JsonSerializer.Deserialize<OrderSum>(made[0].Facts, ProjectJson.Options)!;
        return new AnewDto(OrderFiles.Differences(before, anew.Value.Bytes), Words(was, anew.Value.Sum));
    }

    private static ImmutableArray<string> Words(OrderSum was, OrderSum now)
    {
        var said = ImmutableArray.CreateBuilder<string>();
        void Tell(string what, string before, string after)
        {
            if (before != after)
            {
                said.Add($"{what}: {before} before, {after} now.");
            }
        }
        Tell("Letters", string.Join(", ", was.Fonts), string.Join(", ", now.Fonts));
        Tell("Stitched size", Size(was), Size(now));
        Tell("Stitches", Whole(was.Stitches), Whole(now.Stitches));
        Tell("Stops", Whole(was.Stops), Whole(now.Stops));
        Tell("Threads", Names(was.Threads), Names(now.Threads));
        Tell("Cloths", Names(was.Cloths), Names(now.Cloths));
        if (said.Count == 0)
        {
            said.Add(
                was.Stamp == now.Stamp
                    ? "What is sewn and cut is the same."
                    : "Sizes and counts are the same; needle points or cut lines differ."
            );
        }
        return said.ToImmutable();
    }

    private static string Names(ImmutableArray<StuffUse> uses) => string.Join(", ", uses.Select(use => use.Name));

    private static string Whole(int number) => number.ToString("N0", CultureInfo.InvariantCulture);

    private static string Size(OrderSum sum) =>
        string.Create(CultureInfo.InvariantCulture, $"{sum.Width:0.#} × {sum.Height:0.#} mm");
}
