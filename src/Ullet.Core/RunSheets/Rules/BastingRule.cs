using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Makings;
using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>Basting is sewn once the cloth that it holds lies, before that cloth is sewn on or decorated; it comes out before the cloth
/// under it is cut away, else once all that it held for is sewn.</summary>
internal sealed class BastingRule : IOrderRule
{
    public string Name => "basting";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        for (var i = 0; i < facts.Units.Length; i++)
        {
            if (facts.Units[i].Basting is { } making)
            {
                foreach (var pair in Of(facts, facts.Units[i], Held(facts, facts.Units[i], making.HoldsId)))
                {
                    Budget.Spend();
                    yield return pair;
                }
            }
        }
    }

    /// <summary>The step by which a piece's cloth, on which basting lies, is cut away; null where it stays.</summary>
    internal static RunStep? CutAway(SewnUnit basting, SewnUnit piece) =>
        piece
            .Acts.Select(act => act.Step)
            .FirstOrDefault(step =>
                step is HandStep hand
                && hand.Work.Changes.OfType<LayerTrimmed>()
                    .Any(trimmed =>
                        trimmed.LayerId == piece.Work?.Part.LayerId
                        && !Lies(basting.Outline, new AreaIndex(trimmed.Area))
                    )
            );

    private IEnumerable<Precedence> Of(OrderFacts facts, SewnUnit basting, List<SewnUnit> held)
    {
        var sewn = basting.Acts.FirstOrDefault(act => act.Step is StitchStep)?.Step;
        var takenOut = basting.Acts.FirstOrDefault(act => act.Step is HandStep)?.Step;
        foreach (var unit in held)
        {
            var lays = basting.Basting!.HoldsId == unit.OwnerId;
            var lay = lays ? unit.Acts.LastOrDefault(act => act.Phase == ActPhase.Lay)?.Step : null;
            var cut = lays ? CutAway(basting, unit) : null;
            if (lay is not null && sewn is not null)
            {
                yield return new Precedence(
                    lay.Key,
                    sewn.Key,
                    Name,
                    $"{basting.Name} holds the cloth of {unit.Name}, which must lie there first."
                );
            }
            foreach (
                var act in unit.Acts.SkipWhile(act => lay is not null && act.Step != lay).Where(act => act.Step != lay)
            )
            {
                if (sewn is not null)
                {
                    yield return new Precedence(
                        sewn.Key,
                        act.Step.Key,
                        Name,
                        $"{basting.Name} holds the layers still while \"{StepNames.Of(act.Step)}\" is done."
                    );
                }
                if (takenOut is not null && cut is null)
                {
                    yield return new Precedence(
                        act.Step.Key,
                        takenOut.Key,
                        Name,
                        $"{basting.Name} comes out only when what it holds for is done."
                    );
                }
            }
            if (cut is not null && takenOut is not null)
            {
                foreach (var act in unit.Acts.TakeWhile(act => act.Step != cut))
                {
                    yield return new Precedence(
                        act.Step.Key,
                        takenOut.Key,
                        Name,
                        $"{basting.Name} holds until {unit.Name} is tacked down."
                    );
                }
                yield return new Precedence(
                    takenOut.Key,
                    cut.Key,
                    Name,
                    $"{basting.Name} lies on cloth that is cut away; its thread must be out before."
                );
            }
        }
    }

    /// <summary>The units for which basting holds: the piece with what lies on it, or all on the same panel.</summary>
    private static List<SewnUnit> Held(OrderFacts facts, SewnUnit basting, string? holdsId)
    {
        var own = Enumerable.Range(0, facts.Units.Length).Where(i => facts.Units[i].OwnerId == holdsId).ToList();
        if (own.Count > 0)
        {
            var over = own.SelectMany(i => facts.Over[i]).Where(i => facts.Units[i].Basting is null);
            var cut = own.Exists(i => CutAway(basting, facts.Units[i]) is not null);
            return [.. own.Concat(cut ? [] : over).Distinct().Select(i => facts.Units[i])];
        }
        var panel = facts.PanelOf(basting);
        return [.. facts.Units.Where(unit => unit.Basting is null && facts.PanelOf(unit) == panel)];
    }

    private static bool Lies(Outline outline, AreaIndex area) =>
        outline.Flatten().SelectMany(region => region.Rings).SelectMany(ring => ring.Points).All(area.Holds)
        && outline.Lines.SelectMany(line => line.Flatten()).All(area.Holds);
}
