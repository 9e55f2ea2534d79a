using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Geometry;

namespace Ullet.Core.Projects;

/// <summary>Work for hands that came with opened stitches, or was put between them.</summary>
/// <param name="Kind">The kind of work.</param>
/// <param name="Text">What hands do.</param>
public sealed record OpenedHands(HandKind Kind, string Text)
{
    /// <summary>Most characters of a text, a warning or a check.</summary>
    public const int LongestText = 2_000;

    /// <summary>Words for a stop that a file does not explain.</summary>
    public const string UnsaidStop =
        "The file stops here for hands and does not say what for. Look at what came with it, and write down here what is to be done.";

    /// <summary>True for a stop of which nobody has said yet what it is for.</summary>
    [JsonIgnore]
    public bool IsUnsaid => Kind == HandKind.FreeText && Text == UnsaidStop;

    /// <summary>Most changes of layers of one.</summary>
    public const int MostChanges = 60;

    public string? Warning { get; init; }

    public string? Check { get; init; }

    public bool HoopOff { get; init; }

    public ImmutableArray<OpenedChange> Changes { get; init; } = [];
}

/// <summary>A change of layers in the frame of opened stitches: areas are in the file's own mm.</summary>
/// <param name="Layer">The layer as the file names it.</param>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "change")]
[JsonDerivedType(typeof(OpenedLaid), "laid")]
[JsonDerivedType(typeof(OpenedCutBack), "cutBack")]
[JsonDerivedType(typeof(OpenedWindow), "window")]
[JsonDerivedType(typeof(OpenedFold), "fold")]
[JsonDerivedType(typeof(OpenedParted), "parted")]
[JsonDerivedType(typeof(OpenedRemoved), "removed")]
[JsonDerivedType(typeof(OpenedCutOut), "cutOut")]
public abstract record OpenedChange(string Layer)
{
    /// <summary>The area that it says; none where it says none.</summary>
    [JsonIgnore]
    public virtual ImmutableArray<OpenedArea> Areas => [];
}

/// <summary>A cloth is laid.</summary>
public sealed record OpenedLaid(
    string Layer,
    string Name,
    string ClothId,
    bool FaceUp,
    bool IsBeneath,
    Layers.LayerRole Role,
    ImmutableArray<OpenedArea> Area
) : OpenedChange(Layer)
{
    public Point? Slider { get; init; }

    [JsonIgnore]
    public override ImmutableArray<OpenedArea> Areas => Area;
}

public sealed record OpenedCutBack(string Layer, ImmutableArray<OpenedArea> Area) : OpenedChange(Layer)
{
    [JsonIgnore]
    public override ImmutableArray<OpenedArea> Areas => Area;
}

public sealed record OpenedWindow(string Layer, ImmutableArray<OpenedArea> Area) : OpenedChange(Layer)
{
    [JsonIgnore]
    public override ImmutableArray<OpenedArea> Areas => Area;
}

public sealed record OpenedFold(string Layer, bool FaceUp, ImmutableArray<OpenedArea> Area) : OpenedChange(Layer)
{
    [JsonIgnore]
    public override ImmutableArray<OpenedArea> Areas => Area;
}

public sealed record OpenedParted(string Layer, Point From, Point To) : OpenedChange(Layer);

public sealed record OpenedRemoved(string Layer) : OpenedChange(Layer);

public sealed record OpenedCutOut(ImmutableArray<OpenedArea> Area) : OpenedChange("")
{
    [JsonIgnore]
    public override ImmutableArray<OpenedArea> Areas => Area;
}

/// <summary>An area: rings of places, across and down in turn, file's mm; the first goes round it, the others round its holes.</summary>
public sealed record OpenedArea(ImmutableArray<ImmutableArray<double>> Rings)
{
    /// <summary>Most places of all rings.</summary>
    public const int MostPlaces = 20_000;
}
