using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>What is put into a seam lies there before the layer goes on that the seam closes.</summary>
internal sealed class InsertRule : IOrderRule
{
    public string Name => "insert";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        var closing = facts.Acts.Where(act => act.Act.Role == ActRole.LayClosing).Select(act => act.Step).ToList();
        foreach (var hand in facts.Project.RunSheet.Hands.Where(hand => hand.Insert is not null))
        {
            foreach (var step in closing)
            {
                Budget.Spend();
                yield return new Precedence(
                    hand.Key,
                    step.Key,
                    Name,
                    $"What is put into the seam lies on the front before \"{StepNames.Of(step)}\": after, it would be sewn to the outside."
                );
            }
        }
    }
}
