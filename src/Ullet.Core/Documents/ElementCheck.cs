using Ullet.Core.Lettering;
using Ullet.Core.Outlines;
using Ullet.Core.Pipeline;
using Ullet.Core.Projects;

namespace Ullet.Core.Documents;

/// <summary>Checks what stands on the wall.</summary>
internal static class ElementCheck
{
    internal static IEnumerable<Breach> Of(Project project) =>
        project.Elements.SelectMany(element => Fatal(project, element).Concat(Limited(element)));

    /// <summary>Curves of everything that is drawn on an element.</summary>
    internal static int CurvesOf(Element element) =>
        element switch
        {
            Piece piece => CurvesOf(piece.Shape) + piece.Holes.Sum(hole => CurvesOf(hole.Shape)),
            StitchedLine line => CurvesOf(line.Line),
            Zone zone => CurvesOf(zone.Shape),
            _ => 0,
        };

    private static int CurvesOf(ShapeSource shape) =>
        shape is DrawnShape { Lines.IsDefault: false } drawn
            ? drawn.Lines.Sum(line => line.Curves.IsDefault ? 0 : line.Curves.Length)
            : 0;

    /// <summary>What nothing can be made of.</summary>
    private static IEnumerable<Breach> Fatal(Project project, Element element)
    {
        var cloth = element is AppliqueElement piece && project.FindCloth(piece.ClothId) is null ? piece.ClothId : null;
        return DocumentCheck.Found(
            element.Id,
            true,
            [
                cloth is null
                    ? null
                    : DocumentCheck.Missing(
                        $"piece \"{DocumentCheck.Short(element.Name)}\" names cloth \"{DocumentCheck.Short(cloth)}\", which is not in it"
                    ),
                .. element.Operations.Select(operation =>
                    OperationLimits.CheckSources(project, element, operation) is { } wrong
                        ? DocumentCheck.Missing(wrong.Words.TrimEnd('.'))
                        : null
                ),
                .. Drawn(element)
                    .Select(drawn =>
                        drawn.Lines.IsDefaultOrEmpty || drawn.Lines.Any(line => line.Curves.IsDefaultOrEmpty)
                            ? DocumentCheck.Missing(
                                $"of \"{DocumentCheck.Short(element.Name)}\": a drawn shape has no lines, or a line no curves"
                            )
                            : null
                    ),
            ]
        );
    }

    /// <summary>The limits that new input keeps.</summary>
    private static IEnumerable<Breach> Limited(Element element)
    {
        var own = DocumentCheck
            .Found(element.Id, false, Limits.CheckName(element.Name, "The element"), Form(element), Making(element))
            .Concat(Sized(element))
            .Concat(
                element.Operations.SelectMany(operation =>
                    DocumentCheck.Found(element.Id, false, OperationLimits.Check(operation))
                )
            );
        return own.Concat(
            new (string What, int Count, int Most)[]
            {
                ("operations on one element", element.Operations.Length, OperationLimits.MostOperations),
                ("holes in one piece", (element as Piece)?.Holes.Length ?? 0, DocumentLimits.MostHoles),
                (
                    "stretches set by hand",
                    (element as AppliqueElement)?.EdgeTouches.Length ?? 0,
                    DocumentLimits.MostTouches
                ),
                ("touched letters", (element as Words)?.Touches.Length ?? 0, Words.LongestText),
                ("passages through one zone", (element as Zone)?.Allows.Length ?? 0, DocumentLimits.MostElements),
            }
                .Where(each => each.Count > each.Most)
                .Select(each => DocumentCheck.TooMany(element.Id, each.What, each.Count, each.Most))
        );
    }

    private static IEnumerable<Breach> Sized(Element element)
    {
        var box = element.Box;
        return DocumentCheck
            .Found(element.Id, false, Limits.CheckBox(box, element.Name, mayBeFlat: element is StitchedLine))
            .Select(breach =>
                breach with
                {
                    Amount = breach.Refusal.Place switch
                    {
                        "width" => Math.Abs(box.Width),
                        "height" => Math.Abs(box.Height),
                        "x" => Math.Abs(box.X),
                        "y" => Math.Abs(box.Y),
                        _ => 0,
                    },
                }
            );
    }

    /// <summary>Says what is wrong with where the outline comes from, or null.</summary>
    internal static Refusal? Form(Element element) =>
        element switch
        {
            Piece piece => ShapeLimits.CheckNumbers(piece.Shape)
                ?? piece.Holes.Select(HoleCheck).FirstOrDefault(wrong => wrong is not null),
            Zone zone => ShapeLimits.CheckNumbers(zone.Shape),
            StitchedLine line => ShapeLimits.CheckNumbers(line.Line),
            Words words => WordsLimits.CheckText(words.Text) ?? WordsLimits.CheckNumbers(words),
            _ => null,
        };

    internal static Refusal? HoleCheck(PieceHole hole) =>
        ShapeLimits.CheckNumbers(hole.Shape)
        ?? Limits.CheckBox(new ElementBox(hole.X, hole.Y, hole.Width, hole.Height, 0), "the hole");

    /// <summary>Says what is wrong with what is made of it, or null.</summary>
    internal static Refusal? Making(Element element) =>
        element switch
        {
            Words words => StageLimits.Check(words) ?? LineCheck(words.Line),
            AppliqueElement piece => StageLimits.Check(piece),
            StitchedLine line => LineCheck(line.Stitching)
                ?? (line.Purpose is { } purpose ? Limits.CheckName(purpose, "The line's purpose") : null),
            _ => null,
        };

    internal static Refusal? LineCheck(LineSettings line) =>
        StageLimits.Check(new RunSettings { StitchLength = line.StitchLength })
        ?? Limits.CheckRange(line.Passes, 1, LineSettings.MostPasses, "", "The number of passes", "passes");

    private static IEnumerable<DrawnShape> Drawn(Element element) =>
        element switch
        {
            Piece piece => piece.Holes.Select(hole => hole.Shape).Prepend(piece.Shape).OfType<DrawnShape>(),
            StitchedLine line => [line.Line],
            Zone { Shape: DrawnShape drawn } => [drawn],
            _ => [],
        };
}
