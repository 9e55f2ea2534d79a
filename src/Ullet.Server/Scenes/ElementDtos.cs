using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Makings;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Server.Scenes;

/// <summary>Elements as screens draw and change them.</summary>
internal sealed class ElementDtos(Evaluator evaluator)
{
    private readonly OperationDtos _operations = new(evaluator);

    internal ElementDto Build(Element element, Evaluated evaluated)
    {
        var outline = evaluated.Outlines[element.Id];
        var kind = ElementKinds.Of(element);
        var cloth = kind is ElementKind.Piece or ElementKind.Lettering ? AppliqueElement.Settings(element) : null;
        var cover = cloth is null ? null : CoverChoice.Of(cloth, evaluated.Project);
        var inset = cloth is null ? 0 : ClothStages.TackInset(cloth, evaluated.Project.FindCloth(cloth.ClothId));
        var holes = element.Form.HolesOf();
        var pieces = evaluated.PiecesOf(element.Id).ToList();
        string Moved(double distance) =>
            string.Concat(pieces.Select(piece => PathText.Of(piece.Offset(distance, true).Regions)));
        string Stretches(bool covered) =>
            string.Concat(
                pieces
                    .SelectMany(piece => piece.Stretches)
                    .Where(stretch => stretch.IsCovered == covered)
                    .Select(stretch => PathText.Of(stretch.Points))
            );
        return new ElementDto(
            element.Id,
            kind,
            element.Name,
            element.Box,
            element.GroupId,
            element.IsLocked,
            element.IsHidden,
            element.StaysCentred,
            kind is ElementKind.Line && element.FormedAs<DrawingForm>() is not null ? null : element.Form.ShapeOf(),
            holes.Length == 1 ? holes[0] : null,
            holes.Length,
            cloth is null ? null : ClothDtoOf(cloth, cover!, inset),
            element.FormedAs<TextForm>() is { } words ? WordsOf(element, words) : null,
            kind is ElementKind.Line && element.MadeAs<BastingMaking>() is null
                ? element.SettingsOf<LineMaking>()?.Stitching
                : null,
            PathText.Of(outline),
            HasStage(cloth, StageId.Placement) ? string.Concat(pieces.Select(piece => PathText.Of(piece.Outline))) : "",
            HasStage(cloth, StageId.TackDown) ? Moved(-inset) : "",
            string.Concat(pieces.Select(piece => PathText.Of(CoverArea.Of(piece, cover!)))),
            string.Concat(
                evaluated
                    .Sheets.SelectMany(sheet => sheet.Shapes)
                    .Where(placed => placed.Shape.ElementId == element.Id && placed.Copy == 0)
                    .Select(placed => PathText.Of(placed.Shape.Outline))
            ),
            // Words without their font have no outline; they are shown as the box they would take.
            SceneBuilder.Size(outline.Bounds())
                ?? new SizeDto(
                    element.Box.X - (element.Box.Width / 2),
                    element.Box.Y - (element.Box.Height / 2),
                    element.Box.Width,
                    element.Box.Height
                ),
            SceneBuilder.Size(evaluated.StitchedBounds(element.Id)),
            element.IsConstruction,
            NodeLines.Of(element) is not null,
            _operations.Of(element, evaluated),
            _operations.LeftoversOf(element, evaluated),
            Stretches(covered: false),
            Stretches(covered: true),
            pieces.TrueForAll(piece => ReferenceEquals(piece.Outline, piece.Edge))
                ? ""
                : string.Concat(pieces.Select(piece => PathText.Of(piece.Outline))),
            pieces.Exists(piece => piece.Cloth.Id != cloth?.ClothId)
                ? [.. pieces.Select(piece => new ClothPathDto(piece.Cloth.Id, PathText.Of(piece.Edge)))]
                : [],
            [
                .. evaluated
                    .Project.Elements.Where(other => other.SourceIds().Contains(element.Id))
                    .Select(other => other.Id),
            ],
            element.MadeAs<ZoneMaking>()?.Role,
            NumberOf(element.MadeAs<ZoneMaking>()?.From, evaluated) ?? 0,
            NumberOf(element.MadeAs<ZoneMaking>()?.Until, evaluated),
            element.PatternPart is not null,
            element.MadeAs<LineMaking>()?.Purpose,
            MakingModules.Of(element).Kind,
            element.MadeAs<BastingMaking>() is { } basting
                ? new BastingDto(
                    basting.StitchLength ?? StitchDefaults.BastingLength,
                    basting.ThreadId,
                    evaluated.Project.Find(basting.HoldsId ?? "")?.MadeAs<ClothMaking>() is null
                        ? null
                        : basting.HoldsId
                )
                : null
        );
    }

    /// <summary>The number of a step in the run sheet, from 1; null for one that is not there.</summary>
    private static int? NumberOf(StepKey? key, Evaluated evaluated) =>
        evaluated.RunSheet.Steps.Select(step => (StepKey?)step.Key).ToList().IndexOf(key) is >= 0 and var at
        && key is not null
            ? at + 1
            : null;

    private static bool HasStage(AppliqueElement? cloth, StageId role) =>
        cloth is not null && !cloth.Stages.IsOff(role) && AppliqueMethods.Of(cloth.Method).Stages.Contains(role);

    private static ClothDto ClothDtoOf(AppliqueElement cloth, CoverNumbers cover, double inset)
    {
        var (method, band) = (AppliqueMethods.Of(cloth.Method), cover.Band);
        return new ClothDto(
            cloth.ClothId,
            cloth.Method,
            cloth.Holding,
            method.CutsToSize ? cloth.CutAllowance ?? 0 : null,
            new StagesDto(cloth.Stages.CutGuide, cloth.Stages.Placement, cloth.Stages.TackDown, cloth.Stages.Cover),
            new CoverDto(
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
            ),
            Math.Abs(inset),
            StitchDefaults.RunLength,
            cloth.CutAllowance is null && cloth.Stages.IsAsFirstSet
        );
    }

    private WordsDto WordsOf(Element element, TextForm words)
    {
        var height = evaluator.CapHeightOf(element);
        return new WordsDto(
            words.Text,
            words.FontId,
            evaluator.Fonts.Find(words.FontId)?.Name,
            words.Sizing,
            height,
            words.Align,
            words.LineSpacing,
            words.Spacing,
            words.Slant,
            words.Arc,
            LetteringUses.Of(element) ?? LetteringUse.OneByOne,
            (element.SettingsOf<LineMaking>() ?? new LineMaking()).Stitching,
            [
                .. evaluator
                    .LettersOf(element)
                    .Select(letter =>
                    {
                        var touch = words.TouchOf(letter.Ordinal);
                        return new LetterDto(
                            letter.Ordinal,
                            letter.Letter ?? "",
                            touch.X * height,
                            touch.Y * height,
                            touch.Turn,
                            touch.Scale,
                            touch.GapAfter * height,
                            !touch.IsNone,
                            PathText.Of(letter.Outline)
                        );
                    }),
            ]
        );
    }
}
