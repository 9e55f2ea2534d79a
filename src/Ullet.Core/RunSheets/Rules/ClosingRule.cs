using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>The closing seam comes last but for finishing: it encloses everything.</summary>
internal sealed class ClosingRule : IOrderRule
{
    public string Name => "closing";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        var closing = facts.Acts.Where(act => act.Act.Role == ActRole.ClosingSeam).Select(act => act.Step).ToList();
        var finishing = facts.Acts.Where(act => act.Act.Role == ActRole.Finish).Select(act => act.Step).ToList();
        var after = facts
            .Acts.Where(act => act.Act.Role is ActRole.LaySecond or ActRole.SecondSeam)
            .Select(act => act.Step)
            .ToList();
        foreach (var seam in closing)
        {
            foreach (
                var step in facts
                    .Steps()
                    .Where(step => !closing.Contains(step) && !after.Contains(step) && !finishing.Contains(step))
            )
            {
                Budget.Spend();
                yield return new Precedence(
                    step.Key,
                    seam.Key,
                    Name,
                    $"\"{StepNames.Of(seam)}\" closes the work; what is to be inside must be done before."
                );
            }
        }
        foreach (var last in finishing)
        {
            foreach (var step in facts.Steps().Where(step => !finishing.Contains(step)))
            {
                Budget.Spend();
                yield return new Precedence(
                    step.Key,
                    last.Key,
                    Name,
                    $"\"{StepNames.Of(last)}\" is done once everything is sewn."
                );
            }
        }
    }
}
