using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Is every edge of a piece held by its tack-down, or by the line that is its cover?</summary>
internal sealed class EdgeHeldCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var group in input.Holds.GroupBy(report => report.Key.OwnerId, StringComparer.Ordinal))
        {
            if (
                input.Project.Find(group.Key) is not { } element
                || group
                    .Where(report => report.Free is not null)
                    .MaxBy(report => (report.IsMissing, report.Free!.Value))
                    is not { } worst
            )
            {
                continue;
            }
            yield return worst.IsMissing
                ? new Finding(
                    "edge-not-held",
                    FindingLevel.Stop,
                    element.Id,
                    worst.Free!.At,
                    $"Nothing holds {element.Name}: it is too small for the line that should. Make it larger, or choose another cover."
                )
                : new Finding(
                    "edge-not-held",
                    FindingLevel.Warn,
                    element.Id,
                    worst.Free!.At,
                    $"{LengthText.Mm(worst.Free.Value)} of the edge of {element.Name} are not held by any line: it may lift there. "
                        + "Sew the line nearer to the edge, or make the place wider."
                );
        }
    }
}
