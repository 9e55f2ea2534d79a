using Ullet.Core.Geometry;

namespace Ullet.Core.RunSheets;

/// <summary>Sews pieces stage by stage: all placements, all tack-downs, all covers, with as few stops as the stack allows.</summary>
/// <remarks>A piece that lies on others waits until they are tacked down. Covers come last, from the bottom of the stack up; one
/// that goes on under a piece whose own cover would not hide its end comes before that piece is laid, and so does a line that
/// something is laid over.</remarks>
internal static class TogetherOrder
{
    internal static IEnumerable<RunStep> Of(List<SewnUnit> units)
    {
        var over = Over(units);
        var levels = Levels(units, over);
        var early = Early(units, over);
        foreach (var level in Enumerable.Range(0, levels.DefaultIfEmpty(-1).Max() + 1))
        {
            var own = Shortest([.. Enumerable.Range(0, units.Count).Where(i => levels[i] == level)], units);
            foreach (var phase in Enum.GetValues<UnitPhase>().Where(phase => phase != UnitPhase.Cover))
            {
                foreach (var step in own.SelectMany(i => StepsOf(units[i], phase)))
                {
                    yield return step;
                }
            }
            foreach (var step in own.Order().Where(i => early[i]).SelectMany(i => StepsOf(units[i], UnitPhase.Cover)))
            {
                yield return step;
            }
        }
        for (var i = 0; i < units.Count; i++)
        {
            foreach (var step in early[i] ? [] : StepsOf(units[i], UnitPhase.Cover))
            {
                yield return step;
            }
        }
    }

    private static IEnumerable<RunStep> StepsOf(SewnUnit unit, UnitPhase phase) =>
        unit.Acts.Where(act => act.Phase == phase).Select(act => act.Step);

    /// <summary>For each unit those on top of it that it touches.</summary>
    private static List<int>[] Over(List<SewnUnit> units)
    {
        var boxes = units.ConvertAll(unit => unit.Outline.Bounds());
        var over = units.ConvertAll(_ => new List<int>()).ToArray();
        for (var low = 0; low < units.Count; low++)
        {
            AreaIndex? area = null;
            for (var high = low + 1; high < units.Count; high++)
            {
                if (!boxes[low].Overlaps(boxes[high]))
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

    private static int[] Levels(List<SewnUnit> units, List<int>[] over)
    {
        var levels = new int[units.Count];
        for (var low = 0; low < units.Count; low++)
        {
            foreach (var high in over[low])
            {
                levels[high] = Math.Max(levels[high], levels[low] + 1);
            }
        }
        return levels;
    }

    /// <summary>Whether a unit's cover, or line, must be sewn before the next level is laid.</summary>
    private static bool[] Early(List<SewnUnit> units, List<int>[] over)
    {
        var early = new bool[units.Count];
        for (var i = units.Count - 1; i >= 0; i--)
        {
            early[i] = over[i]
                .Exists(high =>
                    units[high].Work is null ? early[high] : units[i].Work is null || !units[high].HidesTuck
                );
        }
        return early;
    }

    /// <summary>The units in an order of little travel: always the nearest next, from the first one.</summary>
    private static List<int> Shortest(List<int> units, List<SewnUnit> all)
    {
        var ordered = new List<int>();
        while (units.Count > 0)
        {
            var next = ordered.Count == 0 ? units[0] : units.MinBy(i => Centre(i).DistanceTo(Centre(ordered[^1])));
            units.Remove(next);
            ordered.Add(next);
        }
        return ordered;

        Point Centre(int i) => all[i].Outline.Bounds().Centre;
    }
}
