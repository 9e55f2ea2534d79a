using Ullet.Core.Applique;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Does a dark cloth shadow through a pale one that lies on it?</summary>
internal sealed class ShadowCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        var ground = input.Project.FindCloth(input.Project.Hooping.TopClothId);
        if (ground is null || !ClothPreset.IsDark(ground.Colour))
        {
            yield break;
        }
        foreach (
            var piece in input.Pieces.Where(piece => IsThin(piece.Cloth) && ClothPreset.IsPale(piece.Cloth.Colour))
        )
        {
            var at = piece.Edge.Bounds().Centre;
            yield return new Finding(
                "shadow-through",
                FindingLevel.Tip,
                piece.Part.Element.Id,
                at,
                $"{ground.Name} is dark and shadows through {piece.Cloth.Name}. Fuse a white lining behind {piece.Part.Name}."
            );
        }
    }

    private static bool IsThin(Cloth cloth) =>
        cloth.Kind is ClothKind.WovenCotton or ClothKind.Linen or ClothKind.Jersey or ClothKind.Organza;
}
