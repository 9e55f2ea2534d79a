using Ullet.Core.Applique;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Findings;

/// <summary>Names the places where a cover had to be narrowed because two edges face each other too near.</summary>
internal sealed class NarrowPieceCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var group in input.Pieces.GroupBy(work => work.Part.Element.Id, StringComparer.Ordinal))
        {
            var narrow = group
                .Select(work => (work.Part, Worst: Worst(input, work.Part)))
                .Where(pair => pair.Worst is not null)
                .ToList();
            if (narrow.Count == 0)
            {
                continue;
            }
            var (part, worst) = narrow.MinBy(pair => pair.Worst!.Width);
            var tooNarrow = worst!.Width < StitchDefaults.NarrowestCover;
            var others = narrow.Count > 1 ? $" {narrow.Count} letters have such places." : "";
            yield return new Finding(
                "piece-narrow",
                tooNarrow ? FindingLevel.Warn : FindingLevel.Tip,
                group.Key,
                worst.At,
                $"{part.Name} is so narrow in places that its covers meet; the cover is {LengthText.Mm(worst.Width)} wide "
                    + $"there.{others} {(tooNarrow ? "Make the piece larger or the cover narrower." : "No cloth shows between them.")}"
            );
        }
    }

    private static NarrowPlace? Worst(FindingInput input, AppliquePart part)
    {
        var key = new StepKey(part.Element.Id, StageTable.Of(StageId.Cover).Key, part.Ordinal);
        return input.Stitches.TryGetValue(key, out var stitches)
            ? stitches.NarrowPlaces.MinBy(place => place.Width)
            : null;
    }
}
