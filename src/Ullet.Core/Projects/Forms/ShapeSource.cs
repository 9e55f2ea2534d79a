using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ullet.Core.Geometry;

namespace Ullet.Core.Projects;

/// <summary>How a shape was made: a generator with its numbers, or a drawing.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "form")]
[JsonDerivedType(typeof(RectangleShape), "rectangle")]
[JsonDerivedType(typeof(EllipseShape), "ellipse")]
[JsonDerivedType(typeof(PolygonShape), "polygon")]
[JsonDerivedType(typeof(StarShape), "star")]
[JsonDerivedType(typeof(HeartShape), "heart")]
[JsonDerivedType(typeof(LeafShape), "leaf")]
[JsonDerivedType(typeof(DropShape), "drop")]
[JsonDerivedType(typeof(CrescentShape), "crescent")]
[JsonDerivedType(typeof(ShieldShape), "shield")]
[JsonDerivedType(typeof(ReadyShape), "ready")]
[JsonDerivedType(typeof(DrawnShape), "drawn")]
public abstract record ShapeSource;

/// <summary>A rectangle; the corner radius in mm stays when the piece is resized, as far as the sides allow.</summary>
public sealed record RectangleShape(double CornerRadius = 0) : ShapeSource;

public sealed record EllipseShape : ShapeSource;

/// <summary>A regular polygon of 3 to 24 sides, a corner on top.</summary>
public sealed record PolygonShape(int Sides = 6) : ShapeSource;

/// <summary>A star of 3 to 24 points; the inner corners lie at a share (0.1 to 0.95) of the outer radius.</summary>
public sealed record StarShape(int Points = 5, double InnerShare = 0.45) : ShapeSource;

public sealed record HeartShape : ShapeSource;

public sealed record LeafShape : ShapeSource;

public sealed record DropShape : ShapeSource;

/// <summary>A crescent whose thickest part is a share (0.1 to 0.9) of its height.</summary>
public sealed record CrescentShape(double Thickness = 0.35) : ShapeSource;

public sealed record ShieldShape : ShapeSource;

/// <summary>A form without numbers of its own.</summary>
public sealed record ReadyShape(ReadyForm Kind) : ShapeSource;

/// <summary>The forms without numbers.</summary>
public enum ReadyForm
{
    Arch,
    HalfCircle,
    Egg,
    Cross,
    Arrow,
    Cloud,
    Flower,
    Scallops,
    Tag,
    Pennant,
}

/// <summary>A drawing of lines with nodes, in any unit; it is fitted to its element's box. On cloth every line is closed, and
/// what an odd number of lines goes round is filled.</summary>
[method: JsonConstructor]
public sealed record DrawnShape(ImmutableArray<DrawnLine> Lines) : ShapeSource
{
    /// <summary>A drawing of one line.</summary>
    public DrawnShape(double startX, double startY, ImmutableArray<DrawnCurve> curves)
        : this([new DrawnLine(startX, startY, curves)]) { }
}

/// <summary>One drawn line: cubic curves one after the other.</summary>
/// <param name="StartX">Where the line begins.</param>
/// <param name="StartY">Where the line begins.</param>
/// <param name="Curves">Each goes on from the end of the one before; a closed line ends where it starts.</param>
public sealed record DrawnLine(double StartX, double StartY, ImmutableArray<DrawnCurve> Curves)
{
    /// <summary>True when it ends where it starts.</summary>
    [JsonIgnore]
    public bool IsClosed =>
        new Point(Curves[^1].X, Curves[^1].Y).DistanceTo(new Point(StartX, StartY)) <= Tolerance.Same;
}

/// <summary>Two control points and an end; a straight stretch has its controls at its ends.</summary>
public sealed record DrawnCurve(double X1, double Y1, double X2, double Y2, double X, double Y)
{
    /// <summary>How the line goes on through the node at the end.</summary>
    public NodeKind Node { get; init; }
}

/// <summary>How a line goes through one of its nodes.</summary>
public enum NodeKind
{
    /// <summary>Both handles are free.</summary>
    Corner,

    /// <summary>Both handles lie on one line; their lengths are free.</summary>
    Smooth,

    /// <summary>Both handles lie on one line and are of one length.</summary>
    Symmetric,
}
