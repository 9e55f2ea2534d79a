using System.Collections.Immutable;
using Ullet.Core.Edits;
using Ullet.Core.Orders;
using Ullet.Core.Pipeline;
using Ullet.Files.Pictures;
using Ullet.Server.Data;
using Ullet.Server.Documents;

namespace Ullet.Server.Orders;

/// <summary>A hooping for several orders, before it is made.</summary>
/// <param name="Name">"Hooping 1 of 2".</param>
/// <param name="Seats">Which order lies where; mm about the field's centre.</param>
/// <param name="FieldWidth">The sewing field, mm.</param>
/// <param name="FieldHeight">mm.</param>
/// <param name="Stops">Stops for hands of all together.</param>
/// <param name="StopsOfOne">Stops of the first order alone.</param>
/// <param name="Minutes">At the machine, hands included.</param>
/// <param name="Stop">What stops it; null for nothing.</param>
public sealed record HoopingPlanDto(
    string Name,
    ImmutableArray<SeatDto> Seats,
    double FieldWidth,
    double FieldHeight,
    int Stops,
    int StopsOfOne,
    int Minutes,
    string? Stop
);

/// <summary>Where an order lies.</summary>
public sealed record SeatDto(
    string OrderId,
    string Number,
    string Says,
    double X,
    double Y,
    double Width,
    double Height
);

/// <summary>Plans and makes hoopings for several orders.</summary>
internal sealed class HoopingPlans(
    DocumentHistory history,
    RevisionReader revisions,
    MasterStates states,
    OrderFiles files,
    OrderBook book
)
{
    /// <summary>Which orders lie together.</summary>
    internal async Task<Result<ImmutableArray<(string Name, ImmutableArray<string> OrderIds)>>> Items(
        string projectId,
        IReadOnlyList<OrderRow> rows,
        CancellationToken cancellation
    )
    {
        var divided = await Divided(projectId, rows, cancellation);
        return divided.Then(all =>
            (Result<ImmutableArray<(string, ImmutableArray<string>)>>)
                all
                    .Hoopings.Select(
                        (hooping, i) => (Name(i, all.Hoopings.Length), hooping.Select(SeatName).ToImmutableArray())
                    )
                    .ToImmutableArray()
        );
    }

    /// <summary>The hoopings as they would be, with where each order lies.</summary>
    internal async Task<Result<ImmutableArray<HoopingPlanDto>>> Plan(
        string projectId,
        IReadOnlyList<string> orderIds,
        CancellationToken cancellation
    )
    {
        var documents = await Documents(projectId, orderIds, cancellation);
        return documents.Then(all =>
            (Result<ImmutableArray<HoopingPlanDto>>)
                all.Select((hooping, i) => Shown(hooping, Name(i, all.Length), cancellation)).ToImmutableArray()
        );
    }

    /// <summary>A picture of one of the hoopings as finished.</summary>
    internal async Task<Result<byte[]>> Picture(
        string projectId,
        IReadOnlyList<string> orderIds,
        int number,
        int size,
        CancellationToken cancellation
    )
    {
        var divided = await Divided(projectId, orderIds, cancellation);
        return divided.Then(all =>
            number < 1 || number > all.Hoopings.Length
                ? new Refusal(
                    "hooping-unknown",
                    "number",
                    $"There are {all.Hoopings.Length} hoopings; there is no number {number}."
                )
                : all
                    .Several.Made(all.Hoopings[number - 1], Named(number - 1, all.Hoopings.Length))
                    .Then(hooping =>
                        (Result<byte[]>)
                            ProjectPicture.Png(
                                history.Context.Evaluator.Evaluate(hooping.Project, cancellation),
                                size,
                                PictureFrame.Field
                            )
                    )
        );
    }

    private async Task<Result<ImmutableArray<SharedHooping>>> Documents(
        string projectId,
        IReadOnlyList<string> orderIds,
        CancellationToken cancellation
    )
    {
        var divided = await Divided(projectId, orderIds, cancellation);
        return divided.Then(all =>
        {
            var made = ImmutableArray.CreateBuilder<SharedHooping>();
            for (var i = 0; i < all.Hoopings.Length; i++)
            {
                var hooping = all.Several.Made(all.Hoopings[i], Named(i, all.Hoopings.Length));
                if (!hooping.IsOk)
                {
                    return hooping.Refusal!;
                }
                made.Add(hooping.Value);
            }
            return (Result<ImmutableArray<SharedHooping>>)made.ToImmutable();
        });
    }

    /// <summary>Makes the files of one hooping.</summary>
    internal async Task<Result<MadeFiles>> Make(
        Making making,
        string name,
        EditContext context,
        CancellationToken cancellation
    )
    {
        var seated = Seated(making.Master, making.Rows, context);
        if (!seated.IsOk)
        {
            return seated.Refusal!;
        }
        ImmutableArray<SeatedOrder> seats =
        [
            .. making.Seats.Select(seat =>
                seated.Value.First(order => SeatName(order) == seat) is var order
                && making.Wish.LeftOut.Contains(order.OrderId)
                    ? order with
                    {
                        IsLeftOut = true,
                    }
                    : order
            ),
        ];
        var several = new SeveralInOne(context, making.Master.Evaluated);
        var made = several.Made(seats, name.ToLowerInvariant());
        if (!made.IsOk)
        {
            return made.Refusal!;
        }
        var numbers = string.Join(' ', seats.Where(seat => !seat.IsLeftOut).Select(seat => seat.Number));
        return await files.Made(made.Value.Project, numbers, $"{name}, orders", context, cancellation);
    }

    private async Task<Result<(SeveralInOne Several, ImmutableArray<ImmutableArray<SeatedOrder>> Hoopings)>> Divided(
        string projectId,
        IReadOnlyList<string> orderIds,
        CancellationToken cancellation
    )
    {
        var rows = (await book.Rows(projectId, cancellation)).ToDictionary(row => row.Id, StringComparer.Ordinal);
        return orderIds.FirstOrDefault(id => !rows.ContainsKey(id)) is { } unknown
            ? OrderBook.Unknown(unknown)
            : await Divided(projectId, [.. orderIds.Select(id => rows[id])], cancellation);
    }

    private async Task<Result<(SeveralInOne Several, ImmutableArray<ImmutableArray<SeatedOrder>> Hoopings)>> Divided(
        string projectId,
        IReadOnlyList<OrderRow> rows,
        CancellationToken cancellation
    )
    {
        if (await revisions.At(projectId, null, cancellation) is not { } head)
        {
            return DocumentHistory.Unknown(projectId);
        }
        var context = history.Context with { Cancellation = cancellation };
        var master = states.Of(head, context, cancellation);
        var several = new SeveralInOne(context, master.Evaluated);
        return Seated(master, rows, context)
            .Then(seated => several.Divided(seated))
            .Then(hoopings => (Result<(SeveralInOne, ImmutableArray<ImmutableArray<SeatedOrder>>)>)(several, hoopings));
    }

    /// <summary>Orders as seats: as many as are wanted of each.</summary>
    private static Result<IReadOnlyList<SeatedOrder>> Seated(
        MasterState master,
        IReadOnlyList<OrderRow> rows,
        EditContext context
    )
    {
        var judge = new OrderJudge(context, master.Evaluated);
        var seated = new List<SeatedOrder>();
        foreach (var row in rows)
        {
            var values = OrderJson.Read(row.Values);
            var judged = judge.Of(values);
            if (!judged.MayBeMade)
            {
                return new Refusal(
                    "order-stopped",
                    row.Id,
                    $"Order {row.Number} can't be made yet: {judged.Findings[0].Words}"
                )
                {
                    Kind = RefusalKind.NotPossible,
                };
            }
            for (var copy = 1; copy <= row.Quantity; copy++)
            {
                var number = row.Quantity == 1 ? row.Number : $"{row.Number}.{copy}";
                seated.Add(
                    new SeatedOrder(row.Id, number, judged.Filled.Words, values, judged.Evaluated!) { Copy = copy }
                );
            }
        }
        return seated;
    }

    /// <summary>Names a seat in a job: the order, and which of several.</summary>
    private static string SeatName(SeatedOrder order) => $"{order.OrderId}:{order.Copy}";

    /// <summary>The same within a title.</summary>
    private static string Named(int index, int count) => Name(index, count).ToLowerInvariant();

    private static string Name(int index, int count) =>
        count == 1 ? "Hooping for several" : $"Hooping {index + 1} of {count}";

    private HoopingPlanDto Shown(SharedHooping hooping, string name, CancellationToken cancellation)
    {
        var evaluated = history.Context.Evaluator.Evaluate(hooping.Project, cancellation);
        var sum = OrderSum.Of(evaluated, "", states.NameOf);
        return new HoopingPlanDto(
            name,
            [
                .. hooping.Project.Seats.Zip(
                    hooping.Orders,
                    (seat, order) =>
                        new SeatDto(
                            order.OrderId,
                            seat.Number,
                            seat.Says,
                            seat.Box.X,
                            seat.Box.Y,
                            seat.Box.Width,
                            seat.Box.Height
                        )
                ),
            ],
            evaluated.Program.FieldWidth,
            evaluated.Program.FieldHeight,
            evaluated.RunSheet.StopCount,
            hooping.Orders[0].Order.RunSheet.StopCount,
            (int)Math.Ceiling(sum.Seconds / 60),
            evaluated.Findings.FirstOrDefault(finding => finding.Level == Core.Findings.FindingLevel.Stop)?.Words
        );
    }
}
