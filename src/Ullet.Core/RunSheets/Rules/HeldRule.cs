namespace Ullet.Core.RunSheets.Rules;

/// <summary>Steps that the user holds keep their mutual order.</summary>
internal sealed class HeldRule : IOrderRule
{
    public string Name => "held";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        var sheet = facts.Project.RunSheet;
        var known = facts.Steps().ToDictionary(step => step.Key);
        var held = sheet.Sequence.Where(key => known.ContainsKey(key) && sheet.Of(key) is { IsHeld: true }).ToList();
        for (var i = 1; i < held.Count; i++)
        {
            yield return new Precedence(
                held[i - 1],
                held[i],
                Name,
                $"You hold \"{StepNames.Of(known[held[i - 1]])}\" before \"{StepNames.Of(known[held[i]])}\"."
            );
        }
    }
}
