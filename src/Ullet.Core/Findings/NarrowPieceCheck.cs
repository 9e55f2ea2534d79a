using Ullet.Core.Applique;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Findings;

/// <summary>Names the places where a cover had to be narrowed because two edges face each other too near.</summary>
internal sealed class NarrowPieceCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var piece in input.Project.Elements.OfType<Piece>())
        {
            var key = new StepKey(piece.Id, StageNumbers.StageName(StageRole.Cover), 0);
            if (!input.Stitches.TryGetValue(key, out var stitches) || stitches.NarrowPlaces.IsEmpty)
            {
                continue;
            }
            var worst = stitches.NarrowPlaces.MinBy(place => place.Width)!;
            var tooNarrow = worst.Width < StitchDefaults.NarrowestCover;
            yield return new Finding(
                "piece-narrow",
                tooNarrow ? FindingLevel.Warn : FindingLevel.Tip,
                piece.Id,
                worst.At,
                $"{piece.Name} is so narrow in places that its covers meet; the cover is {LengthText.Mm(worst.Width)} wide "
                    + $"there. {(tooNarrow ? "Make the piece larger or the cover narrower." : "No cloth shows between them.")}"
            );
        }
    }
}
