using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>Finds the parts of a cover that are worth a close look: where a coarse count says that much thread lies, or where
/// strokes were shortened.</summary>
internal static class DoubtfulPlaces
{
    /// <summary>Side of the coarse count's cells, mm.</summary>
    private const double Side = 0.9;

    /// <summary>From here on much thread lies, over what lies on a straight edge.</summary>
    internal const double Much = 1.3;

    /// <summary>With more crowds than this all thread is counted.</summary>
    private const int MostBoxes = 12;

    /// <summary>How many cells a place has along a side at most.</summary>
    private const int Largest = 8;

    /// <param name="chain">The cover's top thread.</param>
    /// <param name="straight">Layers on a straight edge.</param>
    /// <param name="isShortened">Whether a needle point's stroke was shortened.</param>
    /// <param name="from">Where much thread begins, over what lies on a straight edge.</param>
    internal static IEnumerable<Box> Of(
        NeedleChain chain,
        double straight,
        Func<int, bool> isShortened,
        double from = Much
    )
    {
        var (counts, crowded) = (new CellCounts(Side), new CellCounts(Side));
        var doubtful = new HashSet<(int X, int Y)>();
        var boxes = new List<Box>();
        var wasCrowded = false;
        for (var i = 0; i < chain.Count; i++)
        {
            Budget.Spend();
            if (isShortened(i))
            {
                doubtful.Add(counts.CellOf(chain[i]));
            }
            var next = chain.After(i);
            var isCrowded = next >= 0 && (chain.IsCrowded(i) || chain.IsCrowded(next));
            if (isCrowded)
            {
                crowded.AddLine(chain[i], chain[next]);
                if (!wasCrowded)
                {
                    boxes.Add(Box.Empty);
                }
                boxes[^1] = boxes[^1].Including(chain[i]).Including(chain[next]);
            }
            wasCrowded = isCrowded;
        }
        CountNear(boxes, chain, counts);
        // Thread of this length in a cell makes one layer.
        const double Layer = Side * Side / StitchDefaults.ThreadWidth;
        var much = from * straight * Layer;
        doubtful.UnionWith(crowded.Over(0).Where(cell => counts[cell] > much));
        foreach (var cell in doubtful.Order().ToList())
        {
            if (doubtful.Remove(cell))
            {
                yield return Around(cell, doubtful);
            }
        }
    }

    /// <summary>Counts the thread in boxes, and some beside them.</summary>
    private static void CountNear(List<Box> boxes, NeedleChain chain, CellCounts counts)
    {
        var grown = boxes.ConvertAll(box => box.Grown(2 * Side));
        var areAll = grown.Count > MostBoxes;
        for (var i = 0; grown.Count > 0 && i < chain.Count; i++)
        {
            Budget.Spend();
            if (chain.After(i) is var next && next >= 0 && (areAll || IsInAny(grown, chain[i], chain[next])))
            {
                counts.AddLine(chain[i], chain[next]);
            }
        }
    }

    private static bool IsInAny(List<Box> boxes, Point from, Point to)
    {
        var (left, right) = from.X < to.X ? (from.X, to.X) : (to.X, from.X);
        var (top, bottom) = from.Y < to.Y ? (from.Y, to.Y) : (to.Y, from.Y);
        foreach (var box in boxes)
        {
            if (right >= box.MinX && left <= box.MaxX && bottom >= box.MinY && top <= box.MaxY)
            {
                return true;
            }
        }
        return false;
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
