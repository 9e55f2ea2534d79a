namespace Ullet.Core.Findings;

/// <summary>Names pieces that lie wholly under others, where nobody will see them.</summary>
internal sealed class BuriedCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var work in input.Pieces.Where(work => work.IsBuried))
        {
            yield return new Finding(
                "piece-buried",
                FindingLevel.Warn,
                work.Part.Element.Id,
                work.Edge.Bounds().Centre,
                $"{work.Part.Name} lies wholly under other pieces: it is laid and tacked, and nobody will see it. Move it up in "
                    + "the stack, or delete it.",
                work.Part.Element.Element is { IsLocked: false, PatternPart: null } && work.Part.Ordinal == 0
                    ? new DeleteMend(work.Part.Element.Id)
                    : null
            );
        }
    }
}
