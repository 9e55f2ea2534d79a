using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>What is added to an opened file that lays cloths is sewn onto the last cloth that lies face up under it, and before anything
/// is laid over it, face down or behind: a name goes between blocks, not after the file.</summary>
internal sealed class OpenedLayerRule : IOrderRule
{
    public string Name => "opened-layer";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        var laying = facts
            .Units.Where(unit => unit.Opened is not null)
            .OrderBy(unit => unit.Opened!.Place)
            .SelectMany(unit => unit.Acts)
            .Select(act => act.Step)
            .OfType<HandStep>()
            .SelectMany(hand => hand.Work.Changes.OfType<LayerLaid>().Select(laid => (Hand: hand, Laid: laid)))
            .Select(pair => (pair.Hand, pair.Laid, Area: new AreaIndex(pair.Laid.Area)))
            .ToList();
        if (laying.Count == 0)
        {
            yield break;
        }
        foreach (var unit in facts.Units.Where(unit => unit.Opened is null && unit.Basting is null))
        {
            Budget.Spend();
            var middle = unit.Outline.Bounds().Centre;
            var over = laying.Where(pair => pair.Area.Holds(middle)).ToList();
            var closing = over.FindIndex(pair => pair.Laid.IsBeneath || !pair.Laid.FaceUp);
            if (closing >= 0)
            {
                var (hand, laid, _) = over[closing];
                foreach (var act in unit.Acts)
                {
                    yield return new Precedence(
                        act.Step.Key,
                        hand.Key,
                        Name,
                        $"Once {laid.Name} lies there, the needle would sew {unit.Name} through it."
                    );
                }
            }
            var ground = over.FindLastIndex(
                closing < 0 ? over.Count - 1 : closing,
                pair => !pair.Laid.IsBeneath && pair.Laid.FaceUp
            );
            if (ground >= 0)
            {
                yield return new Precedence(
                    over[ground].Hand.Key,
                    unit.Acts[0].Step.Key,
                    Name,
                    $"{unit.Name} lies on {over[ground].Laid.Name}, which must be there first."
                );
            }
        }
    }
}
