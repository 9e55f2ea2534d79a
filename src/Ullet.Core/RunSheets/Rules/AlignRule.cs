using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>Hands align to a line only once it is sewn.</summary>
internal sealed class AlignRule : IOrderRule
{
    public string Name => "align";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        var steps = facts.Steps().ToDictionary(step => step.Key);
        foreach (var hand in steps.Values.OfType<HandStep>())
        {
            foreach (var line in hand.Work.AlignsTo)
            {
                Budget.Spend();
                if (line.Line is { } key && steps.TryGetValue(key, out var sewn))
                {
                    yield return new Precedence(
                        key,
                        hand.Key,
                        Name,
                        $"\"{StepNames.Of(hand)}\" is aligned to \"{StepNames.Of(sewn)}\", which must be sewn before."
                    );
                }
            }
        }
    }
}
