using Ullet.Core.Applique;
using Ullet.Core.Geometry;
using Ullet.Core.Lettering;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Are embroidered letters tall enough to be read, and will they not sink into their cloth?</summary>
internal sealed class SmallTextCheck : ICheck
{
    /// <summary>Lowest capitals that stay apart, mm: letters of single lines, columns, and lines along edges.</summary>
    private const double LeastSingle = 4;

    private const double LeastSatin = 6;

    private const double LeastElse = 5;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var words in input.Project.Elements)
        {
            if (words.FormedAs<TextForm>() is not { } form || words.Making is not (LineMaking or SatinMaking))
            {
                continue;
            }
            var isSatin = words.Making is SatinMaking;
            var isSingle = SingleLineFonts.Has(form.FontId);
            var least =
                isSingle ? LeastSingle
                : isSatin ? LeastSatin
                : LeastElse;
            var height = input.CapHeightOf(words);
            var place = new Point(words.Box.X, words.Box.Y);
            if (height > 0 && height < least - 0.05)
            {
                yield return new Finding(
                    "text-small",
                    FindingLevel.Warn,
                    words.Id,
                    place,
                    $"The letters of {words.Name} are {LengthText.Mm(height)} high; under {least:0} mm {What(isSatin, isSingle)} run together. "
                        + (
                            isSingle || height < LeastSingle
                                ? "Make them larger, or the text shorter."
                                : "Make them larger, or set them in a single-line font, which goes down to 4 mm."
                        ),
                    words is { PatternPart: null, IsLocked: false } ? new TallerLettersMend(words.Id, least) : null
                );
            }
            var ground = words.PatternPart is null
                ? SatinChoice.Ground(words, input.Project)
                : input.Project.FindCloth(words.SettingsOf<ClothMaking>()?.ClothId);
            if (ground is { } cloth && (cloth.IsDeepPile || cloth.Kind == ClothKind.Fleece))
            {
                yield return new Finding(
                    "text-sinks",
                    FindingLevel.Warn,
                    words.Id,
                    place,
                    isSatin
                        ? $"Satin on {cloth.Name} sinks into it at its edges. Lay a water-soluble film on top, and take more compensation."
                        : $"A line stitched on {cloth.Name} sinks into it. Make {words.Name} of cloth, or lay a water-soluble film on top."
                );
            }
        }
    }

    private static string What(bool isSatin, bool isSingle) =>
        isSingle ? "letters of single lines"
        : isSatin ? "letters in satin"
        : "stitched letters";
}
