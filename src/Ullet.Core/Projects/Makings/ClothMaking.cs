using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>Cloth that is applied: which one, how, and what was set by hand for its stages.</summary>
public sealed record ClothMaking : Making
{
    [JsonIgnore]
    public override bool FollowsLines => false;

    [JsonIgnore]
    public override bool IsInParts => true;

    [JsonIgnore]
    public override bool IsSewn => true;

    public required string ClothId { get; init; }

    public Method Method { get; init; } = Method.TrimInTheHoop;

    /// <summary>What keeps the cloth in place until it is tacked down.</summary>
    public Holding Holding { get; init; } = Holding.Taped;

    /// <summary>How far outside the outline a piece is cut that is cut to size, mm; null for the method's own.</summary>
    public double? CutAllowance { get; init; }

    /// <summary>How far stitches may lie from the outline where that has detail which thread can't follow, mm; null for the
    /// usual.</summary>
    public double? Drift { get; init; }

    /// <summary>True to cut the cloth along the line that is sewn where that leaves a rough outline; false along the outline as
    /// drawn.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingDefault)]
    public bool CutsAsSewn { get; init; }

    /// <summary>Numbers set by hand for single stages; null means the method's own.</summary>
    public StageSettings Stages { get; init; } = new();

    /// <summary>Stretches of its edge that were covered or laid open by hand.</summary>
    public ImmutableArray<EdgeTouch> EdgeTouches { get; init; } = [];

    public override Making InFrame(Func<Spot, Spot> moved) =>
        this with
        {
            EdgeTouches = [.. EdgeTouches.Select(touch => touch with { At = moved(touch.At) })],
            Stages = Stages with
            {
                Cover = Stages.Cover with
                {
                    Stretches = [.. Stages.Cover.Stretches.Select(own => own with { At = moved(own.At) })],
                },
            },
        };
}

/// <summary>An element that is made of cloth, seen with its making.</summary>
/// <param name="Element">The element.</param>
/// <param name="Making">Its making.</param>
public sealed record AppliqueElement(Element Element, ClothMaking Making)
{
    public string Id => Element.Id;

    public string Name => Element.Name;

    public ElementBox Box => Element.Box;

    public string ClothId => Making.ClothId;

    public Method Method => Making.Method;

    public Holding Holding => Making.Holding;

    public double? CutAllowance => Making.CutAllowance;

    public StageSettings Stages => Making.Stages;

    public ImmutableArray<EdgeTouch> EdgeTouches => Making.EdgeTouches;

    /// <summary>The element with other settings of cloth.</summary>
    public AppliqueElement With(ClothMaking making) => new(Element.WithSettings(making), making);

    /// <summary>An element seen with its settings of cloth, whether they are in use or kept; null where it never was of cloth.</summary>
    public static AppliqueElement? Settings(Element element) =>
        element.SettingsOf<ClothMaking>() is { } cloth ? new AppliqueElement(element, cloth) : null;

    /// <summary>An element seen so; null for one that is not made of cloth.</summary>
    public static AppliqueElement? Of(Element? element) =>
        element?.MadeAs<ClothMaking>() is { } cloth ? new AppliqueElement(element, cloth) : null;
}

/// <summary>A stretch of edge set by hand against what the stack says.</summary>
/// <param name="At">A place on the stretch.</param>
/// <param name="IsCovered">True for an edge that lies under something and gets no cover.</param>
public sealed record EdgeTouch(Spot At, bool IsCovered);

/// <summary>How a piece is applied.</summary>
public enum Method
{
    /// <summary>Laid larger, tacked down, trimmed along the tack-down, covered.</summary>
    TrimInTheHoop,

    /// <summary>Cut to size first, with a cutter or a template.</summary>
    CutBeforehand,

    /// <summary>Cut out along a line that is stitched on its own cloth first.</summary>
    MarkedOnCloth,

    /// <summary>Hooped together with the ground, outlined, trimmed, covered.</summary>
    LaidFirst,

    /// <summary>Held by a bean stitch inside its edge, which frays on purpose.</summary>
    RawEdge,

    /// <summary>Laid beneath; the ground is cut away inside the line, so that it shows in a window.</summary>
    SetBehind,
}

/// <summary>What keeps a laid cloth in place until it is tacked down.</summary>
public enum Holding
{
    Taped,

    /// <summary>A fusible backing.</summary>
    Fused,

    /// <summary>Only hands.</summary>
    Nothing,

    /// <summary>Basting spray, sprayed away from the machine.</summary>
    Sprayed,
}
