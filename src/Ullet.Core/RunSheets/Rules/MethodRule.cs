using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>The steps of one piece keep the order that its method states.</summary>
internal sealed class MethodRule : IOrderRule
{
    public string Name => "method";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        foreach (var unit in facts.Units)
        {
            for (var i = 1; i < unit.Acts.Length; i++)
            {
                Budget.Spend();
                var (before, after) = (unit.Acts[i - 1].Step, unit.Acts[i].Step);
                yield return new Precedence(
                    before.Key,
                    after.Key,
                    Name,
                    $"\"{StepNames.Of(before)}\" comes before \"{StepNames.Of(after)}\": that is how \"{unit.Way}\" works."
                );
            }
        }
    }
}
