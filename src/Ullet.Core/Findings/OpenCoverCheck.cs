using Ullet.Core.Applique;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Names covers that leave the edge of a fraying cloth in sight.</summary>
internal sealed class OpenCoverCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var group in input.Pieces.GroupBy(work => work.Part.Element.Id, StringComparer.Ordinal))
        {
            var work = group.First();
            var piece = work.Part.Element;
            var cover = CoverChoice.Of(piece, work.Cloth);
            if (
                piece.Stages.Cover.Off
                || cover.HidesEdge
                || cover.Kind == CoverKind.RawEdge
                || piece.Holding == Holding.Fused
                || work.Cloth.Kind
                    is ClothKind.Felt
                        or ClothKind.Vinyl
                        or ClothKind.Cork
                        or ClothKind.Film
                        or ClothKind.IronOnFilm
            )
            {
                continue;
            }
            yield return new Finding(
                "edge-may-fray",
                FindingLevel.Tip,
                piece.Id,
                null,
                $"The cover of {piece.Name} leaves its edge in sight, and {work.Cloth.Name} frays. Fuse the piece, or take a satin.",
                AppliqueMethods.Of(piece.Method).Stages.Contains(StageId.Placement) ? new FuseMend(piece.Id) : null
            )
            {
                OtherMends = AppliqueMethods.Of(piece.Method).OnlyCover is null
                    ? [new TakeSatinCoverMend(piece.Id)]
                    : [],
            };
        }
    }
}
