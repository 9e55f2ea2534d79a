using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets;

/// <summary>Which pieces and lines lie on which.</summary>
internal static class Overlaps
{
    /// <summary>For each unit those on top of it that it touches.</summary>
    internal static List<int>[] Of(IReadOnlyList<SewnUnit> units)
    {
        var boxes = units.Select(unit => unit.Outline.Bounds()).ToList();
        var over = units.Select(_ => new List<int>()).ToArray();
        for (var low = 0; low < units.Count; low++)
        {
            AreaIndex? area = null;
            for (var high = low + 1; high < units.Count; high++)
            {
                Budget.Spend();
                // What is taken out again lies on nothing for good, and nothing lies on it.
                if (
                    units[low].Basting is not null
                    || units[high].Basting is not null
                    || !boxes[low].Overlaps(boxes[high])
                )
                {
                    continue;
                }
                area ??= new AreaIndex(units[low].Outline);
                // A line has no area; its box decides.
                if (
                    units[low].Outline.Parts.IsEmpty
                    || units[high].Outline.Parts.IsEmpty
                    || area.Meets(units[high].Outline)
                )
                {
                    over[low].Add(high);
                }
            }
        }
        return over;
    }

    /// <summary>Whether a unit's cover, or line, must be sewn before the next level is laid.</summary>
    internal static bool[] Early(IReadOnlyList<SewnUnit> units, List<int>[] over)
    {
        var early = new bool[units.Count];
        for (var i = units.Count - 1; i >= 0; i--)
        {
            Budget.Spend();
            early[i] = over[i]
                .Exists(high =>
                    units[high].Work is null ? early[high] : units[i].Work is null || !units[high].HidesTuck
                );
        }
        return early;
    }
}
