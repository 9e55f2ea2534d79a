using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>A cloth that is laid larger than its piece is trimmed before another piece's stitches come where its waste lies: what is sewn
/// down can't be cut away.</summary>
/// <remarks>Pieces of one cloth may lie on one sheet of it: they are left alone.</remarks>
internal sealed class UntrimmedRule : IOrderRule
{
    public string Name => "untrimmed";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        var units = facts.Units;
        var waste = units.Select(unit => Waste.Of(unit)).ToList();
        var early = Overlaps.Early(units, facts.Over);
        var follows = After(facts, waste);
        for (var low = 0; low < units.Length; low++)
        {
            for (var high = low + 1; high < units.Length; high++)
            {
                Budget.Spend();
                if (
                    units[low].Basting is not null
                    || units[high].Basting is not null
                    || IsOneCloth(units[low], units[high])
                )
                {
                    continue;
                }
                var isOver = facts.Over[low].Contains(high);
                foreach (var (before, after, waiting) in Pairs(facts, low, high, waste, isOver, early[low], follows))
                {
                    yield return new Precedence(
                        before.Key,
                        after.Key,
                        Name,
                        $"The cloth of {waiting.Name} reaches where {(waiting == units[low] ? units[high] : units[low]).Name} is sewn until it is "
                            + "trimmed: sewn down there, it could not be cut away."
                    );
                }
            }
        }
    }

    private static IEnumerable<(RunStep Before, RunStep After, SewnUnit Waiting)> Pairs(
        OrderFacts facts,
        int low,
        int high,
        List<Waste?> waste,
        bool isOver,
        bool isEarly,
        List<int>[] follows
    )
    {
        var (lower, upper) = (facts.Units[low], facts.Units[high]);
        // The lower one's waste goes before the upper one comes; where one lies on the other the stack says so already.
        if (!isOver && waste[high] is not { Lay: null } && waste[low] is { } under && under.Meets(upper))
        {
            yield return (under.Trim, upper.Acts[0].Step, lower);
        }
        if (waste[high] is not { } above || !above.Meets(lower))
        {
            yield break;
        }
        if (above.Lay is not { } lay)
        {
            // It is hooped with the ground and lies there from the start.
            if (!Reaches(follows, low, high))
            {
                follows[high].Add(low);
                yield return (above.Trim, lower.Acts[0].Step, upper);
            }
            yield break;
        }
        foreach (var act in lower.Acts)
        {
            Budget.Spend();
            if (act.Phase != ActPhase.Cover)
            {
                if (!isOver)
                {
                    yield return (act.Step, lay, upper);
                }
            }
            else if (isEarly)
            {
                yield return (act.Step, lay, upper);
            }
            else
            {
                yield return facts.Order == StitchOrder.Together
                    ? (above.Trim, act.Step, upper)
                    : (act.Step, lay, upper);
            }
        }
    }

    /// <summary>For each unit those that begin only after some of it: what lies on it, and what lies beside it within its waste.</summary>
    private static List<int>[] After(OrderFacts facts, List<Waste?> waste)
    {
        var after = facts.Over.Select(over => over.ToList()).ToArray();
        for (var low = 0; low < after.Length; low++)
        {
            for (var high = low + 1; high < after.Length; high++)
            {
                Budget.Spend();
                var (under, above) = (waste[low], waste[high]);
                if (
                    !after[low].Contains(high)
                    && above is not { Lay: null }
                    && (
                        (under is not null && under.Meets(facts.Units[high]))
                        || (above is not null && above.Meets(facts.Units[low]))
                    )
                )
                {
                    after[low].Add(high);
                }
            }
        }
        return after;
    }

    /// <summary>True when a unit comes after another, also by way of others between them.</summary>
    private static bool Reaches(List<int>[] after, int low, int high)
    {
        var seen = new HashSet<int> { low };
        var waiting = new Stack<int>([low]);
        while (waiting.TryPop(out var here))
        {
            foreach (var next in after[here].Where(seen.Add))
            {
                Budget.Spend();
                if (next == high)
                {
                    return true;
                }
                waiting.Push(next);
            }
        }
        return false;
    }

    private static bool IsOneCloth(SewnUnit one, SewnUnit other) =>
        one.Work is { } a && other.Work is { } b && a.Cloth.Id == b.Cloth.Id;

    /// <summary>What is laid of a piece beyond itself, until it is trimmed.</summary>
    /// <param name="Lay">The step that lays it; null where it is hooped with the ground.</param>
    /// <param name="Trim">The step that trims it.</param>
    /// <param name="Area">What it takes until then; null for the whole field.</param>
    private sealed record Waste(RunStep? Lay, RunStep Trim, AreaIndex? Area, Box Box)
    {
        internal static Waste? Of(SewnUnit unit)
        {
            var hands = unit.Acts.Select(act => act.Step).OfType<HandStep>().ToList();
            if (hands.FirstOrDefault(hand => hand.Work.Changes.Any(change => change is LayerTrimmed)) is not { } trim)
            {
                return null;
            }
            if (hands.FirstOrDefault(hand => hand.Work.Changes.Any(change => change is LayerLaid)) is not { } lay)
            {
                return new Waste(null, trim, null, Box.Empty);
            }
            var laid = lay.Work.Changes.OfType<LayerLaid>().First();
            // What lies beneath everything is pierced by nothing that is not meant to be.
            return laid.IsBeneath ? null : new Waste(lay, trim, new AreaIndex(laid.Area), Box.Of(laid.Area));
        }

        internal bool Meets(SewnUnit unit) =>
            Area is null
            || (
                Box.Overlaps(unit.Outline.Bounds())
                && (
                    unit.Outline.Parts.IsEmpty
                        ? unit.Outline.Lines.SelectMany(line => line.Flatten()).Any(Area.Holds)
                        : Area.Meets(unit.Outline)
                )
            );
    }
}
