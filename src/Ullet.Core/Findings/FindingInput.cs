using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Cutting;
using Ullet.Core.Geometry;
using Ullet.Core.Layers;
using Ullet.Core.Maps;
using Ullet.Core.Outlines;
using Ullet.Core.Patterns;
using Ullet.Core.Program;
using Ullet.Core.Projects;
using Ullet.Core.Recovery;
using Ullet.Core.RunSheets;
using Ullet.Core.Stitches;

namespace Ullet.Core.Findings;

/// <summary>What checks may read: the document and what every station made of it.</summary>
public sealed record FindingInput(
    Project Project,
    IReadOnlyDictionary<string, Outline> Outlines,
    ImmutableArray<PieceAtWork> Pieces,
    IReadOnlyDictionary<StepKey, StepStitches> Stitches,
    StitchProgram Program,
    ImmutableArray<CutSheet> Sheets
)
{
    /// <summary>The steps in order.</summary>
    public RunSheet RunSheet { get; init; } = new([]);

    /// <summary>What lies in the hoop after each of them, from the bottom up.</summary>
    public ImmutableArray<ImmutableArray<PresentLayer>> Layers { get; init; } = [];

    /// <summary>The pattern that the project was made from; null without one.</summary>
    public PatternPlan? Plan { get; init; }

    /// <summary>What was measured on each cover.</summary>
    public ImmutableArray<CoverReport> Covers { get; init; } = [];

    /// <summary>The cap height of words as they stand, mm; 0 where it is not known.</summary>
    public Func<Element, double> CapHeightOf { get; init; } = _ => 0;

    /// <summary>What can be read off opened stitches, where they stand on the wall; null of anything else.</summary>
    public Func<Element, BlockReading?> ReadingOf { get; init; } = _ => null;

    /// <summary>How a shape's cut edge lies under the opened border that is to cover it; null where there is none.</summary>
    public Func<Element, BorderMatch?> BorderOf { get; init; } = _ => null;

    /// <summary>How much of each piece's edge is held.</summary>
    public ImmutableArray<HoldReport> Holds { get; init; } = [];

    /// <summary>Whether the work can be turned; null where it is not turned.</summary>
    public TurningReport? Turning { get; init; }

    /// <summary>Needle points of a stitch step, before travel and locks, mm; none of one that is not there.</summary>
    public IEnumerable<Point> PointsOf(StepKey key) =>
        Stitches.TryGetValue(key, out var sewn) ? sewn.Runs.SelectMany(run => run.Points) : [];

    /// <summary>The elements with operations.</summary>
    public ImmutableArray<OperatedElement> Operated { get; init; } = [];
}

/// <summary>An element with what its operations did.</summary>
/// <param name="Element">The element.</param>
/// <param name="Operations">Each that is not muted, and how it went.</param>
/// <param name="Leftovers">Crumbs and thin places of what they left.</param>
public sealed record OperatedElement(
    Element Element,
    ImmutableArray<(Operation Operation, OperationState State)> Operations,
    ImmutableArray<Leftover> Leftovers
);

/// <summary>One check.</summary>
public interface ICheck
{
    IEnumerable<Finding> Run(FindingInput input);
}

/// <summary>All checks, in the order in which their findings are listed.</summary>
public static class Checks
{
    private static readonly ImmutableArray<ICheck> All =
    [
        new OutsideFieldCheck(),
        new MarginCheck(),
        new OrderCheck(),
        new WindowGroundCheck(),
        new StopMissingCheck(),
        new ZoneCheck(),
        new TurningCheck(),
        new SliderCheck(),
        new FootCheck(),
        new AlignCheck(),
        new TakenOutCheck(),
        new FaceToFaceCheck(),
        new WasteCheck(),
        new FoldCheck(),
        new UnsewnLayerCheck(),
        new EdgeCaughtCheck(),
        new HeatCheck(),
        new BehindCheck(),
        new PanelEdgeCheck(),
        new OverTopstitchingCheck(),
        new OpenedScaledCheck(),
        new OpenedHandsCheck(),
        new OpenedHiddenCheck(),
        new CutUnderBorderCheck(),
        new HolesCheck(),
        new ScissorsCheck(),
        new LettersTouchCheck(),
        new EdgeCoveredCheck(),
        new EdgeHeldCheck(),
        new NarrowPieceCheck(),
        new RoughOutlineCheck(),
        new SpeckCheck(),
        new CoverQualityCheck(),
        new OpenCoverCheck(),
        new MatCheck(),
        new CutterCheck(),
        new OperationsCheck(),
        new SelfCrossingCheck(),
        new BuriedCheck(),
        new ConstructionUnusedCheck(),
        new FontMissingCheck(),
        new HiddenCheck(),
        new SmallTextCheck(),
        new SatinCheck(),
        new SameElementCheck(),
        new BobbinCheck(),
        new ShadowCheck(),
        new ClothOnItselfCheck(),
        new LayerSizeCheck(),
        new ThreadUnusedCheck(),
        new ThreadsAlikeCheck(),
        new OlderLimitsCheck(),
        new EarlierMakingCheck(),
    ];

    public static ImmutableArray<Finding> Run(FindingInput input) =>
        [.. All.SelectMany(check => check.Run(input)).OrderBy(finding => finding.Level)];
}
