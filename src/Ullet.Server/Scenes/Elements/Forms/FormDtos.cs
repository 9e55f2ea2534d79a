using System.Collections.Immutable;
using Ullet.Core.Evaluation;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes.Elements;

/// <summary>Forms as screens show them; the only list of how.</summary>
internal static class FormDtos
{
    private static readonly ImmutableDictionary<Type, Func<Element, Evaluator, FormDto>> All = new Dictionary<
        Type,
        Func<Element, Evaluator, FormDto>
    >
    {
        [typeof(ShapeForm)] = (element, _) => OfShape((ShapeForm)element.Form),
        [typeof(DrawingForm)] = (element, _) => OfDrawing((DrawingForm)element.Form),
        [typeof(OpenedForm)] = (element, _) => OfOpened((OpenedForm)element.Form, element),
        [typeof(TextForm)] = (element, evaluator) => OfText((TextForm)element.Form, element, evaluator),
    }.ToImmutableDictionary();

    internal static FormDto Of(Element element, Evaluator evaluator) => All[element.Form.GetType()](element, evaluator);

    private static ShapeFormDto OfShape(ShapeForm form) => new(form.Shape, Only(form.Holes), form.Holes.Length);

    private static DrawingFormDto OfDrawing(DrawingForm form) => new(form.IsOpen, Only(form.Holes), form.Holes.Length);

    private static PieceHole? Only(ImmutableArray<PieceHole> holes) => holes.Length == 1 ? holes[0] : null;

    private static OpenedFormDto OfOpened(OpenedForm form, Element element)
    {
        int Count(OpenedMove move) => form.Points.Count(point => point.Move == move);
        var (across, down) = OpenedFrame.Scale(form, element.Box);
        return new OpenedFormDto(
            Count(OpenedMove.Stitch),
            Count(OpenedMove.Trim),
            Count(OpenedMove.Jump),
            Math.Round(across, 4),
            Math.Round(down, 4)
        );
    }

    private static TextFormDto OfText(TextForm form, Element element, Evaluator evaluator)
    {
        var height = evaluator.CapHeightOf(element);
        return new TextFormDto(
            form.Text,
            form.FontId,
            evaluator.Fonts.Find(form.FontId)?.Name,
            form.Sizing,
            form.NarrowedTo,
            height,
            form.Align,
            form.LineSpacing,
            form.Spacing,
            form.Slant,
            form.Arc,
            form.IsOnePiece,
            [.. evaluator.LettersOf(element).Select(letter => Letter(letter, form, height))]
        );
    }

    private static LetterDto Letter(PartOutline letter, TextForm form, double height)
    {
        var touch = form.TouchOf(letter.Ordinal);
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
    }
}
