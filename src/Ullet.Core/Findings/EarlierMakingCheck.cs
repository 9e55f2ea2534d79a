using Ullet.Core.Patterns;

namespace Ullet.Core.Findings;

/// <summary>Was the project made by an earlier making of its pattern that can still be sewn?</summary>
internal sealed class EarlierMakingCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        if (
            input.Project.Pattern is { } use
            && PatternShelf.IsEarlier(use)
            && PatternShelf.Find(use.PatternId) is { Gain: { } gain } pattern
        )
        {
            yield return new Finding(
                "earlier-making",
                FindingLevel.Tip,
                null,
                null,
                $"An earlier Ullet made this {pattern.Name.ToLowerInvariant()}. It stays as it is; made anew, {gain}, and what you added stays.",
                new MakeAnewMend(use.PatternId)
            );
        }
    }
}
