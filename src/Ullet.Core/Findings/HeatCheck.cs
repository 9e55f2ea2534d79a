using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Is an iron used while the hoop is on the machine?</summary>
internal sealed class HeatCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input) =>
        input
            .RunSheet.Steps.OfType<HandStep>()
            .Where(hand => !hand.Work.HoopOff && (hand.Work.UsesHeat || hand.Work.Kind == HandKind.Press))
            .Select(hand => new Finding(
                "iron-at-machine",
                FindingLevel.Warn,
                input.Project.Find(hand.OwnerId)?.Id,
                null,
                $"\"{StepNames.Of(hand)}\" wants an iron while the hoop is on the machine: take the hoop off for it."
            ));
}
