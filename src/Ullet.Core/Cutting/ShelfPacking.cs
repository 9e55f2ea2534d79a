using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Cutting;

/// <summary>Where a box goes: which sheet, from 0, and its top left corner, mm.</summary>
internal readonly record struct Spot(int Sheet, double X, double Y);

/// <summary>Lays boxes in rows, the tallest first, each into the first row that has room.</summary>
/// <remarks>First fit by decreasing height: Coffman, Garey, Johnson, Tarjan, "Performance bounds for level-oriented
/// two-dimensional packing algorithms", 1980.</remarks>
internal sealed class ShelfPacking(Box usable, double gap)
{
    private readonly List<Shelf> _shelves = [];

    /// <summary>How far down each sheet is taken, mm.</summary>
    private readonly List<double> _taken = [];

    /// <summary>Keeps a sheet free for what lies on it already, down to a height.</summary>
    internal void Take(int sheet, double downTo)
    {
        while (_taken.Count <= sheet)
        {
            Budget.Spend();
            _taken.Add(usable.MinY);
        }
        _taken[sheet] = Math.Max(_taken[sheet], downTo + gap);
    }

    /// <summary>A spot for each box, in the boxes' order. A box larger than the mat gets a sheet of its own.</summary>
    internal Spot[] Pack(IReadOnlyList<Box> boxes)
    {
        var spots = new Spot[boxes.Count];
        foreach (var i in Enumerable.Range(0, boxes.Count).OrderByDescending(i => boxes[i].Height).ThenBy(i => i))
        {
            Budget.Spend();
            spots[i] = Lay(boxes[i].Width, boxes[i].Height);
        }
        return spots;
    }

    private Spot Lay(double width, double height)
    {
        foreach (var shelf in _shelves)
        {
            Budget.Spend();
            if (height <= shelf.Height + Tolerance.Same && shelf.X + width <= usable.MaxX + Tolerance.Same)
            {
                return shelf.Place(width, gap);
            }
        }
        var sheet = _taken.FindIndex(y => y + height <= usable.MaxY + Tolerance.Same);
        if (sheet < 0 || width > usable.Width + Tolerance.Same)
        {
            sheet = _taken.Count;
            _taken.Add(usable.MinY);
        }
        var fresh = new Shelf(sheet, usable.MinX, _taken[sheet], height);
        _taken[sheet] += height + gap;
        _shelves.Add(fresh);
        return fresh.Place(width, gap);
    }

    private sealed class Shelf(int sheet, double x, double y, double height)
    {
        internal double X { get; private set; } = x;

        internal double Height { get; } = height;

        internal Spot Place(double width, double gap)
        {
            var spot = new Spot(sheet, X, y);
            X += width + gap;
            return spot;
        }
    }
}
