using Ullet.Core.Applique;
using Ullet.Core.Evaluation;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Server.Scenes;

/// <summary>Elements as screens draw and change them.</summary>
internal sealed class ElementDtos(Evaluator evaluator)
{
    internal ElementDto Build(Element element, Evaluated evaluated)
    {
        var outline = evaluated.Outlines[element.Id];
        var cloth = element as AppliqueElement;
        var isSewnAsCloth = cloth is not null && evaluated.PiecesOf(element.Id).Any();
        var satin = StageNumbers.Satin(cloth?.Stages.Cover ?? new CoverSettings());
        var inset = cloth is null ? 0 : StageNumbers.TackInset(cloth);
        var holes = (element as Piece)?.Holes ?? [];
        string Moved(double distance) => isSewnAsCloth ? PathText.Of(evaluator.OffsetOf(cloth!, distance)) : "";
        return new ElementDto(
            element.Id,
            element switch
            {
                Piece => ElementKind.Piece,
                Words => ElementKind.Lettering,
                _ => ElementKind.Line,
            },
            element.Name,
            element.Box,
            element.GroupId,
            element.IsLocked,
            element.IsHidden,
            element.StaysCentred,
            (element as Piece)?.Shape,
            holes.Length == 1 ? holes[0] : null,
            holes.Length,
            cloth is null
                ? null
                : new ClothDto(
                    cloth.ClothId,
                    cloth.Method,
                    new StagesDto(cloth.Stages.Placement, cloth.Stages.TackDown, cloth.Stages.Cover),
                    satin,
                    inset,
                    StitchDefaults.RunLength
                ),
            element is Words words ? WordsOf(words) : null,
            (element as StitchedLine)?.Stitching,
            PathText.Of(outline),
            Moved(-inset),
            Moved(satin.Width * (1 - satin.InsideShare)) + Moved(-satin.Width * satin.InsideShare),
            string.Concat(
                evaluated
                    .Sheets.SelectMany(sheet => sheet.Shapes)
                    .Where(placed => placed.Shape.ElementId == element.Id)
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
            SceneBuilder.Size(evaluated.StitchedBounds(element.Id))
        );
    }

    private WordsDto WordsOf(Words words)
    {
        var height = evaluator.CapHeightOf(words);
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
            words.Use,
            words.Line,
            [
                .. evaluator
                    .LettersOf(words)
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
