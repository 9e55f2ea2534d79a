using System.Collections.Immutable;

namespace Ullet.Core.Projects;

/// <summary>Numbers set by hand over the method's presets, per stage. A null keeps the preset.</summary>
public sealed record StageSettings
{
    public RunSettings CutGuide { get; init; } = new();

    public RunSettings Placement { get; init; } = new();

    public RunSettings TackDown { get; init; } = new();

    public CoverSettings Cover { get; init; } = new();

    /// <summary>True when nothing is set.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool IsAsFirstSet =>
        Cover.Stretches.IsEmpty && this with { Cover = Cover with { Stretches = [] } } == new StageSettings();

    /// <summary>True when the user switched the stage off.</summary>
    public bool IsOff(StageId role) =>
        role switch
        {
            StageId.CutGuide => CutGuide.Off,
            StageId.Placement => Placement.Off,
            StageId.TackDown => TackDown.Off,
            StageId.Cover => Cover.Off,
            StageId.Line or StageId.Basting or StageId.Satin or StageId.Fill or StageId.SatinEdge or StageId.Opened =>
                false,
        };

    /// <summary>The thread set for the stage, or null.</summary>
    public string? ThreadOf(StageId role) =>
        role switch
        {
            StageId.CutGuide => CutGuide.ThreadId,
            StageId.Placement => Placement.ThreadId,
            StageId.TackDown => TackDown.ThreadId,
            StageId.Cover => Cover.ThreadId,
            StageId.Line or StageId.Basting or StageId.Satin or StageId.Fill or StageId.SatinEdge or StageId.Opened =>
                null,
        };
}

/// <summary>How a tack-down is sewn.</summary>
public enum TackKind
{
    /// <summary>Twice round, the second time between the holes of the first.</summary>
    DoubleRun,

    Zigzag,

    /// <summary>A blanket stitch with its teeth inwards.</summary>
    Blanket,
}

/// <summary>A running stage (cut guide, placement, tack-down) as set by hand.</summary>
public sealed record RunSettings
{
    /// <summary>The stitch of a tack-down; null for a double run.</summary>
    public TackKind? Kind { get; init; }

    public bool Off { get; init; }

    public string? ThreadId { get; init; }

    /// <summary>Stitch length, mm.</summary>
    public double? StitchLength { get; init; }

    /// <summary>How far inside the outline the line runs, mm.</summary>
    public double? Inset { get; init; }
}

/// <summary>What lies over or along the edge of a piece.</summary>
public enum CoverKind
{
    /// <summary>Dense strokes side by side.</summary>
    Satin,

    /// <summary>The same set loosely: cloth shows between.</summary>
    Zigzag,

    /// <summary>A spine just outside the edge with teeth that bite into the cloth.</summary>
    Blanket,

    /// <summary>A decorative unit repeated along the edge.</summary>
    Motif,

    /// <summary>A bean stitch a little inside the edge.</summary>
    Bean,

    /// <summary>A bean stitch well inside an edge that frays on purpose.</summary>
    RawEdge,
}

/// <summary>The cover as set by hand. Numbers of kinds that are not chosen stay.</summary>
public sealed record CoverSettings
{
    /// <summary>Null for satin.</summary>
    public CoverKind? Kind { get; init; }

    /// <summary>The decorative unit of a motif cover; null for the first.</summary>
    public string? MotifId { get; init; }

    /// <summary>Length of one unit or stitch of an open cover (blanket, motif, bean), mm; 1 to 20.</summary>
    public double? UnitLength { get; init; }

    /// <summary>True to turn the teeth of a blanket cover, or the outer side of a motif, to the other side.</summary>
    public bool IsMirrored { get; init; }

    /// <summary>How far inside the outline a bean line runs, mm.</summary>
    public double? Inset { get; init; }

    /// <summary>How often a bean line is sewn over: 3 or 5.</summary>
    public int? Passes { get; init; }

    /// <summary>What lies under it; null for what its width asks for.</summary>
    public UnderlaySettings? Underlay { get; init; }

    /// <summary>Stretches of edge with numbers of their own.</summary>
    public ImmutableArray<CoverStretch> Stretches { get; init; } = [];

    public bool Off { get; init; }

    public string? ThreadId { get; init; }

    /// <summary>Width as sewn, mm; 2 to 7.</summary>
    public double? Width { get; init; }

    /// <summary>Distance between neighbouring holes on one side, mm; 0.30 to 0.80.</summary>
    public double? Spacing { get; init; }

    /// <summary>Share of the width inside the outline, 0.3 to 0.9.</summary>
    public double? InsideShare { get; init; }

    /// <summary>Pull compensation on each side, mm; 0 to 1.</summary>
    public double? Compensation { get; init; }
}

/// <summary>The runs under a cover, one by one.</summary>
public sealed record UnderlaySettings(bool CentreRun, bool EdgeRuns, bool Zigzag);

/// <summary>A stretch of edge between corners whose cover has numbers of its own; a null keeps the cover's.</summary>
/// <param name="At">A place on it, in the element's frame.</param>
public sealed record CoverStretch(Spot At)
{
    /// <summary>mm.</summary>
    public double? Width { get; init; }

    /// <summary>mm.</summary>
    public double? Spacing { get; init; }

    /// <summary>0.3 to 0.9.</summary>
    public double? InsideShare { get; init; }

    /// <summary>Another thread for it.</summary>
    public string? ThreadId { get; init; }

    /// <summary>True when it changes nothing.</summary>
    public bool IsNone => Width is null && Spacing is null && InsideShare is null && ThreadId is null;
}
