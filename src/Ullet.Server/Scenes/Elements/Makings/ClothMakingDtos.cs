using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Server.Scenes.Elements;

/// <summary>Cloth as screens show it.</summary>
internal static class ClothMakingDtos
{
    internal static ClothMakingDto Of(Element element, Evaluated evaluated)
    {
        // Asked of what is made of cloth, or was.
        var cloth = AppliqueElement.Settings(element)!;
        var (method, cover) = (AppliqueMethods.Of(cloth.Method), CoverChoice.Of(cloth, evaluated.Project));
        var inset = ClothStages.TackInset(cloth, evaluated.Project.FindCloth(cloth.ClothId));
        return new ClothMakingDto(
            cloth.ClothId,
            cloth.Method,
            cloth.Holding,
            method.CutsToSize ? cloth.CutAllowance ?? 0 : null,
            Followed(cloth, method, evaluated),
            new StagesDto(cloth.Stages.CutGuide, cloth.Stages.Placement, cloth.Stages.TackDown, cloth.Stages.Cover),
            CoverOf(cover, method),
            Math.Abs(inset),
            StitchDefaults.RunLength,
            cloth.Making is { CutAllowance: null, Drift: null, CutsAsSewn: false } && cloth.Stages.IsAsFirstSet,
            Paths(element, cloth, cover, inset, evaluated)
        );
    }

    private static FollowedDto Followed(AppliqueElement cloth, IAppliqueMethod method, Evaluated evaluated)
    {
        var making = cloth.Making;
        return new FollowedDto(
            making.Drift ?? SmoothedRing.Drift,
            evaluated.PiecesOf(cloth.Id).Select(piece => piece.Drift.Length).DefaultIfEmpty(0).Max(),
            making.Drift is not null || making.CutsAsSewn,
            making.CutsAsSewn,
            method is { CutsToSize: true, CutAllowance: not null }
        );
    }

    private static CoverDto CoverOf(CoverNumbers cover, IAppliqueMethod method)
    {
        var band = cover.Band;
        return new CoverDto(
            cover.Kind,
            band.Width,
            band.Spacing,
            method.CoverLiesOnGround ? 1 - band.InsideShare : band.InsideShare,
            band.Compensation,
            cover.MotifId,
            cover.UnitLength,
            Math.Abs(cover.Inset),
            method.CoverLiesOnGround ? cover.Inside : cover.Outside,
            method.CoverLiesOnGround ? cover.Outside : cover.Inside,
            cover.Passes,
            band.UnderlayKinds.HasFlag(UnderlayKinds.CentreRun),
            band.UnderlayKinds.HasFlag(UnderlayKinds.EdgeRuns),
            band.UnderlayKinds.HasFlag(UnderlayKinds.Zigzag)
        );
    }

    private static ClothPathsDto Paths(
        Element element,
        AppliqueElement cloth,
        CoverNumbers cover,
        double inset,
        Evaluated evaluated
    )
    {
        var pieces = evaluated.PiecesOf(element.Id).ToList();
        bool Has(StageId role) => !cloth.Stages.IsOff(role) && AppliqueMethods.Of(cloth.Method).Stages.Contains(role);
        string Of(Func<PieceAtWork, string> path) => string.Concat(pieces.Select(path));
        string Stretches(bool covered) =>
            Of(piece =>
                string.Concat(
                    piece
                        .Stretches.Where(stretch => stretch.IsCovered == covered)
                        .Select(stretch => PathText.Of(stretch.Points))
                )
            );
        var cut = evaluated
            .Sheets.SelectMany(sheet => sheet.Shapes)
            .Where(placed => placed.Shape.ElementId == element.Id && placed.Copy == 0);
        return new ClothPathsDto(
            Has(StageId.Placement) ? Of(piece => PathText.Of(piece.Outline)) : "",
            Has(StageId.TackDown) ? Of(piece => PathText.Of(piece.Offset(-inset, true).Regions)) : "",
            Of(piece => PathText.Of(CoverArea.Of(piece, cover))),
            string.Concat(cut.Select(placed => PathText.Of(placed.Shape.Outline))),
            Stretches(covered: false),
            Stretches(covered: true),
            pieces.TrueForAll(piece => ReferenceEquals(piece.Line, piece.Edge))
                ? ""
                : Of(piece => PathText.Of(piece.Outline)),
            pieces.Exists(piece => piece.Cloth.Id != cloth.ClothId)
                ? [.. pieces.Select(piece => new ClothPathDto(piece.Cloth.Id, PathText.Of(piece.Edge)))]
                : []
        );
    }
}
