using System.Collections.Immutable;
using System.Numerics;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Layers;

/// <summary>A sewn stack on a grid: for every cell the gaps between the layers that lie there, and which of them a seam closes.</summary>
/// <remarks>Layers are numbered from the bottom; a gap lies between two layers of a cell that follow one another, under the lowest or
/// over the highest. Two gaps of neighbouring cells are one where they have some thickness in common.</remarks>
internal sealed class TurningGrid
{
    /// <summary>More layers than this are not judged.</summary>
    internal const int MostLayers = 64;

    /// <summary>Side of a cell at least, mm.</summary>
    private const double LeastCell = 2;

    /// <summary>About so many cells at most.</summary>
    private const double MostCells = 20_000;

    /// <summary>The grid reaches this far beyond what is sewn, mm.</summary>
    private const double Beyond = 12;

    private readonly ulong[] _present;
    private readonly ulong[] _open;
    private readonly List<(ulong Layers, int Seam)>?[] _pins;
    private readonly int[] _firstGap;
    private readonly int[] _cells;
    private readonly (int Below, int Above)[] _bounds;
    private readonly int[] _closedBy;

    internal TurningGrid(SewnLayers work)
    {
        Work = work;
        Box = work
            .Seams.SelectMany(seam => seam.Lines)
            .Aggregate(Box.Empty, (box, line) => box.Union(Box.Of(line)))
            .Grown(Beyond);
        Cell = Math.Max(LeastCell, Math.Sqrt(Box.Width * Box.Height / MostCells));
        (Columns, Rows) = ((int)Math.Ceiling(Box.Width / Cell) + 1, (int)Math.Ceiling(Box.Height / Cell) + 1);
        Budget.SpendAhead((double)Columns * Rows);
        (_present, _open) = (new ulong[Columns * Rows], new ulong[Columns * Rows]);
        _pins = new List<(ulong, int)>?[Columns * Rows];
        for (var i = 0; i < work.Layers.Length; i++)
        {
            Lay(work.Layers[i], 1UL << i);
        }
        var numbers = work
            .Layers.Select((layer, i) => (layer.Id, Number: i))
            .ToDictionary(pair => pair.Id, pair => pair.Number, StringComparer.Ordinal);
        for (var i = 0; i < work.Seams.Length; i++)
        {
            Sew(work.Seams[i], i, numbers);
        }
        _firstGap = new int[_present.Length + 1];
        for (var cell = 0; cell < _present.Length; cell++)
        {
            _firstGap[cell + 1] = _firstGap[cell] + BitOperations.PopCount(_present[cell]) + 1;
        }
        (_cells, _bounds, _closedBy) = (new int[GapCount], new (int, int)[GapCount], new int[GapCount]);
        for (var cell = 0; cell < _present.Length; cell++)
        {
            var (below, left) = (-1, _present[cell]);
            for (var gap = _firstGap[cell]; gap < _firstGap[cell + 1]; gap++)
            {
                Budget.Spend();
                var above = left == 0 ? work.Layers.Length : BitOperations.TrailingZeroCount(left);
                (_cells[gap], _bounds[gap]) = (cell, (below, above));
                _closedBy[gap] = ClosedBy(cell, (below, above));
                (below, left) = (above, left & (left - 1));
            }
        }
    }

    internal SewnLayers Work { get; }

    internal Box Box { get; }

    /// <summary>Side of a cell, mm.</summary>
    internal double Cell { get; }

    internal int Columns { get; }

    internal int Rows { get; }

    internal int CellCount => _present.Length;

    internal int GapCount => _firstGap[^1];

    internal int FirstGap(int cell) => _firstGap[cell];

    /// <summary>The cell of a gap.</summary>
    internal int CellOf(int gap) => _cells[gap];

    /// <summary>The layers that a gap lies between: -1 under the lowest, the number of layers over the highest.</summary>
    internal (int Below, int Above) Bounds(int gap) => _bounds[gap];

    /// <summary>The seam that closes a gap; -1 for none.</summary>
    internal int ClosedBy(int gap) => _closedBy[gap];

    /// <summary>True where no seam closes a gap.</summary>
    internal bool IsFree(int gap) => _closedBy[gap] < 0;

    /// <summary>True where nothing lies on one side of a gap: out in the world.</summary>
    internal bool IsOutside(int gap) =>
        _bounds[gap].Below < 0 || _bounds[gap].Above >= Work.Layers.Length || IsBorder(_cells[gap]);

    /// <summary>The gaps of the cells to the right and below that a gap goes on as.</summary>
    internal IEnumerable<int> After(int gap)
    {
        var cell = _cells[gap];
        return (cell % Columns < Columns - 1 ? Over(gap, cell + 1) : []).Concat(
            cell + Columns < CellCount ? Over(gap, cell + Columns) : []
        );
    }

    /// <summary>True when two gaps lie side by side, false when one lies below the other.</summary>
    internal bool AreInARow(int gap, int other) => _cells[gap] / Columns == _cells[other] / Columns;

    /// <summary>The gaps of a cell that a gap of a cell beside it goes on as.</summary>
    internal IEnumerable<int> Over(int gap, int cell)
    {
        var (below, above) = _bounds[gap];
        for (var other = _firstGap[cell]; other < _firstGap[cell + 1]; other++)
        {
            if (Math.Max(below, _bounds[other].Below) < Math.Min(above, _bounds[other].Above))
            {
                yield return other;
            }
        }
    }

    internal Point At(int cell) =>
        new(Box.MinX + (((cell % Columns) + 0.5) * Cell), Box.MinY + (((cell / Columns) + 0.5) * Cell));

    /// <summary>The cell at a place that lies in the box.</summary>
    internal int CellAt(Point place) =>
        (Math.Clamp((int)((place.Y - Box.MinY) / Cell), 0, Rows - 1) * Columns)
        + Math.Clamp((int)((place.X - Box.MinX) / Cell), 0, Columns - 1);

    internal bool IsPresent(int cell, int layer) => (_present[cell] & (1UL << layer)) != 0;

    /// <summary>True where a layer is open: parted, or cut away.</summary>
    internal bool IsOpen(int cell, int layer) => (_open[cell] & (1UL << layer)) != 0;

    internal bool IsBorder(int cell) =>
        cell % Columns == 0 || cell % Columns == Columns - 1 || cell < Columns || cell >= _present.Length - Columns;

    /// <summary>The gap right over a layer that is present in a cell.</summary>
    internal int GapOver(int cell, int layer) =>
        _firstGap[cell] + BitOperations.PopCount(_present[cell] & ((2UL << layer) - 1));

    private int ClosedBy(int cell, (int Below, int Above) bounds)
    {
        foreach (var (layers, seam) in _pins[cell] ?? [])
        {
            if (
                bounds.Below >= BitOperations.TrailingZeroCount(layers)
                && bounds.Above <= 63 - BitOperations.LeadingZeroCount(layers)
            )
            {
                return seam;
            }
        }
        return -1;
    }

    /// <summary>The cells of a layer within the box of what is sewn through it, each with how many cells off its nearest seam or the
    /// box's side is.</summary>
    internal IEnumerable<(int Cell, int Far)> FarFromPins(int layer)
    {
        var (left, top, right, bottom) = (Columns, Rows, -1, -1);
        var far = new int[CellCount];
        Array.Fill(far, int.MaxValue);
        var waiting = new Queue<int>();
        for (var cell = 0; cell < CellCount; cell++)
        {
            if (_pins[cell] is { } pins && pins.Exists(pin => (pin.Layers & (1UL << layer)) != 0))
            {
                (left, right) = (Math.Min(left, cell % Columns), Math.Max(right, cell % Columns));
                (top, bottom) = (Math.Min(top, cell / Columns), Math.Max(bottom, cell / Columns));
                far[cell] = 0;
                waiting.Enqueue(cell);
            }
        }
        while (waiting.TryDequeue(out var here))
        {
            Budget.Spend();
            foreach (var next in Beside(here).Where(next => far[next] == int.MaxValue))
            {
                far[next] = far[here] + 1;
                waiting.Enqueue(next);
            }
        }
        for (var row = top; row <= bottom; row++)
        {
            for (var column = left; column <= right; column++)
            {
                var cell = (row * Columns) + column;
                if (IsPresent(cell, layer))
                {
                    var side = Math.Min(Math.Min(column - left, right - column), Math.Min(row - top, bottom - row));
                    yield return (cell, Math.Min(far[cell], side));
                }
            }
        }
    }

    /// <summary>The cells beside a cell.</summary>
    internal IEnumerable<int> Beside(int cell)
    {
        var column = cell % Columns;
        if (column > 0)
        {
            yield return cell - 1;
        }
        if (column < Columns - 1)
        {
            yield return cell + 1;
        }
        if (cell >= Columns)
        {
            yield return cell - Columns;
        }
        if (cell + Columns < _present.Length)
        {
            yield return cell + Columns;
        }
    }

    /// <summary>Runs of layers of a cell that all are open there, with the gaps under and over each run.</summary>
    internal IEnumerable<(int Under, int Over, ulong Layers)> Ways(int cell)
    {
        if (_open[cell] == 0)
        {
            yield break;
        }
        var (gap, left) = (_firstGap[cell], _present[cell]);
        while (left != 0)
        {
            var (under, run) = (gap, 0UL);
            while (left != 0 && (_open[cell] & left & (~left + 1)) != 0)
            {
                run |= left & (~left + 1);
                left &= left - 1;
                gap++;
            }
            if (run != 0)
            {
                yield return (under, gap, run);
            }
            else
            {
                left &= left - 1;
                gap++;
            }
        }
    }

    /// <summary>How wide the opening of a layer is when it is drawn flat: half of its edge's length, mm.</summary>
    internal double OpeningOf(int layer) =>
        Work.Layers[layer] is var known && known.Parted is { } parted
            ? parted.From.DistanceTo(parted.To)
            : known.Windows.Select(window => window.Shell.Length / 2).DefaultIfEmpty(0).Max();

    /// <summary>The narrowest opening of some layers: how wide it is, mm, and its middle.</summary>
    internal (double Width, Point At) OpeningAt(ulong layers)
    {
        var (narrowest, at) = (double.MaxValue, Point.Zero);
        for (var left = layers; left != 0; left &= left - 1)
        {
            var number = BitOperations.TrailingZeroCount(left);
            if (OpeningOf(number) < narrowest)
            {
                var layer = Work.Layers[number];
                narrowest = OpeningOf(number);
                at = layer.Parted is { } parted
                    ? Point.Lerp(parted.From, parted.To, 0.5)
                    : layer.Windows.MaxBy(window => window.Shell.Length)!.Bounds().Centre;
            }
        }
        return (narrowest, at);
    }

    private void Lay(PresentLayer layer, ulong bit)
    {
        Mark(layer.Area, _present, bit);
        Mark(layer.Windows, _present, bit);
        Mark(layer.Windows, _open, bit);
        if (layer.Parted is { } parted)
        {
            foreach (var cell in CellsAlong(parted.From, parted.To))
            {
                _open[cell] |= bit;
            }
        }
    }

    private void Mark(ImmutableArray<Region> area, ulong[] cells, ulong bit)
    {
        foreach (var region in area)
        {
            var bounds = region.Bounds();
            var index = new AreaIndex([region]);
            var (first, last) = (
                CellAt(new Point(bounds.MinX, bounds.MinY)),
                CellAt(new Point(bounds.MaxX, bounds.MaxY))
            );
            for (var row = first / Columns; row <= last / Columns; row++)
            {
                for (var column = first % Columns; column <= last % Columns; column++)
                {
                    Budget.Spend();
                    var cell = (row * Columns) + column;
                    cells[cell] |= index.Holds(At(cell)) ? bit : 0;
                }
            }
        }
    }

    /// <summary>Pins together, in every cell that needle lines cross, the layers that lay there then and still are in the work.</summary>
    private void Sew(SewnSeam seam, int number, Dictionary<string, int> numbers)
    {
        var areas = seam
            .Layers.Where(layer => numbers.ContainsKey(layer.Id))
            .Select(layer => (Bit: 1UL << numbers[layer.Id], Area: new AreaIndex(layer.Area)))
            .ToList();
        foreach (var line in seam.Lines)
        {
            for (var i = 1; i < line.Length; i++)
            {
                foreach (var cell in CellsAlong(line[i - 1], line[i]))
                {
                    Pin(cell, number, areas);
                }
            }
        }
    }

    private void Pin(int cell, int seam, List<(ulong Bit, AreaIndex Area)> areas)
    {
        var pins = _pins[cell] ??= [];
        if (pins.Count > 0 && pins[^1].Seam == seam)
        {
            return;
        }
        var layers = areas.Aggregate(0UL, (all, layer) => all | (layer.Area.Holds(At(cell)) ? layer.Bit : 0));
        pins.Add((layers, seam));
        // What is held down at its very edge lies there, whatever side of it the cell's middle is on.
        _present[cell] |= layers;
    }

    /// <summary>The cells that a line crosses, each beside the one before it.</summary>
    private IEnumerable<int> CellsAlong(Point from, Point to)
    {
        var steps = Math.Max(1, (int)Math.Ceiling(from.DistanceTo(to) / (Cell / 2)));
        var before = -1;
        for (var i = 0; i <= steps; i++)
        {
            Budget.Spend();
            var cell = CellAt(Point.Lerp(from, to, i / (double)steps));
            if (cell != before)
            {
                before = cell;
                yield return cell;
            }
        }
    }
}
