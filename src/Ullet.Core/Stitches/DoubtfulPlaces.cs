using System.Runtime.InteropServices;
using Ullet.Core.Geometry;

namespace Ullet.Core.Stitches;

/// <summary>Finds the parts of a cover that are worth a close look: where a coarse count says that much thread lies, or where
/// strokes were shortened.</summary>
internal static class DoubtfulPlaces
{
    /// <summary>Side of the coarse count's cells, mm.</summary>
    private const double Side = 0.9;

    /// <summary>From here on much thread lies, over what lies on a straight edge.</summary>
    private const double Much = 1.2;

    /// <summary>How many cells a place has along a side at most.</summary>
    private const int Largest = 8;

    /// <param name="chain">The cover's top thread.</param>
    /// <param name="straight">Layers on a straight edge.</param>
    /// <param name="isShortened">Whether a needle point's stroke was shortened.</param>
    internal static IEnumerable<Box> Of(NeedleChain chain, double straight, Func<int, bool> isShortened)
    {
        var counts = new Dictionary<(int X, int Y), double>();
        for (var i = 0; i < chain.Count; i++)
        {
            if (isShortened(i))
            {
                counts[CellOf(chain[i])] = double.PositiveInfinity;
            }
            if (chain.After(i) >= 0)
            {
                Count(chain[i], chain[chain.After(i)], counts);
            }
        }
        var left = counts.Where(pair => pair.Value > Much * straight).Select(pair => pair.Key).ToHashSet();
        foreach (var cell in left.Order().ToList())
        {
            if (left.Remove(cell))
            {
                yield return Around(cell, left);
            }
        }
    }

    private static (int X, int Y) CellOf(Point at) => ((int)Math.Floor(at.X / Side), (int)Math.Floor(at.Y / Side));

    private static void Count(Point from, Point to, Dictionary<(int X, int Y), double> counts)
    {
        var length = from.DistanceTo(to);
        var steps = Math.Max(1, (int)Math.Ceiling(length / (Side / 2)));
        for (var s = 0; s < steps; s++)
        {
            var cell = CellOf(Point.Lerp(from, to, (s + 0.5) / steps));
            CollectionsMarshal.GetValueRefOrAddDefault(counts, cell, out _) +=
                length / steps * StitchDefaults.ThreadWidth / (Side * Side);
        }
    }

    /// <summary>The box of a cell and of those left that hang together with it, with a margin.</summary>
    private static Box Around((int X, int Y) cell, HashSet<(int X, int Y)> left)
    {
        var (low, high) = (cell, cell);
        var open = new Stack<(int X, int Y)>([cell]);
        while (open.TryPop(out var here))
        {
            for (var near = 0; near < 9; near++)
            {
                var beside = (X: here.X - 1 + (near % 3), Y: here.Y - 1 + (near / 3));
                var (least, most) = (
                    (X: Math.Min(low.X, beside.X), Y: Math.Min(low.Y, beside.Y)),
                    (X: Math.Max(high.X, beside.X), Y: Math.Max(high.Y, beside.Y))
                );
                if (most.X - least.X < Largest && most.Y - least.Y < Largest && left.Remove(beside))
                {
                    (low, high) = (least, most);
                    open.Push(beside);
                }
            }
        }
        return new Box(low.X * Side, low.Y * Side, (high.X + 1) * Side, (high.Y + 1) * Side).Grown(Side);
    }
}
