using Ullet.Core.Makings;
using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>A piece is laid only after whatever it covers has been tacked down; a cover that would end in sight under it, or a line
/// that it lies on, is sewn before it is laid.</summary>
internal sealed class StackRule : IOrderRule
{
    public string Name => "stack";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        var units = facts.Units;
        var over = facts.Over;
        var early = Overlaps.Early(units, over);
        for (var low = 0; low < units.Length; low++)
        {
            foreach (var high in over[low])
            {
                Budget.Spend();
                if (units[low].Opened is not null || units[high].Opened is not null)
                {
                    // What a file sewed has no cloth of the stack's; the file's own order holds.
                    continue;
                }
                var laid = units[high].Acts[0].Step;
                foreach (var act in units[low].Acts.Where(act => act.Phase != ActPhase.Cover || early[low]))
                {
                    yield return new Precedence(
                        act.Step.Key,
                        laid.Key,
                        Name,
                        act.Phase == ActPhase.Cover
                            ? $"{units[high].Name} would lie on it and would not hide where it ends."
                            : $"{units[high].Name} lies on {units[low].Name}, which must be tacked down first."
                    );
                }
                var covers = units[low].Acts.Where(act => act.Phase == ActPhase.Cover && !early[low]);
                var upper = units[high].Acts.Where(act => act.Phase == ActPhase.Cover);
                foreach (var (lower, higher) in covers.SelectMany(_ => upper, (a, b) => (a, b)))
                {
                    Budget.Spend();
                    yield return new Precedence(
                        lower.Step.Key,
                        higher.Step.Key,
                        Name,
                        $"The cover of {units[low].Name} ends under the cover of {units[high].Name}, which must come after it."
                    );
                }
            }
        }
    }
}
