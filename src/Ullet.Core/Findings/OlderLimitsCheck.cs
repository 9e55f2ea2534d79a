using Ullet.Core.Documents;

namespace Ullet.Core.Findings;

/// <summary>Tells what an older build stored that is over today's limits, or that was brought back into its range.</summary>
internal sealed class OlderLimitsCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input) =>
        DocumentCheck
            .Of(input.Project)
            .Select(breach => new Finding(
                "over-limit",
                FindingLevel.Warn,
                input.Project.Find(breach.OwnerId)?.Id,
                null,
                $"{breach.Refusal.Words} An older Ullet took it, so it stays; it can't be made larger."
            ))
            .Concat(input.Project.Mended.Select(words => new Finding("mended", FindingLevel.Warn, null, null, words)));
}
