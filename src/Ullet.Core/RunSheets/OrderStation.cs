using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets;

/// <summary>What the search for the cheapest order looks at.</summary>
/// <param name="Blocks">Steps that stay together, in order.</param>
/// <param name="Before">For each block the numbers of those that must come before it.</param>
/// <param name="Wished">For each block its place in the order that is kept where costs are equal.</param>
public sealed record OrderInput(
    ImmutableArray<ImmutableArray<RunStep>> Blocks,
    ImmutableArray<IReadOnlyCollection<int>> Before,
    ImmutableArray<int> Wished
);

/// <summary>The cheapest order found: the blocks' numbers, and whether no cheaper one exists.</summary>
public sealed record OrderFound(ImmutableArray<int> Order, bool IsProven);

/// <summary>Steps with what must come before what to the cheapest order. A step counts by what it costs: its thread, or whether the
/// hoop comes off for it; so another size leaves the order be.</summary>
public sealed class OrderStation : IStation<OrderInput, OrderFound>
{
    public int Version => 1;

    public long Bytes(OrderFound output) => 64 + (4L * output.Order.Length);

    public ContentHash Key(OrderInput input) =>
        ContentHash.Of(
            new
            {
                Blocks = input.Blocks.Select(block => block.Select(CostOf)),
                Before = input.Before.Select(earlier => earlier.Order()),
                input.Wished,
            },
            $"order-{Version}"
        );

    public OrderFound Compute(OrderInput input, CancellationToken cancellation)
    {
        var (order, isProven) = OrderSearch.Best(input.Blocks, input.Before, input.Wished);
        return new OrderFound(order, isProven);
    }

    private static string CostOf(RunStep step) =>
        step switch
        {
            HandStep hand => hand.Work.HoopOff ? "off" : "on",
            StitchStep stitch => $"t:{stitch.Stage.ThreadId}",
            _ => "",
        };
}
