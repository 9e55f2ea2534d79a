using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Is a piece of the very cloth that it lies on, so that only its cover tells them apart?</summary>
internal sealed class ClothOnItselfCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var ground = input.Project.FindCloth(input.Project.Hooping.TopClothId);
        foreach (var group in input.Pieces.GroupBy(work => work.Part.Element.Id, StringComparer.Ordinal))
        {
            Budget.Spend();
            var work = group.First();
            var element = work.Part.Element;
            if (element.Element.PatternPart is not null || AppliqueMethods.Of(element.Method).CoverLiesOnGround)
            {
                continue;
            }
            var (cloth, name) = Beneath(work, input) is { } lower
                ? (lower.Cloth, lower.Part.Name)
                : (ground, ground is null ? "" : "the ground");
            if (cloth?.Id != work.Cloth.Id || cloth is null)
            {
                continue;
            }
            var other = input.Project.Cloths.FirstOrDefault(each =>
                each.Id != cloth.Id && each.IsSurface() && each.Id != input.Project.Hooping.TopClothId
            );
            yield return new Finding(
                "cloth-on-itself",
                FindingLevel.Tip,
                element.Id,
                work.Edge.Bounds().Centre,
                $"{element.Name} is of {cloth.Name}, and so is {name}, on which it lies: only its cover will be seen.",
                other is null ? null : new OtherClothMend(element.Id, other.Id, other.Name)
            );
        }
    }

    /// <summary>The uppermost piece under the middle of a piece; null where it lies on the ground.</summary>
    private static PieceAtWork? Beneath(PieceAtWork work, FindingInput input)
    {
        var middle = Middle(work.Edge);
        var before = input.Pieces.TakeWhile(other => other.Part.Element.Id != work.Part.Element.Id).Reverse();
        return before.FirstOrDefault(other =>
            other.Edge.Bounds().Contains(middle) && new AreaIndex(other.Edge.Flatten()).Holds(middle)
        );
    }

    private static Point Middle(Outline outline) => Balance.Of(outline) ?? outline.Bounds().Centre;
}
