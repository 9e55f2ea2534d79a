using Ullet.Core.Outlines;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>A filled area with every number resolved: what was set by hand, then what its cloth and its thread ask for.</summary>
public static class FillChoice
{
    /// <summary>The usual distance of holes along a row, mm.</summary>
    public const double StitchLength = 4.0;

    /// <summary>The usual distance of rows over film, mm.</summary>
    public const double OverFilm = 1.0;

    /// <summary>The numbers of a filled area on a cloth with a thread.</summary>
    public static FillNumbers Numbers(FilledMaking making, Element element, Cloth? ground, MachineThread? thread)
    {
        var preset = ClothPreset.Of(ground);
        var looser = thread?.Kind == ThreadKind.Metallic ? SatinChoice.MetallicLooser : 0;
        var spacing =
            making.Spacing ?? (making.FilmClothId is null ? Math.Round(preset.Spacing + looser, 3) : OverFilm);
        return new FillNumbers(spacing, Angle(making, element.Box), making.Compensation ?? preset.Compensation)
        {
            StitchLength = making.StitchLength ?? StitchLength,
            Pattern = making.Pattern,
            Underlay = making.Underlay ?? (spacing >= FillLimits.Shows ? FillUnderlay.OfFilm : FillUnderlay.Usual),
        };
    }

    /// <summary>The direction of rows on the wall: turned and mirrored with its element, unless it is fixed, degrees.</summary>
    internal static double Angle(FilledMaking making, ElementBox box) =>
        making.IsAngleFixed ? making.Angle : (box.IsFlipped ? -making.Angle : making.Angle) + box.Rotation;

    /// <summary>The plan of a filled area.</summary>
    internal static FillPlan Plan(FilledMaking making, Element element, Project project, MachineThread? thread)
    {
        var ground = SatinChoice.Ground(element, project);
        return new FillPlan(
            Numbers(making, element, ground, thread),
            [.. making.Guide.Select(spot => BoxFit.OnWall(element.Box, spot))],
            ClothPreset.Of(ground).NeedleLimit
        )
        {
            SecondThreadId =
                project.FindThread(making.SecondThreadId) is { } second && second.Id != thread?.Id ? second.Id : null,
        };
    }
}
