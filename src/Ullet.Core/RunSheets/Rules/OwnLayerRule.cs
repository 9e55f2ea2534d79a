using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>A cloth of the user's own is laid over finished work only: what lies on a pattern's panel, or reaches out from under the
/// cloth, would else be sewn through it.</summary>
internal sealed class OwnLayerRule : IOrderRule
{
    public string Name => "own-layer";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        foreach (var hand in facts.Frame.Own.OfType<HandStep>())
        {
            foreach (var laid in hand.Work.Changes.OfType<LayerLaid>().Where(laid => !laid.IsBeneath))
            {
                var area = new AreaIndex(laid.Area);
                foreach (var unit in facts.Units.Where(unit => IsDecoration(unit, facts)))
                {
                    Budget.Spend();
                    if (Why(unit, laid, area, facts) is not { } why)
                    {
                        continue;
                    }
                    foreach (var act in unit.Acts)
                    {
                        yield return new Precedence(act.Step.Key, hand.Key, Name, why);
                    }
                }
            }
        }
    }

    /// <summary>True for pieces and words; a plain line, or basting, may be what is to hold the cloth.</summary>
    private static bool IsDecoration(SewnUnit unit, OrderFacts facts) =>
        unit.Work is not null || facts.Project.Find(unit.OwnerId)?.Form is TextForm;

    /// <summary>Why a unit is sewn before a cloth is laid; null where the two have nothing to do with one another, or the unit may be
    /// meant to lie on it.</summary>
    private static string? Why(SewnUnit unit, LayerLaid laid, AreaIndex area, OrderFacts facts)
    {
        var places = Places(unit);
        var under = places.Count(area.Holds);
        if (under == 0)
        {
            return null;
        }
        if (facts.PanelOf(unit) is { } panel)
        {
            return $"Once {laid.Name} lies there, the needle would sew {unit.Name} through it instead of only on the {panel.Name}.";
        }
        return under < places.Length
            ? $"{laid.Name} covers a part of {unit.Name} only: laid before, it would be sewn in along {unit.Name}'s edge."
            : null;
    }

    private static ImmutableArray<Point> Places(SewnUnit unit) =>
        unit.Outline.Parts.IsEmpty
            ? [.. unit.Outline.Lines.SelectMany(line => line.Flatten())]
            : [.. unit.Outline.Flatten().SelectMany(region => region.Rings).SelectMany(ring => ring.Points)];
}
