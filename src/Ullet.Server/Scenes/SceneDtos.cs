using System.Collections.Immutable;
using Ullet.Core.Applique;
using Ullet.Core.Findings;
using Ullet.Core.Outlines;
using Ullet.Core.Projects;

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
    ImmutableArray<GuideDto> Guides,
    RunSheetDto RunSheet,
    ProjectPatternDto? Pattern,
    ImmutableArray<ClothPathDto> Base
);

/// <summary>How often the machine stops for hands in either order of the pieces; nothing where there is one piece or none.</summary>
public sealed record StopsDto(int OneByOne, int Together);

/// <summary>A hooping in which pieces are marked on their own cloth.</summary>
/// <param name="Id">Names it for the stitch file's address.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Steps">Its steps.</param>
/// <param name="StitchCount">Needle points.</param>
/// <param name="StopCount">Stops.</param>
/// <param name="Seconds">How long it takes.</param>
public sealed record GuideDto(
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
    bool IsStabiliserAlone
);

/// <summary>An upright rectangle, mm.</summary>
public sealed record SizeDto(double X, double Y, double Width, double Height);

/// <summary>The kinds of element.</summary>
public enum ElementKind
{
    Piece,
    Lettering,
    Line,
    Zone,
}

/// <summary>An element with its lines.</summary>
/// <param name="Id">Names it for ever.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Name">The user's name for it.</param>
/// <param name="Box">Place, size, turn.</param>
/// <param name="GroupId">Its group, or null.</param>
/// <param name="IsLocked">Not to be moved, resized or deleted.</param>
/// <param name="IsHidden">Not drawn.</param>
/// <param name="StaysCentred">Kept in the field's centre.</param>
/// <param name="Shape">A piece's generator.</param>
/// <param name="Hole">A piece's only hole, or null.</param>
/// <param name="HoleCount">How many holes a piece has.</param>
/// <param name="Cloth">What is set of cloth, method and stages; null for a line.</param>
/// <param name="Words">What is set of words; null for anything else.</param>
/// <param name="Line">How a line is sewn; null for anything else.</param>
/// <param name="OutlinePath">The outline with holes, or the line.</param>
/// <param name="PlacementPath">The placement's line; empty without that stage.</param>
/// <param name="TackPath">The tack-down's line; empty without that stage.</param>
/// <param name="BandPath">The cover's band as sewn, even-odd.</param>
/// <param name="CutPath">The cut edge.</param>
/// <param name="Outline">The bare outline's box.</param>
/// <param name="Stitched">The box of all its needle points, cover included; null without stitches.</param>
/// <param name="IsConstruction">Neither sewn nor cut; it only serves other elements' operations.</param>
/// <param name="IsDrawn">True when it has nodes that can be edited.</param>
/// <param name="Operations">Its operations in order.</param>
/// <param name="Leftovers">Crumbs and thin places of what they leave.</param>
/// <param name="VisiblePath">The stretches of edge that get a cover, where others lie under something; else empty.</param>
/// <param name="CoveredPath">The stretches that lie under something; empty when all of the edge is visible.</param>
/// <param name="LaidPath">The cloth as it is laid, where it does not reach as far as the outline; else empty.</param>
/// <param name="Cloths">What is cut of which cloth, where its parts are of several; else empty.</param>
/// <param name="NeededBy">The ids of the elements that are made with it.</param>
/// <param name="Zone">What a zone is for; null for anything else.</param>
/// <param name="ZoneFrom">The number of the step from whose end on a zone is there; 0 for from the start.</param>
/// <param name="ZoneUntil">The number of the step with which it goes; null for never.</param>
/// <param name="IsPatternPart">True for a part of the project's pattern.</param>
/// <param name="Purpose">What a line is for in the trade's words; null for anything else.</param>
/// <param name="MadeAs">The word of its making.</param>
/// <param name="Basting">How basting is sewn; null for anything else.</param>
public sealed record ElementDto(
    string Id,
    ElementKind Kind,
    string Name,
    ElementBox Box,
    string? GroupId,
    bool IsLocked,
    bool IsHidden,
    bool StaysCentred,
    ShapeSource? Shape,
    PieceHole? Hole,
    int HoleCount,
    ClothDto? Cloth,
    WordsDto? Words,
    LineSettings? Line,
    string OutlinePath,
    string PlacementPath,
    string TackPath,
    string BandPath,
    string CutPath,
    SizeDto Outline,
    SizeDto? Stitched,
    bool IsConstruction,
    bool IsDrawn,
    ImmutableArray<OperationDto> Operations,
    ImmutableArray<LeftoverDto> Leftovers,
    string VisiblePath,
    string CoveredPath,
    string LaidPath,
    ImmutableArray<ClothPathDto> Cloths,
    ImmutableArray<string> NeededBy,
    ZoneRole? Zone,
    int ZoneFrom,
    int? ZoneUntil,
    bool IsPatternPart,
    string? Purpose,
    string MadeAs,
    BastingDto? Basting
);

/// <summary>How basting is sewn, and what it holds.</summary>
/// <param name="StitchLength">mm.</param>
/// <param name="ThreadId">Null for the hooping's thread of lines.</param>
/// <param name="HoldsId">The element whose cloth it holds; null for what is hooped.</param>
public sealed record BastingDto(double StitchLength, string? ThreadId, string? HoldsId);

/// <summary>A part of an element and the cloth that it is made of.</summary>
public sealed record ClothPathDto(string ClothId, string Path);

/// <summary>How an operation stands.</summary>
public enum OperationStanding
{
    Done,
    Idle,
    Empty,
    TooMany,
    Muted,
}

/// <summary>An operation of an element.</summary>
/// <param name="Operation">Its numbers and sources.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Standing">How it went.</param>
/// <param name="Crumbs">How many parts it leaves that are too small.</param>
/// <param name="Thin">How many thin bridges and ends it leaves.</param>
/// <param name="Note">What its numbers are measured between, or why it does nothing; null when there is nothing to say.</param>
public sealed record OperationDto(
    Operation Operation,
    string Name,
    OperationStanding Standing,
    int Crumbs,
    int Thin,
    string? Note
);

/// <summary>A crumb or a thin place.</summary>
/// <param name="Kind">What is wrong.</param>
/// <param name="X">A place inside it, mm.</param>
/// <param name="Y">A place inside it, mm.</param>
/// <param name="Width">Its width, mm.</param>
/// <param name="Area">Its area, mm².</param>
/// <param name="Path">Its edge.</param>
/// <param name="Removal">The operation that takes it away.</param>
/// <param name="Widening">The operation that widens it; null where there is nothing to bridge.</param>
public sealed record LeftoverDto(
    LeftoverKind Kind,
    double X,
    double Y,
    double Width,
    double Area,
    string Path,
    Operation Removal,
    Operation? Widening
);

/// <summary>What is asked of one element while its nodes or edges are worked on.</summary>
/// <param name="Lines">Its lines as nodes; none for an element that is not drawn.</param>
/// <param name="Stretches">Its edge between corners, covered and open.</param>
/// <param name="EdgeMatch">How well its cover holds the cut edge; null without a cover.</param>
public sealed record FormDto(
    ImmutableArray<NodeLine> Lines,
    ImmutableArray<StretchDto> Stretches,
    EdgeMatchDto? EdgeMatch
);

/// <summary>A stretch of edge.</summary>
/// <param name="Path">Its line.</param>
/// <param name="X">Its middle, mm.</param>
/// <param name="Y">Its middle, mm.</param>
/// <param name="Length">mm.</param>
/// <param name="IsCovered">Under something: no cover.</param>
/// <param name="IsByHand">Set by hand.</param>
/// <param name="Cover">Numbers of its own that its cover has; null for none.</param>
public sealed record StretchDto(
    string Path,
    double X,
    double Y,
    double Length,
    bool IsCovered,
    bool IsByHand,
    CoverStretch? Cover
);

/// <summary>How an element of cloth is applied.</summary>
/// <param name="Id">Its cloth.</param>
/// <param name="Method">How it is applied.</param>
/// <param name="Holding">What keeps it in place.</param>
/// <param name="CutAllowance">How much larger it is cut where it is cut to size, mm; null for a method that cuts none.</param>
/// <param name="Stages">What was set by hand.</param>
/// <param name="Cover">The cover as it holds.</param>
/// <param name="TackInset">The tack-down's inset as it holds, mm.</param>
/// <param name="RunLength">Stitch length of a run where none is set, mm.</param>
/// <param name="IsAsFirstSet">True when nothing of its stages was set by hand.</param>
public sealed record ClothDto(
    string Id,
    Method Method,
    Holding Holding,
    double? CutAllowance,
    StagesDto Stages,
    CoverDto Cover,
    double TackInset,
    double RunLength,
    bool IsAsFirstSet
);

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

/// <summary>The edge match of a piece, for the chart in its card and along its edge.</summary>
/// <param name="Piece">The piece of cloth that it is worst for.</param>
/// <param name="Wanted">Bite wanted, mm.</param>
/// <param name="Holds">True when it suffices everywhere.</param>
/// <param name="Words">How it stands, in a sentence.</param>
/// <param name="Margins">Places along that piece's edge, ring by ring.</param>
/// <param name="WorstAt">Which of them has least to spare.</param>
/// <param name="WorstOfEach">The worst place of each piece of the element.</param>
/// <param name="Elsewhere">Places of the element's other pieces.</param>
/// <param name="Mends">Changes of one number that make it hold.</param>
public sealed record EdgeMatchDto(
    string Piece,
    double Wanted,
    bool Holds,
    string Words,
    ImmutableArray<MarginDto> Margins,
    int WorstAt,
    ImmutableArray<MarginDto> WorstOfEach,
    ImmutableArray<MarginDto> Elsewhere,
    ImmutableArray<EdgeMendDto> Mends
);

/// <summary>How much cover is left at a place of the cut edge, mm.</summary>
/// <param name="X">The place.</param>
/// <param name="Y">The place.</param>
/// <param name="Ring">Which edge of the piece.</param>
/// <param name="Along">Distance along it.</param>
/// <param name="Bite">Cover inside the edge.</param>
/// <param name="Beyond">Cover outside it; null for a line that hides none.</param>
/// <param name="Spare">How much more there is than wanted; below 0 where something is missing.</param>
/// <param name="Ordinal">Which piece of cloth of the element.</param>
public sealed record MarginDto(
    double X,
    double Y,
    int Ring,
    double Along,
    double Bite,
    double? Beyond,
    double Spare,
    int Ordinal
);

/// <summary>A change that makes the edge match hold.</summary>
public sealed record EdgeMendDto(string Label, EdgeNumber Number, double Value);

/// <summary>A map over the wall.</summary>
/// <param name="Cell">Side of a cell, mm.</param>
/// <param name="X">Left edge, mm.</param>
/// <param name="Y">Upper edge, mm.</param>
/// <param name="Columns">How many columns.</param>
/// <param name="Levels">A level for each cell, row by row, as base64 bytes; 0 for nothing to show.</param>
/// <param name="Legend">What each level from 1 on means, and how much of the map has it.</param>
public sealed record MapDto(
    double Cell,
    double X,
    double Y,
    int Columns,
    string Levels,
    ImmutableArray<LegendDto> Legend
);

/// <param name="Name">What it means.</param>
/// <param name="Area">mm² with this level.</param>
public sealed record LegendDto(string Name, double Area);

/// <summary>How words are set.</summary>
/// <param name="Text">The words.</param>
/// <param name="FontId">Their font.</param>
/// <param name="FontName">Its name; null when it is not there.</param>
/// <param name="Sizing">Which number stays when words change.</param>
/// <param name="CapHeight">mm; 0 without the font.</param>
/// <param name="Align">Which edge lines share.</param>
/// <param name="LineSpacing">Over the font's own.</param>
/// <param name="Spacing">Share of the cap height.</param>
/// <param name="Slant">Degrees.</param>
/// <param name="Arc">Degrees.</param>
/// <param name="Use">What the letters are made into.</param>
/// <param name="Line">How a stitched outline is sewn.</param>
/// <param name="Letters">Every letter with ink.</param>
public sealed record WordsDto(
    string Text,
    string FontId,
    string? FontName,
    LetterSizing Sizing,
    double CapHeight,
    TextAlign Align,
    double LineSpacing,
    double Spacing,
    double Slant,
    double Arc,
    LetteringUse Use,
    LineSettings Line,
    ImmutableArray<LetterDto> Letters
);

/// <summary>One letter and what was changed at it; lengths in mm.</summary>
/// <param name="Index">Its number in the text.</param>
/// <param name="Text">The letter.</param>
/// <param name="X">Moved to the right.</param>
/// <param name="Y">Moved down.</param>
/// <param name="Turn">Degrees.</param>
/// <param name="Scale">Over the other letters' size.</param>
/// <param name="GapAfter">Added to the gap after it.</param>
/// <param name="IsTouched">True when anything was changed.</param>
/// <param name="Path">Its edge on the wall.</param>
public sealed record LetterDto(
    int Index,
    string Text,
    double X,
    double Y,
    double Turn,
    double Scale,
    double GapAfter,
    bool IsTouched,
    string Path
);

/// <summary>What was set by hand for each stage.</summary>
public sealed record StagesDto(RunSettings CutGuide, RunSettings Placement, RunSettings TackDown, CoverSettings Cover);

public enum StepKind
{
    Stitch,
    Hand,
}

/// <summary>One step of the run strip.</summary>
/// <param name="Key">Names the step for ever.</param>
/// <param name="Kind">Stitch or hand.</param>
/// <param name="OwnerId">Element or hooping.</param>
/// <param name="OwnerName">Its name.</param>
/// <param name="Role">The role in words: "cover", "lay".</param>
/// <param name="Text">What hands do; null for a stitch step.</param>
/// <param name="Warning">What must not go wrong.</param>
/// <param name="Note">The user's own line.</param>
/// <param name="HandKind">The kind of hand step.</param>
/// <param name="ThreadId">The thread of a stitch step; null where one block of it has another.</param>
/// <param name="ThreadColour">The colour of the thread that is sewn with, #rrggbb.</param>
/// <param name="Seconds">How long it takes.</param>
/// <param name="StitchCount">Needle points.</param>
/// <param name="StopAfter">True when the machine stops after it.</param>
/// <param name="StitchesKey">Names its needle points for the stitches address; null for a hand step.</param>
/// <param name="Check">What to check before pressing start.</param>
/// <param name="HoopOff">True when the hoop comes off for it.</param>
/// <param name="Order">Where it stands among the others; null for a further block of a step, and in a hooping of cut guides.</param>
public sealed record StepDto(
    string Key,
    StepKind Kind,
    string OwnerId,
    string OwnerName,
    string Role,
    string? Text,
    string? Warning,
    string? Note,
    HandKind? HandKind,
    string? ThreadId,
    string? ThreadColour,
    double Seconds,
    int StitchCount,
    bool StopAfter,
    string? StitchesKey,
    string? Check,
    bool HoopOff,
    StepOrderDto? Order
);

/// <param name="Code">The check's name.</param>
/// <param name="Level">How bad.</param>
/// <param name="ElementId">About which element, or null.</param>
/// <param name="X">Where, mm, or null.</param>
/// <param name="Y">Where, mm, or null.</param>
/// <param name="Words">What and why.</param>
/// <param name="MendLabel">What the mend does, or null when there is none.</param>
public sealed record FindingDto(
    string Code,
    FindingLevel Level,
    string? ElementId,
    double? X,
    double? Y,
    string Words,
    string? MendLabel
);
