namespace Ullet.Core.Findings;

/// <summary>Names construction shapes that nothing is made with.</summary>
internal sealed class ConstructionUnusedCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var used = input.Project.Elements.SelectMany(element => element.SourceIds()).ToHashSet(StringComparer.Ordinal);
        foreach (var idle in input.Project.Elements.Where(each => each.IsConstruction && !used.Contains(each.Id)))
        {
            yield return new Finding(
                "construction-unused",
                FindingLevel.Tip,
                idle.Id,
                null,
                $"{idle.Name} is a construction shape that nothing is made with: it is neither sewn nor cut. Delete it, or have it "
                    + "sewn.",
                idle.IsLocked ? null : new DeleteMend(idle.Id)
            );
        }
    }
}
