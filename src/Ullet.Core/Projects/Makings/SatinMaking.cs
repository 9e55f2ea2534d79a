using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>Thread in strokes from side to side: letters, shapes, and lines of a width.</summary>
public sealed record SatinMaking : Making
{
    /// <summary>Most direction lines of one element.</summary>
    public const int MostDirections = 60;

    [JsonIgnore]
    public override bool FollowsLines => AlongLines;

    [JsonIgnore]
    public override bool IsInParts => false;

    [JsonIgnore]
    public override bool IsSewn => true;

    /// <summary>True for a band of a width along its lines as drawn, false for the area that they enclose.</summary>
    public bool AlongLines { get; init; }

    /// <summary>Null for the project's thread of covers.</summary>
    public string? ThreadId { get; init; }

    /// <summary>Distance between neighbouring holes on one side, mm; 0.30 to 0.80; null for what cloth and thread ask for.</summary>
    public double? Spacing { get; init; }

    /// <summary>Pull compensation on each side, mm; 0 to 1; null for what the cloth asks for.</summary>
    public double? Compensation { get; init; }

    /// <summary>What lies under it; null for what its width asks for.</summary>
    public UnderlaySettings? Underlay { get; init; }

    /// <summary>How a band along lines is shaped.</summary>
    public SatinBand Band { get; init; } = new();

    /// <summary>A line along its outline, or null.</summary>
    public SatinEdge? Edge { get; init; }

    /// <summary>Lines across it that turn its strokes, in the element's frame.</summary>
    public ImmutableArray<DirectionLine> Directions { get; init; } = [];

    /// <summary>Where words begin.</summary>
    public LetterOrder Order { get; init; } = LetterOrder.LeftToRight;

    /// <summary>True to make every letter a step of its own.</summary>
    public bool IsStepPerLetter { get; init; }

    /// <summary>Letters nearer than this are sewn on without a trim, mm; null for the usual.</summary>
    public double? JoinNearer { get; init; }

    public override Making InFrame(Func<Spot, Spot> moved) =>
        this with
        {
            Directions = [.. Directions.Select(line => new DirectionLine(moved(line.From), moved(line.To)))],
        };
}

/// <summary>A line across a column: strokes there lie along it.</summary>
public sealed record DirectionLine(Spot From, Spot To);

/// <summary>The shape of a band along a line.</summary>
public sealed record SatinBand
{
    /// <summary>mm; 1 to 7.</summary>
    public double Width { get; init; } = 2.5;

    /// <summary>For letters of single lines: as narrow as strokes can be.</summary>
    public static readonly SatinBand OfLetters = new() { Width = 1 };

    public BandSwell Swell { get; init; } = BandSwell.Even;

    public BandCap Cap { get; init; } = BandCap.Round;
}

/// <summary>How a band's width changes along its line.</summary>
public enum BandSwell
{
    Even,

    /// <summary>Widest in its middle.</summary>
    Middle,

    /// <summary>Widest where the line begins.</summary>
    Start,

    /// <summary>Widest where it ends.</summary>
    End,
}

/// <summary>How an open band ends.</summary>
public enum BandCap
{
    Square,
    Round,
    Pointed,
}

/// <summary>A line along the outline of what is sewn in thread.</summary>
public sealed record SatinEdge
{
    public EdgeStitch Stitch { get; init; } = EdgeStitch.Run;

    /// <summary>Null for the element's own thread.</summary>
    public string? ThreadId { get; init; }

    /// <summary>True to sew it first, so that strokes lie over its inner half.</summary>
    public bool IsBefore { get; init; }
}

/// <summary>The stitch of an edge.</summary>
public enum EdgeStitch
{
    Run,

    /// <summary>Every stitch three times.</summary>
    Bean,

    /// <summary>A narrow satin along the outline.</summary>
    Satin,

    /// <summary>A decorative unit repeated.</summary>
    Motif,
}

/// <summary>In which order letters are sewn.</summary>
public enum LetterOrder
{
    LeftToRight,

    /// <summary>From the middle to the right, then from the middle to the left: cloth is smoothed outwards.</summary>
    FromMiddle,
}
