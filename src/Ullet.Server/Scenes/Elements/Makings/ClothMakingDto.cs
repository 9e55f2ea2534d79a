using System.Collections.Immutable;
using Ullet.Core.Projects;

namespace Ullet.Server.Scenes.Elements;

/// <summary>How an element of cloth is applied.</summary>
/// <param name="ClothId">Its cloth.</param>
/// <param name="Method">How it is applied.</param>
/// <param name="Holding">What keeps it in place.</param>
/// <param name="CutAllowance">How much larger it is cut where it is cut to size, mm; null for a method that cuts none.</param>
/// <param name="Outline">How it follows an outline that thread can't follow.</param>
/// <param name="Stages">What was set by hand.</param>
/// <param name="Cover">The cover as it holds.</param>
/// <param name="TackInset">The tack-down's inset as it holds, mm.</param>
/// <param name="RunLength">Stitch length of a run where none is set, mm.</param>
/// <param name="IsAsFirstSet">True when nothing of its stages was set by hand.</param>
/// <param name="Paths">Its lines on the wall.</param>
public sealed record ClothMakingDto(
    string ClothId,
    Method Method,
    Holding Holding,
    double? CutAllowance,
    FollowedDto Outline,
    StagesDto Stages,
    CoverDto Cover,
    double TackInset,
    double RunLength,
    bool IsAsFirstSet,
    ClothPathsDto Paths
) : MakingDto;

/// <summary>How stitches and cut follow an outline.</summary>
/// <param name="Drift">How far stitches may lie from it where it is rough, mm.</param>
/// <param name="Leaves">How far they do at most, mm; 0 where thread can follow it.</param>
/// <param name="IsSet">True when something of it was set by hand.</param>
/// <param name="CutsAsSewn">True when the cloth is cut along the line that is sewn.</param>
/// <param name="IsCut">True when the cloth is cut by a shape that has the choice.</param>
public sealed record FollowedDto(double Drift, double Leaves, bool IsSet, bool CutsAsSewn, bool IsCut);

/// <summary>The lines of a piece of cloth, as SVG path data in mm.</summary>
/// <param name="Placement">The placement's line; empty without that stage.</param>
/// <param name="TackDown">The tack-down's line; empty without that stage.</param>
/// <param name="Band">The cover's band as sewn, even-odd.</param>
/// <param name="Cut">The cut edge.</param>
/// <param name="Visible">The stretches of edge that get a cover, where others lie under something; else empty.</param>
/// <param name="Covered">The stretches that lie under something; empty when all of the edge is visible.</param>
/// <param name="Laid">The cloth as it is laid, where it does not reach as far as the outline; else empty.</param>
/// <param name="Cloths">What is cut of which cloth, where its parts are of several; else empty.</param>
public sealed record ClothPathsDto(
    string Placement,
    string TackDown,
    string Band,
    string Cut,
    string Visible,
    string Covered,
    string Laid,
    ImmutableArray<ClothPathDto> Cloths
);

/// <summary>What was set by hand for each stage.</summary>
public sealed record StagesDto(RunSettings CutGuide, RunSettings Placement, RunSettings TackDown, CoverSettings Cover);

/// <summary>A cover as it holds: what was set by hand, else the presets. Lengths in mm.</summary>
/// <param name="Kind">Its kind.</param>
/// <param name="Width">Width as sewn.</param>
/// <param name="Spacing">Between neighbouring holes on one side.</param>
/// <param name="InsideShare">Share inside the outline; of a cloth set behind, on the ground.</param>
/// <param name="Compensation">Pull compensation on each side.</param>
/// <param name="MotifId">The unit of a motif cover.</param>
/// <param name="UnitLength">Length of a unit or a stitch.</param>
/// <param name="Inset">How far inside the outline a bean line runs.</param>
/// <param name="Outside">How far it reaches outside the cut edge as sewn.</param>
/// <param name="Inside">How far it reaches inside it.</param>
/// <param name="Passes">How often a bean line is sewn over.</param>
/// <param name="CentreRun">Underlay along the middle.</param>
/// <param name="EdgeRuns">Underlay along the sides.</param>
/// <param name="Zigzag">Underlay across.</param>
public sealed record CoverDto(
    CoverKind Kind,
    double Width,
    double Spacing,
    double InsideShare,
    double Compensation,
    string? MotifId,
    double UnitLength,
    double Inset,
    double Outside,
    double Inside,
    int Passes,
    bool CentreRun,
    bool EdgeRuns,
    bool Zigzag
);
