using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Geometry;

namespace Ullet.Core.Projects;

/// <summary>A live change of an element's outline: kept with the element and made anew whenever a source changes.</summary>
/// <remarks>Operations work in their order, each on what the one before it left. Numbers are mm and degrees; places are in
/// the element's own frame, before its flip and turn, so that they go with it.</remarks>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "operation")]
[JsonDerivedType(typeof(Carve), "carve")]
[JsonDerivedType(typeof(CutBeneath), "cutBeneath")]
[JsonDerivedType(typeof(Join), "join")]
[JsonDerivedType(typeof(KeepOverlap), "keepOverlap")]
[JsonDerivedType(typeof(MoveEdge), "moveEdge")]
[JsonDerivedType(typeof(RoundCorners), "roundCorners")]
[JsonDerivedType(typeof(RepeatInLine), "repeatInLine")]
[JsonDerivedType(typeof(RepeatRound), "repeatRound")]
[JsonDerivedType(typeof(Mirror), "mirror")]
[JsonDerivedType(typeof(Split), "split")]
[JsonDerivedType(typeof(ClearCrumbs), "clearCrumbs")]
[JsonDerivedType(typeof(BridgeNecks), "bridgeNecks")]
[JsonDerivedType(typeof(CutNecks), "cutNecks")]
[JsonDerivedType(typeof(CloseHoles), "closeHoles")]
public abstract record Operation
{
    /// <summary>Names the operation in its project; given by the edit that adds it.</summary>
    public string Id { get; init; } = "";

    /// <summary>A muted operation is passed over; its numbers stay.</summary>
    public bool IsMuted { get; init; }

    /// <summary>The elements whose outlines it uses.</summary>
    [JsonIgnore]
    public virtual ImmutableArray<string> Sources => [];

    /// <summary>The same with other elements in the place of its sources.</summary>
    public virtual Operation WithSources(Func<string, string> map) => this;

    /// <summary>The same for a design that is made larger as a whole: lengths that are part of its shape grow along. What
    /// stitching needs (gaps, margins, least widths) stays in mm.</summary>
    /// <param name="by">By how much, over 0.</param>
    public virtual Operation Scaled(double by) => this;
}

/// <summary>An operation that uses other elements.</summary>
public abstract record SourcedOperation : Operation
{
    public required ImmutableArray<string> SourceIds { get; init; }

    [JsonIgnore]
    public override ImmutableArray<string> Sources => SourceIds;

    public override Operation WithSources(Func<string, string> map) =>
        this with
        {
            SourceIds = [.. SourceIds.Select(map)],
        };
}

/// <summary>Takes the sources out of the element, with a gap around them.</summary>
public sealed record Carve : SourcedOperation
{
    /// <summary>The gap between finished edges, mm: covers are counted in where there are any; 0 to 50.</summary>
    public double Reveal { get; init; } = 2;

    /// <summary>How the gap goes round the sources' corners.</summary>
    public CornerStyle Corners { get; init; } = CornerStyle.Round;
}

/// <summary>Leaves out of a filled area what lies under others, but for a margin, so that thread does not lie on thread.</summary>
/// <remarks>It works on areas filled with rows only, and only with what lies above them: else it is passed over.</remarks>
public sealed record CutBeneath : SourcedOperation
{
    /// <summary>So far the area goes on under what lies on it, mm; 0 to 10.</summary>
    public double Margin { get; init; } = 1;
}

/// <summary>Makes the element and the sources one; inner edges go.</summary>
public sealed record Join : SourcedOperation;

/// <summary>Keeps of the element what lies in the sources.</summary>
public sealed record KeepOverlap : SourcedOperation;

/// <summary>Moves the edge outwards (outset) or inwards (inset, when negative), mm; -50 to 50.</summary>
public sealed record MoveEdge : Operation
{
    public double Distance { get; init; } = 3;

    public CornerStyle Corners { get; init; } = CornerStyle.Round;

    public override Operation Scaled(double by) => this with { Distance = Distance * by };
}

/// <summary>Rounds corners to a radius, mm; 0.1 to 100.</summary>
public sealed record RoundCorners : Operation
{
    public double Radius { get; init; } = 5;

    public CornerSide Side { get; init; } = CornerSide.All;

    public override Operation Scaled(double by) => this with { Radius = Radius * by };
}

/// <summary>Copies of the element in a straight row, or spread along a drawn line. Copies that overlap are joined.</summary>
public sealed record RepeatInLine : Operation
{
    /// <summary>How often the element is there, itself counted; 2 to 100.</summary>
    public int Count { get; init; } = 3;

    /// <summary>From one to the next, mm to the right; not used along a drawn line.</summary>
    public double StepX { get; init; } = 40;

    /// <summary>From one to the next, mm down; not used along a drawn line.</summary>
    public double StepY { get; init; }

    /// <summary>A stitched line along which copies are spread evenly from its start to its end; null for a straight row.</summary>
    public string? LineId { get; init; }

    /// <summary>True to turn copies with the drawn line.</summary>
    public bool TurnsAlong { get; init; }

    [JsonIgnore]
    public override ImmutableArray<string> Sources => LineId is null ? [] : [LineId];

    public override Operation WithSources(Func<string, string> map) =>
        LineId is null ? this : this with { LineId = map(LineId) };

    public override Operation Scaled(double by) => this with { StepX = StepX * by, StepY = StepY * by };
}

/// <summary>Copies of the element round a centre. Copies that overlap are joined.</summary>
public sealed record RepeatRound : Operation
{
    /// <summary>How often the element is there, itself counted; 2 to 100.</summary>
    public int Count { get; init; } = 6;

    /// <summary>The centre, mm right of the element's middle.</summary>
    public double CentreX { get; init; }

    /// <summary>The centre, mm below the element's middle.</summary>
    public double CentreY { get; init; } = 30;

    /// <summary>The angle that they take together, degrees; a full turn is shared evenly, a smaller one from end to end.</summary>
    public double Sweep { get; init; } = 360;

    /// <summary>True to turn copies about the centre, false to keep them upright.</summary>
    public bool Turns { get; init; } = true;

    public override Operation Scaled(double by) => this with { CentreX = CentreX * by, CentreY = CentreY * by };
}

/// <summary>The element and its mirror image. Where they overlap they are joined.</summary>
public sealed record Mirror : Operation
{
    /// <summary>The axis' angle, degrees clockwise from upright.</summary>
    public double Angle { get; init; }

    /// <summary>How far right of the element's middle the axis lies (before its angle), mm.</summary>
    public double Distance { get; init; } = 20;

    public override Operation Scaled(double by) => this with { Distance = Distance * by };
}

/// <summary>Divides the element by a line into two pieces of cloth that share an edge: one covers it, the other goes under.</summary>
public sealed record Split : Operation
{
    /// <summary>A stitched line that divides it, its ends prolonged; null for a straight line.</summary>
    public string? LineId { get; init; }

    /// <summary>The straight line's angle, degrees clockwise from upright.</summary>
    public double Angle { get; init; }

    /// <summary>How far right of the element's middle the straight line passes (before its angle), mm.</summary>
    public double Distance { get; init; }

    /// <summary>True when the side to the left of the line (as it runs up, or as it was drawn) covers the shared edge.</summary>
    public bool LeftCovers { get; init; } = true;

    /// <summary>The cloth of the side to the right of the line; null for the element's own.</summary>
    public string? RightClothId { get; init; }

    [JsonIgnore]
    public override ImmutableArray<string> Sources => LineId is null ? [] : [LineId];

    public override Operation WithSources(Func<string, string> map) =>
        LineId is null ? this : this with { LineId = map(LineId) };

    public override Operation Scaled(double by) => this with { Distance = Distance * by };
}

/// <summary>A place in an element's own frame: shares of its width and height from its middle.</summary>
public readonly record struct Spot(double X, double Y);

/// <summary>Takes away remainders: parts that are too small or nowhere wide enough to be cloth.</summary>
public sealed record ClearCrumbs : Operation
{
    /// <summary>Parts smaller than this go, mm²; 0 to 1000.</summary>
    public double LeastArea { get; init; } = Remainders.CrumbArea;

    /// <summary>Parts that are nowhere wider than this go, mm; 0 to 20.</summary>
    public double LeastWidth { get; init; } = Remainders.CrumbWidth;

    /// <summary>Only the parts at these places; none for all.</summary>
    public ImmutableArray<Spot> Only { get; init; } = [];
}

/// <summary>Widens thin bridges.</summary>
public sealed record BridgeNecks : Operation
{
    /// <summary>Bridges thinner than this become this wide, mm; 0.5 to 20.</summary>
    public double Width { get; init; } = Remainders.NeckWidth;

    /// <summary>Only the bridges at these places; none for all.</summary>
    public ImmutableArray<Spot> Only { get; init; } = [];

    /// <summary>True to widen thin ends as well.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool EndsToo { get; init; }
}

/// <summary>Closes holes that are too small.</summary>
public sealed record CloseHoles : Operation
{
    /// <summary>Holes whose box is narrower than this are closed, mm; 0.5 to 50.</summary>
    public double Width { get; init; } = Remainders.HoleWidth;
}

/// <summary>Takes thin bridges away, and thin tails.</summary>
public sealed record CutNecks : Operation
{
    /// <summary>Stretches thinner than this go, mm; 0.5 to 20.</summary>
    public double Width { get; init; } = Remainders.NeckWidth;

    /// <summary>Only the stretches at these places; none for all.</summary>
    public ImmutableArray<Spot> Only { get; init; } = [];
}

/// <summary>What counts as too small, unless it is set otherwise.</summary>
public static class Remainders
{
    /// <summary>mm².</summary>
    public const double CrumbArea = 20;

    /// <summary>mm.</summary>
    public const double CrumbWidth = 2;

    /// <summary>mm.</summary>
    public const double NeckWidth = 2;

    /// <summary>mm.</summary>
    public const double HoleWidth = 4;
}
