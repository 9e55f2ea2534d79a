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
            var shapes = input
                .Sheets.Where(other => other.Cloth.Id == sheet.Cloth.Id)
                .SelectMany(other => other.Shapes)
                .Where(placed => placed.Copy == 0)
                .Select(placed => placed.Shape);
            foreach (var group in shapes.GroupBy(shape => shape.ElementId, StringComparer.Ordinal))
            {
                if (TooFine([.. group], profile, input) is { } finding)
                {
                    yield return finding;
                }
            }
        }
    }

    /// <summary>One line for all parts and holes of an element that the blade can't cut; null when there are none.</summary>
    private static Finding? TooFine(List<CutShape> shapes, CutProfile profile, FindingInput input)
    {
        var least = profile.SmallestFeature;
        var fine = shapes
            .SelectMany(shape => shape.Outline.Parts, (shape, part) => (shape, part))
            .SelectMany(pair =>
                pair.part.Holes.Select(hole => new Fine(pair.shape, hole, true))
                    .Prepend(new Fine(pair.shape, pair.part.Shell, false))
            )
            .Where(each => each.Width < least - Tolerance.Quantum)
            .ToList();
        if (fine.Count == 0)
        {
            return null;
        }
        var worst = fine.MinBy(each => each.Width)!;
        var element = input.Project.Find(worst.Shape.ElementId);
        var (width, needed) = LengthsApart.Mm(worst.Width, least);
        var more = fine.Count > 1 ? $" There are {fine.Count} such places." : "";
        Mend? taller = element is { Form: TextForm, PatternPart: null, IsLocked: false }
            ? new TallerLettersMend(
                element.Id,
                Math.Ceiling(input.CapHeightOf(element) * least / worst.Width * 10) / 10
            )
            : null;
        Mend? mend =
            element is null || element.PatternPart is not null ? null
            : fine.TrueForAll(each => each.IsHole)
                ? new CloseHolesMend(element.Id, HolesCheck.Above(fine.Max(each => each.Width)))
            : shapes.Sum(shape => shape.Outline.Parts.Length) > fine.Count && fine.TrueForAll(each => !each.IsHole)
                ? new ClearCrumbsMend(element.Id, least)
            : null;
        return new Finding(
            "cut-too-fine",
            FindingLevel.Warn,
            element?.Id,
            worst.Shape.Kind == CutKind.Layer ? null : worst.Box.Centre,
            $"A {(worst.IsHole ? worst.Shape.HoleName : "part")} of {worst.Shape.Name} is {width} across; cut as {profile.Name.ToLowerInvariant()}, "
                + $"what is under {needed} does not come out clean.{more} Make it larger, or leave it out.",
            taller ?? mend
        )
        {
            OtherMends = taller is not null && mend is not null ? [mend] : [],
        };
    }

    /// <summary>A part or a hole of a cut shape.</summary>
    private sealed record Fine(CutShape Shape, Contour Edge, bool IsHole)
    {
        internal Box Box { get; } = Edge.Bounds();

        internal double Width => Math.Min(Box.Width, Box.Height);
    }
}
