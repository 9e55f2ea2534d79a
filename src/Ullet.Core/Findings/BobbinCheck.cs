using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Will a cover show its bobbin on the back of the finished thing?</summary>
internal sealed class BobbinCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var steps = input.RunSheet.Steps;
        for (var i = 0; i < steps.Length; i++)
        {
            if (steps[i] is not StitchStep { Stage.Id: StageId.Cover } cover)
            {
                continue;
            }
            var hands = steps.Take(i).OfType<HandStep>().ToList();
            var isBacked = hands.Exists(hand =>
                hand.Work.Changes.Any(change => change is LayerLaid { IsBeneath: true })
            );
            if (input.Plan is not null && isBacked && !hands.Exists(hand => hand.Work.Kind == HandKind.ChangeBobbin))
            {
                yield return new Finding(
                    "bobbin-shows",
                    FindingLevel.Tip,
                    cover.OwnerId,
                    null,
                    $"The cover of {cover.OwnerName} shows its bobbin on the back. Wind a bobbin with the same thread and change it before."
                );
            }
        }
    }
}
