using Ullet.Core.Patterns;
using Ullet.Core.Pipeline;

namespace Ullet.Core.RunSheets.Rules;

/// <summary>A zip is placed, laid, tacked down and joined at its ends, and half open before the closing layer goes on.</summary>
internal sealed class ZipRule : IOrderRule
{
    public string Name => "zip";

    public IEnumerable<Precedence> Of(OrderFacts facts)
    {
        (ActRole Before, ActRole After, string Why)[] order =
        [
            (ActRole.PlaceZip, ActRole.LayZip, "The zip is laid between its placement lines."),
            (ActRole.LayZip, ActRole.TackZip, "There is no zip to tack down before it is laid."),
            (ActRole.TackZip, ActRole.JoinTape, "The ends of the tape are joined once the zip is held."),
            (
                ActRole.JoinTape,
                ActRole.OpenZip,
                "The open ends of the tape must be joined first, or the slider comes off when the zip is opened."
            ),
            (
                ActRole.OpenZip,
                ActRole.JoinOpenEnd,
                "A bar across the open end is sewn only once the slider has passed: before, the zip could not be opened any more."
            ),
            (
                ActRole.JoinOpenEnd,
                ActRole.LayClosing,
                "The halves of the tape are joined at its open end while they can be seen."
            ),
            (
                ActRole.OpenZip,
                ActRole.LayClosing,
                "The zip must be open before the closing layer goes on: the work is turned through it, and nobody can reach it afterwards."
            ),
        ];
        foreach (var (before, after, why) in order)
        {
            foreach (var first in facts.Acts.Where(act => act.Act.Role == before))
            {
                foreach (var second in facts.Acts.Where(act => act.Act.Role == after))
                {
                    Budget.Spend();
                    yield return new Precedence(first.Step.Key, second.Step.Key, Name, why);
                }
            }
        }
    }
}
