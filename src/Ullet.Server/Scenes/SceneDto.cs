using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Edits;
using Ullet.Core.Evaluation;
using Ullet.Core.Findings;
using Ullet.Core.Projects;
using Ullet.Server.Scenes.Elements;

namespace Ullet.Server.Scenes;

/// <summary>All that a screen needs to draw a project; lengths in mm, paths as SVG path data in mm.</summary>
public sealed record SceneDto(
    string ProjectId,
    long Head,
    long SavedAt,
    string Title,
    LengthUnit Unit,
    string? UndoLabel,
    string? RedoLabel,
    HoopingDto Hooping,
    ImmutableArray<Cloth> Cloths,
    ImmutableArray<MachineThread> Threads,
    ImmutableArray<ElementDto> Elements,
    ImmutableArray<StepDto> Steps,
    ImmutableArray<FindingDto> Findings,
    ImmutableArray<SheetDto> Sheets,
    ImmutableArray<ClothCutDto> CutCloths,
    SizeDto? Design,
    int StitchCount,
    int StopCount,
    double Seconds,
    string Summary,
    StitchOrder Order,
    StopsDto? Stops,
    ImmutableArray<CutGuideDto> Guides,
    RunSheetDto RunSheet,
    ProjectPatternDto? Pattern,
    ImmutableArray<ClothPathDto> Base,
    ImmutableArray<ColourwayDto> Colourways
)
{
    /// <summary>The short code of the state, as stitch files, booklet and card bear it.</summary>
    public string Code { get; init; } = "";

    /// <summary>Words in the order in which they are read, by their elements' ids.</summary>
    public required ImmutableArray<string> Reading { get; init; }

    /// <summary>What may be said where there are no findings.</summary>
    public required string AllClear { get; init; }

    /// <summary>How new words begin.</summary>
    public required NextWords NextWords { get; init; }

    /// <summary>What it is drawn from; null where that is not known.</summary>
    [JsonIgnore]
    internal Evaluated? Source { get; init; }
}

/// <summary>How often the machine stops for hands in either order of the pieces; nothing where there is one piece or none.</summary>
public sealed record StopsDto(int OneByOne, int Together);

/// <summary>A hooping in which pieces are marked on their own cloth.</summary>
/// <param name="Id">Names it for the stitch file's address.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Steps">Its steps.</param>
/// <param name="StitchCount">Needle points.</param>
/// <param name="StopCount">Stops.</param>
/// <param name="Seconds">How long it takes.</param>
public sealed record CutGuideDto(
    string Id,
    string Name,
    ImmutableArray<StepDto> Steps,
    int StitchCount,
    int StopCount,
    double Seconds
);

public sealed record HoopingDto(
    string Name,
    double FieldWidth,
    double FieldHeight,
    string GroundClothId,
    string StabiliserClothId,
    string LineThreadId,
    string CoverThreadId,
    bool IsStabiliserAlone,
    GroundHold GroundHold,
    double FootRadius
)
{
    /// <summary>The hoop, with its name, its middle and its margins.</summary>
    public required Hoop Hoop { get; init; }

    /// <summary>What owners call the hoop in inches: "5 × 7"; null for a size without such a name.</summary>
    public string? HoopInches { get; init; }
}

/// <summary>An upright rectangle, mm.</summary>
public sealed record SizeDto(double X, double Y, double Width, double Height);

/// <param name="Code">The check's name.</param>
/// <param name="Level">How bad.</param>
/// <param name="ElementId">About which element, or null.</param>
/// <param name="X">Where, mm, or null.</param>
/// <param name="Y">Where, mm, or null.</param>
/// <param name="Words">What and why.</param>
/// <param name="MendLabel">What the usual mend does, or null when there is none.</param>
/// <param name="Mends">What each mend does, the usual one first; each ends the finding.</param>
public sealed record FindingDto(
    string Code,
    FindingLevel Level,
    string? ElementId,
    double? X,
    double? Y,
    string Words,
    string? MendLabel,
    ImmutableArray<string> Mends
);
