namespace Ullet.Core.Findings;

/// <summary>Names pieces that nobody will see, and construction shapes that nothing is made with.</summary>
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
                    + "the stack, or delete it."
            );
        }
        var used = input.Project.Elements.SelectMany(element => element.SourceIds()).ToHashSet(StringComparer.Ordinal);
        foreach (var idle in input.Project.Elements.Where(each => each.IsConstruction && !used.Contains(each.Id)))
        {
            yield return new Finding(
                "construction-unused",
                FindingLevel.Tip,
                idle.Id,
                null,
                $"{idle.Name} is a construction shape that nothing is made with: it is neither sewn nor cut. Delete it, or have it "
                    + "sewn."
            );
        }
    }
}
