using Ullet.Core.Makings;
using Ullet.Core.RunSheets.Rules;

namespace Ullet.Core.RunSheets;

/// <summary>The steps that stay together when pieces are finished one by one: a piece's own, with the basting that holds it between
/// them.</summary>
internal static class BlockSteps
{
    internal static IEnumerable<RunStep> Of(OrderFacts facts, SewnUnit unit)
    {
        if (unit.Basting is { } own)
        {
            return unit.Acts.Select(act => act.Step).Where(step => !StandsWithPiece(facts, unit, own.HoldsId, step));
        }
        var steps = unit.Acts.Select(act => act.Step).ToList();
        var lay = unit.Acts.LastOrDefault(act => act.Phase == ActPhase.Lay)?.Step;
        var first = FirstOf(facts, unit);
        foreach (
            var basting in facts.Units.Where(other =>
                first && lay is not null && other.Basting?.HoldsId == unit.OwnerId
            )
        )
        {
            foreach (var step in basting.Acts.Select(act => act.Step))
            {
                if (step is StitchStep)
                {
                    steps.Insert(steps.IndexOf(lay!) + 1, step);
                }
                else if (BastingRule.CutAway(basting, unit) is { } cut)
                {
                    steps.Insert(steps.IndexOf(cut), step);
                }
            }
        }
        return steps;
    }

    private static bool StandsWithPiece(OrderFacts facts, SewnUnit basting, string? holdsId, RunStep step)
    {
        var piece = facts.Units.FirstOrDefault(unit => unit.Basting is null && unit.OwnerId == holdsId);
        return piece is not null
            && piece.Acts.Any(act => act.Phase == ActPhase.Lay)
            && (step is StitchStep || BastingRule.CutAway(basting, piece) is not null);
    }

    /// <summary>Letters one by one are several units of one element; basting stands with the first.</summary>
    private static bool FirstOf(OrderFacts facts, SewnUnit unit) =>
        facts.Units.First(other => other.Basting is null && other.OwnerId == unit.OwnerId) == unit;
}
