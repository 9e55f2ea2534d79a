using Ullet.Core.Patterns;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Can work that is closed with its right sides inside be turned: through a gap, or through a zip that is open?</summary>
internal sealed class TurningCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        if (input.Plan is not { IsTurned: true } plan)
        {
            yield break;
        }
        if (plan.TurningGap is not null)
        {
            if (
                input.Project.Find(plan.ClosingSeamId ?? "") is
                { Form: DrawingForm { Drawing.Lines: [{ IsClosed: true }, ..] } }
            )
            {
                yield return new Finding(
                    "no-turning-gap",
                    FindingLevel.Stop,
                    plan.ClosingSeamId,
                    null,
                    "The closing seam has no gap: the work can't be turned right side out."
                );
            }
            yield break;
        }
        var opening = plan.Acts.FirstOrDefault(act => act.Role == ActRole.OpenZip);
        if (opening is null || input.RunSheet.Steps.All(step => step.Key != opening.Key))
        {
            yield return new Finding(
                "zip-not-opened",
                FindingLevel.Stop,
                null,
                null,
                "The zip is never opened before the closing seam: the work is turned through it and could not be turned."
            );
        }
    }
}
