using Ullet.Core.Geometry;
using Ullet.Core.Projects;
using Ullet.Core.Stitches;

namespace Ullet.Core.Applique;

/// <summary>Whether strokes are wide enough for a cover along both their edges.</summary>
public enum StrokeVerdict
{
    /// <summary>Cloth shows between the covers nearly everywhere.</summary>
    Fits,

    /// <summary>The covers meet in places.</summary>
    ThinInPlaces,

    /// <summary>The covers meet along half of the edge or more: sew it as satin, make it larger, or take a narrower cover.</summary>
    TooThin,
}

/// <summary>Judges letters by the width of their strokes.</summary>
public static class StrokeFit
{
    /// <summary>Cloth that should show between two covers, mm.</summary>
    public const double ClothBetween = 1;

    /// <summary>The stroke that a cover needs: its inside share from both edges and some cloth between, mm.</summary>
    public static double Needed(CoverNumbers cover) => Covered(cover) + ClothBetween;

    /// <summary>What the covers of two facing edges take inside the cloth, mm.</summary>
    public static double Covered(CoverNumbers cover) => 2 * cover.Inside;

    /// <summary>The same for an element as it is sewn, mm; 0 without covers.</summary>
    public static double Covered(Element element, Project project) =>
        AppliqueElement.Of(element) is { Stages.Cover.Off: false } piece ? Covered(CoverChoice.Of(piece, project)) : 0;

    /// <param name="strokes">Measured inside the outline, mm; null when it has no width.</param>
    /// <param name="cover">The cover that is to hold it.</param>
    public static StrokeVerdict Judge(InnerWidth? strokes, CoverNumbers cover) =>
        strokes is null || strokes.Usual < Needed(cover) ? StrokeVerdict.TooThin
        : strokes.Thin < Needed(cover) ? StrokeVerdict.ThinInPlaces
        : StrokeVerdict.Fits;
}
