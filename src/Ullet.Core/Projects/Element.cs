using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>Anything that stands on the wall.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(Piece), "piece")]
[JsonDerivedType(typeof(Words), "lettering")]
[JsonDerivedType(typeof(StitchedLine), "line")]
[JsonDerivedType(typeof(Zone), "zone")]
public abstract record Element
{
    /// <summary>Names the element for ever.</summary>
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required ElementBox Box { get; init; }

    /// <summary>Elements with the same group are taken together by hands; null stands alone.</summary>
    public string? GroupId { get; init; }

    /// <summary>A locked element is not moved, changed in size or deleted until it is unlocked.</summary>
    public bool IsLocked { get; init; }

    /// <summary>A hidden element is not drawn on the wall; it is sewn and cut all the same.</summary>
    public bool IsHidden { get; init; }

    /// <summary>True while the middle of its outline is kept in the field's centre whatever its size becomes.</summary>
    public bool StaysCentred { get; init; }

    /// <summary>Live changes of its outline, in their order.</summary>
    public ImmutableArray<Operation> Operations { get; init; } = [];

    /// <summary>A construction shape is neither sewn nor cut; it only serves other elements' operations.</summary>
    public bool IsConstruction { get; init; }

    /// <summary>Which part of the project's pattern it is; null for one made by hand. Parts keep their names at every size.</summary>
    public string? PatternPart { get; init; }

    /// <summary>The elements that its operations use, muted ones counted.</summary>
    public IEnumerable<string> SourceIds() => Operations.SelectMany(operation => operation.Sources);
}

/// <summary>Where an element stands: its middle, its size before turning, and its turn.</summary>
/// <param name="X">Middle, mm right of the field's centre.</param>
/// <param name="Y">Middle, mm below the field's centre.</param>
/// <param name="Width">Width before turning, mm; slant counted in.</param>
/// <param name="Height">Height before turning, mm.</param>
/// <param name="Rotation">Turn, degrees clockwise on screen.</param>
public sealed record ElementBox(double X, double Y, double Width, double Height, double Rotation)
{
    /// <summary>True when the form is mirrored left to right before it is turned.</summary>
    public bool IsFlipped { get; init; }

    /// <summary>How far the form leans to the right before it is flipped and turned, degrees; -60 to 60.</summary>
    public double Skew { get; init; }
}

/// <summary>An element that is made of cloth: which one, how it is applied, and what was set by hand for its stages.</summary>
public abstract record AppliqueElement : Element
{
    public required string ClothId { get; init; }

    public Method Method { get; init; } = Method.TrimInTheHoop;

    /// <summary>What keeps the cloth in place until it is tacked down.</summary>
    public Holding Holding { get; init; } = Holding.Taped;

    /// <summary>How far outside the outline a piece is cut that is cut to size, mm; null for the method's own.</summary>
    public double? CutAllowance { get; init; }

    /// <summary>Numbers set by hand for single stages; null means the method's own.</summary>
    public StageSettings Stages { get; init; } = new();

    /// <summary>Stretches of its edge that were covered or laid open by hand.</summary>
    public ImmutableArray<EdgeTouch> EdgeTouches { get; init; } = [];
}

/// <summary>A stretch of edge set by hand against what the stack says.</summary>
/// <param name="At">A place on the stretch.</param>
/// <param name="IsCovered">True for an edge that lies under something and gets no cover.</param>
public sealed record EdgeTouch(Spot At, bool IsCovered);

/// <summary>An appliqué piece: an outline with holes, a cloth, a method.</summary>
public sealed record Piece : AppliqueElement
{
    public required ShapeSource Shape { get; init; }

    public ImmutableArray<PieceHole> Holes { get; init; } = [];
}

/// <summary>A hole in a piece, placed in the piece's own frame (before turning, from its middle).</summary>
/// <param name="Shape">The hole's form.</param>
/// <param name="X">Middle, mm right of the piece's middle.</param>
/// <param name="Y">Middle, mm below the piece's middle.</param>
/// <param name="Width">Width, mm.</param>
/// <param name="Height">Height, mm.</param>
public sealed record PieceHole(ShapeSource Shape, double X, double Y, double Width, double Height);

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
}
