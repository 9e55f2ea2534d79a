using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>Decoration comes after its cloth lies as it will stay, and before anything is laid over it or behind it.</summary>
internal sealed class PanelRule : IOrderRule
{
    public string Name => "panel";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        foreach (var unit in facts.Units)
        {
            foreach (var precedence in Of(unit, facts))
            {
                yield return precedence;
            }
        }
    }

    private IEnumerable<Precedence> Of(SewnUnit unit, OrderFacts facts)
    {
        if (facts.Plan is null)
        {
            yield break;
        }
        var panel = facts.PanelOf(unit);
        // Beside the panels it is sewn on top of what lies there, once all panels do.
        var ready = panel?.ReadyAfter ?? facts.Plan.Panels.LastOrDefault()?.ReadyAfter;
        if (ready is not { } after || facts.Acts.All(act => act.Act.Key != after))
        {
            yield break;
        }
        var layers = unit.Acts.Select(act => act.Step.Key).ToList();
        foreach (var step in layers)
        {
            Budget.Spend();
            yield return new Precedence(
                after,
                step,
                Name,
                panel is null
                    ? $"{unit.Name} is sewn on what lies in the hoop once \"{NameOf(after, facts)}\" is done."
                    : $"{unit.Name} is sewn on the {panel.Name}, which lies as it will stay only after \"{NameOf(after, facts)}\"."
            );
        }
        foreach (var (act, hand) in facts.ActsAfter(after))
        {
            Budget.Spend();
            if (Covering(act, unit, facts) is not { } laid)
            {
                continue;
            }
            foreach (var step in layers)
            {
                Budget.Spend();
                yield return new Precedence(step, hand.Key, Name, Why(unit, panel, laid));
            }
            if (!laid.IsBeneath)
            {
                break;
            }
        }
    }

    private static string Why(SewnUnit unit, PatternPanel? panel, LayerLaid laid)
    {
        var name = laid.Name.ToLowerInvariant();
        var on = panel is null ? "" : $" on the {panel.Name}";
        return laid.IsBeneath
            ? $"Once the {name} is laid behind, {unit.Name}{on} would be stitched through it and show on it."
            : $"Once the {name} lies on top, the needle would sew {unit.Name} through it instead of only{on}.";
    }

    /// <summary>The layer that a step lays where the unit goes, at once or when it is folded later; null for none.</summary>
    private static LayerLaid? Covering(PatternAct act, SewnUnit unit, OrderFacts facts) =>
        act is HandsAct hands
            ? hands
                .Work.Changes.OfType<LayerLaid>()
                .FirstOrDefault(laid =>
                    Meets(laid.Area, unit) || FoldsOf(laid.LayerId, facts).Any(folded => Meets(folded.Area, unit))
                )
            : null;

    private static IEnumerable<LayerFolded> FoldsOf(string layer, OrderFacts facts) =>
        facts
            .Acts.Select(act => act.Act)
            .OfType<HandsAct>()
            .SelectMany(act => act.Work.Changes)
            .OfType<LayerFolded>()
            .Where(folded => folded.LayerId == layer);

    private static bool Meets(ImmutableArray<Region> regions, SewnUnit unit)
    {
        var box = unit.Outline.Bounds();
        if (!regions.Any(region => region.Bounds().Overlaps(box)))
        {
            return false;
        }
        var area = new AreaIndex(regions);
        return unit.Outline.Parts.IsEmpty
            ? unit.Outline.Lines.SelectMany(line => line.Flatten()).Any(area.Holds)
            : area.Meets(unit.Outline);
    }

    private static string NameOf(Projects.StepKey key, OrderFacts facts) =>
        StepNames.Of(facts.Acts.First(act => act.Act.Key == key).Step);
}
