using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Names drawn edges that cross themselves: what they enclose twice is taken for a hole.</summary>
internal sealed class SelfCrossingCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (
            var piece in input
                .Project.Appliques()
                .Select(cloth => cloth.Element)
                .Where(piece => piece.FormedAs<DrawingForm>() is not null)
        )
        {
            var crossing = NodeLines.FirstCrossing(piece);
            var enclosesNothing = input.Outlines[piece.Id].IsEmpty && piece.Operations.IsEmpty;
            if (crossing is null && !enclosesNothing)
            {
                continue;
            }
            yield return enclosesNothing
                ? new Finding(
                    "edge-tangled",
                    FindingLevel.Stop,
                    piece.Id,
                    crossing,
                    $"The edge of {piece.Name} crosses itself so often, or lies so flat, that it encloses nothing to sew or cut. "
                        + "Edit its nodes, or draw it anew."
                )
                : new Finding(
                    "edge-crosses-itself",
                    FindingLevel.Warn,
                    piece.Id,
                    crossing,
                    $"The edge of {piece.Name} crosses itself; what it goes round twice is a hole. Edit its nodes, or freeze it, "
                        + "which makes separate edges of it."
                );
        }
    }
}
