using System.Numerics;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Layers;

/// <summary>The gaps between the layers of sewn work, cell by cell, and which of them go on as one another.</summary>
/// <remarks>A gap lies between two layers of a cell that follow one another, under the lowest or over the highest. Two gaps of
/// neighbouring cells are one where they have some thickness in common. A seam closes the gaps between the lowest and the highest layer
/// that it went through.</remarks>
internal sealed class TurningGrid
{
    private readonly PinnedCells _cells;
    private readonly int[] _firstGap;
    private readonly int[] _cellOf;
    private readonly (int Below, int Above)[] _bounds;
    private readonly int[] _closedBy;
    private readonly List<(int Gap, int Next)> _beside = [];
    private readonly int[] _firstNext;
    private readonly int[] _next;
    private readonly int[] _space;

    internal TurningGrid(PinnedCells cells)
    {
        _cells = cells;
        _firstGap = new int[cells.Count + 1];
        for (var cell = 0; cell < cells.Count; cell++)
        {
            _firstGap[cell + 1] = _firstGap[cell] + BitOperations.PopCount(cells.Present(cell)) + 1;
        }
        var count = _firstGap[^1];
        (_cellOf, _bounds, _closedBy) = (new int[count], new (int, int)[count], new int[count]);
        for (var cell = 0; cell < cells.Count; cell++)
        {
            var (below, left) = (-1, cells.Present(cell));
            for (var gap = _firstGap[cell]; gap < _firstGap[cell + 1]; gap++)
            {
                Budget.Spend();
                var above = left == 0 ? cells.Work.Layers.Length : BitOperations.TrailingZeroCount(left);
                (_cellOf[gap], _bounds[gap]) = (cell, (below, above));
                _closedBy[gap] = cells.ClosedBy(cell, below, above);
                (below, left) = (above, left & (left - 1));
            }
        }
        for (var cell = 0; cell < cells.Count; cell++)
        {
            if (cell % cells.Columns < cells.Columns - 1)
            {
                Join(cell, cell + 1);
            }
            if (cell + cells.Columns < cells.Count)
            {
                Join(cell, cell + cells.Columns);
            }
        }
        (_firstNext, _next) = Both(_beside, count);
        _space = Spaces();
    }

    internal PinnedCells Cells => _cells;

    internal int Count => _cellOf.Length;

    /// <summary>The cell of a gap.</summary>
    internal int CellOf(int gap) => _cellOf[gap];

    /// <summary>The layers that a gap lies between: -1 under the lowest, the number of layers over the highest.</summary>
    internal (int Below, int Above) Bounds(int gap) => _bounds[gap];

    /// <summary>The seam that closes a gap; -1 for none.</summary>
    internal int ClosedBy(int gap) => _closedBy[gap];

    /// <summary>True where no seam closes a gap.</summary>
    internal bool IsFree(int gap) => _closedBy[gap] < 0;

    /// <summary>True where nothing lies on one side of a gap: out in the world.</summary>
    internal bool IsOutside(int gap) =>
        _bounds[gap].Below < 0 || _bounds[gap].Above >= _cells.Work.Layers.Length || _cells.IsBorder(_cellOf[gap]);

    /// <summary>True when one can go from one gap to another without going through an opening, or outside.</summary>
    internal bool AreInOneSpace(int gap, int other) => _space[gap] == _space[other];

    /// <summary>The gaps of the cells beside it that a gap goes on as, closed ones too.</summary>
    internal ReadOnlySpan<int> Next(int gap) => _next.AsSpan(_firstNext[gap], _firstNext[gap + 1] - _firstNext[gap]);

    /// <summary>All pairs of gaps that go on as one another, each once; the second lies to the right or below.</summary>
    internal IReadOnlyList<(int Gap, int Next)> Beside => _beside;

    /// <summary>True when two gaps lie side by side, false when one lies below the other.</summary>
    internal bool AreInARow(int gap, int other) => _cellOf[gap] / _cells.Columns == _cellOf[other] / _cells.Columns;

    /// <summary>The gap right over a layer that is present in a cell.</summary>
    internal int GapOver(int cell, int layer) =>
        _firstGap[cell] + BitOperations.PopCount(_cells.Present(cell) & ((2UL << layer) - 1));

    /// <summary>Runs of layers of a cell that all are open there, with the gaps under and over each run, where no seam closes those.
    /// </summary>
    internal IEnumerable<(int Under, int Over, ulong Layers)> Openings(int cell)
    {
        var (open, gap, left) = (_cells.Open(cell), _firstGap[cell], _cells.Present(cell));
        while (left != 0 && open != 0)
        {
            var (under, run) = (gap, 0UL);
            for (; (open & Lowest(left)) != 0; left &= left - 1, gap++)
            {
                run |= Lowest(left);
            }
            if (run != 0 && IsFree(under) && IsFree(gap))
            {
                yield return (under, gap, run);
            }
            if (run == 0)
            {
                (left, gap) = (left & (left - 1), gap + 1);
            }
        }
    }

    /// <summary>Numbers the spaces that gaps belong to.</summary>
    private int[] Spaces()
    {
        var space = new int[Count];
        var waiting = new Stack<int>();
        for (var (gap, number) = (0, 0); gap < Count; gap++)
        {
            if (space[gap] == 0)
            {
                number++;
                space[gap] = number;
                waiting.Push(gap);
            }
            while (waiting.TryPop(out var here))
            {
                if (!IsFree(here) || IsOutside(here))
                {
                    continue;
                }
                foreach (var next in Next(here))
                {
                    Budget.Spend();
                    if (space[next] == 0 && IsFree(next) && !IsOutside(next))
                    {
                        space[next] = number;
                        waiting.Push(next);
                    }
                }
            }
        }
        return space;
    }

    private static ulong Lowest(ulong layers) => layers & (~layers + 1);

    /// <summary>Finds which gaps of two cells beside each other have thickness in common; both go from the bottom up.</summary>
    private void Join(int cell, int next)
    {
        var (a, b) = (_firstGap[cell], _firstGap[next]);
        while (a < _firstGap[cell + 1] && b < _firstGap[next + 1])
        {
            Budget.Spend();
            var ((below, above), (otherBelow, otherAbove)) = (_bounds[a], _bounds[b]);
            if (Math.Max(below, otherBelow) < Math.Min(above, otherAbove))
            {
                _beside.Add((a, b));
            }
            (a, b) = above <= otherAbove ? (a + 1, above == otherAbove ? b + 1 : b) : (a, b + 1);
        }
    }

    /// <summary>For each gap all that stand beside it in a pair.</summary>
    private static (int[] First, int[] Next) Both(List<(int Gap, int Next)> pairs, int count)
    {
        var first = new int[count + 1];
        foreach (var (gap, other) in pairs)
        {
            first[gap + 1]++;
            first[other + 1]++;
        }
        for (var gap = 0; gap < count; gap++)
        {
            first[gap + 1] += first[gap];
        }
        var (next, at) = (new int[2 * pairs.Count], (int[])first.Clone());
        foreach (var (gap, other) in pairs)
        {
            next[at[gap]++] = other;
            next[at[other]++] = gap;
        }
        return (first, next);
    }
}
