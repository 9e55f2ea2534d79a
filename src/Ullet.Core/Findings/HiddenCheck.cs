namespace Ullet.Core.Findings;

/// <summary>Reminds of what is hidden on the wall: it is sewn and cut all the same.</summary>
internal sealed class HiddenCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input) =>
        input
            .Project.Elements.Where(element => element.IsHidden && element.Making.IsSewn)
            .Select(element => new Finding(
                "hidden",
                FindingLevel.Tip,
                element.Id,
                null,
                $"{element.Name} is hidden on the wall, but it is sewn and cut. Show it again, or delete it.",
                new ShowMend(element.Id)
            )
            {
                OtherMends = element.PatternPart is null && !element.IsLocked ? [new DeleteMend(element.Id)] : [],
            });
}
