using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Program;

/// <summary>A part of a step that is sewn without interruption: where it begins and ends, mm.</summary>
internal readonly record struct SewnPart(Point Start, Point End);

/// <summary>Orders parts so that the needle travels little between them.</summary>
/// <remarks>Up to <see cref="MostExact"/> parts the shortest order is found (M. Held and R. M. Karp, "A dynamic programming
/// approach to sequencing problems", 1962); beyond, each time the nearest next, then parts are moved while that shortens the
/// way, at most <see cref="MostRounds"/> rounds.</remarks>
internal static class TravelOrder
{
    internal const int MostExact = 9;
    private const int MostRounds = 30;

    /// <summary>The parts' numbers in sewing order.</summary>
    /// <param name="parts">The parts.</param>
    /// <param name="from">Where the needle stands; null when it begins anywhere.</param>
    internal static int[] Of(IReadOnlyList<SewnPart> parts, Point? from) =>
        parts.Count <= 1 ? [.. Enumerable.Range(0, parts.Count)]
        : parts.Count <= MostExact ? Exact(parts, from)
        : Improved(Nearest(parts, from), parts, from);

    /// <summary>The travel of an order, mm.</summary>
    internal static double Length(IReadOnlyList<int> order, IReadOnlyList<SewnPart> parts, Point? from)
    {
        var sum = 0.0;
        var at = from;
        foreach (var i in order)
        {
            Budget.Spend();
            sum += at?.DistanceTo(parts[i].Start) ?? 0;
            at = parts[i].End;
        }
        return sum;
    }

    private static int[] Exact(IReadOnlyList<SewnPart> parts, Point? from)
    {
        var (count, all) = (parts.Count, 1 << parts.Count);
        var (least, before) = (new double[all, count], new int[all, count]);
        for (var done = 1; done < all; done++)
        {
            for (var last = 0; last < count; last++)
            {
                if ((done & (1 << last)) == 0)
                {
                    continue;
                }
                var rest = done & ~(1 << last);
                if (rest == 0)
                {
                    (least[done, last], before[done, last]) = (from?.DistanceTo(parts[last].Start) ?? 0, -1);
                    continue;
                }
                least[done, last] = double.MaxValue;
                for (var previous = 0; previous < count; previous++)
                {
                    Budget.Spend();
                    if ((rest & (1 << previous)) == 0)
                    {
                        continue;
                    }
                    var way = least[rest, previous] + parts[previous].End.DistanceTo(parts[last].Start);
                    if (way < least[done, last])
                    {
                        (least[done, last], before[done, last]) = (way, previous);
                    }
                }
            }
        }
        var order = new int[count];
        var at = Enumerable.Range(0, count).MinBy(last => least[all - 1, last]);
        for (var (i, done) = (count - 1, all - 1); i >= 0; i--)
        {
            order[i] = at;
            (done, at) = (done & ~(1 << at), before[done, at]);
        }
        return order;
    }

    private static List<int> Nearest(IReadOnlyList<SewnPart> parts, Point? from)
    {
        var left = Enumerable.Range(0, parts.Count).ToList();
        var order = new List<int>(parts.Count);
        var at = from;
        while (left.Count > 0)
        {
            Budget.Spend();
            var next = at is { } here ? left.MinBy(i => parts[i].Start.DistanceTo(here)) : left[0];
            left.Remove(next);
            order.Add(next);
            at = parts[next].End;
        }
        return order;
    }

    private static int[] Improved(List<int> order, IReadOnlyList<SewnPart> parts, Point? from)
    {
        double Way(int a, int b) =>
            b < 0 ? 0
            : a < 0 ? from?.DistanceTo(parts[b].Start) ?? 0
            : parts[a].End.DistanceTo(parts[b].Start);
        int At(int place) => place < 0 || place >= order.Count ? -1 : order[place];
        for (var round = 0; round < MostRounds; round++)
        {
            var better = false;
            for (var i = 0; i < order.Count; i++)
            {
                var part = order[i];
                var saved = Way(At(i - 1), part) + Way(part, At(i + 1)) - Way(At(i - 1), At(i + 1));
                order.RemoveAt(i);
                var (best, place) = (saved - 1e-9, i);
                for (var k = 0; k <= order.Count; k++)
                {
                    Budget.Spend();
                    var cost = Way(At(k - 1), part) + Way(part, At(k)) - Way(At(k - 1), At(k));
                    if (cost < best)
                    {
                        (best, place, better) = (cost, k, true);
                    }
                }
                order.Insert(place, part);
            }
            if (!better)
            {
                break;
            }
        }
        return [.. order];
    }
}
