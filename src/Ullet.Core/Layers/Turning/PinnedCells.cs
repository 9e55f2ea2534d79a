using System.Collections.Immutable;
using System.Numerics;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Layers;

/// <summary>Sewn layers on a grid: for every cell the layers that lie there, those that are open there, and which of them a seam
/// pins together.</summary>
/// <remarks>Layers are numbered from the bottom; a set of them is a number with a bit for each.</remarks>
internal sealed class PinnedCells
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

    internal PinnedCells(SewnLayers work)
    {
        Work = work;
        Box = work
            .Seams.SelectMany(seam => seam.Lines)
            .Aggregate(Box.Empty, (box, line) => box.Union(Box.Of(line)))
            .Grown(Beyond);
        Side = Math.Max(LeastCell, Math.Sqrt(Box.Width * Box.Height / MostCells));
        (Columns, Rows) = ((int)Math.Ceiling(Box.Width / Side) + 1, (int)Math.Ceiling(Box.Height / Side) + 1);
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
    }

    internal SewnLayers Work { get; }

    internal Box Box { get; }

    /// <summary>Side of a cell, mm.</summary>
    internal double Side { get; }

    internal int Columns { get; }

    internal int Rows { get; }

    internal int Count => _present.Length;

    /// <summary>The layers that lie in a cell, whether they are open there or not.</summary>
    internal ulong Present(int cell) => _present[cell];

    /// <summary>Those of them that are open there: parted, or cut away.</summary>
    internal ulong Open(int cell) => _open[cell];

    internal bool IsBorder(int cell) =>
        cell % Columns == 0 || cell % Columns == Columns - 1 || cell < Columns || cell >= Count - Columns;

    /// <summary>The middle of a cell, mm.</summary>
    internal Point At(int cell) =>
        new(Box.MinX + (((cell % Columns) + 0.5) * Side), Box.MinY + (((cell / Columns) + 0.5) * Side));

    /// <summary>The seam that closes what lies between two layers of a cell; -1 for none.</summary>
    internal int ClosedBy(int cell, int below, int above)
    {
        foreach (var (layers, seam) in _pins[cell] ?? [])
        {
            if (
                below >= BitOperations.TrailingZeroCount(layers)
                && above <= 63 - BitOperations.LeadingZeroCount(layers)
            )
            {
                return seam;
            }
        }
        return -1;
    }

    /// <summary>How wide the opening of a layer is when it is drawn flat, mm, and where: of a window half of its edge's length, of what is
    /// parted the longest stretch that nothing is sewn across.</summary>
    internal (double Width, Point At) OpeningOf(int layer)
    {
        var known = Work.Layers[layer];
        return known.Parted is { } parted ? LongestStretch(parted.From, parted.To, layer)
            : known.Windows.MaxBy(window => window.Shell.Length) is { } window
                ? (window.Shell.Length / 2, window.Bounds().Centre)
            : (0, Point.Zero);
    }

    /// <summary>The cells of a layer that lie between what is sewn through it, across or down, each with how many cells off its nearest
    /// seam, or the side of the box about what is sewn, is.</summary>
    internal IEnumerable<(int Cell, int Far)> FarFromPins(int layer)
    {
        var (across, down) = (new Extent[Rows], new Extent[Columns]);
        var (rows, columns) = (new Extent(), new Extent());
        var far = new int[Count];
        Array.Fill(far, int.MaxValue);
        var waiting = new Queue<int>();
        for (var cell = 0; cell < Count; cell++)
        {
            if (IsPinned(cell, layer))
            {
                across[cell / Columns].Include(cell % Columns);
                down[cell % Columns].Include(cell / Columns);
                rows.Include(cell / Columns);
                columns.Include(cell % Columns);
                far[cell] = 0;
                waiting.Enqueue(cell);
            }
        }
        while (waiting.TryDequeue(out var here))
        {
            Budget.Spend();
            foreach (var next in Beside(here))
            {
                if (far[next] == int.MaxValue)
                {
                    far[next] = far[here] + 1;
                    waiting.Enqueue(next);
                }
            }
        }
        for (var cell = 0; cell < Count; cell++)
        {
            var (row, column) = (cell / Columns, cell % Columns);
            if ((_present[cell] & (1UL << layer)) != 0 && (across[row].Holds(column) || down[column].Holds(row)))
            {
                yield return (cell, Math.Min(far[cell], Math.Min(rows.Within(row), columns.Within(column))));
            }
        }
    }

    /// <summary>From the first to the last of some whole numbers.</summary>
    private struct Extent
    {
        private int _end;
        private int _first;

        internal void Include(int number)
        {
            _first = _end == 0 ? number : Math.Min(_first, number);
            _end = Math.Max(_end, number + 1);
        }

        /// <summary>How far a number is from the nearer end.</summary>
        internal readonly int Within(int number) => Math.Min(number - _first, _end - 1 - number);

        internal readonly bool Holds(int number) => number >= _first && number < _end;
    }

    private bool IsPinned(int cell, int layer) =>
        _pins[cell] is { } pins && pins.Exists(pin => (pin.Layers & (1UL << layer)) != 0);

    /// <summary>The cells beside a cell.</summary>
    private IEnumerable<int> Beside(int cell)
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
        if (cell + Columns < Count)
        {
            yield return cell + Columns;
        }
    }

    private (double Width, Point At) LongestStretch(Point from, Point to, int layer)
    {
        var (longest, begun) = ((Width: 0.0, At: from), (Point?)null);
        var total = from.DistanceTo(to);
        var steps = Math.Max(1, (int)Math.Ceiling(total / (Side / 2)));
        for (var i = 0; i <= steps; i++)
        {
            Budget.Spend();
            var here = Point.Lerp(from, to, i / (double)steps);
            begun = IsPinned(CellAt(here), layer) ? null : begun ?? here;
            if (begun is { } start && start.DistanceTo(here) > longest.Width)
            {
                longest = (start.DistanceTo(here), Point.Lerp(start, here, 0.5));
            }
        }
        return longest;
    }

    private int CellAt(Point place) =>
        (Math.Clamp((int)((place.Y - Box.MinY) / Side), 0, Rows - 1) * Columns)
        + Math.Clamp((int)((place.X - Box.MinX) / Side), 0, Columns - 1);

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

    /// <summary>Marks the cells whose middles lie in an area, row by row between the places where its edges cross the row.</summary>
    private void Mark(ImmutableArray<Region> area, ulong[] cells, ulong bit)
    {
        var crossings = new List<double>[Rows];
        foreach (var ring in area.SelectMany(region => region.Rings))
        {
            for (var i = 0; i < ring.Points.Length; i++)
            {
                Cross(ring.Points[i], ring.Points[(i + 1) % ring.Points.Length], crossings);
            }
        }
        for (var row = 0; row < Rows; row++)
        {
            Budget.Spend();
            var at = crossings[row] ?? [];
            at.Sort();
            for (var i = 0; i + 1 < at.Count; i += 2)
            {
                var first = Math.Max(0, (int)Math.Ceiling(at[i]));
                var last = Math.Min(Columns - 1, (int)Math.Floor(at[i + 1]));
                for (var column = first; column <= last; column++)
                {
                    cells[(row * Columns) + column] |= bit;
                }
            }
        }
    }

    /// <summary>Notes where an edge crosses the middles of rows, in columns.</summary>
    private void Cross(Point from, Point to, List<double>[] crossings)
    {
        double RowOf(Point place) => ((place.Y - Box.MinY) / Side) - 0.5;
        double ColumnOf(Point place) => ((place.X - Box.MinX) / Side) - 0.5;
        var (low, high) = RowOf(from) <= RowOf(to) ? (from, to) : (to, from);
        // A row that an end lies on counts to the edge that goes on upwards.
        for (var row = Math.Max(0, (int)Math.Ceiling(RowOf(low))); row < Math.Min(Rows, RowOf(high)); row++)
        {
            Budget.Spend();
            var share = (row - RowOf(low)) / (RowOf(high) - RowOf(low));
            (crossings[row] ??= []).Add(ColumnOf(low) + (share * (ColumnOf(high) - ColumnOf(low))));
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
        var steps = Math.Max(1, (int)Math.Ceiling(from.DistanceTo(to) / (Side / 2)));
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
