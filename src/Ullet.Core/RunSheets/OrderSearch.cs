using System.Collections.Immutable;
using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets;

/// <summary>Looks for the cheapest legal order.</summary>
/// <remarks>R. Bellman's dynamic programming over sets of steps already done ("Dynamic programming treatment of the travelling
/// salesman problem", 1962): of all ways to have done the same steps and to stand in the same state only the cheapest is kept.
/// Where more states are alive than a limit, the cheapest are kept and the result is no longer proven.</remarks>
internal static class OrderSearch
{
    /// <summary>Up to so many steps no state is dropped.</summary>
    internal const int Exhaustive = 10;

    /// <summary>States that are kept for longer run sheets; fewer for very long ones, so that the work grows no faster than the
    /// square of the steps.</summary>
    private const int Beam = 48;
    private const int LeastBeam = 8;
    private const int StatesInAll = 4000;

    /// <summary>Steps tried next from one state of a longer run sheet, those wished earliest.</summary>
    private const int Branches = 10;

    /// <param name="blocks">Steps that stay together, in order; each is one step of the search.</param>
    /// <param name="before">For each block the numbers of those that must come before it.</param>
    /// <param name="wished">For each block its place in the order that is kept where costs are equal.</param>
    /// <returns>The blocks' numbers in order, and whether no cheaper order exists.</returns>
    internal static (ImmutableArray<int> Order, bool IsProven) Best(
        IReadOnlyList<ImmutableArray<RunStep>> blocks,
        IReadOnlyList<IReadOnlyCollection<int>> before,
        IReadOnlyList<int> wished
    )
    {
        var isSmall = blocks.Count <= Exhaustive;
        var beam = Math.Clamp(StatesInAll / Math.Max(1, blocks.Count), LeastBeam, Beam);
        var byWish = Enumerable.Range(0, blocks.Count).OrderBy(i => wished[i]).ToArray();
        var needed = before.Select(earlier => DoneSet.Of(blocks.Count, earlier)).ToArray();
        var alive = new List<Node> { new(null, -1, DoneSet.Of(blocks.Count, []), OrderCost.State.Start, 0, 0) };
        var isProven = true;
        for (var depth = 0; depth < blocks.Count; depth++)
        {
            var next = new Dictionary<(DoneSet, OrderCost.State), Node>();
            foreach (var node in alive)
            {
                var tried = 0;
                foreach (var i in byWish)
                {
                    Budget.Spend();
                    if (node.Done.Has(i) || !node.Done.HasAll(needed[i]))
                    {
                        continue;
                    }
                    if (!isSmall && ++tried > Branches)
                    {
                        isProven = false;
                        break;
                    }
                    var made = Step(node, i, blocks[i], wished);
                    if (!next.TryGetValue((made.Done, made.State), out var known) || made.IsBefore(known))
                    {
                        next[(made.Done, made.State)] = made;
                    }
                }
            }
            alive = [.. next.Values];
            if (!isSmall && alive.Count > beam)
            {
                isProven = false;
                alive.Sort((a, b) => (a.Cost, a.Turns).CompareTo((b.Cost, b.Turns)));
                alive.RemoveRange(beam, alive.Count - beam);
            }
        }
        return (PathOf(alive.Aggregate((best, node) => node.IsBefore(best) ? node : best)), isProven);
    }

    private static Node Step(Node from, int block, ImmutableArray<RunStep> steps, IReadOnlyList<int> wished)
    {
        var (cost, state) = (from.Cost, from.State);
        foreach (var step in steps)
        {
            Budget.Spend();
            (var more, state) = OrderCost.Of(step, state);
            cost += more;
        }
        var turns = from.Turns + (from.Block >= 0 && wished[block] != wished[from.Block] + 1 ? 1 : 0);
        return new Node(from, block, from.Done.With(block), state, cost, turns);
    }

    private static ImmutableArray<int> PathOf(Node last)
    {
        var path = new List<int>();
        for (var node = last; node.Block >= 0; node = node.From!)
        {
            path.Add(node.Block);
        }
        path.Reverse();
        return [.. path];
    }

    /// <summary>A way to have done some blocks.</summary>
    /// <param name="Turns">How often it leaves the wished order.</param>
    private sealed record Node(Node? From, int Block, DoneSet Done, OrderCost.State State, int Cost, int Turns)
    {
        internal bool IsBefore(Node other) => (Cost, Turns).CompareTo((other.Cost, other.Turns)) < 0;
    }

    /// <summary>A set of block numbers that is compared by what it holds.</summary>
    private readonly struct DoneSet : IEquatable<DoneSet>
    {
        private readonly ulong[] _bits;

        private DoneSet(ulong[] bits) => _bits = bits;

        internal static DoneSet Of(int count, IEnumerable<int> members)
        {
            var bits = new ulong[(count + 63) / 64];
            foreach (var member in members)
            {
                bits[member / 64] |= 1UL << (member % 64);
            }
            return new DoneSet(bits);
        }

        internal bool Has(int member) => (_bits[member / 64] & (1UL << (member % 64))) != 0;

        internal bool HasAll(DoneSet others)
        {
            for (var i = 0; i < _bits.Length; i++)
            {
                Budget.Spend();
                if ((others._bits[i] & ~_bits[i]) != 0)
                {
                    return false;
                }
            }
            return true;
        }

        internal DoneSet With(int member)
        {
            var bits = (ulong[])_bits.Clone();
            bits[member / 64] |= 1UL << (member % 64);
            return new DoneSet(bits);
        }

        public bool Equals(DoneSet other) => _bits.AsSpan().SequenceEqual(other._bits);

        public override bool Equals(object? obj) => obj is DoneSet other && Equals(other);

        public override int GetHashCode()
        {
            var hash = default(HashCode);
            foreach (var bits in _bits)
            {
                hash.Add(bits);
            }
            return hash.ToHashCode();
        }
    }
}
