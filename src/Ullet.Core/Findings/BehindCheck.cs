using Ullet.Core.Layers;
using Ullet.Core.Projects;
using Ullet.Core.RunSheets;

namespace Ullet.Core.Findings;

/// <summary>Is a cloth laid on the back while the hoop is on the machine?</summary>
internal sealed class BehindCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input) =>
        input
            .RunSheet.Steps.OfType<HandStep>()
            .Where(hand =>
                hand is { IsOwn: true, Work: { HoopOff: false, Kind: not HandKind.HoopUp } }
                && (
                    hand.Work.Kind == HandKind.LayBehind
                    || hand.Work.Changes.OfType<LayerLaid>().Any(laid => laid.IsBeneath)
                )
            )
            .Select(hand => new Finding(
                "behind-hoop-on",
                FindingLevel.Stop,
                null,
                null,
                $"\"{StepNames.Of(hand)}\" lays a cloth on the back while the hoop is on the machine: nobody reaches there. Take the hoop off for it."
            ));
}
