using System.Collections.Immutable;
using System.Text.Json.Serialization;

namespace Ullet.Core.Projects;

/// <summary>Anything that stands on the wall.</summary>
[JsonPolymorphic(TypeDiscriminatorPropertyName = "kind")]
[JsonDerivedType(typeof(Piece), "piece")]
public abstract record Element
{
    /// <summary>Names the element for ever.</summary>
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required ElementBox Box { get; init; }
}

/// <summary>Where an element stands: its middle, its size before turning, and its turn.</summary>
/// <param name="X">Middle, mm right of the field's centre.</param>
/// <param name="Y">Middle, mm below the field's centre.</param>
/// <param name="Width">Width before turning, mm.</param>
/// <param name="Height">Height before turning, mm.</param>
/// <param name="Rotation">Turn, degrees clockwise on screen.</param>
public sealed record ElementBox(double X, double Y, double Width, double Height, double Rotation);

/// <summary>An appliqué piece: an outline with holes, a cloth, a method.</summary>
public sealed record Piece : Element
{
    public required ShapeSource Shape { get; init; }

    public ImmutableArray<PieceHole> Holes { get; init; } = [];

    public required string ClothId { get; init; }

    public Method Method { get; init; } = Method.TrimInTheHoop;

    /// <summary>Numbers set by hand for single stages; null means the method's own.</summary>
    public StageSettings Stages { get; init; } = new();
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
    TrimInTheHoop,
    CutBeforehand,
}
