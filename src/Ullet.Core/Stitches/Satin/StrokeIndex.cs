using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.Stitches;

/// <summary>A grid that knows which needle points have strokes near a box, as they lie and as they may be lengthened.</summary>
internal sealed class StrokeIndex
{
    /// <summary>Side of a cell, mm; about a stroke's length.</summary>
    private const double Side = 4;

    /// <summary>How far a needle point may be moved beyond its stroke's full length, mm.</summary>
    private const double Margin = 0.5;

    private readonly Dictionary<(int X, int Y), List<int>> _cells = [];

    /// <param name="chain">The needle points as they lie now.</param>
    internal StrokeIndex(NeedleChain chain)
    {
        for (var i = 0; i < chain.Count; i++)
        {
            Budget.Spend();
            var box = Box.Empty.Including(chain[i]).Including(chain.End(i));
            foreach (var beside in (ReadOnlySpan<int>)[chain.Before(i), chain.After(i)])
            {
                box = beside < 0 ? box : box.Including(chain[beside]).Including(chain.End(beside));
            }
            foreach (var cell in Cells(box.Grown(Margin)))
            {
                if (!_cells.TryGetValue(cell, out var list))
                {
                    _cells[cell] = list = [];
                }
                list.Add(i);
            }
        }
    }

    /// <summary>The numbers of all needle points whose strokes may cross a box, in order.</summary>
    internal IEnumerable<int> Near(Box box) =>
        Cells(box).SelectMany(cell => _cells.GetValueOrDefault(cell) ?? []).Distinct().Order();

    private static IEnumerable<(int X, int Y)> Cells(Box box)
    {
        for (var y = (int)Math.Floor(box.MinY / Side); y <= (int)Math.Floor(box.MaxY / Side); y++)
        {
            for (var x = (int)Math.Floor(box.MinX / Side); x <= (int)Math.Floor(box.MaxX / Side); x++)
            {
                yield return (x, y);
            }
        }
    }
}
