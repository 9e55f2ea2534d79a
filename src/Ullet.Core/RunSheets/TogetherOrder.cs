using Ullet.Core.Geometry;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets;

/// <summary>Sews pieces stage by stage: all placements, all tack-downs, all covers, with as few stops as the stack allows.</summary>
/// <remarks>A piece that lies on others waits until they are tacked down. Covers come last, from the bottom of the stack up; one
/// that goes on under a piece whose own cover would not hide its end comes before that piece is laid, and so does a line that
/// something is laid over.</remarks>
internal static class TogetherOrder
{
    internal static IEnumerable<RunStep> Of(List<SewnUnit> units, List<int>[] over)
    {
        var levels = Levels(units, over);
        var early = Overlaps.Early(units, over);
        foreach (var level in Enumerable.Range(0, levels.DefaultIfEmpty(-1).Max() + 1))
        {
            var own = Shortest([.. Enumerable.Range(0, units.Count).Where(i => levels[i] == level)], units);
            foreach (var phase in Enum.GetValues<ActPhase>().Where(phase => phase != ActPhase.Cover))
            {
                foreach (var step in own.SelectMany(i => StepsOf(units[i], phase)))
                {
                    Budget.Spend();
                    yield return step;
                }
            }
            foreach (var step in own.Order().Where(i => early[i]).SelectMany(i => StepsOf(units[i], ActPhase.Cover)))
            {
                Budget.Spend();
                yield return step;
            }
        }
        for (var i = 0; i < units.Count; i++)
        {
            foreach (var step in early[i] ? [] : StepsOf(units[i], ActPhase.Cover))
            {
                Budget.Spend();
                yield return step;
            }
        }
    }

    private static IEnumerable<RunStep> StepsOf(SewnUnit unit, ActPhase phase) =>
        unit.Acts.Where(act => act.Phase == phase).Select(act => act.Step);

    private static int[] Levels(List<SewnUnit> units, List<int>[] over)
    {
        var levels = new int[units.Count];
        for (var low = 0; low < units.Count; low++)
        {
            foreach (var high in over[low])
            {
                Budget.Spend();
                levels[high] = Math.Max(levels[high], levels[low] + 1);
            }
        }
        return levels;
    }

    /// <summary>The units in an order of little travel: always the nearest next, from the first one.</summary>
    private static List<int> Shortest(List<int> units, List<SewnUnit> all)
    {
        var ordered = new List<int>();
        while (units.Count > 0)
        {
            Budget.Spend();
            var next = ordered.Count == 0 ? units[0] : units.MinBy(i => Centre(i).DistanceTo(Centre(ordered[^1])));
            units.Remove(next);
            ordered.Add(next);
        }
        return ordered;

        Point Centre(int i) => all[i].Outline.Bounds().Centre;
    }
}
