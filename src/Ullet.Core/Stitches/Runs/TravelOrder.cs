using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A part of a step that is sewn without interruption: where it begins and ends, mm.</summary>
internal readonly record struct SewnPart(Point Start, Point End);

/// <summary>Orders parts so that the needle travels little between them.</summary>
/// <remarks>Up to <see cref="MostExact"/> parts the shortest order is found (M. Held and R. M. Karp, "A dynamic programming
/// approach to sequencing problems", 1962); beyond, each time the nearest next, then parts are moved and stretches of the order
/// turned round while that shortens the way, at most <see cref="MostRounds"/> rounds.</remarks>
internal static class TravelOrder
{
    internal const int MostExact = 9;
    private const int MostRounds = 30;

    /// <summary>Of more parts than this no stretch is turned round: looking at all of them would take too long.</summary>
    private const int MostTurned = 300;

    /// <summary>The parts' numbers in sewing order.</summary>
    /// <param name="parts">The parts.</param>
    /// <param name="from">Where the needle stands; null when it begins anywhere.</param>
    internal static int[] Of(IReadOnlyList<SewnPart> parts, Point? from) => Of(parts.Count, WayOf(parts, from));

    /// <summary>The same for any ways.</summary>
    /// <param name="count">How many parts there are.</param>
    /// <param name="way">The way from one part to another, mm; from -1 to the first.</param>
    internal static int[] Of(int count, Func<int, int, double> way) =>
        count <= 1 ? [.. Enumerable.Range(0, count)]
        : count <= MostExact ? Exact(count, way)
        : Improved(Nearest(count, way), way);

    /// <summary>The travel of an order, mm.</summary>
    internal static double Length(IReadOnlyList<int> order, IReadOnlyList<SewnPart> parts, Point? from) =>
        Length(order, WayOf(parts, from));

    private static Func<int, int, double> WayOf(IReadOnlyList<SewnPart> parts, Point? from) =>
        (a, b) => (a < 0 ? from : parts[a].End)?.DistanceTo(parts[b].Start) ?? 0;

    private static double Length(IReadOnlyList<int> order, Func<int, int, double> way)
    {
        var sum = 0.0;
        for (var k = 0; k < order.Count; k++)
        {
            Budget.Spend();
            sum += way(k > 0 ? order[k - 1] : -1, order[k]);
        }
        return sum;
    }

    private static int[] Exact(int count, Func<int, int, double> way)
    {
        var all = 1 << count;
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
                    (least[done, last], before[done, last]) = (way(-1, last), -1);
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
                    var sum = least[rest, previous] + way(previous, last);
                    if (sum < least[done, last])
                    {
                        (least[done, last], before[done, last]) = (sum, previous);
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

    private static List<int> Nearest(int count, Func<int, int, double> way)
    {
        var left = Enumerable.Range(0, count).ToList();
        var order = new List<int>(count);
        while (left.Count > 0)
        {
            Budget.Spend(left.Count);
            var at = order.Count > 0 ? order[^1] : -1;
            var next = left.MinBy(i => way(at, i));
            left.Remove(next);
            order.Add(next);
        }
        return order;
    }

    private static int[] Improved(List<int> order, Func<int, int, double> way)
    {
        for (var round = 0; round < MostRounds; round++)
        {
            var moved = Moved(order, way);
            var turned = order.Count <= MostTurned && Turned(order, way);
            if (!moved && !turned)
            {
                break;
            }
        }
        return [.. order];
    }

    /// <summary>Moves each part to where it costs least; true when that shortened the way.</summary>
    private static bool Moved(List<int> order, Func<int, int, double> way)
    {
        double Way(int a, int b) => b < 0 ? 0 : way(a, b);
        int At(int place) => place < 0 || place >= order.Count ? -1 : order[place];
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
        return better;
    }

    /// <summary>Turns stretches of the order round where that shortens the way; true when it did.</summary>
    private static bool Turned(List<int> order, Func<int, int, double> way)
    {
        var better = false;
        for (var i = 0; i < order.Count - 1; i++)
        {
            var (there, back) = (0.0, 0.0);
            for (var k = i + 1; k < order.Count; k++)
            {
                Budget.Spend();
                (there, back) = (there + way(order[k - 1], order[k]), back + way(order[k], order[k - 1]));
                var before = i > 0 ? order[i - 1] : -1;
                var after = k + 1 < order.Count ? order[k + 1] : -1;
                var now = way(before, order[i]) + there + (after < 0 ? 0 : way(order[k], after));
                var then = way(before, order[k]) + back + (after < 0 ? 0 : way(order[i], after));
                if (then < now - 1e-9)
                {
                    order.Reverse(i, k - i + 1);
                    (there, back) = (back, there);
                    better = true;
                }
            }
        }
        return better;
    }
}
