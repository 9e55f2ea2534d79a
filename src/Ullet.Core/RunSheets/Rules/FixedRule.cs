namespace Ullet.Core.RunSheets.Rules;

/// <summary>The steps of a pattern keep their mutual order.</summary>
internal sealed class FixedRule : IOrderRule
{
    public string Name => "fixed";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        for (var i = 1; i < facts.Acts.Length; i++)
        {
            var (before, after) = (facts.Acts[i - 1].Step, facts.Acts[i].Step);
            yield return new Precedence(
                before.Key,
                after.Key,
                Name,
                $"The pattern needs \"{StepNames.Of(before)}\" before \"{StepNames.Of(after)}\"."
            );
        }
    }
}
