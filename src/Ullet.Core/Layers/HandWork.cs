using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Layers;

/// <summary>What hands do, in words, and what it changes in the layers.</summary>
/// <param name="Kind">The kind of work.</param>
/// <param name="Name">Part of the step's key: "lay", "trim".</param>
/// <param name="Text">One sentence for the instruction sheet and the stop card.</param>
/// <param name="Warning">What must not go wrong, or null.</param>
/// <param name="HoopOff">True when the hoop is taken off the machine for it.</param>
/// <param name="Changes">What lies in the hoop from here on.</param>
public sealed record HandWork(
    HandKind Kind,
    string Name,
    string Text,
    string? Warning,
    bool HoopOff,
    ImmutableArray<LayerChange> Changes
)
{
    /// <summary>What to check before pressing start, or null.</summary>
    public string? Check { get; init; }

    /// <summary>What hands hold something against.</summary>
    public ImmutableArray<Alignment> AlignsTo { get; init; } = [];

    /// <summary>Tape that is put on, away from what the needle sews while it is there.</summary>
    public ImmutableArray<Taped> Tape { get; init; } = [];

    /// <summary>True where the gap is closed through which the work was turned.</summary>
    public bool ClosesGap { get; init; }

    /// <summary>True where an iron is used: the hoop comes off the machine for it.</summary>
    public bool UsesHeat { get; init; }

    /// <summary>The name of the work that takes basting out again.</summary>
    public const string TakeOutBasting = "take-out";

    /// <summary>The layer of the cloth that is hooped.</summary>
    public const string GroundLayer = "ground";

    /// <summary>The layer of the stabiliser that is hooped with it, or alone.</summary>
    public const string StabiliserLayer = "stabiliser";

    /// <summary>True for what is hooped, whatever is laid on it.</summary>
    public static bool IsHooped(string layer) => layer is GroundLayer or StabiliserLayer;
}

/// <summary>A change of what lies in the hoop.</summary>
public abstract record LayerChange(string LayerId);

/// <summary>A cloth is laid: what it is, which face, and the area it takes, mm.</summary>
public sealed record LayerLaid(string LayerId, string Name, Cloth Cloth, bool FaceUp, ImmutableArray<Region> Area)
    : LayerChange(LayerId)
{
    /// <summary>True when it lies under everything that is hooped.</summary>
    public bool IsBeneath { get; init; }

    /// <summary>What it is to the finished thing.</summary>
    public LayerRole Role { get; init; }

    /// <summary>The middle of the slider while it is shut, mm; null for what has none.</summary>
    public Point? Slider { get; init; }
}

/// <summary>A layer is cut back to an area, mm.</summary>
public sealed record LayerTrimmed(string LayerId, ImmutableArray<Region> Area) : LayerChange(LayerId);

/// <summary>A window is cut into a layer, mm.</summary>
public sealed record LayerOpened(string LayerId, ImmutableArray<Region> Area) : LayerChange(LayerId);

/// <summary>A layer is parted along a line, as a zip is that is opened: nothing is cut away.</summary>
/// <param name="LayerId">The layer.</param>
/// <param name="From">One end of what is open now, mm.</param>
/// <param name="To">The other end.</param>
public sealed record LayerParted(string LayerId, Point From, Point To) : LayerChange(LayerId);

/// <summary>The work is cut out: of every layer only what lies in an area is left, mm.</summary>
public sealed record WorkCutOut(ImmutableArray<Region> Area) : LayerChange("");

/// <summary>A layer is folded over: it takes another area from here on, mm, and shows the other face.</summary>
public sealed record LayerFolded(string LayerId, bool FaceUp, ImmutableArray<Region> Area) : LayerChange(LayerId);

/// <summary>A layer is taken out of the hoop.</summary>
public sealed record LayerRemoved(string LayerId) : LayerChange(LayerId);
