using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Are stitched letters tall enough to be read, and will they not sink into their cloth?</summary>
internal sealed class SmallTextCheck : ICheck
{
    /// <summary>Letters whose capitals are lower than this run together, mm.</summary>
    private const double LeastHeight = 5;

    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var words in input.Project.Elements)
        {
            if (words.FormedAs<TextForm>() is not { } form || words.MadeAs<LineMaking>() is null)
            {
                continue;
            }
            var lines = form.Text.Split('\n').Length;
            var height = words.Box.Height / lines;
            if (height < LeastHeight)
            {
                yield return new Finding(
                    "text-small",
                    FindingLevel.Warn,
                    words.Id,
                    new Geometry.Point(words.Box.X, words.Box.Y),
                    $"The letters of {words.Name} are {LengthText.Mm(height)} high; under {LeastHeight:0} mm stitched letters run together. "
                        + "Make them larger, or the text shorter."
                );
            }
            var ground = input.Project.FindCloth(
                words.PatternPart is null ? input.Project.Hooping.TopClothId : words.SettingsOf<ClothMaking>()?.ClothId
            );
            if (ground is { } cloth && (cloth.IsDeepPile || cloth.Kind == ClothKind.Fleece))
            {
                yield return new Finding(
                    "text-sinks",
                    FindingLevel.Warn,
                    words.Id,
                    new Geometry.Point(words.Box.X, words.Box.Y),
                    $"A line stitched on {cloth.Name} sinks into it. Make {words.Name} of cloth, or lay a water-soluble film on top."
                );
            }
        }
    }
}
