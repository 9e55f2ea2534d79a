using Ullet.Core.Cutting;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Findings;

/// <summary>Can the blade cut what is asked of it, and is film cut from its back?</summary>
internal sealed class CutterCheck : ICheck
{
    public IEnumerable<Finding> Run(FindingInput input)
    {
        foreach (var sheet in input.Sheets.Where(sheet => sheet.Number == 1 && !sheet.Setup.IsByHand))
        {
            var profile = sheet.Setup.Profile;
            if (profile.Name == CutProfiles.Film.Name && !sheet.IsMirrored)
            {
                yield return new Finding(
                    "film-unmirrored",
                    FindingLevel.Warn,
                    null,
                    null,
                    $"{sheet.Cloth.Name} is cut as iron-on film, but not mirrored: ironed on, it would read the wrong way round.",
                    new MirrorFilmMend(sheet.Cloth.Id)
                );
            }
            foreach (var shape in sheet.Shapes.Where(placed => placed.Copy == 0).Select(placed => placed.Shape))
            {
                if (TooFine(shape, profile.SmallestFeature) is { } width)
                {
                    yield return new Finding(
                        "cut-too-fine",
                        FindingLevel.Warn,
                        input.Project.Find(shape.ElementId)?.Id,
                        null,
                        $"A part or a hole of {shape.Name} is {LengthText.Mm(width)} across; cut as {profile.Name.ToLowerInvariant()}, "
                            + $"what is under {LengthText.Mm(profile.SmallestFeature)} does not come out clean. Make it larger, or leave it out."
                    );
                }
            }
        }
    }

    /// <summary>The least side of a part's or a hole's box that is too fine; null when none is.</summary>
    private static double? TooFine(CutShape shape, double least)
    {
        var narrow = shape
            .Outline.Contours.Select(contour => contour.Bounds())
            .Select(box => Math.Min(box.Width, box.Height))
            .DefaultIfEmpty(double.MaxValue)
            .Min();
        return narrow < least - Tolerance.Quantum ? narrow : null;
    }
}
