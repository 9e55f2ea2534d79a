using System.Collections.Immutable;
using System.Runtime.InteropServices;
using System.Security.Cryptography;
using System.Text;
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

    /// <remarks>Written as bytes rather than as JSON: of a thousand pieces it is a million numbers.</remarks>
    public ContentHash Key(OrderInput input)
    {
        using var hash = IncrementalHash.CreateHash(HashAlgorithmName.SHA256);
        hash.AppendData(Encoding.UTF8.GetBytes($"order-{Version}"));
        foreach (var block in input.Blocks)
        {
            hash.AppendData(Encoding.UTF8.GetBytes(string.Join('|', block.Select(CostOf)) + "\n"));
        }
        foreach (var earlier in input.Before)
        {
            Budget.Spend(1 + earlier.Count);
            Append(hash, [earlier.Count, .. earlier.Order()]);
        }
        Append(hash, [.. input.Wished]);
        return ContentHash.OfBytes(hash.GetHashAndReset());
    }

    private static void Append(IncrementalHash hash, ReadOnlySpan<int> numbers) =>
        hash.AppendData(MemoryMarshal.AsBytes(numbers));

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
