using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>Hooping up is first, and finishing last.</summary>
internal sealed class FrameRule : IOrderRule
{
    public string Name => "frame";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        var inner = facts
            .Steps()
            .Where(step => !facts.Frame.First.Contains(step) && !facts.Frame.Last.Contains(step))
            .ToList();
        foreach (var first in facts.Frame.First)
        {
            foreach (var step in inner.Concat(facts.Frame.Last))
            {
                Budget.Spend();
                yield return new Precedence(
                    first.Key,
                    step.Key,
                    Name,
                    "Nothing can be sewn or laid before the hoop is made up."
                );
            }
        }
        foreach (var last in facts.Frame.Last)
        {
            foreach (var step in inner)
            {
                Budget.Spend();
                yield return new Precedence(
                    step.Key,
                    last.Key,
                    Name,
                    "The work is finished only when everything is sewn; nothing can follow."
                );
            }
        }
    }
}
