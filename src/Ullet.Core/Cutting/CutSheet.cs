using System.Collections.Immutable;
using Ullet.Core.Geometry;
using Ullet.Core.Projects;

namespace Ullet.Core.Cutting;

/// <summary>How shapes came to their places on the mat.</summary>
public enum SheetLayout
{
    /// <summary>As they stand to one another on the wall.</summary>
    InPlace,

    /// <summary>Side by side in rows, because in place they would run into each other.</summary>
    SideBySide,
}

/// <summary>A shape where it lies on the mat; mm from the mat's top left, y down.</summary>
public sealed record PlacedShape(CutShape Shape, Outline Outline);

/// <summary>One cloth's shapes on one mat.</summary>
/// <param name="Cloth">The cloth.</param>
/// <param name="MatWidth">mm.</param>
/// <param name="MatHeight">mm.</param>
/// <param name="IsMirrored">True when every shape is mirrored left to right.</param>
/// <param name="Layout">How they came to their places.</param>
/// <param name="Shapes">Every shape with its line on the mat.</param>
public sealed record CutSheet(
    Cloth Cloth,
    double MatWidth,
    double MatHeight,
    bool IsMirrored,
    SheetLayout Layout,
    ImmutableArray<PlacedShape> Shapes
)
{
    /// <summary>The box that all shapes take on the mat, mm.</summary>
    public Box Bounds() => Shapes.Aggregate(Box.Empty, (box, placed) => box.Union(placed.Outline.Bounds()));

    /// <summary>True when every shape lies on the mat.</summary>
    public bool Fits => new Box(0, 0, MatWidth, MatHeight).Contains(Bounds(), Tolerance.Quantum);
}
